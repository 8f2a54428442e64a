import type { PlanRequest } from '../core';
import { useSettings } from './settings';

/** A request of a new plan with the taste that the teacher has accepted; as it is where there is none. */
export function withOwnTaste(request: PlanRequest): PlanRequest {
  const { preferences } = useSettings.getState();
  return Object.keys(preferences).length > 0 ? { ...request, preferences } : request;
}
