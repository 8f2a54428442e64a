import { wrap, type Remote } from 'comlink';
import type { ErrorAnswer } from '../contract/read';
import type { PlanRequest, PlanResponse } from '../core';
import type { Planner } from './plan.worker';

let planner: Remote<Planner> | undefined;

/** Plans in the background; the worker is started at the first call and kept. */
export function planInWorker(request: PlanRequest): Promise<PlanResponse | ErrorAnswer> {
  planner ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));
  return planner.plan(request);
}
