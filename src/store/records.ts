import { fingeringOf, type Choice, type Plan, type PlanRecord, type PlanRequest } from '../core';

/** Ids in the made-up studio begin with this, so that it can stand beside one's own and be taken away in one go. */
export const EXAMPLE = 'example-';

/** True of what belongs to the made-up studio. */
export const isExample = (id: string) => id.startsWith(EXAMPLE);

/** A fresh plan for a request; which fingering is chosen is seen when it is planned. */
export function newRecord(request: PlanRequest, now: number, part: Partial<PlanRecord> = {}): PlanRecord {
  const fresh = { name: '', choice: { kind: 'unplanned' as const }, studentId: null, tags: [] };
  return { ...fresh, id: crypto.randomUUID(), request, createdAt: now, changedAt: now, ...part };
}

/** What is kept when one of the plans of an answer is chosen: the fingering itself. */
export function choiceOf(plan: Plan, number: number): Choice {
  return { kind: number === 0 ? 'best' : 'way', fingering: fingeringOf(plan) };
}
