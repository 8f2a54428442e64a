import assert from 'node:assert/strict';
import { after, test } from 'node:test';
import { fileURLToPath } from 'node:url';
import { workBook } from '../../../src/work/book';
import type { Page } from '../../../src/work/page';
import { Busy, createPool, Gone, LIMITS, type Pool } from '../../../src/work/pool';

const filename = fileURLToPath(new URL('../../../.unit/commands/plan.thread.mjs', import.meta.url));
const open: Pool[] = [];
after(() => Promise.all(open.map((pool) => pool.close())));

function poolOf(limits: Partial<typeof LIMITS> = {}): Pool {
  const pool = createPool({ filename }, { ...LIMITS, threads: 2, ...limits });
  open.push(pool);
  return pool;
}

const scale = (tonic: string, octaves = 1) =>
  JSON.stringify({
    instrument: 'violin',
    explain: 'nothing',
    material: { type: 'scale', tonic, scale: 'major', octaves, direction: 'up' },
  });

/** Seconds of work: a line as long as a request may hold. */
const endless = JSON.stringify({
  instrument: 'cello',
  alternatives: 10,
  material: {
    type: 'notes',
    notes: Array.from({ length: 20_000 }, (_, at) => ({ pitches: [['C3', 'D#3', 'A3', 'F#4'][at % 4]] })),
  },
});

test('pages come in order whichever thread is first, bad ones in their place', async () => {
  const pages: Page[] = [];
  for await (const line of workBook([scale('A3'), 'nonsense', scale('D4'), scale('G3')], poolOf()))
    pages.push(JSON.parse(line) as Page);
  assert.deepEqual(
    pages.map(({ book }) => book.page),
    [0, 1, 2, 3],
  );
  assert.deepEqual(
    pages.map((page) => 'error' in page),
    [false, true, false, false],
  );
});

test('a book waits for its reader, and one put away early stops its work', async () => {
  const begun: number[] = [];
  const signals: AbortSignal[] = [];
  const pool: Pool = {
    work({ page = 0 }, { signal } = {}) {
      begun.push(page);
      if (signal) signals.push(signal);
      return Promise.resolve({ status: 200, text: `page ${page}` });
    },
    close: () => Promise.resolve(),
  };
  const book = workBook(Array(50).fill(scale('A3')), pool);
  assert.equal((await book.next()).value, 'page 0');
  await new Promise((resolve) => setTimeout(resolve, 20));
  assert.ok(begun.length < 8, `${begun.length} pages begun for one that was read`);
  await book.return(undefined);
  assert.ok(signals.every(({ aborted }) => aborted));
});

test('the clock starts with the work and ends what takes too long; others go on', async () => {
  const pool = poolOf({ threads: 1, seconds: 4 });
  const [late, waited] = await Promise.all([pool.work({ text: endless }), pool.work({ text: scale('A3') })]);
  assert.equal(late.status, 422);
  assert.match(late.text, /took longer than 4 s/);
  assert.equal(waited.status, 200);
});

test('so many may wait; who comes after is asked to come again, but for the pages of a book', async () => {
  const pool = poolOf({ threads: 1, waiting: 1 });
  const first = pool.work({ text: scale('A3') });
  const second = pool.work({ text: scale('A3') });
  await assert.rejects(pool.work({ text: scale('A3') }), Busy);
  const patient = pool.work({ text: scale('A3') }, { patient: true });
  for (const { status } of await Promise.all([first, second, patient])) assert.equal(status, 200);
  assert.equal((await pool.work({ text: scale('A3') })).status, 200);
});

test('work whose client has gone is stopped, waiting or begun', async () => {
  const pool = poolOf({ threads: 1 });
  const client = new AbortController();
  const begun = pool.work({ text: endless }, { signal: client.signal });
  const waiting = pool.work({ text: endless }, { signal: client.signal });
  setTimeout(() => client.abort(), 300);
  await assert.rejects(begun, Gone);
  await assert.rejects(waiting, Gone);
  assert.equal((await pool.work({ text: scale('A3') })).status, 200);
});
