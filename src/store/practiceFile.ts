import { heardOf, reachedIn, standing, USUAL_TIMES } from '../core';
import { joinKept } from './backup';
import { answered, db, openForWriting } from './db';
import { recount } from './days';
import { recall } from './memory';
import { merged } from './merging';
import { answersOf, cardsOf, lessonsOf, sessionsOf } from './practice';
import { PRACTICE_FILE_VERSION, type Brought, type Practice } from './practiceRead';
import type { SessionRecord } from './records';
import { getStudent, listPlans } from './rows';

/*
 * The practice file: one student's plans, lessons, cards and log, to take home and to bring back. Joining it twice, or from both sides, comes to the same as
 * once.
 */

/** Everything of one student's, as it is now. */
export async function practiceOf(studentId: string): Promise<Practice> {
  const [sessions, cards, answers, lessons] = await Promise.all([
    sessionsOf(studentId),
    cardsOf(studentId),
    answersOf(studentId),
    lessonsOf(studentId),
  ]);
  const ids = sessions.map(({ id }) => id);
  const repetitions = await answered(Promise.resolve(db.repetitions.where('sessionId').anyOf(ids).toArray()));
  return { sessions, repetitions, cards, answers, lessons };
}

/** Everything of everybody's. */
export async function allPractice(): Promise<Practice> {
  const [sessions, repetitions, cards, answers, lessons] = await Promise.all([
    db.sessions.toArray(),
    db.repetitions.toArray(),
    db.cards.toArray(),
    db.answers.toArray(),
    db.lessons.toArray(),
  ]);
  return { sessions, repetitions, cards, answers, lessons };
}

/** A student's file as text; null where the student is not here. */
export async function practiceFileText(studentId: string, now: Date): Promise<string | null> {
  const student = await getStudent(studentId);
  if (!student) return null;
  const plans = (await listPlans()).filter((plan) => plan.studentId === studentId);
  const head = { format: 'dove-path-practice', version: PRACTICE_FILE_VERSION, savedAt: now.toISOString() };
  return JSON.stringify({ ...head, student, plans, ...(await practiceOf(studentId)) });
}

/** What joining a file came to. */
export interface JoinedPractice {
  readonly newStudent: boolean;
  readonly sessions: number;
  readonly repetitions: number;
  readonly answers: number;
  readonly plans: number;
  /** Entries that are known here already. */
  readonly known: number;
  /** Entries that were deleted here, and stay so. */
  readonly deleted: number;
}

/** Joins what a student brings to what is here, all or nothing. The student as the teacher has them stays as they are. */
export async function joinPracticeFile({ student, plans, ...practice }: Brought): Promise<JoinedPractice> {
  const here = await getStudent(student.id);
  const own = { plans: await listPlans(), students: [], briefs: [] };
  const { added } = joinKept(own, { plans, students: [], briefs: [] });
  await openForWriting();
  const gone = await deletedIds();
  const counts = await db.transaction('rw', [db.students, db.plans, ...practiceTables()], async () => {
    if (!here) await db.students.put(student);
    await db.plans.bulkPut([...added.plans]);
    return joinPractice(practice, gone);
  });
  return { newStudent: !here, plans: added.plans.length, ...counts };
}

/** Joins what a backup holds of practice. */
export async function restorePractice(practice: Practice) {
  await openForWriting();
  // The bin is read before: what waits on it is not to wait for a long log.
  const gone = await deletedIds();
  return db.transaction('rw', practiceTables(), () => joinPractice(practice, gone));
}

const practiceTables = () => [
  ...[db.sessions, db.repetitions, db.days, db.cards, db.answers, db.memories, db.lessons],
];

/** Joins practice to what is here, inside a transaction over its tables: logs by their ids, records field by field. Days are counted anew. */
async function joinPractice(
  practice: Practice,
  gone: ReadonlySet<string>,
): Promise<Omit<JoinedPractice, 'newStudent' | 'plans'>> {
  const repetitions = await unknownOf(db.repetitions, practice.repetitions);
  const answers = await unknownOf(db.answers, practice.answers);
  const cards = (await unknownOf(db.cards, practice.cards)).filter(({ id }) => !gone.has(id));
  const brought = practice.sessions.filter(({ id }) => !gone.has(id));
  const known = await db.sessions.bulkGet(brought.map(({ id }) => id));
  await db.repetitions.bulkAdd([...repetitions]);
  const sessions: SessionRecord[] = [];
  for (const [at, session] of brought.entries()) {
    const own = known[at];
    sessions.push(own ? await withRecord(merged(own, session)) : session);
  }
  const lessonsBrought = practice.lessons.filter(({ id }) => !gone.has(id));
  const lessonsHere = await db.lessons.bulkGet(lessonsBrought.map(({ id }) => id));
  const lessons = lessonsBrought.map((lesson, at) => {
    const own = lessonsHere[at];
    return own ? merged(own, lesson) : lesson;
  });
  await db.answers.bulkAdd([...answers]);
  await recall([...new Set(answers.map(({ cardId }) => cardId))]);
  await db.cards.bulkAdd([...cards]);
  await db.sessions.bulkPut(sessions);
  await db.lessons.bulkPut(lessons);
  const days = new Map(
    [...sessions, ...known].flatMap((one) => (one ? [[`${one.studentId}/${one.day}`, one]] : [])),
  );
  for (const { studentId, day } of days.values()) await recount(studentId, day);
  const fresh = known.filter((one) => one === undefined).length;
  return {
    sessions: fresh,
    repetitions: repetitions.length,
    answers: answers.length,
    known: brought.length - fresh,
    deleted: practice.sessions.length - brought.length,
  };
}

/** What was deleted here and lies in the bin: it is not brought back by a file. */
async function deletedIds(): Promise<ReadonlySet<string>> {
  const binned = await db.bin.toArray();
  return new Set(
    binned.flatMap(({ changes }) =>
      changes.flatMap((change) => (change.kind === 'removed' ? [change.record.id] : [])),
    ),
  );
}

/** A session with what follows from all its repetitions, wherever they were played. */
async function withRecord(session: SessionRecord): Promise<SessionRecord> {
  const { task } = session;
  if (!task) return session;
  const judged = standing(await db.repetitions.where('sessionId').equals(session.id).toArray());
  const reached = reachedIn(judged, { ...task, times: Math.min(task.times, USUAL_TIMES) });
  return { ...session, heard: heardOf(judged), ...(reached === undefined ? {} : { reached }) };
}

/** Rows of a log that are not here yet; a file may hold one twice. */
async function unknownOf<T extends { readonly id: string }>(
  table: { bulkGet: (keys: string[]) => PromiseLike<(T | undefined)[]> },
  rows: readonly T[],
): Promise<T[]> {
  const once = [...new Map(rows.map((row) => [row.id, row])).values()];
  const here = await table.bulkGet(once.map(({ id }) => id));
  return once.filter((_, at) => here[at] === undefined);
}
