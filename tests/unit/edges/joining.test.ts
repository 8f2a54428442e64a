import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import { heardOf, type HeardAs, type PlanRecord, type SessionRecord } from '../../../src/core';
import { db } from '../../../src/store/db';
import { demoStudio } from '../../../src/store/demoStudio';
import { addAnswer, addRepetition } from '../../../src/store/log';
import { countedEdit, merged } from '../../../src/store/merge';
import { withPlayed } from '../../../src/store/minutes';
import { joinPracticeFile, practiceFileText, readPracticeFile } from '../../../src/store/practiceFile';
import { additions, judgedIn, listPlans, sessionsOf } from '../../../src/store/read';
import { commit, takeFromTrash } from '../../../src/store/write';
import { fileOf, judged, sessionFor } from '../../support/log';
import { runs } from '../../support/runs';

/* What a student brings home and back, where both sides went on meanwhile. */

const studio = demoStudio(1_700_000_000_000);
const [wren, pip] = studio.students;
const DAY = '2026-11-20';

/** A computer with nothing on it: what it writes is counted as its own. */
async function emptyComputer() {
  await db.delete();
  await db.open();
}

/** A computer as it was when it was left, to come back to. */
async function leftComputer() {
  const rows = new Map<string, unknown[]>();
  for (const table of db.tables) rows.set(table.name, await table.toArray());
  return async () => {
    await emptyComputer();
    for (const [name, all] of rows) await db.table(name).bulkPut(all);
  };
}

beforeEach(async () => {
  await emptyComputer();
  await commit(additions(studio));
});

const ofWren = async () => (await listPlans()).filter(({ studentId }) => studentId === wren.id);

async function change(id: string, to: Partial<PlanRecord>) {
  const plan = await db.plans.get(id);
  assert.ok(plan);
  const from = Object.fromEntries(Object.keys(to).map((name) => [name, plan[name as keyof PlanRecord]]));
  // Each of the two computers of a test writes under a name of its own.
  await commit([{ kind: 'updated', table: 'plans', id, from, to }]);
}

/** The counts of what was written here, as another computer's. */
async function asAnotherComputer(id: string) {
  const plan = await db.plans.get(id);
  const writes = Object.fromEntries(Object.entries(plan?.writes ?? {}).map(([name, n]) => [`home-${name}`, n]));
  await db.plans.update(id, { writes });
}

test('a plan renamed and refingered at home comes back as that plan; changed on both sides, both are kept once', async () => {
  const [first, second, third] = await ofWren();
  const taken = await fileOf(wren.id);
  const teacher = await leftComputer();
  await emptyComputer();
  await joinPracticeFile(taken);
  const locked = { ...first.request, rules: { ...first.request.rules, locks: [{ at: 0, finger: 1 as const }] } };
  await change(first.id, { name: 'My scale', request: locked });
  await change(second.id, { name: 'Mine' });
  for (const id of [first.id, second.id]) await asAnotherComputer(id);
  const back = await fileOf(wren.id);

  await teacher();
  await change(second.id, { name: 'Ours' });
  await change(third.id, { name: 'Only here' });
  const before = (await ofWren()).length;
  for (let times = 0; times < 2; times++) {
    const joined = await joinPracticeFile(back);
    assert.deepEqual([joined.changed, joined.both], times === 0 ? [1, 1] : [0, 0]);
    const plans = await ofWren();
    assert.equal(plans.length, before + 1);
    const named = (id: string) => plans.find((plan) => plan.id === id)?.name;
    assert.deepEqual([named(first.id), named(second.id), named(third.id)], ['My scale', 'Ours', 'Only here']);
    assert.deepEqual(plans.find(({ id }) => id === first.id)?.request.rules?.locks, [{ at: 0, finger: 1 }]);
    assert.equal(plans.filter(({ name }) => name === 'Mine (from home)').length, 1);
  }
});

test('a field that was emptied at home is empty here', async () => {
  const [first] = await ofWren();
  await change(first.id, { sheet: { goal: 'Slow bow', reminders: '' } });
  const taken = await fileOf(wren.id);
  const teacher = await leftComputer();
  await emptyComputer();
  await joinPracticeFile(taken);
  const { sheet, ...rest } = (await db.plans.get(first.id)) as PlanRecord;
  assert.ok(sheet);
  await db.plans.put({ ...rest, writes: { ...rest.writes, home: 1 } });
  const back = await fileOf(wren.id);
  await teacher();
  await joinPracticeFile(back);
  assert.equal((await db.plans.get(first.id))?.sheet, undefined);
});

test('what was deleted on either side stays deleted, lies in the bin, and can be brought back', async () => {
  const [here, there] = [sessionFor(wren.id, DAY), sessionFor(wren.id, '2026-11-21')];
  for (const session of [here, there]) await addRepetition(judged(session, 0, 'in'), session, 1);
  const [plan] = await ofWren();
  const taken = await fileOf(wren.id);
  const teacher = await leftComputer();
  await emptyComputer();
  await joinPracticeFile(taken);
  const gone = await db.sessions.get(there.id);
  assert.ok(gone);
  const atHome = (await db.plans.get(plan.id)) as PlanRecord;
  await commit([{ kind: 'removed', table: 'sessions', record: gone }], 'An entry');
  await commit([{ kind: 'removed', table: 'plans', record: atHome }], 'A plan');
  const back = await fileOf(wren.id);

  await teacher();
  const mine = await db.sessions.get(here.id);
  assert.ok(mine);
  await commit([{ kind: 'removed', table: 'sessions', record: mine }], 'An entry');
  const joined = await joinPracticeFile(back);
  assert.deepEqual([joined.removed, joined.deleted], [2, 1]);
  assert.deepEqual(await sessionsOf(wren.id), []);
  assert.equal(await db.plans.get(plan.id), undefined);
  // Its repetition has nothing to go with: it is not taken as new.
  assert.equal(joined.added.repetitions ?? 0, 0);
  const [, theirs] = (await db.bin.toArray()).sort((a, b) => a.changes.length - b.changes.length);
  await takeFromTrash(theirs.id);
  assert.equal((await sessionsOf(wren.id)).length, 1);
  assert.ok(await db.plans.get(plan.id));
});

test('ids of another student, orphans and days that are none are refused and told', async () => {
  const session = sessionFor(wren.id, DAY);
  await addRepetition(judged(session, 0, 'in'), session, 1);
  const pips = sessionFor(pip.id, DAY);
  await addRepetition(judged(pips, 0, 'low'), pips, 1);
  const pipsPlan = (await listPlans()).find(({ studentId }) => studentId === pip.id);
  assert.ok(pipsPlan);
  const whole = JSON.parse((await practiceFileText(wren.id, new Date(0))) ?? '');
  const answer = { id: 'a1', cardId: 'no-such-card', studentId: wren.id, at: 1, right: true, took: 1 };
  const crooked = {
    ...whole,
    plans: [...whole.plans, { ...pipsPlan, studentId: wren.id, name: 'Taken over' }],
    sessions: [
      ...whole.sessions,
      { ...pips, studentId: wren.id, what: 'Taken over' },
      ...['2026-02-30', '2027-02-29', '2026-13-01', '2026-00-10'].map((day) => ({ ...session, id: day, day })),
      { ...session, id: 'late', startedAt: 1e300 },
    ],
    repetitions: [...whole.repetitions, judged(pips, 1, 'high')],
    answers: [answer],
    deleted: [
      { table: 'sessions', id: pips.id },
      { table: 'plans', id: pipsPlan.id },
      { table: 'students', id: pip.id },
      null,
    ],
  };
  const reading = readPracticeFile(JSON.stringify(crooked));
  assert.ok(reading.kind === 'practice');
  assert.equal(reading.aside, 5);
  const joined = await joinPracticeFile(reading);
  // The plan, the session with its repetition, and the answer.
  assert.equal(joined.refused, 4);
  assert.equal(joined.removed, 0);
  assert.equal((await db.plans.get(pipsPlan.id))?.name, pipsPlan.name);
  assert.equal((await db.sessions.get(pips.id))?.what, pips.what);
  assert.equal((await judgedIn(pips.id)).length, 1);
  assert.deepEqual(await db.answers.toArray(), []);
  assert.equal((await sessionsOf(wren.id)).length, 1);
});

test('an answer to a card that is here or in the file is taken', async () => {
  const quiz = { ask: { kind: 'elsewhere', pitch: 'D4', string: 'G3' }, right: ['D4'] } as const;
  const card = { ...{ id: 'c1', studentId: wren.id, deck: 'Notes', quiz }, createdAt: 1, changedAt: 1 };
  await commit([{ kind: 'added', table: 'cards', record: card }]);
  await addAnswer({ id: 'a1', cardId: 'c1', studentId: wren.id, at: 1, right: true, took: 1 });
  const file = await fileOf(wren.id);
  await emptyComputer();
  const joined = await joinPracticeFile(file);
  assert.deepEqual([joined.added.cards, joined.added.answers, joined.refused], [1, 1, 0]);
});

const base: SessionRecord = sessionFor(wren.id, DAY, { minutes: 10 });
const playedOn = (session: SessionRecord, minutes: number, device: string): SessionRecord => ({
  ...session,
  ...withPlayed(session, minutes, device),
});
const corrected = (session: SessionRecord, minutes: number, device: string): SessionRecord => ({
  ...session,
  ...countedEdit(session, { minutes }, device),
});

test('minutes played on two computers add up, and a correction holds, smaller ones too', () => {
  const [a, b] = [playedOn(base, 5, 'a'), playedOn(base, 7, 'b')];
  assert.equal(merged(a, b).minutes, 22);
  assert.equal(merged(merged(a, b), b).minutes, 22);
  // Corrected on one side to fewer, while the other had only what was counted then.
  assert.equal(merged(base, corrected(base, 4, 'a')).minutes, 4);
  assert.equal(merged(corrected(base, 4, 'a'), base).minutes, 4);
  // What is played after the correction, on either side, is put to it.
  assert.equal(merged(playedOn(corrected(base, 4, 'a'), 3, 'a'), playedOn(base, 7, 'b')).minutes, 14);
  // A correction of the correction is the later one.
  const again = corrected(merged(corrected(base, 4, 'a'), base), 6, 'b');
  assert.equal(merged(corrected(base, 4, 'a'), again).minutes, 6);
});

test('two computers come to the same, whichever joins first and however often', () => {
  const step = fc.record({
    on: fc.constantFrom('a', 'b'),
    what: fc.constantFrom('play', 'correct', 'say', 'join'),
    n: fc.nat(60),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 14 }), (steps) => {
      const at: Record<string, SessionRecord> = { a: base, b: base };
      for (const { on, what, n } of steps) {
        if (what === 'play') at[on] = playedOn(at[on], n, on);
        if (what === 'correct') at[on] = corrected(at[on], n, on);
        if (what === 'say') at[on] = { ...at[on], ...countedEdit(at[on], { playerWords: `word ${n}`, day: DAY }, on) };
        if (what === 'join') at[on] = merged(at[on], at[on === 'a' ? 'b' : 'a']);
      }
      const [one, other] = [merged(at.a, at.b), merged(at.b, at.a)];
      const told = ({ minutes, playerWords, endedAt, day }: SessionRecord) => ({ minutes, playerWords, endedAt, day });
      assert.deepEqual(told(one), told(other));
      assert.deepEqual(merged(one, at.b), one);
      assert.ok(one.minutes >= 0 && one.minutes <= 1440);
    }),
    runs(300),
  );
});

test('a fortnight at home and at the teacher’s, broken off, tried again, by a wrong clock: every repetition counts once', async () => {
  const heard = fc.constantFrom<HeardAs>('low', 'in', 'high', 'missed');
  const evening = fc.record({
    atHome: fc.boolean(),
    /** A clock that is set wrong, in days. */
    clock: fc.constantFrom(0, 0, 0, 365, -400),
    parts: fc.array(fc.array(heard, { maxLength: 4 }), { minLength: 1, maxLength: 3 }),
    takesBack: fc.boolean(),
    /** The page goes before it has heard that it was written, and writes once more. */
    triesAgain: fc.boolean(),
    exchanges: fc.constantFrom('none', 'none', 'home', 'back'),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(evening, { minLength: 14, maxLength: 14 }), async (evenings) => {
      await emptyComputer();
      await commit(additions(studio));
      const first = await fileOf(wren.id);
      let school = await leftComputer();
      await emptyComputer();
      await joinPracticeFile(first);
      let home = await leftComputer();
      const stands = new Map<string, HeardAs[]>();
      const bring = async (from: () => Promise<void>, to: () => Promise<void>) => {
        await from();
        const file = await fileOf(wren.id);
        await to();
        await joinPracticeFile(file);
        return leftComputer();
      };
      for (const [n, { atHome, clock, parts, takesBack, triesAgain, exchanges }] of evenings.entries()) {
        await (atHome ? home() : school());
        const day = new Date(Date.UTC(2026, 10, 1 + n + clock)).toISOString().slice(0, 10);
        const session = sessionFor(wren.id, day);
        const own: HeardAs[] = [];
        // Each part goes on with the session that was broken off.
        for (const part of parts)
          for (const one of part) {
            const repetition = judged(session, own.length, one);
            for (let again = 0; again < (triesAgain ? 2 : 1); again++) await addRepetition(repetition, session, 1 / 4);
            own.push(one);
          }
        const last = (await judgedIn(session.id)).at(-1);
        if (takesBack && last) {
          const back = { kind: 'taken-back', id: crypto.randomUUID(), sessionId: session.id, judged: last.id } as const;
          await addRepetition({ ...back, at: last.at }, session, 0);
          own.pop();
        }
        if (parts.some((part) => part.length > 0)) stands.set(session.id, own);
        if (atHome) home = await leftComputer();
        else school = await leftComputer();
        if (exchanges === 'home') home = await bring(school, home);
        if (exchanges === 'back') school = await bring(home, school);
      }
      school = await bring(home, school);
      home = await bring(school, home);
      for (const computer of [school, home]) {
        await computer();
        const sessions = await sessionsOf(wren.id);
        assert.deepEqual(sessions.map(({ id }) => id).sort(), [...stands.keys()].sort());
        for (const { id, heard: counts } of sessions) {
          const own = stands.get(id) ?? [];
          assert.deepEqual(
            (await judgedIn(id)).map((one) => one.heard),
            own,
          );
          assert.deepEqual(counts, heardOf(own.map((one) => ({ heard: one }))));
        }
      }
    }),
    runs(2, 34),
  );
});
