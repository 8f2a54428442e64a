import { group } from 'd3-array';
import { countsOf, isAsWritten, joinedSums, standing, type Judged, type Repetition, type SessionRecord } from '../core';
import { db } from './db';
import type { TableName } from './tables';
import { rowIssue } from './valid';
import type { Change } from './changes';
import type { DaySum, PlanDay } from '../core';

/*
 * Daily sums of what was practised, so that years of it need not be read to say what the last weeks were like. They are written with each repetition and
 * follow from the log alone: counted anew they come out the same.
 */

export const dayKey = (studentId: string, day: string) => `${studentId}/${day}`;

function emptyDay(studentId: string, day: string): DaySum {
  return { id: dayKey(studentId, day), studentId, day, minutes: 0, plans: {}, rule: 2, sums: {} };
}

/** The sums of one day from its sessions and their repetitions. */
export function daySum(
  studentId: string,
  day: string,
  sessions: readonly SessionRecord[],
  repetitions: ReadonlyMap<string, readonly Repetition[]>,
): DaySum {
  return sessions.reduce(
    (sum, session) => withRepetitions(withSession(sum, session), standing(repetitions.get(session.id) ?? []), session),
    emptyDay(studentId, day),
  );
}

/** A day's sums with a session put to them. */
function withSession(sum: DaySum, session: SessionRecord): DaySum {
  const { minutes, planId } = session;
  const reached = reachedOfPlan(session);
  const all = { ...sum, minutes: sum.minutes + minutes };
  if (!planId) return all;
  const before: PlanDay = sum.plans[planId] ?? { minutes: 0 };
  const fastest = Math.max(before.reached ?? 0, reached);
  const plan: PlanDay =
    fastest > 0 ? { minutes: before.minutes + minutes, reached: fastest } : { minutes: before.minutes + minutes };
  return { ...all, plans: { ...sum.plans, [planId]: plan } };
}

/** The tempo at which the whole plan was clean as it is written; 0 where it was not. A fragment, another rhythm, a single target have their own, in the log. */
function reachedOfPlan({ task, reached = 0 }: SessionRecord): number {
  if (!task) return reached;
  return task.whole !== false && isAsWritten(task) ? reached : 0;
}

/** A day's sums with some repetitions of a session put to them. */
function withRepetitions(sum: DaySum, judged: readonly Judged[], { places }: Pick<SessionRecord, 'places'>): DaySum {
  const sums = judged.reduce((all, one) => joinedSums(all, countsOf(one, places)), sum.sums);
  return { ...sum, sums };
}

/** Counts anew the days that some changes touch; inside a transaction over sessions, repetitions and days. */
export async function recountDays(changes: readonly Change[]): Promise<void> {
  const days = new Map<string, readonly [studentId: string, day: string]>();
  const touch = (studentId: string, day: string | undefined) => {
    if (day) days.set(dayKey(studentId, day), [studentId, day]);
  };
  const played = new Set<string>();
  for (const change of changes) {
    if (change.table === 'sessions') {
      if (change.kind !== 'updated') touch(change.record.studentId, change.record.day);
      else {
        const now = await db.sessions.get(change.id);
        for (const day of [now?.day, change.from.day, change.to.day]) if (now) touch(now.studentId, day);
      }
    }
    if (change.table === 'repetitions' && change.kind !== 'updated') played.add(change.record.sessionId);
  }
  if (played.size > 0)
    for (const session of await db.sessions.bulkGet([...played])) if (session) touch(session.studentId, session.day);
  if (days.size > MANY_DAYS) await recountAll(days);
  else for (const [studentId, day] of days.values()) await recount(studentId, day);
}

/** Days from which on all of the log is read at once, which is then sooner than day by day. */
const MANY_DAYS = 200;

async function recountAll(days: ReadonlyMap<string, readonly [studentId: string, day: string]>): Promise<void> {
  const sessions = (await db.sessions.toArray()).filter(isSound('sessions'));
  const repetitions = (await db.repetitions.toArray()).filter(isSound('repetitions'));
  const byDay = group(sessions, ({ studentId, day }) => dayKey(studentId, day));
  const bySession = group(repetitions, ({ sessionId }) => sessionId);
  await db.days.bulkDelete([...days.keys()].filter((key) => !byDay.has(key)));
  await db.days.bulkPut(
    [...days].flatMap(([key, [studentId, day]]) => {
      const own = byDay.get(key);
      return own ? [daySum(studentId, day, own, bySession)] : [];
    }),
  );
}

const isSound = (table: TableName) => (row: unknown) => rowIssue(table, row) === null;

/** Counts a day anew from what is sound of the log; inside a transaction over sessions, repetitions and days. */
export async function recount(studentId: string, day: string): Promise<void> {
  const all = await db.sessions.where('[studentId+day]').equals([studentId, day]).toArray();
  const sessions = all.filter(isSound('sessions'));
  if (sessions.length === 0) {
    await db.days.delete(dayKey(studentId, day));
    return;
  }
  const repetitions = await db.repetitions
    .where('sessionId')
    .anyOf(sessions.map(({ id }) => id))
    .toArray();
  await db.days.put(
    daySum(
      studentId,
      day,
      sessions,
      group(repetitions.filter(isSound('repetitions')), ({ sessionId }) => sessionId),
    ),
  );
}
