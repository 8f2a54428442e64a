import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { plan, type PlanRequest } from '../../../src/core';

/** Fingerings written down before the planner was asked: three octaves, chromatic lines, alternating seconds, double stops; each with its reason. */
const CASES = JSON.parse(readFileSync(new URL('../../data/pencilled.json', import.meta.url), 'utf8')) as readonly {
  readonly name: string;
  readonly request: PlanRequest;
  readonly fingers: readonly unknown[];
  readonly why: string;
}[];

test('the best plan is what a teacher pencils', () => {
  assert.ok(CASES.length >= 40);
  for (const { name, request, fingers, why } of CASES) {
    const [best] = plan({ ...request, alternatives: 1, explain: 'nothing' }).plans;
    const own = best.steps.map(({ stops }) => (stops.length > 1 ? stops.map(({ finger }) => finger) : stops[0].finger));
    assert.deepEqual(own, fingers, `${name}: ${why}`);
  }
});
