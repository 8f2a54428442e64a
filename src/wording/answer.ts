import type { Plan, PlanRequest, PlanResponse, Problem, Reason } from '../core';
import type { PlanAnswer, WordedPlan, WordedProblem } from '../contract/types';
import { placeName } from './places';
import { characterWords, speechOf, type Speech } from './plans';
import { changesWords, problemWords } from './problems';
import { reasonWords } from './reasons';

/** A response with its sentences and names, as the contract shows it; the same at every door. */
export function wordedAnswer(request: PlanRequest, response: PlanResponse): PlanAnswer {
  const speech = speechOf(request.instrument, response);
  return {
    ...response,
    plans: response.plans.map((plan) => wordedPlan(plan, speech)),
    problems: response.problems.map((problem) => wordedProblem(problem, request, speech)),
  };
}

function wordedPlan(plan: Plan, speech: Speech): WordedPlan {
  const worded = (reasons: readonly Reason[]) =>
    reasons.map((reason) => ({ ...reason, message: reasonWords(reason, speech) }));
  return {
    ...plan,
    ...(plan.traits ? { character: characterWords(plan.traits, speech) } : {}),
    steps: plan.steps.map(({ reasons, ...step }) => ({
      ...step,
      positionName: placeName(step, speech.instrument),
      ...(reasons ? { reasons: worded(reasons) } : {}),
    })),
    shifts: plan.shifts.map((shift) => ({ ...shift, reasons: worded(shift.reasons) })),
  };
}

function wordedProblem(problem: Problem, request: PlanRequest, speech: Speech): WordedProblem {
  const { ways, ...rest } = problem;
  const words = ways?.map((way) => ({ ...way, words: changesWords(way.changes, speech) }));
  return {
    ...rest,
    message: problemWords(problem, request, speech),
    ...(words ? { ways: words } : {}),
  };
}
