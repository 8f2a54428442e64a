import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { requestsOf, scanJson, type Bounds, type Breach } from '../../../src/work/jsonScan';
import { runs } from '../../support/runs';

const BOUNDS: Bounds = { requests: 2000, depth: 16, items: 20_000, values: 400_000 };
const bytesOf = (text: string) => new TextEncoder().encode(text);

/** Reads a text in pieces of some bytes. */
function scanned(text: string, { book = true, piece = 65_536, bounds = BOUNDS } = {}) {
  const scan = scanJson(bounds, book);
  const bytes = bytesOf(text);
  let breach: Breach | null = null;
  let read = 0;
  for (; read < bytes.length && !breach; read += piece) breach = scan.read(bytes.subarray(read, read + piece));
  return { breach, read, requests: () => requestsOf(bytes, scan) };
}

test('a body is an array of requests or one a line, with or without the mark before a text', () => {
  const requests = (text: string) => scanned(text).requests();
  assert.deepEqual(requests('[{"a":1},{"b":2}]'), ['{"a":1}', '{"b":2}']);
  assert.deepEqual(requests(' [ {"a":1} ,\n{"b":[2,3]}\n] \n'), ['{"a":1}', '{"b":[2,3]}']);
  assert.deepEqual(requests('{"a":1}\n\n{"b":2}\n'), ['{"a":1}', '{"b":2}']);
  assert.deepEqual(requests('\uFEFF[{"a":1}]'), ['{"a":1}']);
  assert.deepEqual(requests('[]'), []);
  assert.deepEqual(requests(''), []);
  for (const broken of ['[{', '[', '[{},', '[{},]', '[,{}]', '[{}] x', '[{}][]'])
    assert.equal(requests(broken), null, broken);
});

test('whatever stands in the requests, they are found as a parser finds them, however the bytes come', () => {
  fc.assert(
    fc.property(
      fc.array(fc.jsonValue({ maxDepth: 3 }), { maxLength: 6 }),
      fc.integer({ min: 1, max: 9 }),
      (values, piece) => {
        const text = JSON.stringify(values, null, piece % 3);
        const { breach, requests } = scanned(text, { piece });
        assert.equal(breach, null);
        assert.deepEqual(
          requests()?.map((one) => JSON.parse(one) as unknown),
          JSON.parse(text),
        );
        const lines = values.map((value) => JSON.stringify(value)).filter((line) => !line.startsWith('['));
        if (lines.length > 0) assert.deepEqual(scanned(lines.join('\n'), { piece }).requests(), lines);
      },
    ),
    runs(200),
  );
});

test('a request may be as deep, as long and as full as is said, and no more', () => {
  const nested = (depth: number) => '['.repeat(depth) + ']'.repeat(depth);
  assert.equal(scanned(nested(16), { book: false }).breach, null);
  assert.equal(scanned(nested(17), { book: false }).breach, 'too-deep');
  assert.equal(scanned(`[${nested(16)}]`).breach, null, 'the array around a book is none of a request’s');
  assert.equal(scanned(`[${nested(17)}]`).breach, 'too-deep');
  const list = (items: number) => JSON.stringify(Array.from({ length: items }, () => 1));
  assert.equal(scanned(list(20_000), { book: false }).breach, null);
  assert.equal(scanned(list(20_001), { book: false }).breach, 'too-long');
  const small = { ...BOUNDS, values: 10, requests: 3 };
  assert.equal(scanned('[[1,2,3],[4,5,6],[7,8,9]]', { bounds: small }).breach, null, 'counted for each request');
  assert.equal(scanned('[[[1,2],[3,4],[5,6],[7,8],[9]]]', { bounds: small }).breach, 'too-long');
  assert.equal(scanned('[1,2,3]', { bounds: small }).breach, null);
  assert.equal(scanned('[1,2,3,4]', { bounds: small }).breach, 'too-many');
  assert.equal(scanned('{}\n{}\n\n{}\n', { bounds: small }).breach, null);
  assert.equal(scanned('{}\n{}\n{}\n{}\n', { bounds: small }).breach, 'too-many');
});

test('brackets and commas in words count for nothing', () => {
  const words = JSON.stringify({ name: '[[[[[[[[[[[[[[[[[[,,,,\\"]]]' });
  assert.equal(scanned(words, { book: false }).breach, null);
  assert.deepEqual(scanned(`[${words}]`).requests(), [words]);
});

test('what is past its bounds is known at once, not at the end', () => {
  const { breach, read } = scanned('['.repeat(7_000_000), { piece: 65_536 });
  assert.equal(breach, 'too-deep');
  assert.equal(read, 65_536);
});
