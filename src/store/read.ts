import {
  standing,
  type AnswerRecord,
  type BookRecord,
  type BriefRecord,
  type CardRecord,
  type DaySum,
  type HeardTake,
  type Issue,
  type Judged,
  type LessonRecord,
  type Memory,
  type PlanRecord,
  type SessionRecord,
  type StudentRecord,
} from '../core';
import type { Change } from './changes';
import { db } from './db';
import { reading } from './waiting';
import { amountWords } from '../wording/storage';
import { STUDIO, TABLE_NAMES, TABLES, tablesOfFile, type StudioTable, type TableName, type Tables } from './tables';

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

/** The studio: what is read whole when it opens. */
export type Kept = { readonly [Name in StudioTable]: readonly Tables[Name][] };

/** The studio with its damaged rows. */
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
export function knowValid(table: TableName, row: Told) {
  const time = timeOf(row);
  if (time === undefined) return;
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(tagOf(table, row), time);
}

/** The check of a row is large, and nothing stands in a new studio that needs it: it is fetched for the first row that was written elsewhere. */
export const fetchCheck = () => import('./valid');

/** What is wrong with each of some rows; null where it is sound. */
async function issuesOf(table: TableName, rows: readonly unknown[]): Promise<(Issue | null)[]> {
  const strangers = rows.filter((row) => !isKnown(table, row as Told));
  if (strangers.length === 0) return rows.map(() => null);
  const { rowIssue } = await Promise.resolve(fetchCheck());
  return rows.map((row) => {
    if (isKnown(table, row as Told)) return null;
    const issue = rowIssue(table, row);
    if (!issue) knowValid(table, row as Told);
    return issue;
  });
}

/** Those of some rows that are sound; what is damaged hides nothing else. */
export async function validOf<Name extends TableName>(table: Name, rows: readonly unknown[]): Promise<Tables[Name][]> {
  const issues = await issuesOf(table, rows);
  return rows.filter((_, at) => issues[at] === null) as Tables[Name][];
}

async function readTable<Name extends TableName>(
  table: Name,
): Promise<{ readonly sound: Tables[Name][]; readonly damaged: Damaged[] }> {
  // Not by an index: a row without the indexed field would not be in it.
  const rows = await reading(db.table<unknown>(table).toArray(), table);
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
const lastChangedFirst = (a: { readonly changedAt: number }, b: { readonly changedAt: number }) =>
  b.changedAt - a.changedAt;

/** Waits until the storage answers at all. @throws where it cannot be read */
export async function storageAnswers(): Promise<void> {
  await reading(db.plans.count(), 'plans');
}

/** The plans that can be read, the one changed last first. */
export async function listPlans(): Promise<PlanRecord[]> {
  return (await readTable('plans')).sound.sort(lastChangedFirst);
}

export async function listStudents(): Promise<StudentRecord[]> {
  return (await readTable('students')).sound.sort(byName);
}

export async function listBriefs(): Promise<BriefRecord[]> {
  return (await readTable('briefs')).sound.sort(byName);
}

export async function listAll(): Promise<AllRows> {
  const [plans, students, briefs] = await Promise.all([readTable('plans'), readTable('students'), readTable('briefs')]);
  return {
    plans: plans.sound.sort(lastChangedFirst),
    students: students.sound.sort(byName),
    briefs: briefs.sound.sort(byName),
    damaged: [...plans.damaged, ...students.damaged, ...briefs.damaged],
  };
}

/** Damaged rows of what the Studio does not read whole; not of the long logs that are only ever added to, nor of what follows from them. */
export async function listDamagedElsewhere(): Promise<Damaged[]> {
  const others = tablesOfFile('backup').filter(
    (name) => TABLES[name].bin && !(STUDIO as readonly TableName[]).includes(name),
  );
  const found = await Promise.all([...others, 'choices' as const, 'bin' as const].map((name) => readTable(name)));
  return found.flatMap(({ damaged }) => damaged);
}

/** Rows of a table as they lie there, sound or not. */
export function rawRows(name: TableName): Promise<unknown[]> {
  return reading(db.table<unknown>(name).toArray(), name);
}

/** A row by its id: undefined where there is none, or none that can be read. */
export async function getRow<Name extends TableName>(table: Name, id: string): Promise<Tables[Name] | undefined> {
  const row = await reading(db.table<unknown>(table).get(id), table);
  if (row === undefined) return undefined;
  const [issue] = await issuesOf(table, [row]);
  return issue ? undefined : (row as Tables[Name]);
}

export const getPlan = (id: string) => getRow('plans', id);
export const getStudent = (id: string) => getRow('students', id);
export const getSession = (id: string) => getRow('sessions', id);
export const getBook = (id: string) => getRow('books', id);

/** The sound rows of a table that lie at a key of one of its indexes. */
async function rowsAt<Name extends TableName>(table: Name, index: string, key: string): Promise<Tables[Name][]> {
  return validOf(table, await reading(db.table<unknown>(table).where(index).equals(key).toArray(), table));
}

/** The sound rows of a student's in a table that goes by days, from one day to another, both in it. */
async function rowsOfDays<Name extends 'sessions' | 'lessons'>(
  table: Name,
  studentId: string,
  from = '',
  to = '9999-99-99',
): Promise<Tables[Name][]> {
  const rows = db
    .table<unknown>(table)
    .where('[studentId+day]')
    .between([studentId, from], [studentId, to], true, true)
    .toArray();
  return validOf(table, await reading(rows, table));
}

const latestSession = (a: SessionRecord, b: SessionRecord) => b.day.localeCompare(a.day) || b.startedAt - a.startedAt;
const latestLesson = (a: LessonRecord, b: LessonRecord) => b.day.localeCompare(a.day) || b.createdAt - a.createdAt;

/** A student's sessions of some days, the latest first. */
export async function sessionsOf(studentId: string, from?: string, to?: string): Promise<SessionRecord[]> {
  const rows = await rowsOfDays('sessions', studentId, from, to);
  return rows.sort(latestSession);
}

/** A student's lessons, the latest first. */
export async function lessonsOf(studentId: string): Promise<LessonRecord[]> {
  const rows = await rowsOfDays('lessons', studentId);
  return rows.sort(latestLesson);
}

export const cardsOf = (studentId: string) => rowsAt('cards', 'studentId', studentId);
export const answersOf = (studentId: string) => rowsAt('answers', 'studentId', studentId);

/** What the microphone heard in some sessions, without what was taken back. */
export async function heardBy(sessionIds: readonly string[]): Promise<HeardTake[]> {
  const rows = await reading(db.repetitions.where('sessionId').anyOf(sessionIds).toArray(), 'repetitions');
  const sound = await validOf('repetitions', rows);
  const back = new Set(sound.flatMap((one) => (one.kind === 'taken-back' ? [one.judged] : [])));
  return sound
    .filter((one): one is HeardTake => one.kind === 'heard' && !(one.judged !== undefined && back.has(one.judged)))
    .sort((a, b) => a.at - b.at);
}

/** The repetitions of some sessions that stand. */
export async function judgedInAll(sessionIds: readonly string[]): Promise<Judged[]> {
  const rows = await reading(db.repetitions.where('sessionId').anyOf(sessionIds).toArray(), 'repetitions');
  return standing(await validOf('repetitions', rows));
}

/** The repetitions of a session that stand. */
export async function judgedIn(sessionId: string) {
  return standing(await rowsAt('repetitions', 'sessionId', sessionId));
}

/** A student's books, or all, the one changed last first. */
export async function listBooks(studentId?: string): Promise<BookRecord[]> {
  const rows =
    studentId === undefined ? (await readTable('books')).sound : await rowsAt('books', 'studentId', studentId);
  return rows.sort(lastChangedFirst);
}

/** The pages of a book that were opened and are plans of their own now, by the page's id. */
export async function openedPages({ pages }: BookRecord): Promise<ReadonlyMap<string, PlanRecord>> {
  const plans = await Promise.all(pages.map(({ id }) => getPlan(id)));
  return new Map(plans.flatMap((plan) => (plan ? [[plan.id, plan] as const] : [])));
}

/** All that can be deleted, of every table that has a bin. */
export interface Everything {
  /** Takes it all out; what follows from it, or hangs on it, goes and comes back with it. */
  readonly removals: readonly Change[];
  /** How much there is: ["5 students", "19 plans", "2 books", "40 entries of the log"]. */
  readonly amounts: readonly string[];
}

export async function listEverything(): Promise<Everything> {
  const names = TABLE_NAMES.filter((name) => TABLES[name].bin);
  const found = await Promise.all(names.map(async (name) => [name, (await readTable(name)).sound] as const));
  return {
    removals: found.flatMap(([table, rows]) =>
      rows.map((record) => ({ kind: 'removed', table, record }) as unknown as Change),
    ),
    amounts: amountWords(found.map(([name, rows]) => [rows.length, TABLES[name].words])),
  };
}

/** Everything in some collection, as changes that put it in. */
export function additions(kept: Kept): Change[] {
  return STUDIO.flatMap((table) => kept[table].map((record) => ({ kind: 'added', table, record }) as Change));
}

/** A student's days from one to another, in order. @param from @param to days, both in it */
export async function daysOf(studentId: string, from: string, to = '9999-99-99'): Promise<DaySum[]> {
  const days = db.days.where('[studentId+day]').between([studentId, from], [studentId, to], true, true);
  return validOf('days', await reading(days.toArray(), 'days'));
}

/** What is kept of one student's practice. */
export interface Practised {
  readonly days: readonly DaySum[];
  /** The latest first. */
  readonly lessons: readonly LessonRecord[];
  readonly sessions: readonly SessionRecord[];
  readonly cards: readonly CardRecord[];
  readonly memories: readonly Memory[];
  readonly answers: readonly AnswerRecord[];
}

/**
 * What is kept of each of some students, read in one go: a question for each table and student would take longer than the answers.
 * @param from the first day of the sums, and of the sessions
 */
export async function practisedBy(
  students: readonly string[],
  from: { readonly days: string; readonly sessions: string },
): Promise<Practised[]> {
  const byDay = (table: TableName, id: string, first: string) =>
    db.table<unknown>(table).where('[studentId+day]').between([id, first], [id, '9999-99-99'], true, true).toArray();
  const byStudent = (table: TableName, id: string) => db.table<unknown>(table).where('studentId').equals(id).toArray();
  const tables = ['days', 'lessons', 'sessions', 'cards', 'memories', 'answers'] as const;
  const read = db.transaction('r', [...tables], () =>
    Promise.all(
      students.map((id) =>
        Promise.all([
          byDay('days', id, from.days),
          byDay('lessons', id, ''),
          byDay('sessions', id, from.sessions),
          ...(['cards', 'memories', 'answers'] as const).map((table) => byStudent(table, id)),
        ]),
      ),
    ),
  );
  const all = await reading(read, ...tables);
  return Promise.all(
    all.map(async ([days, lessons, sessions, cards, memories, answers]) => ({
      days: await validOf('days', days),
      lessons: (await validOf('lessons', lessons)).sort(latestLesson),
      sessions: (await validOf('sessions', sessions)).sort(latestSession),
      cards: await validOf('cards', cards),
      memories: await validOf('memories', memories),
      answers: await validOf('answers', answers),
    })),
  );
}

/** What is remembered of a student's cards. */
export const memoriesOf = (studentId: string) => rowsAt('memories', 'studentId', studentId);
