import { countDayOfUse, daysOfUse } from './daysOfUse';
import { Dexie } from 'dexie';
import { broughtBackName } from '../wording/storage';
import { fits, reversed, sameContent, withFields, type Change, type Fields } from './changes';
import { db, openForWriting } from './db';
import { deviceId } from './device';
import { counted } from './merge';
import { reading, writing } from './waiting';
import { isKnown, knowValid, listPlans } from './read';
import { TABLE_NAMES, TABLES, tableOf, type TableName, type Tables } from './tables';
import type { PlanRecord, StudentRecord } from '../core';

/*
 * The one way anything is written: changes go in together or not at all, what is deleted goes to the bin, what follows from other tables is counted anew,
 * and what is taken back overwrites nothing newer.
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

/** The tables of some changes, with those that follow from them and those that these are counted from. */
function tablesAround(names: readonly TableName[]): TableName[] {
  const touched = new Set<TableName>(names);
  for (const name of TABLE_NAMES) {
    const from = (tableOf(name).from ?? []) as readonly TableName[];
    if (from.some((source) => names.includes(source))) for (const one of [name, ...from]) touched.add(one);
  }
  return [...touched, 'bin'];
}

/**
 * Works inside one transaction over some tables and what follows from them: all of it is written, or nothing.
 * @throws StorageTrouble where the storage cannot be written to
 */
export async function inOneGo<T>(names: readonly TableName[], work: () => Promise<T>): Promise<T> {
  await Promise.all([openForWriting(), fetchCounting(names)]);
  return db.transaction(
    'rw',
    tablesAround(names).map((name) => db.table(name)),
    work,
  );
}

/** What counts days and cards anew, fetched where it is first needed: a transaction cannot wait for it. */
let days: typeof import('./days') | undefined;
let cards: typeof import('./reviewSchedule') | undefined;

async function fetchCounting(names: readonly TableName[]): Promise<void> {
  if (names.includes('sessions') || names.includes('repetitions')) days ??= await import('./days');
  if (names.includes('answers')) cards ??= await import('./reviewSchedule');
}

const tablesIn = (changes: readonly Change[]) => [...new Set(changes.map(({ table }) => table))];

/**
 * Writes all changes or none. A change is written only where the record still is as the change found it, or is already as it would become.
 * @param words what the deleted are called in the bin
 */
export async function commit(changes: readonly Change[], words = '', now = Date.now()): Promise<Outcome> {
  try {
    const tables = tablesIn(changes);
    return await writing(
      inOneGo(tables, () => writeAll(changes, words, now)),
      ...tables,
    );
  } catch (error) {
    if (error instanceof Conflict) return error.outcome;
    throw error;
  }
}

/** Rows that are written at once. */
const MANY = 2000;

/**
 * Writes changes inside a transaction, and what follows from them.
 * @param step told how many are written
 */
export async function writeAll(
  changes: readonly Change[],
  words: string,
  now: number,
  step: (done: number) => void = () => {},
): Promise<Outcome> {
  const records: Written[] = [];
  const undone: Change[] = [];
  for (const group of groupsOf(changes)) {
    const written = group.length > 1 ? await addMany(group) : [await write(group[0], now)];
    written.forEach((record, at) => {
      const change = group[at];
      if (!record) return;
      records.push(record);
      if (change.kind === 'removed' && !TABLES[change.table].bin) return;
      // What is kept in the bin is what stood there, not what the page had last seen.
      undone.push(change.kind === 'removed' ? ({ ...change, record } as Change) : change);
    });
    step(records.length);
  }
  const bin = undone.some(({ kind }) => kind === 'removed') ? crypto.randomUUID() : null;
  if (bin) await db.bin.add({ id: bin, deletedAt: now, dayOfUse: daysOfUse(), words, changes: undone });
  await countAnew(changes);
  return { kind: 'written', records, bin };
}

/** Rows of one table that are added one after the other are written at once, up to a number; every other change by itself. */
function groupsOf(changes: readonly Change[]): Change[][] {
  const groups: Change[][] = [];
  for (const change of changes) {
    const last = groups.at(-1);
    const isLike = change.kind === 'added' && last?.[0].kind === 'added' && last[0].table === change.table;
    const joins = isLike && last.length < MANY;
    if (joins) last.push(change);
    else groups.push([change]);
  }
  return groups;
}

type Added = Extract<Change, { readonly kind: 'added' }>;

async function addMany(changes: readonly Change[]): Promise<Written[]> {
  const records = changes.map((change) => (change as Added).record);
  const table = db.table<Written, string>(changes[0].table);
  try {
    await table.bulkAdd(records);
  } catch (error) {
    if (!(error instanceof Dexie.BulkError) || error.failures.some(({ name }) => name !== 'ConstraintError'))
      throw error;
    // Some are here already: that is well where they say the same.
    const here = await table.bulkGet(records.map(({ id }) => id));
    const at = here.findIndex((current, n) => !current || !sameContent(current, records[n]));
    if (at >= 0) throw new Conflict({ kind: 'conflict', change: changes[at], current: here[at] });
    await table.bulkPut(records);
  }
  for (const record of records) knowValid(changes[0].table, record);
  return records;
}

const idOf = (change: Change) => (change.kind === 'updated' ? change.id : change.record.id);

/** @returns the record as it now stands; of a deleted one as it stood, or undefined where there was none */
async function write(change: Change, now: number): Promise<Written | undefined> {
  const table = db.table<Written, string>(change.table);
  const id = idOf(change);
  const current = await table.get(id);
  const conflict = () => new Conflict({ kind: 'conflict', change, current });
  switch (change.kind) {
    case 'added':
      if (current && !sameContent(current, change.record)) throw conflict();
      await table.put(change.record);
      knowValid(change.table, change.record);
      return change.record;
    case 'removed':
      await table.delete(id);
      return current;
    case 'updated': {
      if (!current || !(fits(current, change) || fits(current, { from: change.to }))) throw conflict();
      const record = stamped(change, current, now);
      await table.put(record);
      if (isKnown(change.table, current)) knowValid(change.table, record);
      return record;
    }
  }
}

type Updated = Extract<Change, { readonly kind: 'updated' }>;

/** A record as it is written: later than before, and of a plan counted by this device where it says something else. */
function stamped(change: Updated, current: Written, now: number): Written {
  const record: Written = { ...withFields(current, change as Fields<Written>), ...changedAt(current, now) };
  if (change.table !== 'plans' || 'writes' in change.to) return record;
  const [before, after] = [current as PlanRecord, record as PlanRecord];
  if (TABLES.plans.alike?.(before, after)) return record;
  return { ...after, writes: counted(after.writes, deviceId()) };
}

/** Every write is later than the one before it, whatever the clock says. */
function changedAt(current: Written, now: number): { changedAt?: number } {
  return 'changedAt' in current ? { changedAt: Math.max(now, current.changedAt + 1) } : {};
}

/** What follows from the rows that were changed. */
async function countAnew(changes: readonly Change[]): Promise<void> {
  const touches = (name: TableName) => changes.some(({ table }) => table === name);
  // A transaction does not outlive a wait for nothing.
  if (days && (touches('sessions') || touches('repetitions'))) await days.recountDays(changes);
  if (cards && touches('answers')) await cards.recallCards(changes, Date.now());
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
  const tables = tablesIn(changes);
  const work = inOneGo(tables, async () => {
    const count = { back: 0, copies: 0, left: 0 };
    for (const change of [...changes].reverse()) count[await putBack(reversed(change), now)]++;
    await countAnew(changes);
    return count;
  });
  return writing(work, ...tables);
}

async function putBack(change: Change, now: number): Promise<keyof TakenBack> {
  const table = db.table<Written, string>(change.table);
  const id = idOf(change);
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
      await table.put(stamped(change, current, now));
      return 'back';
  }
}

function copyOf(record: Written): Written {
  const named = 'name' in record ? { name: broughtBackName(record.name) } : {};
  return { ...record, id: crypto.randomUUID(), ...named } as Written;
}

/** Brings back what lies in the bin. @returns what became of it; null where it is not there any more */
export async function takeFromTrash(id: string): Promise<TakenBack | null> {
  const binned = await reading(db.bin.get(id), 'bin');
  if (!binned) return null;
  const taken = await takeBack(binned.changes as readonly Change[]);
  await writing(db.bin.delete(id), 'bin');
  return taken;
}

/** Days of use that something deleted is kept. */
export const TRASH_DAYS = 30;

/**
 * Drops what has lain in the bin for its time, with all that goes with a student who is gone for good. Its time is counted in days on which the program was
 * opened: a clock that is wrong once clears nothing.
 * @param today as "2026-11-26"
 */
export async function clearOldTrash(today: string): Promise<void> {
  const days = countDayOfUse(today);
  // What was deleted before days of use were counted begins now.
  await db.bin.filter(({ dayOfUse }) => dayOfUse === undefined).modify({ dayOfUse: days });
  const old = db.bin.filter(({ dayOfUse = days }) => days - dayOfUse > TRASH_DAYS);
  const changes = (await old.toArray()).flatMap((binned) => binned.changes as readonly Change[]);
  const gone = changes.flatMap((change) =>
    change.kind === 'removed' && change.table === 'students' ? [change.record.id] : [],
  );
  await old.delete();
  for (const id of gone) if (!(await db.students.get(id))) await clearAllOf(id);
}

/** Everything that is a student's own, gone for good: not their plans, which are anybody's. */
async function clearAllOf(studentId: string): Promise<void> {
  const owned = TABLE_NAMES.filter((name) => tableOf(name).of);
  await db.transaction(
    'rw',
    owned.map((name) => db.table(name)),
    async () => {
      const sessions = await rowsOf('sessions', studentId).primaryKeys();
      for (const name of owned) {
        if (tableOf(name).of?.table === 'students') await rowsOf(name, studentId).delete();
        else await db.table(name).where('sessionId').anyOf(sessions).delete();
      }
    },
  );
}

/** The rows of a student in a table, by whichever index it has. */
function rowsOf(name: TableName, studentId: string) {
  const table = db.table<Written, string>(name);
  const byDay = table.schema.idxByName['[studentId+day]'];
  return byDay
    ? table.where('[studentId+day]').between([studentId, Dexie.minKey], [studentId, Dexie.maxKey])
    : table.where('studentId').equals(studentId);
}

/** A student taken out; the plans stay, for nobody in particular. */
export async function removalOfStudent(student: StudentRecord): Promise<Change[]> {
  const theirs = (await listPlans()).filter(({ studentId }) => studentId === student.id);
  return [
    { kind: 'removed', table: 'students', record: student },
    ...theirs.map(({ id }): Change => ({
      kind: 'updated',
      table: 'plans',
      id,
      from: { studentId: student.id },
      to: { studentId: null },
    })),
  ];
}
