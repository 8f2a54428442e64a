import type { PlanRecord } from '../core';

/** A plan in a list; a drill stands under the plan it was made for. */
export interface Listed {
  readonly plan: PlanRecord;
  readonly under: boolean;
}

/** Plans in their order, each with its drills right after it. Drills of plans that are not in the list stand by themselves. */
export function withDrills(plans: readonly PlanRecord[]): Listed[] {
  const ids = new Set(plans.filter(({ drillFor }) => !drillFor).map(({ id }) => id));
  const isUnder = ({ drillFor }: PlanRecord) => drillFor !== undefined && ids.has(drillFor);
  const drills = new Map<string, Listed[]>();
  for (const plan of plans)
    if (plan.drillFor && isUnder(plan))
      drills.set(plan.drillFor, [...(drills.get(plan.drillFor) ?? []), { plan, under: true }]);
  return plans
    .filter((plan) => !isUnder(plan))
    .flatMap((plan) => [{ plan, under: false }, ...(drills.get(plan.id) ?? [])]);
}
