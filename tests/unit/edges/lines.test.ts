import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { lineBreaks, lineOf } from '../../../src/drawing/lines';
import { noteValue } from '../../../src/core';

const even = (events: number) => Array.from({ length: events }, () => 1);
const begins = (bars: readonly boolean[]) => new Set(bars.flatMap((bar, at) => (bar ? [at] : [])));

test('lines break at the last bar line that fits, else where the room ends', () => {
  const bars = begins([false, false, false, true, false, false, true, false, false, false, false, false]);
  assert.deepEqual(lineBreaks(even(12), bars, 5), [
    { first: 0, last: 3 },
    { first: 3, last: 6 },
    { first: 6, last: 11 },
    { first: 11, last: 12 },
  ]);
  assert.deepEqual(lineBreaks([], new Set(), 5), []);
});

test('every event is on one line and no line is too long', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 80 }), fc.integer({ min: 1, max: 20 }), (bars, most) => {
      const lines = lineBreaks(even(bars.length), begins(bars), most);
      assert.deepEqual(
        lines.flatMap(({ first, last }) => Array.from({ length: last - first }, (_, at) => first + at)),
        bars.map((_, at) => at),
      );
      for (const { first, last } of lines) assert.ok(last - first >= 1 && last - first <= most);
      bars.forEach((_, at) => assert.ok(lines[lineOf(lines, at)].first <= at));
    }),
  );
});

test('note values carry their dots', () => {
  const written = (beats: number) => {
    const { of, dots } = noteValue(beats);
    return of + '.'.repeat(dots);
  };
  assert.deepEqual([4, 3, 2, 1.5, 1, 0.75, 0.5, 0.375].map(written), ['1', '2.', '2', '4.', '4', '8.', '8', '16.']);
  assert.equal(written(3.5), '2..');
  assert.equal(written(0.01), '128');
  assert.equal(written(6), '1.');
});
