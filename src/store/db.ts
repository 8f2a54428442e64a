import { Dexie, type EntityTable } from 'dexie';
import type { BriefRecord, PlanRecord, StudentRecord } from './records';
import { planOfVersion2 } from './versions';

/** The browser's own database; nothing of it leaves the machine but by a backup file. */
export const db = new Dexie('dove-path') as Dexie & {
  plans: EntityTable<PlanRecord, 'id'>;
  students: EntityTable<StudentRecord, 'id'>;
  briefs: EntityTable<BriefRecord, 'id'>;
};
db.version(1).stores({ plans: 'id, changedAt' });
db.version(2)
  .stores({ plans: 'id, changedAt, studentId', students: 'id, name', briefs: 'id, name' })
  .upgrade((step) =>
    step
      .table('plans')
      .toCollection()
      .modify((plan, place) => {
        place.value = planOfVersion2(plan);
      }),
  );

/** Everything that is kept. */
export interface Kept {
  readonly plans: readonly PlanRecord[];
  readonly students: readonly StudentRecord[];
  readonly briefs: readonly BriefRecord[];
}

export function listPlans(): Promise<PlanRecord[]> {
  return db.plans.orderBy('changedAt').reverse().toArray();
}

export function listStudents(): Promise<StudentRecord[]> {
  return db.students.orderBy('name').toArray();
}

export function listBriefs(): Promise<BriefRecord[]> {
  return db.briefs.orderBy('name').toArray();
}

export function listKept(): Promise<Kept> {
  return db.transaction('r', db.plans, db.students, db.briefs, async () => ({
    plans: await listPlans(),
    students: await listStudents(),
    briefs: await listBriefs(),
  }));
}

export function getPlan(id: string): Promise<PlanRecord | undefined> {
  return db.plans.get(id);
}

export async function savePlan(record: PlanRecord): Promise<void> {
  await db.plans.put(record);
}

/**
 * Saves a plan that was read or last saved at `seen` (its changedAt then); where another page has saved it since,
 * nothing is written.
 * @returns what another page has made of it, or null where the plan is saved
 */
export function savePlanSeen(record: PlanRecord, seen: number): Promise<PlanRecord | null> {
  return db.transaction('rw', db.plans, async () => {
    const kept = await db.plans.get(record.id);
    if (kept && kept.changedAt !== seen && kept.changedAt !== record.changedAt) return kept;
    await db.plans.put(record);
    return null;
  });
}

export async function deletePlan(id: string): Promise<void> {
  await db.plans.delete(id);
}

export async function saveStudent(record: StudentRecord): Promise<void> {
  await db.students.put(record);
}

/**
 * Changes some of what is known of a student, from what is kept at that moment: quick changes and other pages lose nothing.
 * @returns the record before
 */
export function editStudent(
  id: string,
  change: (student: StudentRecord) => Partial<StudentRecord>,
): Promise<StudentRecord | undefined> {
  return db.transaction('rw', db.students, async () => {
    const before = await db.students.get(id);
    if (before) await db.students.put({ ...before, ...change(before), id, changedAt: Date.now() });
    return before;
  });
}

/** Deletes a student; the plans stay, for nobody in particular. @returns the ids of those plans */
export function deleteStudent(id: string): Promise<string[]> {
  return db.transaction('rw', db.plans, db.students, async () => {
    const theirs = await db.plans.where('studentId').equals(id).primaryKeys();
    await db.plans.where('studentId').equals(id).modify({ studentId: null });
    await db.students.delete(id);
    return theirs;
  });
}

/** Brings a deleted student back, with the plans. */
export function returnStudent(record: StudentRecord, plans: readonly string[]): Promise<void> {
  return db.transaction('rw', db.plans, db.students, async () => {
    await db.students.put(record);
    await db.plans
      .where('id')
      .anyOf([...plans])
      .modify({ studentId: record.id });
  });
}

export async function saveBrief(record: BriefRecord): Promise<void> {
  await db.briefs.put(record);
}

export async function deleteBrief(id: string): Promise<void> {
  await db.briefs.delete(id);
}

/** Adds all or none. */
export async function addKept({ plans, students, briefs }: Kept): Promise<void> {
  await db.transaction('rw', db.plans, db.students, db.briefs, async () => {
    await db.students.bulkAdd([...students]);
    await db.briefs.bulkAdd([...briefs]);
    await db.plans.bulkAdd([...plans]);
  });
}

/** Empties the studio. @returns what was there */
export function clearKept(): Promise<Kept> {
  return db.transaction('rw', db.plans, db.students, db.briefs, async () => {
    const kept = await listKept();
    await Promise.all([db.plans.clear(), db.students.clear(), db.briefs.clear()]);
    return kept;
  });
}

/** A sentence for a failed read or write, with what to do. */
export function storageTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const full = name === 'QuotaExceededError' || /quota/i.test(String(error));
  return full
    ? 'Not saved: the browser has no room left. Save a backup file now, then delete plans you no longer need.'
    : 'Not saved: the browser blocks storage for this page. Save a backup file now, then allow site data and reload.';
}
