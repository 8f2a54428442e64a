import type { Issue } from '../core';
import { TABLES, type Change, type TableName, type Tables } from './changes';
import { answered, db } from './db';
import type { BriefRecord, PlanRecord, StudentRecord } from './records';

/*
 * Reading what is kept. Every row is checked; one that is damaged is told apart, and hides nothing else.
 */

/** A row that is no record any more, with the first thing that is wrong with it. */
export interface Damaged {
  readonly table: TableName;
  /** Its key in the table. */
  readonly key: IDBValidKey;
  readonly row: unknown;
  readonly issue: Issue;
}

/** Everything that is kept. */
export interface Kept {
  readonly plans: readonly PlanRecord[];
  readonly students: readonly StudentRecord[];
  readonly briefs: readonly BriefRecord[];
}

/** Everything there is, the damaged rows too. */
export interface AllRows extends Kept {
  readonly damaged: readonly Damaged[];
}

export const NOTHING: AllRows = { plans: [], students: [], briefs: [], damaged: [] };

/** Rows known to be sound, by what they are told by: they are not looked at again. */
const known = new Map<string, number>();
const MOST_KNOWN = 5000;

interface Told {
  readonly id: string;
  readonly createdAt?: number;
  readonly changedAt?: number;
}

const timeOf = ({ changedAt, createdAt }: Told) => changedAt ?? createdAt;

const tagOf = (table: TableName, { id }: Told) => `${table}/${id}`;

export function isKnown(table: TableName, row: Told): boolean {
  const time = timeOf(row);
  return time !== undefined && known.get(tagOf(table, row)) === time;
}

/** Takes a row for sound from now on: it has been checked, or this page has written it itself. */
export function knowSound(table: TableName, row: Told) {
  const time = timeOf(row);
  if (time === undefined) return;
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(tagOf(table, row), time);
}

/** The check of a row is large, and nothing stands in a new studio that needs it: it is fetched for the first row that was written elsewhere. */
export const fetchCheck = () => import('./sound');

/** What is wrong with each of some rows; null where it is sound. */
async function issuesOf(table: TableName, rows: readonly unknown[]): Promise<(Issue | null)[]> {
  const strangers = rows.filter((row) => !isKnown(table, row as Told));
  if (strangers.length === 0) return rows.map(() => null);
  const { rowIssue } = await Promise.resolve(fetchCheck());
  return rows.map((row) => {
    if (isKnown(table, row as Told)) return null;
    const issue = rowIssue(table, row);
    if (!issue) knowSound(table, row as Told);
    return issue;
  });
}

/** Those of some rows that are sound; what is damaged hides nothing else. */
export async function soundOf<Name extends TableName>(
  table: Name,
  rows: readonly unknown[],
): Promise<Tables[Name][]> {
  const issues = await issuesOf(table, rows);
  return rows.filter((_, at) => issues[at] === null) as Tables[Name][];
}

async function readTable<Name extends TableName>(
  table: Name,
): Promise<{ readonly sound: Tables[Name][]; readonly damaged: Damaged[] }> {
  // Not by an index: a row without the indexed field would not be in it.
  const rows = await answered(Promise.resolve(db.table<unknown>(table).toArray()));
  const sound: Tables[Name][] = [];
  const damaged: Damaged[] = [];
  const issues = await issuesOf(table, rows);
  for (const [at, row] of rows.entries()) {
    const issue = issues[at];
    if (issue) damaged.push({ table, key: (row as { id: IDBValidKey }).id, row, issue });
    else sound.push(row as Tables[Name]);
  }
  return { sound, damaged };
}

const byName = (a: { readonly name: string }, b: { readonly name: string }) => a.name.localeCompare(b.name);

/** The plans that can be read, the one changed last first. */
export async function listPlans(): Promise<PlanRecord[]> {
  return (await readTable('plans')).sound.sort((a, b) => b.changedAt - a.changedAt);
}

export async function listStudents(): Promise<StudentRecord[]> {
  return (await readTable('students')).sound.sort(byName);
}

export async function listBriefs(): Promise<BriefRecord[]> {
  return (await readTable('briefs')).sound.sort(byName);
}

export async function listAll(): Promise<AllRows> {
  const [plans, students, briefs] = await Promise.all([
    readTable('plans'),
    readTable('students'),
    readTable('briefs'),
  ]);
  return {
    plans: plans.sound.sort((a, b) => b.changedAt - a.changedAt),
    students: students.sound.sort(byName),
    briefs: briefs.sound.sort(byName),
    damaged: [...plans.damaged, ...students.damaged, ...briefs.damaged],
  };
}

/** A plan by its id: undefined where there is none, or none that can be read. */
export function getPlan(id: string): Promise<PlanRecord | undefined> {
  return getRow('plans', id);
}

export function getStudent(id: string): Promise<StudentRecord | undefined> {
  return getRow('students', id);
}

async function getRow<Name extends TableName>(table: Name, id: string): Promise<Tables[Name] | undefined> {
  const row = await answered(Promise.resolve(db.table<unknown>(table).get(id)));
  if (row === undefined) return undefined;
  const [issue] = await issuesOf(table, [row]);
  return issue ? undefined : (row as Tables[Name]);
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
