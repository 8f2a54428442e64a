import { fits, reversed, sameContent, withFields, type Change, type TableName, type Tables } from './changes';
import { answered, db, openForWriting } from './db';
import { clearPractice, recount } from './days';
import type { StudentRecord } from './records';
import { isKnown, knowSound, listPlans } from './rows';

/*
 * The one way anything is written: changes go in together or not at all, what is deleted goes to the bin, and what is taken back overwrites nothing
 * newer.
 */

type Written = Tables[TableName];

/** What became of some changes: all written, with the records as they now stand, or none. */
export type Outcome =
  | {
      readonly kind: 'written';
      readonly records: readonly Written[];
      /** What was deleted, to be brought back; null where nothing was. */
      readonly bin: string | null;
    }
  | {
      readonly kind: 'conflict';
      readonly change: Change;
      /** What stands there instead; undefined where nothing does. */
      readonly current: Written | undefined;
    };

class Conflict extends Error {
  constructor(readonly outcome: Outcome) {
    super('conflict');
  }
}

const writing = <T>(changes: readonly Change[], work: () => Promise<T>): Promise<T> => {
  const practised = changes.some(({ table }) => table === 'sessions') ? [db.repetitions, db.days] : [];
  const tables = [...new Set(changes.map(({ table }) => table))].map((table) => db.table(table));
  return openForWriting().then(() =>
    answered(Promise.resolve(db.transaction('rw', [...tables, db.bin, ...practised], work))),
  );
};

/**
 * Writes all changes or none. A change is written only where the record still is as the change found it, or is already as it would become.
 * @param words what the deleted are called in the bin
 */
export async function commit(changes: readonly Change[], words = '', now = Date.now()): Promise<Outcome> {
  try {
    return await writing(changes, async () => {
      const records: Written[] = [];
      const undone: Change[] = [];
      for (const change of changes) {
        const record = await write(change, now);
        if (change.kind === 'removed' && !record) continue;
        records.push(record as Written);
        // What is kept in the bin is what stood there, not what the page had last seen.
        undone.push(change.kind === 'removed' ? ({ ...change, record } as Change) : change);
      }
      await recountFor(changes);
      const bin = undone.some(({ kind }) => kind === 'removed') ? crypto.randomUUID() : null;
      if (bin) await db.bin.add({ id: bin, deletedAt: now, words, changes: undone });
      return { kind: 'written' as const, records, bin };
    });
  } catch (error) {
    if (error instanceof Conflict) return error.outcome;
    throw error;
  }
}

/** @returns the record as it now stands; of a deleted one as it stood, or undefined where there was none */
async function write(change: Change, now: number): Promise<Written | undefined> {
  const table = db.table<Written, string>(change.table);
  const id = change.kind === 'updated' ? change.id : change.record.id;
  const current = await table.get(id);
  const conflict = () => new Conflict({ kind: 'conflict', change, current });
  switch (change.kind) {
    case 'added':
      if (current && !sameContent(current, change.record)) throw conflict();
      await table.put(change.record);
      knowSound(change.table, change.record);
      return change.record;
    case 'removed':
      await table.delete(id);
      return current;
    case 'updated': {
      if (!current || !(fits(current, change) || fits(current, { from: change.to }))) throw conflict();
      const record = { ...withFields(current, change), ...changedAt(current, now) };
      await table.put(record);
      if (isKnown(change.table, current)) knowSound(change.table, record);
      return record;
    }
  }
}

/** Every write is later than the one before it, whatever the clock says. */
function changedAt(current: Written, now: number): { changedAt?: number } {
  return 'changedAt' in current ? { changedAt: Math.max(now, current.changedAt + 1) } : {};
}

/** What became of changes that were taken back. */
export interface TakenBack {
  /** Records that stand again, or have their fields again. */
  readonly back: number;
  /** Records that came back as copies, since something newer stands in their place. */
  readonly copies: number;
  /** Changes that could not be taken back: what they were made to is gone, or was changed since. */
  readonly left: number;
}

/** Takes changes back, the last first, each where it still can be: nothing newer is overwritten. */
export function takeBack(changes: readonly Change[], now = Date.now()): Promise<TakenBack> {
  return writing(changes, async () => {
    const count = { back: 0, copies: 0, left: 0 };
    for (const change of [...changes].reverse()) count[await putBack(reversed(change), now)]++;
    await recountFor(changes);
    return count;
  });
}

async function putBack(change: Change, now: number): Promise<keyof TakenBack> {
  const table = db.table<Written, string>(change.table);
  const id = change.kind === 'updated' ? change.id : change.record.id;
  const current = await table.get(id);
  switch (change.kind) {
    case 'added': {
      if (current && sameContent(current, change.record)) return 'back';
      const record = { ...change.record, ...changedAt(change.record, now) };
      await table.put(current ? copyOf(record) : record);
      return current ? 'copies' : 'back';
    }
    case 'removed':
      if (!current || !sameContent(current, change.record)) return 'left';
      await table.delete(id);
      return 'back';
    case 'updated':
      if (!current || !fits(current, change)) return 'left';
      await table.put({ ...withFields(current, change), ...changedAt(current, now) });
      return 'back';
  }
}

function copyOf(record: Written): Written {
  const named = 'name' in record ? { name: `${record.name || 'Deleted'} (brought back)` } : {};
  return { ...record, id: crypto.randomUUID(), ...named } as Written;
}

/** The days that some changes of sessions touch are counted anew. */
async function recountFor(changes: readonly Change[]) {
  for (const change of changes) {
    if (change.table !== 'sessions') continue;
    if (change.kind !== 'updated') await recount(change.record.studentId, change.record.day);
    else {
      const now = await db.sessions.get(change.id);
      const days = [now?.day, change.from.day, change.to.day];
      for (const day of new Set(days)) if (now && day) await recount(now.studentId, day);
    }
  }
}

/** Brings back what lies in the bin. @returns what became of it; null where it is not there any more */
export async function takeFromBin(id: string): Promise<TakenBack | null> {
  const binned = await answered(Promise.resolve(db.bin.get(id)));
  if (!binned) return null;
  const taken = await takeBack(binned.changes);
  await answered(Promise.resolve(db.bin.delete(id)));
  return taken;
}

/** Days that something deleted is kept. */
export const BIN_DAYS = 30;

/** Drops what has lain in the bin for its time. */
export async function clearOldBin(now = Date.now()): Promise<void> {
  const old = db.bin.where('deletedAt').below(now - BIN_DAYS * 86_400_000);
  const gone = (await old.toArray()).flatMap(({ changes }) =>
    changes.flatMap((change) =>
      change.kind === 'removed' && change.table === 'students' ? [change.record.id] : [],
    ),
  );
  await old.delete();
  for (const id of gone) if (!(await db.students.get(id))) await clearPractice(id);
}

/** A student taken out; the plans stay, for nobody in particular. */
export async function removalOfStudent(student: StudentRecord): Promise<Change[]> {
  const theirs = (await listPlans()).filter(({ studentId }) => studentId === student.id);
  return [
    { kind: 'removed', table: 'students', record: student },
    ...theirs.map(({ id }): Change => ({
      ...{ kind: 'updated', table: 'plans', id },
      ...{ from: { studentId: student.id }, to: { studentId: null } },
    })),
  ];
}
