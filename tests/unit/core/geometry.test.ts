import assert from 'node:assert/strict';
import { test } from 'node:test';
import { centsPerMm, stopMm, stopMmForRatio } from '../../../src/core/instrument/geometry';
import { resolveSetup, setupIssues } from '../../../src/core/instrument/setup';
import type { InstrumentName } from '../../../src/core';
import { resolveHand, type HandChoice } from '../../../src/core/hand/profile';
import type { HandSize } from '../../../src/core/vocabulary';
import { pairVerdict, reachShare, reachVerdict, spreadMm } from '../../../src/core/hand/reach';
import { instrumentRecord } from '../../../src/core/instrument/instruments';

const near = (actual: number, wanted: number, within = 0.05) =>
  assert.ok(Math.abs(actual - wanted) <= within, `${actual} is not near ${wanted}`);

test('stops lie where the equal-tempered string says', () => {
  near(stopMm(328, 2), 35.8);
  near(stopMm(328, 12), 164);
  assert.equal(stopMm(328, 0), 0);
  near(stopMmForRatio(328, 3 / 2), 109.33);
});

test('a mm is worth more cents the higher it lies', () => {
  near(centsPerMm(328, stopMm(328, 2)), 5.93);
  near(centsPerMm(328, stopMm(328, 12)), 10.56);
});

test('spreads shrink up the string and are judged by the hand', () => {
  near(spreadMm(328, 2, 7), 73.3);
  assert.ok(spreadMm(328, 9, 14) < spreadMm(328, 2, 7));
  const hand = { relaxedMm: 70, fullMm: 85, fingertipMm: 12 };
  near(reachShare(hand, 1, 4, 73.3), 0.862, 0.001);
  assert.equal(reachVerdict(hand, reachShare(hand, 1, 4, 69)), 'easy');
  assert.equal(reachVerdict(hand, reachShare(hand, 1, 4, 73)), 'stretch');
  assert.equal(reachVerdict(hand, reachShare(hand, 1, 4, 86)), 'beyond');
});

/** How a hand takes a spread between two fingers on a full-size violin, from stop to stop. */
function taken(size: HandSize, fingers: readonly [1 | 2 | 3, 2 | 3 | 4], a: number, b: number) {
  const hand = resolveHand({ instrument: instrumentRecord('violin'), lengthMm: 328 }, size);
  return pairVerdict(hand, fingers[0], fingers[1], spreadMm(328, a, b));
}

test('what a full-size violin asks of the hands: fourths, augmented seconds, a tenth, a fingered octave', () => {
  assert.equal(taken('medium', [1, 4], 2, 7), 'easy');
  assert.equal(taken('medium', [1, 4], 1, 7), 'stretch');
  // The augmented second between 2 and 3 in first position: 43.9 mm.
  near(spreadMm(328, 3, 6), 43.9, 0.1);
  for (const size of ['small', 'medium'] as const) assert.equal(taken(size, [2, 3], 3, 6), 'stretch');
  // Between 1 and 2 it is 49.3 mm.
  near(spreadMm(328, 1, 4), 49.3, 0.1);
  assert.equal(taken('medium', [1, 2], 1, 4), 'easy');
  // The tenth A3 to C5, 1 on G and 4 on D: 108 mm.
  near(spreadMm(328, 2, 10), 108, 0.5);
  assert.equal(taken('medium', [1, 4], 2, 10), 'stretch');
  assert.equal(taken('small', [1, 4], 2, 10), 'beyond');
  // The fingered octave by 1 and 3 in first position.
  assert.equal(taken('medium', [1, 3], 2, 7), 'stretch');
});

test('a hand told by a word is smaller on a child’s instrument, never larger on a large one; measures stay', () => {
  const on = (kind: InstrumentName, size: string, hand?: HandChoice) =>
    resolveHand(resolveSetup({ instrument: kind, size }), hand);
  assert.deepEqual(on('violin', '1/2'), { relaxedMm: 73, fullMm: 98, fingertipMm: 10 });
  assert.deepEqual(on('violin', '1/16', 'small'), { relaxedMm: 48, fullMm: 60, fingertipMm: 9 });
  for (const size of ['15', '15.5', '16', '16.5']) assert.equal(on('viola', size).fullMm, 112);
  assert.ok(on('viola', '13').fullMm < 112);
  assert.equal(on('cello', '7/8').fullMm, 144);
  assert.ok(on('cello', '1/2').fullMm < 144);
  assert.equal(on('bass', '3/4').fullMm, 165);
  const measured = { relaxedMm: 60, fullMm: 70, fingertipMm: 11 };
  assert.deepEqual(on('violin', '1/4', measured), measured);
});

test('an instrument is filled up with what is usual', () => {
  const viola = resolveSetup({ instrument: 'viola' });
  assert.equal(viola.lengthMm, 370);
  assert.deepEqual(
    viola.strings.map(({ name }) => name),
    ['C3', 'G3', 'D4', 'A4'],
  );
  assert.equal(resolveSetup({ instrument: 'violin', size: '1/2', stringLengthMm: 281 }).lengthMm, 281);
});

test('impossible instruments are named', () => {
  const paths = (choice: Parameters<typeof setupIssues>[0]) => setupIssues(choice).map(({ path }) => path);
  assert.deepEqual(paths({ instrument: 'violin', size: '5/4' }), ['/size']);
  assert.deepEqual(paths({ instrument: 'violin', tuning: ['G3', 'D4', 'D4', 'X'] }), ['/tuning/2', '/tuning/3']);
  assert.deepEqual(paths({ instrument: 'violin', size: 'constructor' }), ['/size']);
});
