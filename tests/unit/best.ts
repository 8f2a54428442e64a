import assert from 'node:assert/strict';
import { plan, type Plan, type PlanRequest, type PlanResponse } from '../../src/core';

/** The answer with the best plan alone: the ways beside it cost several times as much to look for. */
export function planAlone(request: PlanRequest): PlanResponse {
  return plan({ ...request, alternatives: 1 });
}

/** The first plan for a request; the test fails with the problem told where there is none. */
export function best(request: PlanRequest): Plan {
  const { plans, problems } = planAlone(request);
  return plans[0] ?? assert.fail(JSON.stringify(problems[0]));
}
