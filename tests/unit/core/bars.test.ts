import assert from 'node:assert/strict';
import { test } from 'node:test';
import { barsOf, placesIn, type Barred } from '../../../src/core/material/bars';

const line = (time: string, pickup: number, lengths: number[], barsAt: number[] = []): Barred => ({
  time,
  pickup,
  events: lengths.map((beats, at) => (barsAt.includes(at) ? { beats, bar: true } : { beats })),
});
const placesOf = (barred: Barred) => {
  const place = placesIn(barred);
  return barred.events.map((_, at) => [place(at).bar, place(at).beat]);
};

test('without bar lines, bars are as long as the time signature says', () => {
  assert.deepEqual(placesOf(line('3/4', 0, [1, 1, 1, 2, 1, 1])), [
    ...[
      [1, 1],
      [1, 2],
      [1, 3],
    ],
    ...[
      [2, 1],
      [2, 3],
    ],
    [3, 1],
  ]);
  assert.deepEqual(placesOf(line('6/8', 0, [3, 3, 3])), [
    [1, 1],
    [1, 4],
    [2, 1],
  ]);
});

test('a pickup is bar 0, counted as the end of a bar', () => {
  assert.deepEqual(placesOf(line('4/4', 1, [1, 4, 2])), [
    [0, 4],
    [1, 1],
    [2, 1],
  ]);
});

test('bar lines that are written win over the signature', () => {
  const written = line('4/4', 0, [1, 1, 1, 1, 1], [2]);
  assert.deepEqual(placesOf(written), [
    [1, 1],
    [1, 2],
    [2, 1],
    [2, 2],
    [2, 3],
  ]);
  assert.deepEqual(
    barsOf(written).map(({ length }) => length),
    [2, 3],
  );
});

test('three triplets are a beat, though thirds do not add up exactly', () => {
  const third = 1 / 3;
  const triplets = Array.from({ length: 12 }, () => third);
  assert.deepEqual(placesOf(line('4/4', 0, [...triplets, 1])).at(-1), [2, 1]);
});

test('a note longer than its bar does not move the bars after it', () => {
  assert.deepEqual(placesOf(line('2/4', 0, [3, 1, 1])), [
    [1, 1],
    [2, 2],
    [3, 1],
  ]);
});
