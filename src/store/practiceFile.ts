import type { PlanRecord, StudentRecord } from '../core';
import { fileTroubleWords } from '../wording/storage';
import { db } from './db';
import { reading } from './waiting';
import { fileText, readLists, type Lists } from './tableFiles';
import { joinLists, type Deleted, type Joined } from './join';
import type { Change } from './changes';
import { answersOf, cardsOf, getStudent, lessonsOf, listPlans, sessionsOf, validOf } from './read';
import { tableOf, tablesOfFile } from './tables';
import { rowIssue } from './valid';

/*
 * The practice file: one student's plans, lessons, cards and log, to take home and to bring back. Joining it twice, or from both sides, comes to the same as
 * once.
 */

/** A student's file as text; null where the student is not here. */
export async function practiceFileText(studentId: string, now: Date): Promise<string | null> {
  const student = await getStudent(studentId);
  if (!student) return null;
  const [plans, sessions, cards, answers, lessons] = await Promise.all([
    listPlans().then((all) => all.filter((plan) => plan.studentId === studentId).map(withWrites)),
    sessionsOf(studentId),
    cardsOf(studentId),
    answersOf(studentId),
    lessonsOf(studentId),
  ]);
  const ids = sessions.map(({ id }) => id);
  const repetitions = await reading(db.repetitions.where('sessionId').anyOf(ids).toArray(), 'repetitions');
  const deleted = await deletedOf(studentId);
  return fileText('practice', { student, plans, sessions, repetitions, cards, answers, lessons, deleted }, now);
}

/** A plan that nobody has written since it was made says so: one out of an older file, where nothing was counted, does not. */
const withWrites = (plan: PlanRecord): PlanRecord => ({ ...plan, writes: plan.writes ?? {} });

/** What of a student's lies in the bin. */
async function deletedOf(studentId: string): Promise<Deleted[]> {
  const binned = await validOf('bin', await reading(db.bin.toArray(), 'bin'));
  return binned
    .flatMap(({ changes }) => changes as readonly unknown[] as readonly Change[])
    .flatMap((change) => {
      if (change.kind !== 'removed' || !BROUGHT.has(change.table)) return [];
      const { id, studentId: whose } = change.record as { readonly id: string; readonly studentId?: string | null };
      return whose === studentId ? [{ table: change.table, id }] : [];
    });
}

/** Tables that a practice file has, of those whose rows can be deleted one by one. */
const BROUGHT: ReadonlySet<string> = new Set(tablesOfFile('practice').filter((name) => tableOf(name).bin));

/** What a file brings, or why it cannot be read. */
export type PracticeReading =
  | {
      readonly kind: 'practice';
      readonly student: StudentRecord;
      readonly lists: Lists;
      /** What the student deleted. */
      readonly deleted: readonly Deleted[];
      /** Entries that cannot be read, or are somebody else's. */
      readonly aside: number;
    }
  | { readonly kind: 'trouble'; readonly message: string };

/** Reads a practice file's text; nothing is changed by reading, and nothing of anybody else is taken from it. */
export function readPracticeFile(text: string): PracticeReading {
  const reading = readLists(text, 'practice');
  if (reading.kind === 'trouble') return reading;
  const { file, lists, aside } = reading;
  if (rowIssue('students', file.student) !== null || !Array.isArray(file.plans))
    return { kind: 'trouble', message: fileTroubleWords('practice', 'nobody') };
  const student = file.student as StudentRecord;
  const theirs = ofStudent(lists, student.id);
  const count = (all: Lists) => Object.values(all).reduce((sum, rows) => sum + rows.length, 0);
  const left = aside.length + count(lists) - count(theirs);
  return { kind: 'practice', student, lists: theirs, deleted: deletedIn(file.deleted), aside: left };
}

function deletedIn(found: unknown): Deleted[] {
  const isDeleted = (one: unknown): one is Deleted =>
    typeof one === 'object' &&
    one !== null &&
    BROUGHT.has((one as Deleted).table) &&
    typeof (one as Deleted).id === 'string';
  return Array.isArray(found) ? found.filter(isDeleted) : [];
}

function ofStudent({ repetitions = [], ...lists }: Lists, studentId: string): Lists {
  const own = <T extends { readonly studentId: string | null }>(rows: readonly T[] = []) =>
    rows.filter((row) => row.studentId === studentId);
  const sessions = own(lists.sessions);
  const known = new Set(sessions.map(({ id }) => id));
  return {
    plans: own(lists.plans),
    sessions,
    repetitions: repetitions.filter(({ sessionId }) => known.has(sessionId)),
    cards: own(lists.cards),
    answers: own(lists.answers),
    lessons: own(lists.lessons),
  };
}

/** What joining a file came to. */
export interface JoinedPractice extends Joined {
  readonly newStudent: boolean;
}

/** Joins what a student brings to what is here, all or nothing. The student as the teacher has them stays as they are. */
export async function joinPracticeFile({
  student,
  lists,
  deleted,
}: Pick<Extract<PracticeReading, { kind: 'practice' }>, 'student' | 'lists' | 'deleted'>): Promise<JoinedPractice> {
  const newStudent = (await getStudent(student.id)) === undefined;
  const brought = { ...lists, students: newStudent ? [student] : [] };
  return { newStudent, ...(await joinLists(brought, { kind: 'student', id: student.id, deleted })) };
}
