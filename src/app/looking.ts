import type { PlanRecord } from '../store/records';
import { getPlan } from '../store/rows';

/*
 * A drill or a way round that is only looked at: it lives in its tab, on its way from view to view, until it is kept.
 */

const LOOKING = 'dove-path-looking';
/** Drills gone back to at most. */
const MOST = 12;

export function lookAt(record: PlanRecord) {
  try {
    sessionStorage.setItem(LOOKING, JSON.stringify([record, ...looked()].slice(0, MOST)));
  } catch {
    // Where storage is blocked its brief stands in the address.
  }
}

/** What is looked at in this tab, where it has this id. */
export function lookedAt(id: string): PlanRecord | undefined {
  return looked().find((record) => record.id === id);
}

function looked(): PlanRecord[] {
  try {
    return JSON.parse(sessionStorage.getItem(LOOKING) ?? '[]') as PlanRecord[];
  } catch {
    return [];
  }
}

/** A plan by its id: saved, or looked at in this tab. @throws where the store does */
export async function findPlan(id: string): Promise<PlanRecord | undefined> {
  return (await getPlan(id)) ?? lookedAt(id);
}
