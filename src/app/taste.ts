import type { PlanRequest } from '../core';
import type { PlanRecord } from '../core';
import { useSettings } from './settings';

/** A request of a new plan with the taste that the teacher has accepted; as it is where there is none. */
export function withOwnTaste(request: PlanRequest): PlanRequest {
  const { preferences } = useSettings.getState();
  const taste = { ...preferences, ...request.preferences };
  return Object.keys(taste).length > 0 ? { ...request, preferences: taste } : request;
}

/** The same for a plan that was made for a student; their own taste goes before. */
export function inOwnTaste(plan: PlanRecord): PlanRecord {
  return { ...plan, request: withOwnTaste(plan.request) };
}
