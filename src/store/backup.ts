import { parseJson, shapeIssues, BadRequest } from '../contract/read';
import { validBackup } from '../contract/validators.generated.js';
import { requestIssues, type Issue } from '../core';
import { issueWords } from '../wording/issues';
import type { Kept } from './db';
import type { PlanRecord, StudentRecord } from './records';
import { planOfVersion2, planOfVersion3 } from './versions';

/** Version of the backup file this app writes; it reads this one and all before. */
export const BACKUP_VERSION = 3;

export function backupText(kept: Kept, now: Date): string {
  const head = { format: 'dove-path-backup', version: BACKUP_VERSION, savedAt: now.toISOString() };
  return JSON.stringify({ ...head, ...kept }, null, 2);
}

/** What a backup file holds, or why it cannot be read. */
export type BackupReading =
  { readonly kind: 'kept'; readonly kept: Kept } | { readonly kind: 'trouble'; readonly message: string };

/** Reads a backup file's text; nothing is changed by reading. */
export function readBackup(text: string): BackupReading {
  let value: unknown;
  try {
    value = parseJson(text);
  } catch (error) {
    if (!(error instanceof BadRequest)) throw error;
    return trouble(
      'This file is not a backup: it is not JSON, or it was cut off. Choose another copy of it.',
    );
  }
  const head = value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== 'dove-path-backup')
    return trouble(
      'This file was not written by Dove Path. Choose a file that was saved with “Save a backup”.',
    );
  if (typeof head.version === 'number' && head.version > BACKUP_VERSION)
    return trouble(
      `This backup comes from a later version of Dove Path (${head.version}; this one reads up to ${BACKUP_VERSION}). Update the app, then restore it.`,
    );
  const current = upgraded(head);
  if (!validBackup(current)) {
    const [issue] = shapeIssues(validBackup.errors ?? []);
    return trouble(
      `This backup is damaged at ${issue.path}: ${issueWords(issue)} Nothing was changed; choose another copy.`,
    );
  }
  const { plans, students, briefs } = current as unknown as Kept;
  const [issue] = [
    ...plans.flatMap(({ request }, at) => under(`/plans/${at}/request`, requestIssues(request))),
    ...briefs.flatMap(({ request }, at) => under(`/briefs/${at}/request`, requestIssues(request))),
  ];
  if (issue)
    return trouble(`This backup is damaged at ${issue.path}: ${issueWords(issue)} Nothing was changed.`);
  return { kind: 'kept', kept: { plans, students, briefs } };
}

/** A file of any version as one of this version. */
function upgraded(file: { readonly version?: unknown }): object {
  let current: object = file;
  if (file.version === 1) current = { ...withPlans(current, planOfVersion2), students: [], briefs: [] };
  if (file.version === 1 || file.version === 2)
    current = withPlans(current, (plan) => planOfVersion3(plan, 'file'));
  return current;
}

function withPlans(file: object, become: (plan: object) => object): object {
  const { plans } = file as { plans?: unknown };
  const known = Array.isArray(plans) && plans.every((plan) => typeof plan === 'object' && plan !== null);
  return { ...file, plans: known ? plans.map(become) : plans };
}

function under(path: string, issues: readonly Issue[]): Issue[] {
  return issues.map((issue) => ({ ...issue, path: path + issue.path }));
}

function trouble(message: string): BackupReading {
  return { kind: 'trouble', message };
}

/** What came from a file and how it joins what is already here. */
export interface Joining {
  readonly added: Kept;
  /** Records that are here already, letter for letter. */
  readonly known: number;
}

/**
 * How what was restored joins what is here: equal records are left out; one that differs from its namesake here is
 * added as a copy, so that neither is lost. Plans follow their student to the copy.
 */
export function joinKept(here: Kept, restored: Kept): Joining {
  const students = joinRecords(here.students, restored.students, studentContent);
  const ofStudent = (plan: PlanRecord) => ({
    ...plan,
    studentId: students.copies.get(plan.studentId ?? '') ?? plan.studentId,
  });
  const plans = joinRecords(here.plans, restored.plans.map(ofStudent), planContent);
  const briefs = joinRecords(here.briefs, restored.briefs, ({ name, request }) => [name, request]);
  const all = [students, plans, briefs];
  return {
    added: { students: students.added, plans: plans.added, briefs: briefs.added },
    known: all.reduce((sum, { known }) => sum + known, 0),
  };
}

const studentContent = (student: StudentRecord) => ({ ...student, createdAt: 0, changedAt: 0 });
const planContent = (plan: PlanRecord) => [
  plan.name,
  plan.typed,
  plan.choice,
  plan.request,
  plan.studentId,
  plan.tags,
];

interface Joined<T> {
  readonly added: readonly T[];
  readonly known: number;
  /** Ids in the file to ids of the copies. */
  readonly copies: ReadonlyMap<string, string>;
}

function joinRecords<T extends { readonly id: string; readonly name: string }>(
  here: readonly T[],
  restored: readonly T[],
  content: (record: T) => unknown,
): Joined<T> {
  const byId = new Map(here.map((record) => [record.id, record]));
  const added: T[] = [];
  const copies = new Map<string, string>();
  for (const record of restored) {
    const own = byId.get(record.id);
    if (own && JSON.stringify(content(own)) === JSON.stringify(content(record))) continue;
    const copy = own ? copyOf(record) : record;
    if (own) copies.set(record.id, copy.id);
    byId.set(copy.id, copy);
    added.push(copy);
  }
  return { added, known: restored.length - added.length, copies };
}

function copyOf<T extends { readonly id: string; readonly name: string }>(record: T): T {
  return { ...record, id: crypto.randomUUID(), name: `${record.name || 'Plan'} (from backup)` };
}
