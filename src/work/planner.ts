import { wrap, type Remote } from 'comlink';
import type { ErrorAnswer } from '../contract/read';
import type { Aim, Findings, PlanRequest, PlanResponse } from '../core';
import type { Planner } from './plan.worker';

let planner: Remote<Planner> | undefined;

/** The worker is started at the first call and kept. */
function inWorker(): Remote<Planner> {
  planner ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));
  return planner;
}

/** Plans in the background. */
export function planInWorker(request: PlanRequest): Promise<PlanResponse | ErrorAnswer> {
  return inWorker().plan(request);
}

/** Works out in the background what one plan of an answer means. @param chosen a plan that is there */
export function findingsInWorker(
  request: PlanRequest,
  response: PlanResponse,
  chosen: number,
  aim: Aim,
): Promise<Findings> {
  return inWorker().findings(request, response, chosen, aim);
}
