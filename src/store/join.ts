import { group } from 'd3-array';
import { heardOf, reachedIn, standing, USUAL_TIMES, type PlanRecord, type SessionRecord } from '../core';
import { fromBackupName } from '../wording/storage';
import { sameContent, type Change } from './changes';
import { db } from './db';
import type { Lists } from './tableFiles';
import { merged } from './merge';
import { tableOf, TABLE_NAMES, type TableName, type Tables } from './tables';
import { inOneGo, writeAll } from './write';

/*
 * How what comes from a file joins what is here: in one transaction over all tables, or nothing.
 */

type Row = Tables[TableName];

/** What came of joining, by table. */
export interface Joined {
  readonly added: Readonly<Partial<Record<TableName, number>>>;
  /** Entries that are known here already. */
  readonly known: number;
  /** Entries that were deleted here, and stay so. */
  readonly deleted: number;
  /** The first plan that was added. */
  readonly plan?: PlanRecord;
}

/** Joins rows to what is here. */
export function joinLists(lists: Lists): Promise<Joined> {
  const names = TABLE_NAMES.filter((name) => tableOf(name).join !== 'never');
  return inOneGo(names, async () => {
    const gone = await trashedHere();
    const added: Partial<Record<TableName, number>> = {};
    const count = { known: 0, deleted: 0 };
    const changes: Change[] = [];
    /** Students who join as a copy, by who they were. */
    const copies = new Map<string, string>();
    for (const name of names) {
      const brought = onceEach((lists[name] ?? []) as readonly Row[]);
      // What was deleted here is not brought back by somebody's log; a studio is.
      const wanted = tableOf(name).of ? brought.filter(({ id }) => !gone.has(id)) : brought;
      count.deleted += brought.length - wanted.length;
      const fresh = await joinTable(name, wanted, copies);
      added[name] = fresh.filter(({ kind }) => kind === 'added').length;
      if (tableOf(name).join === 'beside') count.known += wanted.length - added[name];
      changes.push(...fresh);
    }
    await writeAll(await withHeard(changes), '', Date.now());
    const plan = changes.find((change) => change.kind === 'added' && change.table === 'plans');
    return {
      added,
      ...count,
      plan: plan && ((plan as Extract<typeof plan, { record: unknown }>).record as PlanRecord),
    };
  });
}

const onceEach = (rows: readonly Row[]) => [...new Map(rows.map((row) => [row.id, row])).values()];

/** What lies in the bin. */
async function trashedHere(): Promise<ReadonlySet<string>> {
  const changes = (await db.bin.toArray()).flatMap((binned) => binned.changes as readonly Change[]);
  return new Set(changes.flatMap((change) => (change.kind === 'removed' ? [change.record.id] : [])));
}

function joinTable(name: TableName, rows: readonly Row[], copies: Map<string, string>): Promise<Change[]> {
  switch (tableOf(name).join) {
    case 'beside':
      return joinBeside(name, rows, copies);
    case 'by-field':
      return joinByField(name, rows);
    case 'by-id':
    case 'never':
      return joinById(name, rows);
  }
}

const added = (table: TableName, record: Row) => ({ kind: 'added', table, record }) as Change;

async function hereOf(name: TableName, rows: readonly Row[]): Promise<(Row | undefined)[]> {
  return db.table<Row, string>(name).bulkGet(rows.map(({ id }) => id));
}

/** A log: what is not here yet is added. */
async function joinById(name: TableName, rows: readonly Row[]): Promise<Change[]> {
  const here = await hereOf(name, rows);
  return rows.filter((_, at) => here[at] === undefined).map((row) => added(name, row));
}

/** Records that are written on several computers, field by field. */
async function joinByField(name: TableName, rows: readonly Row[]): Promise<Change[]> {
  const here = await hereOf(name, rows);
  return rows.flatMap((row, at) => {
    const own = here[at];
    if (!own) return [added(name, row)];
    const to = merged(own as SessionRecord, row as SessionRecord);
    if (sameContent<Row>(own, to)) return [];
    return [{ kind: 'updated', table: name, id: row.id, from: {}, to } as Change];
  });
}

/** Equal records are left out; one that differs from its namesake here is added as a copy, so that neither is lost. Plans follow their student to the copy. */
async function joinBeside(name: TableName, rows: readonly Row[], copies: Map<string, string>): Promise<Change[]> {
  const alike = tableOf(name).alike as ((a: Row, b: Row) => boolean) | undefined;
  const byId = new Map((await db.table<Row, string>(name).toArray()).map((row) => [row.id, row]));
  const fresh: Change[] = [];
  for (const row of rows.map((one) => withStudent(one, copies))) {
    const own = byId.get(row.id);
    if (own && alike?.(own, row)) continue;
    const put = own ? copyOf(row) : row;
    // The same file joined again: its copy is here already.
    const twin = own && [...byId.values()].find((other) => alike?.(other, put));
    if (own && name === 'students') copies.set(row.id, (twin ?? put).id);
    if (twin) continue;
    byId.set(put.id, put);
    fresh.push(added(name, put));
  }
  return fresh;
}

function withStudent(row: Row, copies: ReadonlyMap<string, string>): Row {
  const copy = 'studentId' in row && row.studentId !== null ? copies.get(row.studentId) : undefined;
  return copy === undefined ? row : ({ ...row, studentId: copy } as Row);
}

function copyOf(row: Row): Row {
  const name = fromBackupName('name' in row ? row.name : '');
  return { ...row, id: crypto.randomUUID(), name } as Row;
}

/** Sessions that were played on two computers heard what all their repetitions say. */
async function withHeard(changes: readonly Change[]): Promise<Change[]> {
  const fresh = changes.flatMap((change) =>
    change.kind === 'added' && change.table === 'repetitions' ? [change.record] : [],
  );
  const bySession = group(fresh, ({ sessionId }) => sessionId);
  const all: Change[] = [];
  for (const change of changes) {
    const isPlayed = change.kind === 'updated' && change.table === 'sessions' && change.to.task;
    if (!isPlayed) all.push(change);
    else {
      const here = await db.repetitions.where('sessionId').equals(change.id).toArray();
      const judged = standing([...here, ...(bySession.get(change.id) ?? [])]);
      const { task } = change.to;
      const reached = task && reachedIn(judged, { ...task, times: Math.min(task.times, USUAL_TIMES) });
      all.push({ ...change, to: { ...change.to, heard: heardOf(judged), reached: reached ?? change.to.reached } });
    }
  }
  return all;
}
