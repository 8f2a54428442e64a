import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { backupText, readBackup, readWhole } from '../../../src/store/backup';
import { db, storageFault } from '../../../src/store/db';
import { demoStudio } from '../../../src/store/demoStudio';
import type { Lists } from '../../../src/store/tableFiles';
import { joinLists } from '../../../src/store/join';
import { additions, listAll, listEverything, type Kept } from '../../../src/store/read';
import { addAnswer, addRepetition, keepChoice } from '../../../src/store/log';
import { choiceOf } from '../../../src/store/records';
import { keepsItsFingering } from '../../../src/store/steps';
import { FILE_VERSIONS, tablesOfFile } from '../../../src/store/tables';
import { commit } from '../../../src/store/write';
import { plan, requestIssues } from '../../../src/core';
import { judged, sessionFor } from '../../support/log';

const studio = { ...demoStudio(1_700_000_000_000), damaged: [] };
const { plans, students, briefs } = studio;
const text = backupText(studio, new Date(0));

beforeEach(async () => {
  await db.delete();
  await db.open();
});

const trouble = (file: string) => {
  const reading = readBackup(file);
  return reading.kind === 'trouble' ? reading.message : 'no trouble';
};

test('what is backed up is read back whole', () => {
  const reading = readBackup(text);
  assert.ok(reading.kind === 'lists');
  const none = Object.fromEntries(tablesOfFile('backup').map((name) => [name, []]));
  const { plans, students, briefs } = JSON.parse(JSON.stringify(studio));
  assert.deepEqual(reading.lists, { ...none, plans, students, briefs });
  assert.deepEqual(reading.aside, []);
  assert.equal(JSON.parse(text).plans.length, 7);
});

test('books are in a backup; one that is damaged is set aside alone', () => {
  const [{ request }] = plans;
  const book = {
    ...{ id: 'b1', studentId: '', name: 'Keys', createdAt: 1, changedAt: 1 },
    ask: { kind: 'position' as const, key: 'D major', position: 3 },
    pages: [{ id: 'p1', name: 'One', request }],
  };
  const text = backupText(
    { ...studio, lists: { books: [book, { ...book, id: 'b2', pages: 'none' } as never] } },
    new Date(0),
  );
  const reading = readBackup(text);
  assert.ok(reading.kind === 'lists');
  assert.deepEqual(reading.lists.books, [book]);
  assert.equal(reading.aside.length, 1);
});

test('every demo plan is sound and belongs to a student of that instrument', () => {
  for (const { name, request, studentId } of plans) {
    assert.deepEqual(requestIssues(request), [], name);
    assert.ok(plan(request).plans.length > 0, name);
    const student = students.find(({ id }) => id === studentId);
    assert.equal(student?.plays.instrument, request.instrument, name);
  }
});

/** The demo plans as version 2 kept them: by the number of the answer. */
const byNumber = (number: number) => plans.map((plan) => ({ ...plan, choice: undefined, chosen: number }));

const readKept = (file: object) => {
  const reading = readBackup(JSON.stringify({ format: 'dove-path-backup', savedAt: '', ...file }));
  assert.ok(reading.kind === 'lists');
  return { plans: [], students: [], briefs: [], ...reading.lists };
};

test('a backup of version 1, which knew plans alone, is read with its plans for nobody in particular', () => {
  const first = byNumber(0).map(({ id, name, request, chosen, createdAt, changedAt }) => ({
    ...{ id, name, request, chosen, createdAt, changedAt },
  }));
  const kept = readKept({ version: 1, plans: first });
  const expected = plans.map((plan) => ({ ...plan, studentId: null, tags: [] }));
  assert.deepEqual(kept.plans, JSON.parse(JSON.stringify(expected)));
  assert.deepEqual([kept.students, kept.briefs], [[], []]);
});

test('a backup of version 2 gives the best plan for its number 0, and for others says that nobody can tell', () => {
  const choices = (number: number) =>
    readKept({ version: 2, plans: byNumber(number), students, briefs }).plans.map(({ choice }) => choice.kind);
  assert.deepEqual(
    choices(0),
    plans.map(() => 'unplanned'),
  );
  assert.deepEqual(
    choices(2),
    plans.map(() => 'lost'),
  );
});

test('in this browser a number waits to be turned into its fingering', () => {
  const [record] = byNumber(2);
  assert.deepEqual(keepsItsFingering.become(record, 'browser'), { ...plans[0], choice: { kind: 'number', number: 2 } });
});

test('a saved fingering comes through a backup whole', () => {
  const [first, ...rest] = plans;
  const [best] = plan(first.request).plans;
  const saved = { ...first, choice: choiceOf(best, 0) };
  const file = backupText({ ...studio, plans: [saved, ...rest] }, new Date(0));
  const reading = readBackup(file);
  assert.ok(reading.kind === 'lists');
  assert.deepEqual(reading.lists.plans?.[0].choice, JSON.parse(JSON.stringify(saved.choice)));
});

test('broken, foreign and later files are refused with a sentence', () => {
  assert.match(trouble(text.slice(0, 200)), /not JSON|cut off/);
  assert.match(trouble('[1,2,3]'), /not written by Dove Path/);
  assert.match(trouble('null'), /not written by Dove Path/);
  assert.match(trouble(text.replace(`"version": ${FILE_VERSIONS.backup}`, '"version": 99')), /later version/);
  assert.match(trouble(text.replace('"students"', '"pupils"')), /list of students is missing/);
});

test('a damaged record is set aside with what is wrong with it, and the rest is read', () => {
  const damaged = (from: string, to: string) => {
    const reading = readBackup(text.replace(from, to));
    assert.ok(reading.kind === 'lists');
    assert.equal(reading.aside.length, 1);
    const { lists } = reading;
    const left = Object.values(lists).reduce((sum, rows) => sum + rows.length, 0);
    assert.equal(left, plans.length + students.length + briefs.length - 1);
    return reading.aside[0];
  };
  assert.match(damaged('"kind": "unplanned"', '"kind": "first"'), /^\/plans\/0\/choice/);
  assert.match(damaged('"tonic": "Eb4"', '"tonic": "H4"'), /^\/plans\/0\/request\/material\/tonic.*not a pitch/);
  assert.match(damaged('"level": "middle"', '"level": "grand"'), /^\/students\/0\/level: Choose one of/);
});

test('rows that were damaged here are in the backup as they were found, and are told of when it is read', () => {
  const row = { id: 'x', name: 7 };
  const issue = { path: '/name', code: 'wrong-type' };
  const file = backupText({ ...studio, damaged: [{ table: 'plans', key: 'x', row, issue }] }, new Date(0));
  assert.deepEqual(JSON.parse(file).damaged, [{ table: 'plans', row }]);
  const reading = readBackup(file);
  assert.ok(reading.kind === 'lists');
  assert.equal(reading.aside.length, 1);
  assert.equal(reading.lists.plans?.length, plans.length);
});

/** Restores a studio where another one is. */
async function restored(here: Kept, file: Lists) {
  await commit(additions(here));
  const joined = await joinLists(file);
  const all = await listAll();
  const isNew = ({ id }: { readonly id: string }) =>
    !additions(here).some((change) => 'record' in change && change.record.id === id);
  return {
    ...joined,
    plans: all.plans.filter(isNew),
    students: all.students.filter(isNew),
    briefs: all.briefs.filter(isNew),
  };
}

const NOTHING = { plans: [], students: [], briefs: [] };
const demo = { plans, students, briefs };
const ALL = plans.length + students.length + briefs.length;

test('restoring adds what is new', async () => {
  const { added, known, ...fresh } = await restored(NOTHING, demo);
  assert.deepEqual(
    [added.plans, added.students, added.briefs, known],
    [plans.length, students.length, briefs.length, 0],
  );
  assert.deepEqual(fresh.plans.map(({ id }) => id).sort(), plans.map(({ id }) => id).sort());
});

test('restoring leaves out what is here, and copies what differs, once', async () => {
  const [first, ...rest] = plans;
  const renamed = { ...demo, plans: [{ ...first, name: 'Other' }, ...rest] };
  const once = await restored(renamed, demo);
  assert.equal(once.known, ALL - 1);
  assert.equal(once.plans.length, 1);
  assert.notEqual(once.plans[0].id, first.id);
  assert.match(once.plans[0].name, /from backup/);
  // The same file once more: the copy is here already.
  const twice = await joinLists(demo);
  assert.deepEqual([twice.added.plans, twice.known], [0, ALL]);
});

test('a plan that was opened since its backup is the same plan, though its fingering is chosen now', async () => {
  const [first, ...rest] = plans;
  const opened = { ...first, choice: choiceOf(plan(first.request).plans[0], 0) };
  assert.deepEqual((await restored({ ...demo, plans: [opened, ...rest] }, demo)).plans, []);
});

test('a student who has changed since is added as a copy, and restored plans follow the copy', async () => {
  const [first, ...rest] = students;
  const grown = { ...demo, students: [{ ...first, remark: 'grown' }, ...rest], plans: [] };
  const fresh = await restored(grown, demo);
  assert.equal(fresh.students.length, 1);
  const theirs = plans.filter(({ studentId }) => studentId === first.id).map(({ id }) => id);
  assert.ok(theirs.length > 0);
  for (const one of fresh.plans)
    assert.equal(one.studentId === fresh.students[0].id, theirs.includes(one.id), one.name);
});

test('a restore that fails in the middle leaves everything as it was', async () => {
  await commit(additions({ ...NOTHING, students }));
  const before = await listAll();
  // A record that no database takes: a function cannot be stored.
  const broken = { id: 'b', studentId: '', name: 'x', changedAt: 1, createdAt: 1, pages: () => 0 } as never;
  await assert.rejects(joinLists({ plans, briefs, books: [broken] }));
  assert.deepEqual(await listAll(), before);
});

/** Everything of every table, in an order of its own. */
async function everyRow() {
  const rows = new Map<string, unknown[]>();
  for (const table of db.tables) rows.set(table.name, await table.orderBy(':id').toArray());
  return Object.fromEntries(rows);
}

/** A studio with something in every table, damaged rows and the bin among it. */
async function fullStudio() {
  await commit(additions(studio));
  const [{ id: studentId }] = students;
  const session = sessionFor(studentId, '2026-11-20');
  await addRepetition(judged(session, 0, 'low'), session, 2);
  const deleted = sessionFor(studentId, '2026-11-21');
  await addRepetition(judged(deleted, 0, 'in'), deleted, 1);
  const gone = await db.sessions.get(deleted.id);
  assert.ok(gone);
  await commit([{ kind: 'removed', table: 'sessions', record: gone }], 'An entry');
  const quiz = { ask: { kind: 'elsewhere', pitch: 'D4', string: 'G3' }, right: ['D4'] } as const;
  const card = { ...{ id: 'c1', studentId, deck: 'Notes', quiz }, createdAt: 1, changedAt: 1 };
  const lesson = {
    ...{ id: 'l1', studentId, day: '2026-11-20', minutes: 20, assigned: [], items: [] },
    ...{ goal: 'Slow', words: '', createdAt: 1, changedAt: 1 },
  };
  await commit([
    { kind: 'added', table: 'cards', record: card },
    { kind: 'added', table: 'lessons', record: lesson },
  ]);
  await addAnswer({ id: 'a1', cardId: 'c1', studentId, at: 1, right: true, took: 1 });
  await keepChoice({ ...plans[0], request: { ...plans[0].request, rules: { locks: [{ at: 0, finger: 1 }] } } });
  await db.table('plans').put({ id: 'rotten', name: 7 });
  await db.table('lessons').put({ id: 'rotten-too', day: 'never' });
}

/** The backup of a full studio, and the empty browser that it is to be restored into. */
async function takenAway() {
  await fullStudio();
  const text = backupText(await readWhole(), new Date(0));
  await db.delete();
  await db.open();
  return { text, before: await everyRow() };
}

async function restoredText(text: string) {
  const reading = readBackup(text);
  assert.ok(reading.kind === 'lists');
  return joinLists(reading.lists, { kind: 'backup', damaged: reading.damaged });
}

test('a backup has all of every table, and brings it back, damaged rows as they were; twice is once', async () => {
  await fullStudio();
  const before = await everyRow();
  const text = backupText(await readWhole(), new Date(0));
  await db.delete();
  await db.open();
  for (let times = 0; times < 2; times++) {
    await restoredText(text);
    const after = await everyRow();
    for (const [name, rows] of Object.entries(before)) {
      // Days of use are counted by each browser for itself.
      const plain = (all: readonly unknown[]) => all.map((row) => ({ ...(row as object), dayOfUse: undefined }));
      assert.deepEqual(plain(after[name]), plain(rows), name);
    }
  }
});

test('a studio that was emptied comes back whole from its backup, its practice too', async () => {
  await fullStudio();
  const text = backupText(await readWhole(), new Date(0));
  const { removals } = await listEverything();
  await commit(removals, 'Everything');
  assert.equal(await db.sessions.count(), 0);
  await restoredText(text);
  assert.deepEqual(
    [await db.sessions.count(), await db.lessons.count(), await db.cards.count(), await db.students.count()],
    [1, 2, 1, students.length],
  );
  assert.equal((await db.days.toArray()).length, 1);
});

test('a restore that is cancelled at any step leaves everything as it was', async () => {
  const { text, before } = await takenAway();
  const reading = readBackup(text);
  assert.ok(reading.kind === 'lists');
  const { lists, damaged } = reading;
  let steps = 0;
  const count = () => void steps++;
  const stopAt = (at: number) => () => {
    if (steps++ === at) throw new Error('cancelled');
  };
  for (let at = 0; at < 8; at++) {
    steps = 0;
    await assert.rejects(joinLists(lists, { kind: 'backup', damaged }, stopAt(at)), /cancelled/, String(at));
    assert.deepEqual(await everyRow(), before);
  }
  steps = 0;
  await joinLists(lists, { kind: 'backup', damaged }, count);
  assert.ok(steps >= 8);
});

test('a restore for which there is no room leaves everything as it was, and says so', async () => {
  const { text, before } = await takenAway();
  const full = () => {
    throw Object.assign(new Error('no room'), { name: 'QuotaExceededError' });
  };
  db.lessons.hook('creating', full);
  const error: unknown = await restoredText(text).then(
    () => null,
    (reason: unknown) => reason,
  );
  db.lessons.hook('creating').unsubscribe(full);
  assert.equal(storageFault(error), 'full');
  assert.deepEqual(await everyRow(), before);
});
