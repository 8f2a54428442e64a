import { plan, type PlanRequest } from '../../src/core';
import type { PlanAnswer } from '../../src/core/vocabulary';
import { wordedAnswer } from '../../src/wording/answer';

/** The answer to a request with its sentences, as every door gives it. */
export function worded(request: PlanRequest): PlanAnswer {
  return wordedAnswer(request, plan(request));
}
