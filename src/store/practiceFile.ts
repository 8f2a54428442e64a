import type { StudentRecord } from '../core';
import { fileTroubleWords } from '../wording/storage';
import { db } from './db';
import { reading } from './waiting';
import { fileText, readLists, type Lists } from './tableFiles';
import { joinLists, type Joined } from './join';
import { answersOf, cardsOf, getStudent, lessonsOf, listPlans, sessionsOf } from './read';
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
    listPlans().then((all) => all.filter((plan) => plan.studentId === studentId)),
    sessionsOf(studentId),
    cardsOf(studentId),
    answersOf(studentId),
    lessonsOf(studentId),
  ]);
  const ids = sessions.map(({ id }) => id);
  const repetitions = await reading(db.repetitions.where('sessionId').anyOf(ids).toArray(), 'repetitions');
  return fileText('practice', { student, plans, sessions, repetitions, cards, answers, lessons }, now);
}

/** What a file brings, or why it cannot be read. */
export type PracticeReading =
  | { readonly kind: 'practice'; readonly student: StudentRecord; readonly lists: Lists; readonly aside: number }
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
  return { kind: 'practice', student, lists: theirs, aside: aside.length + count(lists) - count(theirs) };
}

function ofStudent({ plans = [], repetitions = [], ...lists }: Lists, studentId: string): Lists {
  const own = <T extends { readonly studentId: string }>(rows: readonly T[] = []) =>
    rows.filter((row) => row.studentId === studentId);
  const sessions = own(lists.sessions);
  const known = new Set(sessions.map(({ id }) => id));
  return {
    plans,
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
export async function joinPracticeFile(student: StudentRecord, lists: Lists): Promise<JoinedPractice> {
  const newStudent = (await getStudent(student.id)) === undefined;
  const joined = await joinLists({ ...lists, students: newStudent ? [student] : [] });
  return { newStudent, ...joined };
}
