import { Dexie } from 'dexie';
import { countsOf, joinedSums, standing, type Judged, type Repetition, type Sums } from '../core';
import { db } from './db';
import type { SessionRecord } from './records';

/*
 * Daily sums of what was practised, so that years of it need not be read to say what the last weeks were like. They are written with each repetition and
 * follow from the log alone: counted anew they come out the same.
 */

export interface DaySum {
  /** Student and day. */
  readonly id: string;
  readonly studentId: string;
  readonly day: string;
  readonly minutes: number;
  /** By plan: minutes, and the fastest at which it was clean. */
  readonly plans: Readonly<Record<string, PlanDay>>;
  readonly sums: Sums;
}

interface PlanDay {
  readonly minutes: number;
  readonly reached?: number;
}

export const dayKey = (studentId: string, day: string) => `${studentId}/${day}`;

function emptyDay(studentId: string, day: string): DaySum {
  return { id: dayKey(studentId, day), studentId, day, minutes: 0, plans: {}, sums: {} };
}

/** The sums of one day from its sessions and their repetitions. */
export function daySum(
  studentId: string,
  day: string,
  sessions: readonly SessionRecord[],
  repetitions: ReadonlyMap<string, readonly Repetition[]>,
): DaySum {
  return sessions.reduce(
    (sum, session) =>
      withRepetitions(withSession(sum, null, session), standing(repetitions.get(session.id) ?? []), session),
    emptyDay(studentId, day),
  );
}

/** A day's sums after a session became what it is. */
export function withSession(sum: DaySum, before: SessionRecord | null, session: SessionRecord): DaySum {
  const more = session.minutes - (before?.minutes ?? 0);
  const { planId } = session;
  const minutes = sum.minutes + more;
  if (!planId) return { ...sum, minutes };
  const own: PlanDay = sum.plans[planId] ?? { minutes: 0 };
  const reached = Math.max(own.reached ?? 0, session.reached ?? 0);
  const plan = { minutes: own.minutes + more, ...(reached > 0 ? { reached } : {}) };
  return { ...sum, minutes, plans: { ...sum.plans, [planId]: plan } };
}

/** A day's sums with some repetitions of a session put to them. */
export function withRepetitions(
  sum: DaySum,
  judged: readonly Judged[],
  { places }: Pick<SessionRecord, 'places'>,
): DaySum {
  const sums = judged.reduce((all, one) => joinedSums(all, countsOf(one, places)), sum.sums);
  return { ...sum, sums };
}

export async function getDay(studentId: string, day: string): Promise<DaySum> {
  return (await db.days.get(dayKey(studentId, day))) ?? emptyDay(studentId, day);
}

/** Counts a day anew from its log. To be called where sessions, repetitions and days are being written. */
export async function recount(studentId: string, day: string): Promise<void> {
  const sessions = await db.sessions.where('[studentId+day]').equals([studentId, day]).toArray();
  if (sessions.length === 0) {
    await db.days.delete(dayKey(studentId, day));
    return;
  }
  const all = await db.repetitions
    .where('sessionId')
    .anyOf(sessions.map(({ id }) => id))
    .toArray();
  const bySession = new Map<string, Repetition[]>();
  for (const one of all) bySession.set(one.sessionId, [...(bySession.get(one.sessionId) ?? []), one]);
  await db.days.put(daySum(studentId, day, sessions, bySession));
}

/** A student's days from one to another, in order. @param from @param to days, both in it */
export function daysOf(studentId: string, from: string, to = '9999-99-99'): Promise<DaySum[]> {
  return db.days.where('[studentId+day]').between([studentId, from], [studentId, to], true, true).toArray();
}

/** Everything a student practised, gone for good: once the student is gone from the bin too. */
export async function clearPractice(studentId: string): Promise<void> {
  const tables = [db.sessions, db.repetitions, db.days, db.cards, db.answers, db.memories, db.lessons];
  await db.transaction('rw', tables, async () => {
    const own = db.sessions
      .where('[studentId+day]')
      .between([studentId, Dexie.minKey], [studentId, Dexie.maxKey]);
    const sessions = await own.primaryKeys();
    await db.repetitions.where('sessionId').anyOf(sessions).delete();
    await own.delete();
    await db.days
      .where('[studentId+day]')
      .between([studentId, Dexie.minKey], [studentId, Dexie.maxKey])
      .delete();
    await db.lessons
      .where('[studentId+day]')
      .between([studentId, Dexie.minKey], [studentId, Dexie.maxKey])
      .delete();
    await db.cards.where('studentId').equals(studentId).delete();
    await db.answers.where('studentId').equals(studentId).delete();
    await db.memories.where('studentId').equals(studentId).delete();
  });
}
