import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import type { AnswerRecord, HeardAs, LessonRecord, SessionRecord } from '../../../src/core';
import { db } from '../../../src/store/db';
import { dayKey, daySum } from '../../../src/store/days';
import { demoStudio } from '../../../src/store/demoStudio';
import { countedEdit, merged } from '../../../src/store/merge';
import { additions, judgedIn, memoriesOf, sessionsOf } from '../../../src/store/read';
import { addRepetition } from '../../../src/store/log';
import { joinPracticeFile, practiceFileText, readPracticeFile } from '../../../src/store/practiceFile';
import { setAnswersAheadAside } from '../../../src/store/reviewSchedule';
import { isInUse } from '../../../src/store/uses';
import { commit, takeFromTrash } from '../../../src/store/write';
import { fileOf, judged, sessionFor } from '../../support/log';
import { runs } from '../../support/runs';

/* The log of practice, with a database in memory. */

const studio = demoStudio(1_700_000_000_000);
const [wren, pip] = studio.students;
const DAY = '2026-11-20';

beforeEach(async () => {
  await db.delete();
  await db.open();
  await commit(additions(studio));
});

/** Plays some repetitions as a page does, each written at once. */
async function play(session: SessionRecord, heards: readonly HeardAs[], first = 0) {
  for (const [at, heard] of heards.entries()) await addRepetition(judged(session, first + at, heard), session, 1 / 4);
}

const sessionRepetitions = (sessionId: string) => db.repetitions.where('sessionId').equals(sessionId).toArray();

async function recounted(session: SessionRecord) {
  const sessions = await sessionsOf(session.studentId, session.day, session.day);
  const logs = new Map<string, Awaited<ReturnType<typeof sessionRepetitions>>>();
  for (const { id } of sessions) logs.set(id, await sessionRepetitions(id));
  return daySum(session.studentId, session.day, sessions, logs);
}

test('the sums of a day, written with each repetition, are those of its log', async () => {
  const heard = fc.constantFrom<HeardAs>('low', 'in', 'high', 'missed');
  await fc.assert(
    fc.asyncProperty(
      fc.array(heard, { maxLength: 12 }),
      fc.array(heard, { maxLength: 6 }),
      fc.boolean(),
      async (one, two, back) => {
        await db.delete();
        await db.open();
        const [a, b] = [sessionFor(wren.id, DAY), sessionFor(wren.id, DAY, { planId: 'p' })];
        await play(a, one);
        await play(b, two);
        const last = (await judgedIn(a.id)).at(-1);
        if (back && last) {
          const taken = {
            kind: 'taken-back',
            id: crypto.randomUUID(),
            sessionId: a.id,
            at: 9,
            judged: last.id,
          } as const;
          await addRepetition(taken, a, 1);
          assert.equal((await judgedIn(a.id)).length, one.length - 1);
        }
        assert.deepEqual((await db.days.get(dayKey(wren.id, DAY)))?.sums ?? {}, (await recounted(a)).sums);
        assert.equal((await sessionRepetitions(a.id)).length, one.length + Number(back && last !== undefined));
      },
    ),
    runs(25),
  );
});

test('an entry moved to another day, deleted and brought back is counted where it stands', async () => {
  const session = sessionFor(wren.id, DAY);
  await play(session, ['in', 'low', 'in']);
  const day = async (name: string) => (await db.days.get(dayKey(wren.id, name)))?.minutes;
  assert.equal(await day(DAY), 0.75);
  const move = { from: { day: DAY }, to: { day: '2026-11-21' } };
  await commit([{ kind: 'updated', table: 'sessions', id: session.id, ...move }]);
  assert.deepEqual([await day(DAY), await day('2026-11-21')], [undefined, 0.75]);
  const record = await db.sessions.get(session.id);
  assert.ok(record);
  const gone = await commit([{ kind: 'removed', table: 'sessions', record }], 'An entry');
  assert.equal(await day('2026-11-21'), undefined);
  assert.ok(gone.kind === 'written' && gone.bin);
  await takeFromTrash(gone.bin);
  assert.equal(await day('2026-11-21'), 0.75);
  assert.deepEqual(Object.keys((await db.days.get(dayKey(wren.id, '2026-11-21')))?.sums ?? {}).length, 2);
});

test('a practice file has its student and nobody else', async () => {
  await play(sessionFor(wren.id, DAY), ['in']);
  await play(sessionFor(pip.id, DAY, { what: 'Secret of Pip' }), ['low']);
  const text = (await practiceFileText(wren.id, new Date(0))) ?? '';
  assert.ok(!text.includes('Pip') && !text.includes(pip.id));
  const file = await fileOf(wren.id);
  assert.equal(file.student.name, 'Wren');
  assert.equal(file.lists.plans?.length, studio.plans.filter(({ studentId }) => studentId === wren.id).length);
  assert.deepEqual([file.lists.sessions?.length, file.lists.repetitions?.length], [1, 1]);
});

test('taken home, practised there and brought back: nothing is lost and nothing is doubled', async () => {
  const monday = sessionFor(wren.id, DAY);
  await play(monday, ['in', 'low']);
  const taken = await fileOf(wren.id);
  // At home: a browser with nothing in it.
  await db.delete();
  await db.open();
  assert.equal((await joinPracticeFile(taken)).newStudent, true);
  await play(monday, ['in', 'in'], 2);
  for (const day of ['2026-11-21', '2026-11-22', '2026-11-23']) await play(sessionFor(wren.id, day), ['in', 'high']);
  const back = await fileOf(wren.id);
  // The teacher's browser, where the same entry was worked on meanwhile.
  await db.delete();
  await db.open();
  await joinPracticeFile(taken);
  const edit = countedEdit(monday, { teacherWords: 'Slower bow' }, 'teacher');
  await commit([{ kind: 'updated', table: 'sessions', id: monday.id, from: { teacherWords: '' }, to: edit }]);
  for (let twice = 0; twice < 2; twice++) {
    const joined = await joinPracticeFile(back);
    assert.deepEqual([joined.added.sessions, joined.added.repetitions], twice === 0 ? [3, 8] : [0, 0]);
    assert.equal((await sessionsOf(wren.id)).length, 4);
    assert.equal((await judgedIn(monday.id)).length, 4);
    const kept = await db.sessions.get(monday.id);
    assert.equal(kept?.teacherWords, 'Slower bow');
    assert.deepEqual(kept.heard, { low: 1, in: 3, high: 0, missed: 0 });
    assert.deepEqual((await db.days.get(dayKey(wren.id, DAY)))?.sums, (await recounted(monday)).sums);
  }
});

test('words written on both sides are both kept, the same whichever side joins', () => {
  const base = sessionFor(wren.id, DAY);
  const write = (words: string, device: string, to = base) => ({
    ...to,
    ...countedEdit(to, { playerWords: words }, device),
  });
  const [here, there] = [write('tired', 'a'), write('fun', 'b')];
  assert.equal(merged(here, there).playerWords, 'fun / tired');
  assert.equal(merged(there, here).playerWords, 'fun / tired');
  // The one who has read the other's words and changes them has the last one.
  const later = write('fun, in the end', 'a', merged(here, there));
  assert.equal(merged(later, there).playerWords, 'fun, in the end');
  assert.equal(merged(there, later).playerWords, 'fun, in the end');
  assert.deepEqual(merged(merged(here, there), there), merged(here, there));
});

test('what was deleted here is not brought back by a file', async () => {
  const session = sessionFor(wren.id, DAY);
  await play(session, ['in']);
  const file = await fileOf(wren.id);
  const record = await db.sessions.get(session.id);
  assert.ok(record);
  await commit([{ kind: 'removed', table: 'sessions', record }], 'An entry');
  const joined = await joinPracticeFile(file);
  assert.equal(joined.deleted, 1);
  assert.equal((await sessionsOf(wren.id)).length, 0);
});

test('files that are broken, foreign, later or of nobody are refused in a sentence', async () => {
  const text = (await practiceFileText(wren.id, new Date(0))) ?? '';
  const message = (file: string) => {
    const reading = readPracticeFile(file);
    return reading.kind === 'trouble' ? reading.message : '';
  };
  assert.match(message(text.slice(0, -20)), /cut off/);
  assert.match(message('{"format":"dove-path-backup"}'), /no practice file/);
  assert.match(message(text.replace('"version":1', '"version":7')), /later version/);
  assert.match(message(JSON.stringify({ ...JSON.parse(text), student: {} })), /does not say whose/);
  assert.match(message('null'), /no practice file/);
  // One damaged entry is left aside, the rest is read; entries of others are too.
  await play(sessionFor(wren.id, DAY), ['in']);
  const whole = JSON.parse((await practiceFileText(wren.id, new Date(0))) ?? '');
  const others = { ...whole.sessions[0], id: 'x', studentId: pip.id };
  const reading = readPracticeFile(
    JSON.stringify({ ...whole, sessions: [...whole.sessions, { id: 'rotten' }, others] }),
  );
  assert.ok(reading.kind === 'practice');
  assert.deepEqual([reading.lists.sessions?.length, reading.aside], [1, 2]);
});

test('card answers dated ahead are set aside and hide no card, also those that a wrong clock has worked with', async () => {
  const now = Date.parse('2026-11-20T16:00:00Z');
  const year = 365 * 86_400_000;
  const answer = (cardId: string, at: number): AnswerRecord => ({
    ...{ id: crypto.randomUUID(), cardId, studentId: wren.id, at, right: true, took: 5000 },
  });
  await db.answers.bulkAdd([answer('both', now - 1000), answer('both', now + year), answer('ahead', now + year)]);
  // As it was worked out while the clock was a year ahead.
  const memory = (id: string) => ({ id, studentId: wren.id, due: now + year + 86_400_000, answers: 1, wrong: 0 });
  await db.memories.bulkPut([memory('both'), memory('ahead'), { ...memory('other'), due: now + 1000 }]);
  assert.equal(await setAnswersAheadAside(wren.id, now), 2);
  const left = new Map((await memoriesOf(wren.id)).map((one) => [one.id, one]));
  assert.equal(left.has('ahead'), false, 'never asked, as far as this clock knows');
  assert.equal(left.get('both')?.answers, 1);
  assert.ok((left.get('both')?.due ?? Infinity) < now + year);
  assert.equal(left.get('other')?.due, now + 1000);
  assert.equal(await db.answers.count(), 3, 'the answers are kept');
  // When their day has come they count.
  assert.equal(await setAnswersAheadAside(wren.id, now + 2 * year), 0);
});

test('a plan that was practised, assigned or given is in use; others are not', async () => {
  const [plan, other] = studio.plans.filter(({ studentId }) => studentId === wren.id);
  assert.equal(await isInUse(plan), false);
  await db.sessions.add(sessionFor(wren.id, DAY, { planId: plan.id }));
  assert.equal(await isInUse(plan), true);
  assert.equal(await isInUse(other), false);
  const copy = { ...other, id: crypto.randomUUID(), studentId: pip.id, givenFrom: other.id };
  await db.plans.add(copy);
  assert.deepEqual([await isInUse(other), await isInUse(copy)], [true, true]);
  const [third] = studio.plans.filter(({ studentId }) => studentId === pip.id);
  assert.equal(await isInUse(third), false);
  const lesson: LessonRecord = {
    ...{ id: 'lesson', studentId: pip.id, day: DAY, minutes: 20, items: [], goal: '', words: '' },
    ...{ assigned: [{ planId: third.id, what: 'Scale', words: '' }], createdAt: 0, changedAt: 0 },
  };
  await db.lessons.add(lesson);
  assert.equal(await isInUse(third), true);
});
