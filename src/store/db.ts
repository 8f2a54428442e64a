import { Dexie, type EntityTable } from 'dexie';
import type { PlanRecord } from './records';

/** The browser's own database; nothing of it leaves the machine but by a backup file. */
const db = new Dexie('dove-path') as Dexie & { plans: EntityTable<PlanRecord, 'id'> };
db.version(1).stores({ plans: 'id, changedAt' });

export function listPlans(): Promise<PlanRecord[]> {
  return db.plans.orderBy('changedAt').reverse().toArray();
}

export function getPlan(id: string): Promise<PlanRecord | undefined> {
  return db.plans.get(id);
}

export async function savePlan(record: PlanRecord): Promise<void> {
  await db.plans.put(record);
}

export async function deletePlan(id: string): Promise<void> {
  await db.plans.delete(id);
}

/** Adds all or none. */
export async function addPlans(records: readonly PlanRecord[]): Promise<void> {
  await db.transaction('rw', db.plans, () => db.plans.bulkAdd([...records]));
}

/** A sentence for a failed read or write, with what to do. */
export function storageTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const full = name === 'QuotaExceededError' || /quota/i.test(String(error));
  return full
    ? 'Not saved: the browser has no room left. Save a backup file now, then delete plans you no longer need.'
    : 'Not saved: the browser blocks storage for this page. Save a backup file now, then allow site data and reload.';
}
