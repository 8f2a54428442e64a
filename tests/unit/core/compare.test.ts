import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { comparePlans, heldAlike, plan, type Plan } from '../../../src/core';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

const sum = (numbers: readonly number[]) => numbers.reduce((total, one) => total + one, 0);

const beyondSteps = ({ cost, steps }: Plan) => cost - sum(steps.map((step) => step.cost));

test('two plans are compared term by term and place by place, and the differences add up', () => {
  let seen = 0;
  fc.assert(
    fc.property(someRequest, (request) => {
      const { plans, comparison } = plan({ ...request, alternatives: 2, compare: [0, 1] });
      if (plans.length < 2) {
        assert.equal(comparison, undefined);
        return;
      }
      assert.ok(comparison);
      const [first, second] = plans;
      const byTerm = sum(comparison.terms.map((term) => term.second - term.first));
      assert.ok(Math.abs(byTerm - (second.cost - first.cost)) < 1e-9);
      // What is paid for the whole: another way back, other fingers for the same music.
      const whole = beyondSteps(second) - beyondSteps(first);
      const byPlace = sum(comparison.places.map((place) => place.secondCost - place.firstCost));
      // Fingers that lie idle may differ where the plans are otherwise alike.
      const idle = sum(
        first.steps.map((step, t) => {
          const inside = comparison.places.some(
            ({ from, to }) => step.at >= from && (first.steps[t - 1]?.at ?? -1) <= to,
          );
          return inside ? 0 : second.steps[t].cost - step.cost;
        }),
      );
      assert.ok(Math.abs(byPlace + idle + whole - (second.cost - first.cost)) < 1e-9);
      first.steps.forEach((step, t) => {
        const inside = comparison.places.some(({ from, to }) => step.at >= from && step.at <= to);
        assert.equal(inside, !heldAlike(step, second.steps[t]));
      });
      seen++;
    }),
    runs(80, 5),
  );
  assert.ok(seen > 30, String(seen));
});

test('a plan compared with itself parts nowhere', () => {
  const { plans } = plan({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 2, direction: 'up' },
  });
  const { terms, places } = comparePlans(plans[0], plans[0]);
  assert.deepEqual(places, []);
  assert.ok(terms.length > 0 && terms.every(({ first, second }) => first === second));
});
