import assert from 'node:assert/strict';
import type { Worker } from 'node:worker_threads';
import { test } from 'node:test';
import { bookTexts, startFromSource, workBook, workPlan, type Page } from '../../../src/work/book';

const scale = (tonic: string) =>
  JSON.stringify({
    instrument: 'violin',
    explain: 'nothing',
    material: { type: 'scale', tonic, scale: 'major', octaves: 1, direction: 'up' },
  });
const start = () => startFromSource(new URL('../../../src/work/book.worker.ts', import.meta.url));

test('a body is an array of requests or one a line', () => {
  assert.deepEqual(bookTexts('[{"a":1},{"b":2}]'), ['{"a":1}', '{"b":2}']);
  assert.deepEqual(bookTexts('{"a":1}\n\n{"b":2}\n'), ['{"a":1}', '{"b":2}']);
  assert.deepEqual(bookTexts(''), []);
  assert.equal(bookTexts('[{'), null);
});

test('pages come in order whichever thread is first, bad ones in their place', async () => {
  const pages: Page[] = [];
  for await (const line of workBook([scale('A3'), 'nonsense', scale('D4'), scale('G3')], start))
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

test('a book put away early stops its threads', async () => {
  const threads: Worker[] = [];
  const watched = () => {
    const worker = start();
    threads.push(worker);
    return worker;
  };
  for await (const line of workBook(Array(50).fill(scale('A3')), watched)) {
    assert.equal((JSON.parse(line) as Page).book.of, 50);
    break;
  }
  assert.ok(threads.length > 0 && threads.every((worker) => worker.threadId === -1));
});

test('a single plan in a thread is the same answer, and a clock ends what takes too long', async () => {
  const answer = await workPlan(scale('A3'), start);
  assert.ok('plans' in answer && answer.plans.length > 0);
  assert.ok(!('book' in answer), 'it is no page of a book');
  const clock = { seconds: 0.001, message: 'too long' };
  const late = await workPlan(scale('A3'), start, clock);
  assert.deepEqual(late, { error: { code: 'bad-request', issues: [{ path: '', message: 'too long' }] } });
});
