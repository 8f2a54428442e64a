import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, requestIssues, withPiece, type PlanRequest } from '../../../src/core';
import { insteadWords } from '../../../src/wording/problems';
import { speechOf } from '../../../src/wording/plans';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

/*
 * What a teacher would do where a brief leaves no plan.
 */

const violin = (tonic: string, octaves: number, rules: PlanRequest['rules'] = {}): PlanRequest => ({
  instrument: 'violin',
  rules,
  material: { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' },
});
const insteadOf = (request: PlanRequest) => plan(request).problems[0].instead ?? [];
const wordsOf = (request: PlanRequest) =>
  insteadOf(request).map((piece) => insteadWords(piece, request, speechOf(request.instrument, plan(request))));

test('one octave less comes first, then a key a fifth away, then an octave higher', () => {
  assert.deepEqual(insteadOf(violin('A3', 5))[0], { material: { octaves: 4 } });
  assert.deepEqual(wordsOf(violin('C4', 3, { positions: { from: 1, to: 1 } }))[0], 'in 2 octaves');
  const tooLow = insteadOf(violin('F3', 1)).map(({ material }) => material?.tonic);
  assert.deepEqual(tooLow, ['C4', 'Bb3', 'F4']);
});

test('another string or open strings where these were demanded or forbidden', () => {
  const onE = violin('A3', 1, { strings: ['E5'], positions: { from: 1, to: 4 } });
  const pieces = insteadOf(onE);
  assert.ok(
    pieces.some(({ rules }) => rules?.strings?.length === 1),
    JSON.stringify(pieces),
  );
});

test('where no single thing helps one octave elsewhere is offered, and what was put at single notes goes with them', () => {
  const locked = violin('F3', 3, { positions: { from: 1, to: 1 }, locks: [{ at: 0, finger: 1 }] });
  const [first] = insteadOf(locked);
  assert.equal(first.material?.octaves, 1);
  assert.deepEqual(first.rules?.locks, []);
});

test('where only a finger that was put there is in the way no other music is offered', () => {
  const request = violin('Eb4', 2, { positions: { from: 1, to: 3 }, locks: [{ at: 4, finger: 2 }] });
  const [problem] = plan(request).problems;
  assert.deepEqual(problem.relax, { locks: [] });
  assert.equal(problem.instead, undefined);
});

test('whatever leaves no plan, each piece offered is a good request and has one', () => {
  fc.assert(
    fc.property(someRequest, fc.integer({ min: 1, max: 5 }), (request, octaves) => {
      const { material } = request;
      const large =
        'octaves' in material ? ({ ...request, material: { ...material, octaves } } as PlanRequest) : request;
      if (requestIssues(large).length > 0) return;
      const { plans, problems } = plan({ ...large, explain: 'nothing', alternatives: 1 });
      if (plans.length > 0) return;
      const pieces = problems[0].instead ?? [];
      assert.ok(pieces.length <= 5);
      for (const piece of pieces) {
        const other = withPiece(large, piece);
        assert.deepEqual(requestIssues(other), []);
        assert.ok(plan({ ...other, explain: 'nothing', alternatives: 1 }).plans.length > 0, JSON.stringify(piece));
      }
    }),
    runs(60),
  );
});
