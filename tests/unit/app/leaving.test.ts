import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import type { StudentRecord } from '../../../src/core';
import { sessionFor } from '../../support/log';
import { runs } from '../../support/runs';

/** The browser's plain storage, which a page that goes can still write to. */
class PlainStorage {
  getItem(key: string) {
    return (this as unknown as Record<string, string | undefined>)[key] ?? null;
  }
  setItem(key: string, value: string) {
    Object.assign(this, { [key]: value });
  }
  removeItem(key: string) {
    Reflect.deleteProperty(this, key);
  }
}
Object.assign(globalThis, { sessionStorage: undefined, localStorage: new PlainStorage() });

const { begin, edit, leave, settled } = await import('../../../src/app/editing');
const { db } = await import('../../../src/store/db');
const { dropAside, listAside, recoverDrafts } = await import('../../../src/store/drafts');
const { commit } = await import('../../../src/store/write');

beforeEach(async () => {
  await db.delete();
  await db.open();
});

/** So many turns of the clock. */
async function turns(count: number) {
  for (let turn = 0; turn < count; turn++) await new Promise((done) => setTimeout(done, 0));
}

const TYPED = 'Orchestra';
type Words = Readonly<Record<string, unknown>>;
type Change = Parameters<typeof commit>[0][number];

const newStudent = (): StudentRecord => ({
  ...{ id: crypto.randomUUID(), name: '', plays: { instrument: 'violin' }, level: 'early', clefs: ['treble'] },
  ...{ noteNames: 'letters', remark: '', createdAt: 1, changedAt: 1 },
});

test('whenever a page goes while words are typed, and whatever it had written by then, every letter is there after it', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom('sessions' as const, 'students' as const),
      fc.boolean(),
      fc.array(fc.integer({ min: 0, max: 6 }), { minLength: TYPED.length, maxLength: TYPED.length }),
      async (table, isNew, pauses) => {
        await db.table(table).clear();
        const field = table === 'sessions' ? 'what' : 'name';
        const entry = table === 'sessions' ? sessionFor('', '2026-11-20', { what: '' }) : newStudent();
        if (isNew) begin(entry.id);
        else await commit([{ kind: 'added', table, record: entry } as Change]);
        for (const [at, pause] of pauses.entries()) {
          void edit(table, entry, { [field]: TYPED.slice(0, at + 1) });
          await turns(pause);
        }
        leave();
        // What was being written as the page went comes through; nothing after it.
        const then = await db.table<Words>(table).get(entry.id);
        const drafts = { ...(localStorage as unknown as Record<string, string>) };
        await settled();
        if (then) await db.table(table).put(then);
        else await db.table(table).delete(entry.id);
        Object.assign(localStorage, drafts);
        await recoverDrafts();
        assert.equal((await db.table<Words>(table).get(entry.id))?.[field], TYPED);
        assert.equal(await db.table(table).count(), 1, 'no second version beside it');
      },
    ),
    runs(60),
  );
});

test('a draft that no page can write is listed, and stays where it was while there is no room to set it aside', async () => {
  const text = '{"change":{"kind":"added","table":"lutes"},"record":{"id":"x"}}';
  localStorage.setItem('dove-path-draft:gone:x', text);
  const { setItem } = PlainStorage.prototype;
  PlainStorage.prototype.setItem = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  assert.deepEqual(await recoverDrafts(), []);
  PlainStorage.prototype.setItem = setItem;
  assert.equal(localStorage.getItem('dove-path-draft:gone:x'), text);
  assert.deepEqual(await recoverDrafts(), []);
  assert.deepEqual(
    listAside().map((aside) => aside.text),
    [text],
  );
  dropAside(listAside()[0]);
  assert.deepEqual(listAside(), []);
});
