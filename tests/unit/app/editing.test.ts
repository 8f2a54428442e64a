import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import { sessionFor } from '../../support/log';
import { runs } from '../../support/runs';

Object.assign(globalThis, { sessionStorage: undefined, localStorage: undefined });

const { edit, leave, redo, settled, undo, useEditing } = await import('../../../src/app/editing');
const { useNotice } = await import('../../../src/app/notices');
const { db } = await import('../../../src/store/db');
const { demoStudio } = await import('../../../src/store/demoStudio');
const { countedEdit } = await import('../../../src/store/merge');
const { getRow } = await import('../../../src/store/read');
const { commit } = await import('../../../src/store/write');
const { DELETED_MEANWHILE, STEP_BLOCKED, STEP_GONE } = await import('../../../src/wording/storage');
type Change = import('../../../src/store/changes').Change;
type Lesson = import('../../../src/core').LessonRecord;

/* One undo for everything that is edited in records, beside another page that edits the same. */

const studio = demoStudio(1_700_000_000_000);
const [student] = studio.students;
const [plan] = studio.plans;
const session = sessionFor(student.id, '2026-11-20');
const lesson: Lesson = {
  ...{ id: 'l1', studentId: student.id, day: '2026-11-20', minutes: 20, assigned: [], items: [] },
  ...{ goal: '', words: '', createdAt: 1, changedAt: 1 },
};

/** A kind of record, and two of its fields that hold words. */
const kinds = () =>
  [
    { table: 'students', record: fresh(student), fields: ['name', 'remark'] },
    { table: 'sessions', record: fresh(session), fields: ['playerWords', 'teacherWords'] },
    { table: 'lessons', record: fresh(lesson), fields: ['goal', 'words'] },
    { table: 'plans', record: fresh(plan), fields: ['name', 'typed'] },
  ] as const;
type Kind = ReturnType<typeof kinds>[number];

/** What a page has written of a record it knows until it goes: each test has records of its own. */
const fresh = <T extends { readonly id: string }>(record: T): T => ({ ...record, id: crypto.randomUUID() });

let KINDS = kinds();

beforeEach(async () => {
  await settled();
  useEditing.setState({ history: { past: [], future: [], run: null } });
  await db.delete();
  await db.open();
  KINDS = kinds();
  const all = KINDS.map(({ table, record }) => ({ kind: 'added', table, record }) as Change);
  await commit(all);
});

type Words = Record<string, string | undefined>;

const stored = async ({ table, record }: Kind) =>
  (await getRow(table, record.id)) as unknown as Words & { id: string; changedAt: number };

/** Another page writes a field, as it does: on top of what stands there. */
async function elsewhere(kind: Kind, field: string, words: string) {
  const now = await stored(kind);
  const log = kind.table === 'sessions' || kind.table === 'lessons';
  const to = log
    ? countedEdit(now as unknown as Lesson, { [field]: words } as Partial<Lesson>, 'other')
    : { [field]: words };
  const from = { [field]: now[field] };
  await commit([{ kind: 'updated', table: kind.table, id: now.id, from, to } as unknown as Change]);
}

const here = async (kind: Kind, field: string, words: string) =>
  edit(kind.table as 'students', (await stored(kind)) as never, { [field]: words } as never, null);

let count = 0;

const act = fc.record({ who: fc.constantFrom('here', 'elsewhere', 'undo', 'redo'), kind: fc.nat(3), field: fc.nat(1) });

test('however two pages edit and undo, no undo takes what the other page wrote since', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 4, maxLength: 25 }), async (acts) => {
      await settled();
      useEditing.setState({ history: { past: [], future: [], run: null } });
      /** Fields that the other page wrote last, with its words. */
      const theirs = new Map<string, string>();
      for (const { who, kind: nth, field: second } of acts) {
        // No words are written twice: whoever writes what stands there already has written nothing.
        const at = ++count;
        const kind = KINDS[nth];
        const field = kind.fields[second];
        const key = `${kind.table}.${field}`;
        if (who === 'here') {
          await here(kind, field, `here ${at}`);
          theirs.delete(key);
        } else if (who === 'elsewhere') {
          await elsewhere(kind, field, `there ${at}`);
          theirs.set(key, `there ${at}`);
        } else await (who === 'undo' ? undo() : redo());
        for (const one of KINDS) {
          const now = await stored(one);
          for (const name of one.fields) {
            const words = theirs.get(`${one.table}.${name}`);
            if (words !== undefined) assert.equal(now[name], words, `after ${who} ${at}`);
          }
        }
      }
    }),
    runs(60),
  );
});

test('without another page undo goes back through every state, and redo forward', async () => {
  for (const kind of KINDS) {
    const [field] = kind.fields;
    const first = (await stored(kind))[field];
    await here(kind, field, 'one');
    await here(kind, field, 'two');
    await undo();
    assert.equal((await stored(kind))[field], 'one');
    await undo();
    assert.equal((await stored(kind))[field], first);
    await redo();
    await redo();
    assert.equal((await stored(kind))[field], 'two');
  }
});

test('a step that would overwrite says so and stays; it is taken once the field is as it was left', async () => {
  const [kind] = KINDS;
  await here(kind, 'remark', 'mine');
  await elsewhere(kind, 'remark', 'theirs');
  await undo();
  assert.equal((await stored(kind)).remark, 'theirs');
  assert.equal(useNotice.getState().notice?.message, STEP_BLOCKED);
  assert.equal(useEditing.getState().history.past.length, 1);
  await elsewhere(kind, 'remark', 'mine');
  await undo();
  assert.equal((await stored(kind)).remark, student.remark);
});

test('a step on what was deleted says so, and so does an edit', async () => {
  const kind = KINDS[2];
  await here(kind, 'goal', 'mine');
  const record = (await stored(kind)) as unknown as Lesson;
  await commit([{ kind: 'removed', table: 'lessons', record }], 'A lesson');
  await undo();
  assert.equal(useNotice.getState().notice?.message, STEP_GONE);
  assert.equal(await edit('lessons', record, { goal: 'again' }), false);
  assert.equal(useNotice.getState().notice?.message, DELETED_MEANWHILE);
});

test('letters typed into one field are undone as one; nothing is left to draft once they are written', async () => {
  const kind = KINDS[1];
  const shown = kind.record;
  for (const words of ['a', 'ab', 'abc']) void edit('sessions', shown, { playerWords: words });
  await settled();
  assert.equal((await stored(kind)).playerWords, 'abc');
  assert.equal(leave(), true);
  await undo();
  assert.equal((await stored(kind)).playerWords, '');
});

test('words typed in two pages at once are both kept, letter by letter, until one page shows both', async () => {
  for (const kind of KINDS.slice(0, 3)) {
    const field = kind.fields[1];
    const shown = await stored(kind);
    const type = (words: string) => edit(kind.table as 'students', shown as never, { [field]: words } as never);
    // Both boxes are empty; the other page writes first, and this one does not see it while it is typed in.
    await elsewhere(kind, field, 'played too fast');
    for (const words of ['b', 'be', 'bet', 'better']) await type(words);
    assert.equal((await stored(kind))[field], 'better / played too fast', kind.table);
    await type('better today');
    assert.equal((await stored(kind))[field], 'better today / played too fast');
    // The box shows both by now: what is typed there is what it says.
    await type('better today / played too fast.');
    await type('better today');
    assert.equal((await stored(kind))[field], 'better today');
  }
});
