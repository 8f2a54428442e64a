import { DELETED_BY_STUDENT, fromBackupName, fromStudentName } from '../wording/storage';
import { standing, type PlanRecord, type Repetition, type SessionRecord, type Trashed } from '../core';
import { removedIn, sameContent, type Change } from './changes';
import { db } from './db';
import { heardIn } from './log';
import { joinedCounts, knows, merged } from './merge';
import type { Lists } from './tableFiles';
import { tableOf, TABLES, TABLE_NAMES, type TableName, type Tables } from './tables';
import { inOneGo, writeAll } from './write';

/*
 * How what comes from a file joins what is here: in one transaction over all tables, or nothing.
 */

type Row = Tables[TableName];

/** Told how many of how many changes are written. */
export type Step = (done: number, of: number) => void;

/** A row that was deleted where a file comes from. */
export interface Deleted {
  readonly table: TableName;
  readonly id: string;
}

/** A row as it was found in another browser, where it could not be read. */
export interface DamagedRow {
  readonly table: TableName;
  readonly row: { readonly id: string };
}

/** Where rows come from: a backup brings all of it back; a student brings what they did, and what they deleted. */
export type Origin =
  | { readonly kind: 'backup'; readonly damaged?: readonly DamagedRow[] }
  | { readonly kind: 'student'; readonly id: string; readonly deleted: readonly Deleted[] };

/** What came of joining. */
export interface Joined {
  /** How many were added, by table. */
  readonly added: Readonly<Partial<Record<TableName, number>>>;
  /** Entries that are known here already. */
  readonly known: number;
  /** Plans that are now as the file has them. */
  readonly changed: number;
  /** Plans that were changed on both sides: both are here. */
  readonly both: number;
  /** Entries that were deleted here, and stay so. */
  readonly deleted: number;
  /** Entries that were deleted where the file comes from, and are so here now. */
  readonly removed: number;
  /** Entries that belong to somebody else here, or to nothing that is here or in the file. */
  readonly refused: number;
  /** The first plan that was added. */
  readonly plan?: PlanRecord;
}

interface Joining {
  readonly origin: Origin;
  readonly changes: Change[];
  readonly count: { known: number; changed: number; both: number; deleted: number; removed: number; refused: number };
  /** Students who join as a copy, by who they were. */
  readonly copies: Map<string, string>;
  /** What lies in a bin, and comes back with what goes with it. */
  readonly hidden: ReadonlySet<string>;
}

/**
 * Joins rows to what is here.
 * @param step told how many of how many changes are written; nothing is changed where it throws
 */
export function joinLists(lists: Lists, origin: Origin = { kind: 'backup' }, step: Step = () => {}): Promise<Joined> {
  const names = TABLE_NAMES.filter((name) => tableOf(name).join !== 'never');
  return inOneGo(names, async () => {
    const count = { known: 0, changed: 0, both: 0, deleted: 0, removed: 0, refused: 0 };
    const trashed = new Set(binned(await db.bin.toArray()));
    const fromStudent = origin.kind === 'student';
    const gone = fromStudent ? trashed : new Set<string>();
    const hidden = new Set(fromStudent ? [] : [...trashed, ...binned(lists.bin ?? [])]);
    const joining: Joining = { origin, changes: [], count, copies: new Map(), hidden };
    for (const name of names) {
      const brought = onceEach((lists[name] ?? []) as readonly Row[]);
      // What was deleted here is not brought back by somebody's log; a studio is.
      const wanted = brought.filter(({ id }) => !gone.has(id));
      count.deleted += brought.length - wanted.length;
      await joinTable(name, await owned(name, wanted, joining), joining);
    }
    if (origin.kind === 'student') await removeDeleted(origin.deleted, joining);
    else await putDamaged(origin.damaged ?? []);
    const changes = await withHeard(joining.changes);
    await writeAll(changes, DELETED_BY_STUDENT, Date.now(), (done) => step(done, changes.length));
    return { added: addedIn(changes, names), ...count, plan: addedOf(changes, 'plans')[0] };
  });
}

const onceEach = (rows: readonly Row[]) => [...new Map(rows.map((row) => [row.id, row])).values()];

type Added<Name extends TableName> = Extract<Change, { readonly kind: 'added'; readonly table: Name }>;

function addedOf<Name extends TableName>(changes: readonly Change[], name: Name): Tables[Name][] {
  return changes.flatMap((change) =>
    change.kind === 'added' && change.table === name ? [(change as Added<Name>).record as Tables[Name]] : [],
  );
}

function addedIn(changes: readonly Change[], names: readonly TableName[]): Joined['added'] {
  const added: Partial<Record<TableName, number>> = Object.fromEntries(names.map((name) => [name, 0]));
  for (const change of changes) if (change.kind === 'added') added[change.table] = (added[change.table] ?? 0) + 1;
  return added;
}

/** What lies in a bin. */
const binned = (bin: readonly Trashed[]) => removedIn(bin.flatMap(({ changes }) => changes));

/** Rows that were damaged are so here too, where they can be saved as files. */
async function putDamaged(damaged: readonly DamagedRow[]): Promise<void> {
  for (const { table, row } of damaged) {
    const rows = db.table<unknown, string>(table);
    if (!(await rows.get(row.id))) await rows.put(row);
  }
}

/** Those of some rows that are the student's who brings them, and that go with something of theirs that is here or in the file. */
async function owned(name: TableName, rows: readonly Row[], joining: Joining): Promise<readonly Row[]> {
  const { origin, count } = joining;
  const hasParent = await parentsOf(name, rows, joining);
  const others = origin.kind === 'student' ? await othersOf(name, rows, origin.id) : new Set<string>();
  const good = rows.filter((row) => !others.has(row.id) && hasParent(row));
  count.refused += rows.length - good.length;
  return good;
}

/** The ids of rows that are somebody else's here. */
async function othersOf(name: TableName, rows: readonly Row[], studentId: string): Promise<Set<string>> {
  const here = await hereOf(name, rows);
  const others = here.filter((row) => row && 'studentId' in row && row.studentId !== studentId);
  return new Set(others.map((row) => (row as Row).id));
}

/** What a row of a table goes with: nothing is kept that goes with nothing. */
function parentOf(name: TableName) {
  return name === 'answers' ? ({ table: 'cards', field: 'cardId' } as const) : tableOf(name).of;
}

async function parentsOf(name: TableName, rows: readonly Row[], { changes, hidden, origin }: Joining) {
  const parent = parentOf(name);
  if (!parent || rows.length === 0) return () => true;
  const { table, field } = parent;
  const idOf = (row: Row) => (row as unknown as Record<string, string>)[field];
  const known = new Set([...(await keysHere(table)), ...addedOf(changes, table).map(({ id }) => id)]);
  if (origin.kind === 'student') {
    const parents = [...new Set(rows.map(idOf))].map((id) => ({ id }) as Row);
    for (const other of await othersOf(table, parents, origin.id)) known.delete(other);
  }
  // Practice can be nobody's in particular.
  return (row: Row) => idOf(row) === '' || known.has(idOf(row)) || hidden.has(idOf(row));
}

/** The ids of a table, asked for at once: one by one takes as long as all the rest. */
const keysHere = async (name: TableName) => new Set(await db.table<Row, string>(name).toCollection().primaryKeys());

async function joinTable(name: TableName, rows: readonly Row[], joining: Joining): Promise<void> {
  const { join, joinBrought = join } = tableOf(name);
  switch (joining.origin.kind === 'backup' ? join : joinBrought) {
    case 'beside':
      return joinBeside(name, rows, joining);
    case 'by-field':
      return joinByField(name, rows, joining);
    case 'by-writes':
      return joinByWrites(rows as readonly PlanRecord[], joining);
    case 'by-id':
    case 'never':
      return joinById(name, rows, joining);
  }
}

const added = (table: TableName, record: Row) => ({ kind: 'added', table, record }) as Change;

async function hereOf(name: TableName, rows: readonly Row[]): Promise<(Row | undefined)[]> {
  return db.table<Row, string>(name).bulkGet(rows.map(({ id }) => id));
}

/** A log: what is not here yet is added. */
async function joinById(name: TableName, rows: readonly Row[], { changes }: Joining): Promise<void> {
  const here = await keysHere(name);
  const fresh = rows.filter(({ id }) => !here.has(id));
  // Days of use are this browser's own: what lies in the bin begins its time here.
  for (const row of fresh) changes.push(added(name, 'changes' in row ? { ...row, dayOfUse: undefined } : row));
}

/** Records that are written on several computers, field by field. */
async function joinByField(name: TableName, rows: readonly Row[], { changes }: Joining): Promise<void> {
  const keys = await keysHere(name);
  const known = rows.filter(({ id }) => keys.has(id));
  const here = new Map((await hereOf(name, known)).map((row) => [row?.id, row]));
  for (const row of rows) {
    const own = here.get(row.id);
    if (!own) changes.push(added(name, row));
    else {
      const to = merged(own as SessionRecord, row as SessionRecord);
      if (!sameContent<Row>(own, to))
        changes.push({ kind: 'updated', table: name, id: row.id, from: {}, to } as Change);
    }
  }
}

/** Plans that a student brings back: whoever wrote one in the knowledge of the other has it; where neither did, both are kept. */
async function joinByWrites(rows: readonly PlanRecord[], { changes, count }: Joining): Promise<void> {
  const here = await db.plans.bulkGet(rows.map(({ id }) => id));
  for (const [at, row] of rows.entries()) {
    const own = here[at];
    if (!own) {
      changes.push(added('plans', row));
      continue;
    }
    const writes = joinedCounts(own.writes, row.writes);
    const put = (to: Partial<PlanRecord>): Change => ({ kind: 'updated', table: 'plans', id: row.id, from: {}, to });
    if (TABLES.plans.alike?.(own, row)) {
      count.known++;
      if (!knows(own.writes ?? {}, writes)) changes.push(put({ writes }));
    } else if (row.writes && knows(own.writes ?? {}, row.writes)) count.known++;
    else if (row.writes && knows(row.writes, own.writes ?? {})) {
      count.changed++;
      changes.push(put({ ...cleared(own), ...row, writes }));
    } else {
      count.both++;
      changes.push(
        put({ writes }),
        added('plans', { ...row, id: crypto.randomUUID(), name: fromStudentName(row.name) }),
      );
    }
  }
}

/** A record of nothing, to be filled with another's fields. */
const cleared = (record: object) => Object.fromEntries(Object.keys(record).map((name) => [name, undefined]));

/** Equal records are left out; one that differs from its namesake here is added as a copy, so that neither is lost. Plans follow their student to the copy. */
async function joinBeside(name: TableName, rows: readonly Row[], { changes, count, copies }: Joining): Promise<void> {
  const alike = tableOf(name).alike as ((a: Row, b: Row) => boolean) | undefined;
  const byId = new Map((await db.table<Row, string>(name).toArray()).map((row) => [row.id, row]));
  for (const row of rows.map((one) => withStudent(one, copies))) {
    const own = byId.get(row.id);
    if (own && alike?.(own, row)) {
      count.known++;
      continue;
    }
    const put = own ? copyOf(row) : row;
    // The same file joined again: its copy is here already.
    const twin = own && [...byId.values()].find((other) => alike?.(other, put));
    if (own && name === 'students') copies.set(row.id, (twin ?? put).id);
    if (twin) {
      count.known++;
      continue;
    }
    byId.set(put.id, put);
    changes.push(added(name, put));
  }
}

function withStudent(row: Row, copies: ReadonlyMap<string, string>): Row {
  const copy = 'studentId' in row && row.studentId !== null ? copies.get(row.studentId) : undefined;
  return copy === undefined ? row : ({ ...row, studentId: copy } as Row);
}

function copyOf(row: Row): Row {
  const name = fromBackupName('name' in row ? row.name : '');
  return { ...row, id: crypto.randomUUID(), name } as Row;
}

/** What the student deleted goes to the bin here too. */
async function removeDeleted(deleted: readonly Deleted[], { origin, changes, count }: Joining): Promise<void> {
  for (const { table, id } of deleted) {
    const row = (await db.table<Row, string>(table).get(id)) as { readonly studentId?: string | null } | undefined;
    if (origin.kind !== 'student' || row?.studentId !== origin.id) continue;
    changes.push({ kind: 'removed', table, record: row } as Change);
    count.removed++;
  }
}

/** What sessions heard follows from all their repetitions, wherever those were played. */
async function withHeard(changes: readonly Change[]): Promise<Change[]> {
  const fresh = addedOf(changes, 'repetitions');
  const played = new Set<string>(fresh.map(({ sessionId }) => sessionId));
  for (const change of changes) {
    if (change.table !== 'sessions') continue;
    if (change.kind === 'updated') played.add(change.id);
    if (change.kind === 'removed') played.delete(change.record.id);
  }
  const ids = [...played];
  const sessions = await db.sessions.bulkGet(ids);
  const byId = new Map(sessions.flatMap((session) => (session?.task ? [[session.id, session] as const] : [])));
  if (byId.size === 0) return [...changes];
  const logs = new Map<string, Repetition[]>([...byId.keys()].map((id) => [id, []]));
  const here = await db.repetitions
    .where('sessionId')
    .anyOf([...byId.keys()])
    .toArray();
  for (const one of [...here, ...fresh]) logs.get(one.sessionId)?.push(one);
  const heard: Change[] = [...byId].map(([id, session]) => {
    const to = heardIn(session, standing(logs.get(id) ?? []));
    return { kind: 'updated', table: 'sessions', id, from: {}, to };
  });
  return [...changes, ...heard];
}
