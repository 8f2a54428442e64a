import assert from 'node:assert/strict';
import { test } from 'node:test';
import { fingeringOf, hasFingering, plan, planKept, type PlanRequest } from '../../../src/core';
import { requestWeights } from '../../../src/core/planner/cost';

const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 3, direction: 'up' },
  alternatives: 3,
};
const ways = plan(SCALE).plans;

test('every fingering that was saved is found again at its number', () => {
  ways.forEach((way, number) => {
    const { found, own, response } = planKept(SCALE, fingeringOf(way));
    assert.deepEqual([found, own], [number, false]);
    assert.equal(response.plans.length, ways.length);
  });
});

test('with other prices the saved fingering still stands, behind what the planner offers now', () => {
  const kept = fingeringOf(ways[0]);
  // Arriving on anything but the third finger is dear: a student with a sore first finger, say.
  const prices = { ...requestWeights(SCALE), landing: [0, 30, 30, 0, 30, 30] };
  const { response, found } = planKept({ ...SCALE, alternatives: 1 }, kept, prices);
  assert.ok(!hasFingering(response.plans[0], kept), 'the planner would choose otherwise');
  assert.equal(found, 1);
  assert.ok(hasFingering(response.plans[1], kept));
  assert.ok(response.plans[1].cost >= response.plans[0].cost);
});

test('a saved fingering outside the rules of now is worked out without them', () => {
  const kept = fingeringOf(ways[0]);
  const finger = (way: number, at: number) => ways[way].steps[at].stops[0].finger;
  const at = ways[1].steps.findIndex((_, t) => finger(1, t) !== finger(0, t));
  assert.ok(at >= 0, 'the second way takes another finger somewhere');
  const rules = { locks: [{ at, finger: finger(1, at) }] };
  const { response, found, own } = planKept({ ...SCALE, rules }, kept);
  assert.equal(own, true);
  assert.ok(hasFingering(response.plans[Number(found)], kept));
});

test('a fingering of other music is not forced upon this', () => {
  const longer = { ...SCALE, material: { ...SCALE.material, direction: 'updown' } } as PlanRequest;
  const { found, response } = planKept(longer, fingeringOf(ways[0]));
  assert.equal(found, null);
  assert.ok(response.plans.length > 0, 'the planner offers its own');
  const lower = { ...SCALE, material: { ...SCALE.material, tonic: 'Ab3' } } as PlanRequest;
  assert.equal(planKept(lower, fingeringOf(ways[0])).found, null);
});
