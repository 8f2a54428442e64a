import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import type { Change } from '../../../src/store/changes';
import { sessionFor } from '../../support/log';
import { db } from '../../../src/store/db';
import { demoStudio } from '../../../src/store/demoStudio';
import { dropDraft, keepDraft, recoverDrafts } from '../../../src/store/drafts';
import type { PlanRecord } from '../../../src/core';
import { additions, daysOf, getPlan, listAll, listEverything, listPlans, sessionsOf } from '../../../src/store/read';
import { TRASH_DAYS, clearOldTrash, commit, removalOfStudent, takeBack, takeFromTrash } from '../../../src/store/write';

/* The store with a database in memory. */

const studio = demoStudio(1_700_000_000_000);
const [first, second] = studio.plans;
const [wren] = studio.students;

const removal = (record: PlanRecord): Change => ({ kind: 'removed', table: 'plans', record });
const edit = (id: string, from: Partial<PlanRecord>, to: Partial<PlanRecord>): Change => ({
  ...{ kind: 'updated', table: 'plans', id },
  ...{ from, to },
});

/** What a commit left in the bin. */
async function binOf(changes: readonly Change[]): Promise<string> {
  const outcome = await commit(changes, 'something');
  assert.equal(outcome.kind, 'written');
  assert.ok(outcome.kind === 'written' && outcome.bin);
  return outcome.bin;
}

/** Plain storage as a page has it. */
function fakeStorage(): Storage {
  const kept: Record<string, string> = {};
  const hidden = (value: unknown) => ({ value, enumerable: false });
  return Object.defineProperties(kept, {
    getItem: hidden((key: string) => kept[key] ?? null),
    setItem: hidden((key: string, text: string) => (kept[key] = text)),
    removeItem: hidden((key: string) => delete kept[key]),
  }) as unknown as Storage;
}

beforeEach(async () => {
  globalThis.localStorage = fakeStorage();
  await db.delete();
  await db.open();
  await commit(additions(studio));
});

test('what is deleted lies in the bin and comes back as it stood, with a later time', async () => {
  const bin = await binOf([removal(first)]);
  assert.equal(await getPlan(first.id), undefined);
  assert.deepEqual(await takeFromTrash(bin), { back: 1, copies: 0, left: 0 });
  const back = await getPlan(first.id);
  assert.deepEqual({ ...back, changedAt: 0 }, { ...first, changedAt: 0 });
  assert.ok(back && back.changedAt > first.changedAt);
  assert.equal(await takeFromTrash(bin), null);
});

test('the bin has what stood there, not what the deleting page had last seen', async () => {
  await commit([edit(first.id, { name: first.name }, { name: 'Newer' })]);
  const bin = await binOf([removal(first)]);
  await takeFromTrash(bin);
  assert.equal((await getPlan(first.id))?.name, 'Newer');
});

test('where something newer stands, what comes back is a copy', async () => {
  const bin = await binOf([removal(first)]);
  await commit([{ kind: 'added', table: 'plans', record: { ...first, name: 'Kept elsewhere' } }]);
  assert.deepEqual(await takeFromTrash(bin), { back: 0, copies: 1, left: 0 });
  assert.equal((await getPlan(first.id))?.name, 'Kept elsewhere');
  const copies = (await listPlans()).filter(({ name }) => /brought back/.test(name));
  assert.equal(copies.length, 1);
});

test('an emptied studio comes back whole, though a page has saved its plan again meanwhile', async () => {
  await commit([{ kind: 'added', table: 'sessions', record: sessionFor('', '2026-11-01', { minutes: 5 }) }]);
  const { removals, amounts } = await listEverything();
  assert.ok(amounts.includes('1 entry of the log'));
  const bin = await binOf(removals);
  assert.deepEqual((await listAll()).students, []);
  assert.deepEqual(await sessionsOf(''), []);
  assert.deepEqual(await daysOf('', '2026-11-01'), []);
  await commit([{ kind: 'added', table: 'plans', record: { ...first, name: 'Edited since' } }]);
  const taken = await takeFromTrash(bin);
  assert.equal(taken?.copies, 1);
  const all = await listAll();
  assert.equal(all.plans.length, studio.plans.length + 1);
  assert.equal(all.students.length, studio.students.length);
  assert.equal(all.briefs.length, studio.briefs.length);
  assert.equal((await sessionsOf('')).length, 1);
  assert.equal((await daysOf('', '2026-11-01'))[0].minutes, 5);
});

test('a deleted student comes back with the plans, but for one that was given to another since', async () => {
  const theirs = studio.plans.filter(({ studentId }) => studentId === wren.id);
  assert.ok(theirs.length > 1);
  const bin = await binOf(await removalOfStudent(wren));
  const other = studio.students[1].id;
  await commit([edit(theirs[0].id, { studentId: null }, { studentId: other })]);
  assert.deepEqual(await takeFromTrash(bin), { back: theirs.length, copies: 0, left: 1 });
  const owners = await Promise.all(theirs.map(async ({ id }) => (await getPlan(id))?.studentId));
  assert.deepEqual(owners, [other, ...theirs.slice(1).map(() => wren.id)]);
});

test('an edit is taken back where its fields still are as it left them, and else left alone', async () => {
  const change = edit(first.id, { name: first.name }, { name: 'A' });
  await commit([change]);
  await commit([edit(first.id, { tags: first.tags }, { tags: ['other'] })]);
  assert.deepEqual(await takeBack([change]), { back: 1, copies: 0, left: 0 });
  assert.deepEqual((await getPlan(first.id))?.tags, ['other']);
  assert.deepEqual(await takeBack([change]), { back: 0, copies: 0, left: 1 });
});

test('the bin keeps for thirty days on which the program was opened, whatever the clock says', async () => {
  const words = async () => (await db.bin.toArray()).map((row) => row.words).sort();
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString().slice(0, 10);
  await clearOldTrash(day(0));
  await commit([removal(first)], 'old');
  await db.bin.add({ id: 'before', deletedAt: 0, words: 'from before days were counted', changes: [] });
  // A year ahead and back again, many times over: two days of use.
  for (let n = 0; n < 50; n++) for (const jump of [day(365), day(0)]) await clearOldTrash(jump);
  assert.equal((await words()).length, 2);
  for (let n = 1; n < TRASH_DAYS; n++) await clearOldTrash(day(n));
  await commit([removal(second)], 'young');
  assert.deepEqual(await words(), ['from before days were counted', 'old', 'young']);
  for (const n of [0, 1, 2]) await clearOldTrash(day(TRASH_DAYS + n));
  assert.deepEqual(await words(), ['young']);
});

test('a rotten row hides nothing: it is told apart with what is wrong, and the others are listed', async () => {
  const rotten: [string, object][] = [
    ['no request', { id: 'r1', name: '', choice: { kind: 'unplanned' }, studentId: null, tags: [] }],
    ['unknown instrument', { ...first, id: 'r2', request: { ...first.request, instrument: 'lute' } }],
    ['no tags', { ...first, id: 'r3', tags: undefined }],
    ['a name that is no text', { ...first, id: 'r4', name: 7 }],
    ['no time', { ...first, id: 'r5', changedAt: undefined }],
    ['a pitch out of bounds', { ...first, id: 'r6', request: tonicOf('A99999') }],
    ['hardly anything', { id: 'r7' }],
  ];
  for (const [, row] of rotten) await db.table('plans').put(row);
  await db.table('students').put({ id: 's1', name: null });
  await db.table('briefs').put({ id: 'b1', name: 'x' });
  const all = await listAll();
  assert.deepEqual(
    [all.plans.length, all.students.length, all.briefs.length],
    [studio.plans.length, studio.students.length, studio.briefs.length],
  );
  assert.deepEqual(
    all.damaged.map(({ key }) => key),
    ['r1', 'r2', 'r3', 'r4', 'r5', 'r6', 'r7', 's1', 'b1'],
  );
  for (const { issue } of all.damaged) assert.ok(issue.code, JSON.stringify(issue));
  assert.equal(await getPlan('r2'), undefined);
});

function tonicOf(tonic: string) {
  return { ...first.request, material: { ...first.request.material, tonic } };
}

test('a draft is written at the next opening, once', async () => {
  const change = edit(first.id, { name: first.name }, { name: 'Just before it went' });
  assert.equal(keepDraft({ change, record: { ...first, name: 'Just before it went' } }), true);
  assert.deepEqual(await recoverDrafts(), ['written']);
  assert.equal((await getPlan(first.id))?.name, 'Just before it went');
  assert.deepEqual(await recoverDrafts(), []);
});

test('a draft of a plan that was changed or deleted meanwhile becomes a plan of its own', async () => {
  const change = edit(first.id, { name: first.name }, { name: 'Ours' });
  keepDraft({ change, record: { ...first, name: 'Ours' } });
  await commit([edit(first.id, { name: first.name }, { name: 'Theirs' })]);
  assert.deepEqual(await recoverDrafts(), ['copy']);
  keepDraft({ change, record: { ...first, name: 'Ours' } });
  await commit([removal(first)]);
  assert.deepEqual(await recoverDrafts(), ['copy']);
  const names = (await listPlans()).map(({ name }) => name);
  assert.equal(names.filter((name) => name === 'Ours (second version)').length, 2);
});

test('a draft that takes a field away survives its way through text', async () => {
  const typed = { ...first, typed: 'A4' };
  await commit([edit(first.id, { typed: undefined }, { typed: 'A4' })]);
  keepDraft({ change: edit(first.id, { typed: 'A4' }, { typed: undefined }), record: typed });
  await recoverDrafts();
  assert.equal((await getPlan(first.id))?.typed, undefined);
});

test('a draft is dropped once the store has it, and one that cannot be read is passed over', async () => {
  const change = edit(first.id, { name: first.name }, { name: 'A' });
  keepDraft({ change, record: first });
  dropDraft(first.id);
  localStorage.setItem('dove-path-draft:broken', '{"half');
  assert.deepEqual(await recoverDrafts(), []);
  assert.equal((await getPlan(first.id))?.name, first.name);
});
