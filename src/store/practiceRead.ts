import { validAnswer, validRepetition } from '#generated/validators.js';
import type { Repetition, PracticeFile } from '../core';
import type {
  AnswerRecord,
  CardRecord,
  LessonRecord,
  PlanRecord,
  SessionRecord,
  StudentRecord,
} from './records';
import { fileHead, type FileHead } from './fileHead';
import { rowIssue } from './sound';

/*
 * Reading what files hold of practice: every record is looked at for itself.
 */

export const PRACTICE_FILE_VERSION = 1;

/** All that is kept of practice; of one student, or of all. */
export type Practice = Pick<PracticeFile, 'sessions' | 'repetitions' | 'cards' | 'answers' | 'lessons'>;

export const NO_PRACTICE: Practice = { sessions: [], repetitions: [], cards: [], answers: [], lessons: [] };

/** What a file brings. */
export type Brought = Practice & Pick<PracticeFile, 'student' | 'plans'>;

export type PracticeReading =
  | { readonly kind: 'practice'; readonly file: Brought; readonly aside: number }
  | { readonly kind: 'trouble'; readonly message: string };

/** Reads a practice file's text; nothing is changed by reading. */
export function readPracticeFile(text: string): PracticeReading {
  const head: (FileHead & { readonly student?: unknown; readonly plans?: unknown }) | 'broken' | 'other' =
    fileHead(text);
  if (head === 'broken')
    return trouble(
      'This file is not a practice file: it is not JSON, or it was cut off. Ask for it once more.',
    );
  if (head === 'other' || head.format !== 'dove-path-practice')
    return trouble('This is no practice file. Choose one that was saved with “Practice file”.');
  if (typeof head.version !== 'number' || head.version > PRACTICE_FILE_VERSION)
    return trouble(
      `This practice file comes from a later version of Dove Path (${String(head.version)}; this one reads up to ${PRACTICE_FILE_VERSION}). Update the app, then open it.`,
    );
  if (rowIssue('students', head.student) !== null || !Array.isArray(head.plans))
    return trouble('This practice file is damaged: it does not say whose it is. Nothing was changed.');
  const student = head.student as StudentRecord;
  const practice = soundPractice(head, (id) => id === student.id);
  const plans = head.plans.filter((plan) => rowIssue('plans', plan) === null) as PlanRecord[];
  const aside = practice.aside + head.plans.length - plans.length;
  return { kind: 'practice', file: { student, plans, ...practice.sound }, aside };
}

/** The lists of practice in a file, each record looked at for itself; lists that are not there are empty. */
export function soundPractice(
  file: object,
  isPlayer: (studentId: string) => boolean = () => true,
): { readonly sound: Practice; readonly aside: number } {
  const lists = file as Readonly<Record<string, unknown>>;
  let aside = 0;
  function soundIn<T>(name: keyof Practice, isSound: (row: unknown) => boolean): T[] {
    const list = lists[name];
    if (!Array.isArray(list)) return [];
    const sound = list.filter(
      (row) => isSound(row) && isPlayer((row as { studentId?: string }).studentId ?? ''),
    );
    aside += list.length - sound.length;
    return sound as T[];
  }
  const sessions = soundIn<SessionRecord>('sessions', (row) => rowIssue('sessions', row) === null);
  const ids = new Set(sessions.map(({ id }) => id));
  const all = lists.repetitions;
  const repetitions = (Array.isArray(all) ? all : []).filter(
    (row): row is Repetition => validRepetition(row) && ids.has((row as Repetition).sessionId),
  );
  aside += (Array.isArray(all) ? all.length : 0) - repetitions.length;
  const sound = {
    sessions,
    repetitions,
    cards: soundIn<CardRecord>('cards', (row) => rowIssue('cards', row) === null),
    answers: soundIn<AnswerRecord>('answers', validAnswer),
    lessons: soundIn<LessonRecord>('lessons', (row) => rowIssue('lessons', row) === null),
  };
  return { sound, aside };
}

function trouble(message: string): PracticeReading {
  return { kind: 'trouble', message };
}
