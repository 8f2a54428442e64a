import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { Dexie } from 'dexie';
import { db } from '../../../src/store/db';
import { demoStudio } from '../../../src/store/demoStudio';
import { listAll, listDamagedElsewhere } from '../../../src/store/read';
import { DATABASE_VERSION } from '../../../src/store/tables';
import { takeFromTrash } from '../../../src/store/write';
import { sessionFor } from '../../support/log';

/*
 * A browser that was last used with an earlier version of the program. How each version laid out its database is written out here as that version's own code
 * had it, so that the registry of today is checked against something else than itself.
 */

/** The indexes that came with each version of the database. */
const LAYOUTS: readonly Readonly<Record<string, string>>[] = [
  { plans: 'id, changedAt' },
  { plans: 'id, changedAt, studentId', students: 'id, name', briefs: 'id, name' },
  {},
  { bin: 'id, deletedAt' },
  { choices: 'id' },
  {
    ...{ sessions: 'id, [studentId+day]', repetitions: 'id, sessionId', days: 'id, [studentId+day]' },
    ...{ cards: 'id, studentId', answers: 'id, cardId, studentId', memories: 'id, studentId' },
    lessons: 'id, [studentId+day]',
  },
  { books: 'id, studentId' },
];

const studio = demoStudio(1_700_000_000_000);
const [wren] = studio.students;
const [first] = studio.plans;

/** A plan as some version kept it: version 1 without student and tags, version 2 with a number in place of the fingering. */
function planOf(version: number, id: string): object {
  const { choice, studentId, tags, ...bare } = { ...first, id };
  const numbered = { ...bare, chosen: 2 };
  if (version === 1) return numbered;
  return version === 2 ? { ...numbered, studentId, tags } : { ...bare, studentId, tags, choice };
}

const session = sessionFor(wren.id, '2026-11-20');
const book = {
  ...{ id: 'b1', studentId: '', name: 'Keys', createdAt: 1, changedAt: 1 },
  ask: { kind: 'position', key: 'D major', position: 3 },
  pages: [{ id: 'p1', name: 'One', request: first.request }],
};

/** Rows of every table that a version has, a damaged one in each that is checked. */
function rowsOf(version: number): Readonly<Record<string, readonly object[]>> {
  const rows: Record<string, readonly object[]> = { plans: [planOf(version, 'p'), { id: 'torn' }] };
  if (version >= 2) {
    rows.students = [wren, { id: 'torn', name: 7 }];
    rows.briefs = [studio.briefs[0], { id: 'torn' }];
  }
  if (version >= 4)
    rows.bin = [
      {
        ...{ id: 'gone', deletedAt: Date.now(), words: 'A plan' },
        changes: [{ kind: 'removed', table: 'plans', record: planOf(version, 'binned') }],
      },
    ];
  if (version >= 5) rows.choices = [{ id: 'p', studentId: null, chosen: { request: first.request }, changedAt: 1 }];
  if (version >= 6) {
    rows.sessions = [session, { ...session, id: 'torn', minutes: 'many' }];
    rows.lessons = [{ id: 'torn', studentId: wren.id, day: '2026-11-20' }];
    rows.cards = [{ id: 'torn', studentId: wren.id }];
  }
  if (version >= 7) rows.books = [book, { id: 'torn', studentId: '' }];
  return rows;
}

async function madeBy(version: number) {
  const old = new Dexie('dove-path');
  LAYOUTS.slice(0, version).forEach((layout, at) => old.version(at + 1).stores(layout));
  await old.open();
  for (const [name, rows] of Object.entries(rowsOf(version))) await old.table(name).bulkAdd([...rows]);
  old.close();
}

beforeEach(async () => {
  await db.delete();
});

test('there is a layout for every version, and today’s database has all of it', async () => {
  assert.equal(LAYOUTS.length, DATABASE_VERSION);
  const last: Record<string, string> = Object.assign({}, ...LAYOUTS);
  await db.open();
  const names = db.tables.map(({ name, schema }) => {
    const keys = [schema.primKey, ...schema.indexes].map(({ src }) => src.replace(/^\W*(?=\w)/, ''));
    return [name, keys.sort().join()];
  });
  const expected = Object.entries(last).map(([name, text]) => [
    name,
    text
      .split(', ')
      .map((key) => key.replace(/^\W*(?=\w)/, ''))
      .sort()
      .join(),
  ]);
  assert.deepEqual(Object.fromEntries(names), Object.fromEntries(expected));
});

for (let version = 1; version <= DATABASE_VERSION; version++)
  test(`a database of version ${version} is opened: sound rows are there, damaged ones are told, nothing is lost`, async () => {
    await madeBy(version);
    await db.open();
    const all = await listAll();
    assert.deepEqual(
      all.plans.map(({ id }) => id),
      ['p'],
    );
    const [plan] = all.plans;
    assert.deepEqual([plan.studentId, plan.tags], version === 1 ? [null, []] : [first.studentId, first.tags]);
    assert.deepEqual(plan.choice, version < 3 ? { kind: 'number', number: 2 } : first.choice);
    const damaged = [...all.damaged, ...(await listDamagedElsewhere())];
    const checked = ['plans', 'students', 'briefs', 'sessions', 'lessons', 'cards', 'books'];
    assert.deepEqual(
      damaged.map(({ table, key }) => [table, key]).sort(),
      Object.keys(rowsOf(version))
        .filter((name) => checked.includes(name))
        .map((name) => [name, 'torn'])
        .sort(),
    );
    // Every row is still there, damaged or not.
    for (const [name, rows] of Object.entries(rowsOf(version)))
      assert.equal(await db.table(name).count(), rows.length, name);
    if (version >= 4) {
      assert.deepEqual(await takeFromTrash('gone'), { back: 1, copies: 0, left: 0 });
      assert.equal((await listAll()).plans.length, 2);
    }
  });
