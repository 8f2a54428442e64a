import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, requestIssues, type PlanRequest, type Rules } from '../../../src/core';
import { runs } from '../../support/runs';
import { someRequest } from '../requests';

/* Fingers that are not used, and natural harmonics: wanted at the last, never, and never inside a double stop unasked. */

function violin(rules: Rules, direction: 'up' | 'updown' = 'up'): PlanRequest {
  const material = { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction } as const;
  return { instrument: 'violin', material, rules, alternatives: 1, explain: 'nothing' };
}

const stepsOf = (request: PlanRequest) => plan(request).plans[0].steps;
const touched = (request: PlanRequest) =>
  stepsOf(request).flatMap(({ at, stops }) => (stops.some(({ harmonic }) => harmonic) ? [at] : []));

test('a harmonic on the last note is taken there, or at the turning point, and nowhere it was not before', () => {
  assert.deepEqual(touched(violin({})), []);
  assert.deepEqual(touched(violin({ harmonics: 'last' })), [14]);
  assert.deepEqual(touched(violin({ harmonics: 'last' }, 'updown')), [14]);
  // G sharp has no harmonic within reach there: the plan is as it would be.
  const sharp = {
    ...violin({ harmonics: 'last' }),
    material: { type: 'scale', tonic: 'G#3', scale: 'major', octaves: 1, direction: 'up' },
  } as const;
  assert.deepEqual(stepsOf(sharp), stepsOf({ ...sharp, rules: {} }));
});

test('a harmonic can be locked at a note', () => {
  assert.deepEqual(touched(violin({ locks: [{ at: 14, harmonic: true }] })), [14]);
});

test('no fingers are used that are not to be, whatever else is asked', () => {
  fc.assert(
    fc.property(someRequest, fc.subarray([2, 3, 4] as const, { minLength: 1 }), (request, never) => {
      const rules = { ...request.rules, fourthFinger: 'free' as const, fingers: { never } };
      for (const { steps } of plan({ ...request, rules, alternatives: 1, explain: 'nothing' }).plans)
        for (const { stops } of steps)
          for (const { finger } of stops) assert.ok(!(never as readonly unknown[]).includes(finger), String(finger));
    }),
    runs(40),
  );
});

test('a finger that is not used and a lock on it are told with the way out', () => {
  const [problem] = plan(violin({ fingers: { never: [3] }, locks: [{ at: 3, finger: 3 }] })).problems;
  assert.deepEqual(problem.relax, { fingers: { never: [] } });
  assert.deepEqual(problem.changes, [{ kind: 'allow-fingers', fingers: [3], at: 3 }]);
});

test('the little finger cannot be preferred and left out', () => {
  const request = violin({ fourthFinger: 'prefer', fingers: { never: [4] } });
  assert.deepEqual(
    requestIssues(request).map(({ path, code }) => [path, code]),
    [['/rules/fingers', 'little-finger-at-odds']],
  );
  const never = (rules: Rules) => stepsOf(violin(rules)).map(({ stops }) => stops);
  assert.deepEqual(never({ fingers: { never: [4] } }), never({ fourthFinger: 'never' }));
});

test('no harmonic is touched inside a double stop that nobody asked for', () => {
  const lowest = { violin: ['A3', 'D4'], viola: ['D3', 'G3'], cello: ['D2', 'D3', 'A2'] } as const;
  for (const [instrument, tonics] of Object.entries(lowest))
    for (const tonic of tonics)
      for (const interval of ['third', 'sixth', 'octave'] as const) {
        const material = {
          type: 'double-stops',
          interval,
          tonic,
          scale: 'major',
          octaves: 1,
          direction: 'up',
        } as const;
        const request = { instrument, material, alternatives: 1, explain: 'nothing' } as PlanRequest;
        for (const { steps } of plan(request).plans)
          for (const { at, stops } of steps)
            assert.ok(
              stops.length < 2 || !stops.some(({ harmonic }) => harmonic),
              `${instrument} ${tonic} ${interval} ${at}`,
            );
      }
});
