import { wrap, type Remote } from 'comlink';
import type { ErrorAnswer } from '../contract/read';
import type { Aim, Finding, Findings, PlanRequest, PlanResponse, PositionDrill } from '../core';
import type { Planner, Weightiest } from './plan.worker';

let planner: Remote<Planner> | undefined;

/** The worker is started at the first call and kept. */
function inWorker(): Remote<Planner> {
  planner ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));
  return planner;
}

/** Plans in the background. */
export async function planInWorker(request: PlanRequest): Promise<PlanResponse | ErrorAnswer> {
  return JSON.parse(await inWorker().planText(request)) as PlanResponse | ErrorAnswer;
}

/** Works out in the background what one plan of the answer to a request means; null where it has no such plan. */
export function findingsInWorker(request: PlanRequest, chosen: number, aim: Aim): Promise<Findings | null> {
  return inWorker().findings(request, chosen, aim);
}

/** The same, the weightiest findings alone: a long plan has thousands of notes to tell of. */
export function weightiestInWorker(
  request: PlanRequest,
  chosen: number,
  aim: Aim,
  most: number,
): Promise<Weightiest> {
  return inWorker().weightiest(request, chosen, aim, most);
}

/** The drill for something found in one plan of the answer to a request; null where it has no such plan. */
export function findingDrillInWorker(
  request: PlanRequest,
  chosen: number,
  finding: Finding,
): Promise<PlanRequest | null> {
  return inWorker().findingDrill(request, chosen, finding);
}

/** A drill that stays in one position; null where that has no octave of the key. */
export function positionDrillInWorker(
  request: PlanRequest,
  asked: PositionDrill,
): Promise<PlanRequest | null> {
  return inWorker().positionDrill(request, asked);
}
