import { useLiveQuery } from 'dexie-react-hooks';
import {
  earlyIn,
  sumOf,
  trendsIn,
  type Sums,
  type Trend,
  type CardRecord,
  type LessonRecord,
  type PlanRecord,
  type SessionRecord,
} from '../../core';
import { db } from '../../store/db';
import { daysOf } from '../../store/read';
import type { DaySum } from '../../core';
import { memoriesOf } from '../../store/read';
import { cardsOf, lessonsOf, sessionsOf, listPlans } from '../../store/read';
import { trendGoal, trendWords } from '../../wording/practice';
import { dayOf, daysFrom, isFuture } from './calendar';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * What is known of one student's practice: the last weeks whole, earlier ones by their sums.
 */

/** Days that the plain counts look back on, and that trends do: what is told stands however often one looks in half a year. */
export const COUNTED_DAYS = 42;
const TREND_DAYS = 182;
/** What is of late, against all before. */
const LATE_DAYS = 14;
/** Days that are read whole: eight weeks, as Progress shows them first. */
export const OVERVIEW_DAYS = 56;

export interface Overview {
  readonly studentId: string;
  readonly today: string;
  readonly plans: readonly PlanRecord[];
  /** Entries of the last weeks, the latest first; those dated in the future are told apart. */
  readonly sessions: readonly SessionRecord[];
  readonly future: readonly SessionRecord[];
  /** One that was left in the middle. */
  readonly left: SessionRecord | undefined;
  readonly days: readonly DaySum[];
  readonly sums: Sums;
  readonly trends: readonly Trend[];
  /** Kinds of which it is too early to say anything, with what was counted. */
  readonly early: ReturnType<typeof earlyIn>;
  /** The latest first; those dated in the future are told apart. */
  readonly lessons: readonly LessonRecord[];
  readonly futureLessons: readonly LessonRecord[];
  readonly cards: readonly CardRecord[];
  readonly cardsDue: number;
}

/** All of it, as it is now; undefined while it is read. */
export function useOverview(studentId: string | undefined): Overview | undefined {
  const read = useLiveQuery(
    () => (studentId === undefined ? undefined : overviewOf(studentId, Date.now())),
    [studentId],
  );
  // Until the new one is read the query still gives that of the student before.
  return read?.studentId === studentId ? read : undefined;
}

async function overviewOf(studentId: string, now: number): Promise<Overview> {
  const today = dayOf(now);
  const from = daysFrom(today, -COUNTED_DAYS);
  const earliest = daysFrom(today, -OVERVIEW_DAYS);
  const [all, days, lessons, cards, plans, cardsDue] = await Promise.all([
    sessionsOf(studentId, from),
    daysOf(studentId, daysFrom(today, -TREND_DAYS)),
    lessonsOf(studentId),
    cardsOf(studentId),
    listPlans(),
    dueCards(studentId, now),
  ]);
  const sessions = all.filter(({ day }) => !isFuture(day, today));
  const counted = days.filter(({ day }) => !isFuture(day, today));
  // Days counted by an earlier rule are counted anew before long.
  const sound = counted.filter(({ rule }) => rule === 2);
  const trends = trendsIn(sound, daysFrom(today, -LATE_DAYS));
  return {
    studentId,
    today,
    sessions,
    days: counted.filter(({ day }) => day >= earliest),
    sums: sumOf(counted.filter(({ day }) => day >= from)),
    trends,
    early: earlyIn(sound, trends),
    lessons: lessons.filter(({ day }) => !isFuture(day, today)),
    futureLessons: lessons.filter(({ day }) => isFuture(day, today)),
    cards,
    cardsDue,
    plans: plans.filter((plan) => plan.studentId === studentId),
    future: all.filter(({ day }) => isFuture(day, today)),
    left: sessions.find((one) => one.task && one.endedAt === null && one.day >= daysFrom(today, -LEFT_DAYS)),
  };
}

/** A session that was left longer ago is over. */
const LEFT_DAYS = 3;

/** Cards to be asked now: those whose time has come, and those that were never asked. */
export async function dueCards(studentId: string, now: number): Promise<number> {
  const [memories, cards] = await Promise.all([
    memoriesOf(studentId),
    db.cards.where('studentId').equals(studentId).count(),
  ]);
  const later = memories.filter(({ due }) => due > now).length;
  return Math.max(0, cards - later);
}

/** A goal for a session, with what speaks for it. */
export interface SessionGoal {
  readonly words: string;
  readonly why: string;
}

/** The teacher's goal, and goals proposed from the log. */
export function goalsOf({ lessons, trends }: Pick<Overview, 'lessons' | 'trends'>): SessionGoal[] {
  const set = lessons[0]?.goal;
  return [
    ...(set ? [{ words: set, why: practiceAppText.setAtTheLast }] : []),
    ...trends.slice(0, 3).map((trend) => ({ words: trendGoal(trend), why: trendWords(trend) })),
  ];
}
