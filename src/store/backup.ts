import { issueWords } from '../wording/issues';
import { TABLES, type TableName } from './changes';
import { fileHead } from './fileHead';
import { NO_PRACTICE, soundPractice, type Practice } from './practiceRead';
import type { BookRecord, BriefRecord, PlanRecord, StudentRecord } from './records';
import type { AllRows, Kept } from './rows';
import { rowIssue } from './sound';
import { planOfVersion2, planOfVersion3 } from './versions';

/** Version of the backup file this app writes; it reads this one and all before. */
export const BACKUP_VERSION = 5;

/** Everything as the text of a backup file; damaged rows are in it as they are. */
export function backupText(
  {
    damaged = [],
    ...kept
  }: Kept & Partial<AllRows> & Partial<Practice> & { readonly books?: readonly BookRecord[] },
  now: Date,
): string {
  const head = { format: 'dove-path-backup', version: BACKUP_VERSION, savedAt: now.toISOString() };
  const rest = damaged.length > 0 ? { damaged: damaged.map(({ table, row }) => ({ table, row })) } : {};
  return JSON.stringify({ ...head, ...NO_PRACTICE, ...kept, ...rest }, null, 2);
}

/** What a backup file holds, or why it cannot be read. */
export type BackupReading =
  | {
      readonly kind: 'kept';
      readonly kept: Kept;
      readonly practice: Practice;
      readonly books: readonly BookRecord[];
      /** What is damaged in the file, in a sentence each; the rest is sound. */
      readonly aside: readonly string[];
    }
  | { readonly kind: 'trouble'; readonly message: string };

/** Reads a backup file's text; nothing is changed by reading. */
export function readBackup(text: string): BackupReading {
  const head = fileHead(text);
  if (head === 'broken')
    return trouble(
      'This file is not a backup: it is not JSON, or it was cut off. Choose another copy of it.',
    );
  if (head === 'other' || head.format !== 'dove-path-backup')
    return trouble(
      'This file was not written by Dove Path. Choose a file that was saved with “Save a backup”.',
    );
  if (typeof head.version === 'number' && head.version > BACKUP_VERSION)
    return trouble(
      `This backup comes from a later version of Dove Path (${head.version}; this one reads up to ${BACKUP_VERSION}). Update the app, then restore it.`,
    );
  return sorted(upgraded(head));
}

/** Every record of a file looked at for itself: one that is damaged is set aside. */
function sorted(file: object): BackupReading {
  const lists = file as Readonly<Record<string, unknown>>;
  const missing = TABLES.find((table) => !Array.isArray(lists[table]));
  if (missing)
    return trouble(
      `This backup is damaged: its list of ${missing} is missing. Nothing was changed; choose another copy.`,
    );
  const aside: string[] = [];
  const soundIn = (table: TableName) =>
    ((lists[table] ?? []) as unknown[]).filter((row, at) => {
      const issue = rowIssue(table, row);
      if (issue) aside.push(`/${table}/${at}${issue.path}: ${issueWords(issue)}`);
      return !issue;
    });
  const kept = {
    plans: soundIn('plans') as PlanRecord[],
    students: soundIn('students') as StudentRecord[],
    briefs: soundIn('briefs') as BriefRecord[],
  };
  const books = Array.isArray(lists.books) ? (soundIn('books') as BookRecord[]) : [];
  const { sound: practice, aside: unsound } = soundPractice(file);
  if (unsound > 0) aside.push(`${unsound} entries of the practice log.`);
  const { damaged } = lists;
  if (Array.isArray(damaged))
    aside.push(...damaged.map(() => 'An entry that was damaged when the file was written.'));
  return { kind: 'kept', kept, practice, books, aside };
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
  const one = (plan: unknown) => (typeof plan === 'object' && plan !== null ? become(plan) : plan);
  return { ...file, plans: Array.isArray(plans) ? plans.map(one) : plans };
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
  const students = joinRecords(here.students, restored.students, ALIKE.students);
  const ofStudent = (plan: PlanRecord) => ({
    ...plan,
    studentId: students.copies.get(plan.studentId ?? '') ?? plan.studentId,
  });
  const plans = joinRecords(here.plans, restored.plans.map(ofStudent), ALIKE.plans);
  const briefs = joinRecords(here.briefs, restored.briefs, ALIKE.briefs);
  const all = [students, plans, briefs];
  return {
    added: { students: students.added, plans: plans.added, briefs: briefs.added },
    known: all.reduce((sum, { known }) => sum + known, 0),
  };
}

/** True where two records of a kind say the same; a plan whose fingering was not chosen yet is like one that was opened since. */
const ALIKE = {
  students: (a: StudentRecord, b: StudentRecord) => sameWords(whatOfStudent(a), whatOfStudent(b)),
  briefs: (a: BriefRecord, b: BriefRecord) => sameWords([a.name, a.request], [b.name, b.request]),
  plans: (a: PlanRecord, b: PlanRecord) =>
    sameWords(whatOfPlan(a), whatOfPlan(b)) &&
    (a.choice.kind === 'unplanned' || b.choice.kind === 'unplanned' || sameWords(a.choice, b.choice)),
};

const sameWords = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

const whatOfStudent = ({
  name,
  plays,
  level,
  positions,
  clefs,
  noteNames,
  remark,
  preferences,
}: StudentRecord) => [name, plays, level, positions, clefs, noteNames, remark, preferences];
const whatOfPlan = ({ name, typed, request, studentId, tags, written, sheet }: PlanRecord) => [
  ...[name, typed, request, studentId, tags],
  ...[written, sheet],
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
  alike: (a: T, b: T) => boolean,
): Joined<T> {
  const byId = new Map(here.map((record) => [record.id, record]));
  const added: T[] = [];
  const copies = new Map<string, string>();
  for (const record of restored) {
    const own = byId.get(record.id);
    if (own && alike(own, record)) continue;
    const put = own ? copyOf(record) : record;
    // The same file restored again: its copy is here already.
    const twin = own && [...byId.values()].find((other) => alike(other, put));
    if (own) copies.set(record.id, (twin ?? put).id);
    if (twin) continue;
    byId.set(put.id, put);
    added.push(put);
  }
  return { added, known: restored.length - added.length, copies };
}

function copyOf<T extends { readonly id: string; readonly name: string }>(record: T): T {
  return { ...record, id: crypto.randomUUID(), name: `${record.name || 'Plan'} (from backup)` };
}
