import { Dexie } from 'dexie';
import type { Repetition } from '../core';
import { standing } from '../core';
import { answered, db, openForWriting } from './db';
import { getDay, recount, withRepetitions, withSession } from './days';
import { soundOf } from './rows';
import type { AnswerRecord, CardRecord, LessonRecord, SessionRecord } from './records';

/*
 * The log of practice: sessions, the repetitions in them, and answers to cards. Repetitions and answers are only ever added.
 */

/**
 * Writes a repetition, or that one was taken back, with its session as it then is and the day's sums; all together or not at all.
 */
export async function addRepetition(repetition: Repetition, session: SessionRecord): Promise<void> {
  await openForWriting();
  await answered(
    Promise.resolve(
      db.transaction('rw', db.repetitions, db.sessions, db.days, async () => {
        if (await db.repetitions.get(repetition.id)) return;
        const before = (await db.sessions.get(session.id)) ?? null;
        await db.repetitions.add(repetition);
        await db.sessions.put(withOthersEdits(before, session));
        const { studentId, day } = session;
        // What is taken back may have been the fastest: the day is counted anew.
        if (repetition.kind === 'taken-back') await recount(studentId, day);
        else {
          const sum = withSession(await getDay(studentId, day), before, session);
          await db.days.put(withRepetitions(sum, [repetition], session));
        }
      }),
    ),
  );
}

/** Words that were written into the log meanwhile, on another page, stay. */
function withOthersEdits(before: SessionRecord | null, session: SessionRecord): SessionRecord {
  if (!before) return session;
  const { minutes, reached, heard, endedAt, changedAt } = session;
  return {
    ...before,
    minutes,
    reached,
    heard,
    endedAt,
    changedAt: Math.max(changedAt, before.changedAt + 1),
  };
}

export async function sessionRepetitions(sessionId: string): Promise<Repetition[]> {
  return answered(Promise.resolve(db.repetitions.where('sessionId').equals(sessionId).toArray()));
}

/** The repetitions of a session that stand. */
export async function judgedIn(sessionId: string) {
  return standing(await sessionRepetitions(sessionId));
}

/** A student's sessions of some days, the latest first. */
export async function sessionsOf(studentId: string, from = '', to = '9999-99-99'): Promise<SessionRecord[]> {
  const rows = await answered(
    Promise.resolve(
      db.sessions.where('[studentId+day]').between([studentId, from], [studentId, to], true, true).toArray(),
    ),
  );
  const sound = await soundOf('sessions', rows);
  return sound.sort((a, b) => b.day.localeCompare(a.day) || b.startedAt - a.startedAt);
}

/** A student's lessons, the latest first. */
export async function lessonsOf(studentId: string): Promise<LessonRecord[]> {
  const rows = await answered(
    Promise.resolve(
      db.lessons
        .where('[studentId+day]')
        .between([studentId, Dexie.minKey], [studentId, Dexie.maxKey])
        .toArray(),
    ),
  );
  const sound = await soundOf('lessons', rows);
  return sound.sort((a, b) => b.day.localeCompare(a.day) || b.createdAt - a.createdAt);
}

export async function cardsOf(studentId: string): Promise<CardRecord[]> {
  const rows = await answered(Promise.resolve(db.cards.where('studentId').equals(studentId).toArray()));
  return soundOf('cards', rows);
}

export function answersOf(studentId: string): Promise<AnswerRecord[]> {
  return answered(Promise.resolve(db.answers.where('studentId').equals(studentId).toArray()));
}

/** A session by its id; undefined where there is none that can be read. */
export async function getSession(id: string): Promise<SessionRecord | undefined> {
  const row = await answered(Promise.resolve(db.sessions.get(id)));
  return row && (await soundOf('sessions', [row]))[0];
}
