import assert from 'node:assert/strict';
import { test } from 'node:test';
import { centsPerMm, stopMm, stopMmForRatio } from '../../../src/core/instrument/geometry';
import { resolveSetup, setupIssues } from '../../../src/core/instrument/setup';
import { resolveHand } from '../../../src/core/hand/profile';
import { reachShare, reachVerdict, spreadMm } from '../../../src/core/hand/reach';

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

test('a medium violin hand takes the fourth at ease and the augmented fourth with a stretch', () => {
  const hand = resolveHand('violin', undefined);
  const judge = (a: number, b: number) => reachVerdict(hand, reachShare(hand, 1, 4, spreadMm(328, a, b)));
  assert.equal(judge(1, 6), 'easy');
  assert.equal(judge(1, 7), 'stretch');
  assert.equal(judge(2, 9), 'beyond');
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
  assert.deepEqual(paths({ instrument: 'violin', tuning: ['G3', 'D4', 'D4', 'X'] }), [
    '/tuning/2',
    '/tuning/3',
  ]);
  assert.deepEqual(paths({ instrument: 'violin', size: 'constructor' }), ['/size']);
});
