import { Dexie, type EntityTable, type Transaction } from 'dexie';
import type { StorageFault } from '../wording/storage';
import { fits, TABLES, withFields, type Change, type TableName, type Tables } from './changes';
import type { BriefRecord, PlanRecord, StudentRecord } from './records';
import { planOfVersion2, planOfVersion3 } from './versions';

/** The browser's own database; nothing of it leaves the machine but by a backup file. */
export const db = new Dexie('dove-path') as Dexie & {
  plans: EntityTable<PlanRecord, 'id'>;
  students: EntityTable<StudentRecord, 'id'>;
  briefs: EntityTable<BriefRecord, 'id'>;
};
db.version(1).stores({ plans: 'id, changedAt' });
db.version(2)
  .stores({ plans: 'id, changedAt, studentId', students: 'id, name', briefs: 'id, name' })
  .upgrade((step) => eachPlan(step, planOfVersion2));
db.version(3).upgrade((step) => eachPlan(step, (plan) => planOfVersion3(plan, 'browser')));

function eachPlan(step: Transaction, become: (plan: object) => object) {
  return step
    .table<object>('plans')
    .toCollection()
    .modify((plan, place) => {
      place.value = become(plan);
    });
}

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

export function getStudent(id: string): Promise<StudentRecord | undefined> {
  return db.students.get(id);
}

/** What became of some changes: all written, with the records as they now stand, or none. */
export type Outcome =
  | { readonly kind: 'written'; readonly records: readonly Tables[TableName][] }
  | {
      readonly kind: 'conflict';
      readonly change: Change;
      /** What stands there instead; undefined where nothing does. */
      readonly current: Tables[TableName] | undefined;
    };

class Conflict extends Error {
  constructor(readonly outcome: Outcome) {
    super('conflict');
  }
}

/**
 * The one way anything is written: all changes or none. A change is written only where the record still is as the change found it, or is already as
 * it would become.
 */
export async function commit(changes: readonly Change[], now = Date.now()): Promise<Outcome> {
  try {
    const records = await db.transaction('rw', db.plans, db.students, db.briefs, async () => {
      const written: Tables[TableName][] = [];
      for (const change of changes) written.push(await write(change, now));
      return written;
    });
    return { kind: 'written', records };
  } catch (error) {
    if (error instanceof Conflict) return error.outcome;
    throw error;
  }
}

async function write(change: Change, now: number): Promise<Tables[TableName]> {
  const table = db.table<Tables[TableName], string>(change.table);
  const id = change.kind === 'updated' ? change.id : change.record.id;
  const current = await table.get(id);
  const conflict = () => new Conflict({ kind: 'conflict', change, current });
  switch (change.kind) {
    case 'added':
      if (current) throw conflict();
      await table.add(change.record);
      return change.record;
    case 'removed':
      await table.delete(id);
      return change.record;
    case 'updated': {
      if (!current || !(fits(current, change) || fits(current, { from: change.to }))) throw conflict();
      const record = { ...withFields(current, change), ...changedAt(current, now) };
      await table.put(record);
      return record;
    }
  }
}

/** Every write is later than the one before it, whatever the clock says. */
function changedAt(current: Tables[TableName], now: number): { changedAt?: number } {
  return 'changedAt' in current ? { changedAt: Math.max(now, current.changedAt + 1) } : {};
}

/** Everything that is kept, as changes that take it out. */
export function removals(kept: Kept): Change[] {
  return TABLES.flatMap((table) =>
    kept[table].map((record) => ({ kind: 'removed', table, record }) as Change),
  );
}

/** Everything in some collection, as changes that put it in. */
export function additions(kept: Kept): Change[] {
  return TABLES.flatMap((table) => kept[table].map((record) => ({ kind: 'added', table, record }) as Change));
}

/** A student taken out; the plans stay, for nobody in particular. */
export async function removalOfStudent(student: StudentRecord): Promise<Change[]> {
  const theirs = await db.plans.where('studentId').equals(student.id).primaryKeys();
  return [
    { kind: 'removed', table: 'students', record: student },
    ...theirs.map((id): Change => ({
      ...{ kind: 'updated', table: 'plans', id },
      ...{ from: { studentId: student.id }, to: { studentId: null } },
    })),
  ];
}

/** Why a read or a write failed. */
export function storageFault(error: unknown): StorageFault {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError' || /quota/i.test(String(error))) return 'full';
  if (name === 'VersionError') return 'newer';
  return 'blocked';
}
