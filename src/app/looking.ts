import type { PlanRecord } from '../core';
import { data } from '../store/browserState';
import { getPlan } from '../store/read';

/*
 * A drill or a way round that is only looked at: it lives in its tab, on its way from view to view, until it is kept.
 */

const looked = data<readonly PlanRecord[]>('session', 'dove-path-looking', (found) =>
  Array.isArray(found) ? (found as PlanRecord[]) : [],
);
/** Drills gone back to at most. */
const MOST = 12;

export function lookAt(record: PlanRecord) {
  // Where storage is blocked its brief stands in the address.
  looked.write([record, ...looked.read()].slice(0, MOST));
}

/** What is looked at in this tab, where it has this id. */
export function lookedAt(id: string): PlanRecord | undefined {
  return looked.read().find((record) => record.id === id);
}

/** A plan by its id: saved, or looked at in this tab. @throws where the store does */
export async function findPlan(id: string): Promise<PlanRecord | undefined> {
  return (await getPlan(id)) ?? lookedAt(id);
}
