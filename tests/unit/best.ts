import assert from 'node:assert/strict';
import { plan, type Plan, type PlanRequest } from '../../src/core';

/** The first plan for a request; the test fails with the problem told where there is none. */
export function best(request: PlanRequest): Plan {
  const { plans, problems } = plan(request);
  return plans[0] ?? assert.fail(JSON.stringify(problems[0]));
}
