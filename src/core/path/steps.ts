import { bestAlone } from '../planner/plan';
import { requestIssues } from '../planner/issues';
import type { PlanRequest, PlanResponse } from '../vocabulary';
import { skillsOf } from './skills';

/*
 * A step that may be taken: a request, planned, with what its fingering asks.
 */

export interface PlannedStep {
  readonly request: PlanRequest;
  readonly skills: readonly string[];
  /** What its fingering costs, a note: the easier for this hand, the less. */
  readonly ease: number;
  /** The key it is in: its name, such as "D major". */
  readonly key: string;
}

/** The fields of a request that make it a step: nothing that is said about a plan, and no ways. */
function asStep(request: PlanRequest): PlanRequest {
  const { alternatives: _, compare: __, explain: ___, ways: ____, ...rest } = request;
  return rest;
}

/**
 * Plans a step.
 * @returns null where it cannot be played, or not by this hand
 */
export function plannedStep(request: PlanRequest): PlannedStep | null {
  if (requestIssues(request).length > 0) return null;
  const response = bestAlone(asStep(request));
  return response && stepOf(request, response);
}

/** A step as it was planned; null where a spread is beyond the hand. */
export function stepOf(request: PlanRequest, response: PlanResponse): PlannedStep | null {
  const [best] = response.plans;
  if (!best || best.reach.some(({ verdict }) => verdict === 'beyond')) return null;
  const skills = skillsOf(request, response, best).map(({ id }) => id);
  return { request: asStep(request), skills, ease: best.cost / best.steps.length, key: response.key.name };
}
