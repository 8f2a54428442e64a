import type { Plan, PlanRecord, PlanResponse } from '../core';
import { planInWorker } from '../work/planner';

/** The fingering that a record stands for, with the answer that it is in. */
export interface Chosen {
  readonly response: PlanResponse;
  readonly plan: Plan;
}

/** Plans a request; a test plans on the spot. */
export type Planned = typeof planInWorker;

/** Works the fingering of a record out anew. @returns null where there is none @throws PlannerLost */
export async function chosenOf(
  { request, choice }: PlanRecord,
  planned: Planned = planInWorker,
): Promise<Chosen | null> {
  const kept = 'fingering' in choice ? choice.fingering : undefined;
  const answer = await planned({ request, kept });
  const plan = answer.kind === 'planned' && answer.response.plans[answer.found ?? 0];
  return plan ? { response: answer.response, plan } : null;
}
