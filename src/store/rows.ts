import { validBrief, validPlan, validStudent } from '../contract/validators.generated.js';
import { shapeIssues } from '../contract/read';
import { requestIssues, type Issue } from '../core';
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

const VALIDATORS = { plans: validPlan, students: validStudent, briefs: validBrief };

/** What is wrong with a row of a table; null where it is sound. */
export function rowIssue(table: TableName, row: unknown): Issue | null {
  const valid = VALIDATORS[table];
  if (!valid(row)) return shapeIssues(valid.errors ?? [])[0];
  if (table === 'students') return null;
  const { request } = row as PlanRecord | BriefRecord;
  const [issue] = requestIssues(request);
  return issue ? { ...issue, path: `/request${issue.path}` } : null;
}

/** Rows that were found sound, by what they are told by: they are not looked at again. */
const known = new Map<string, number>();
const MOST_KNOWN = 5000;

function isKnown(table: TableName, row: unknown): string | null {
  const { id, changedAt } = row as { id?: unknown; changedAt?: unknown };
  const tag = `${table}/${String(id)}`;
  return known.get(tag) === changedAt && typeof changedAt === 'number' ? null : tag;
}

function issueOf(table: TableName, row: unknown): Issue | null {
  const tag = isKnown(table, row);
  if (tag === null) return null;
  const issue = rowIssue(table, row);
  if (!issue) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(tag, (row as { changedAt: number }).changedAt);
  }
  return issue;
}

async function readTable<Name extends TableName>(
  table: Name,
): Promise<{ readonly sound: Tables[Name][]; readonly damaged: Damaged[] }> {
  // Not by an index: a row without the indexed field would not be in it.
  const rows = await answered(Promise.resolve(db.table<unknown>(table).toArray()));
  const sound: Tables[Name][] = [];
  const damaged: Damaged[] = [];
  for (const row of rows) {
    const issue = issueOf(table, row);
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
  return row === undefined || issueOf(table, row) ? undefined : (row as Tables[Name]);
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
