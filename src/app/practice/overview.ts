import { useLiveQuery } from 'dexie-react-hooks';
import {
  comesBack,
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
import { daysOf } from '../../store/read';
import type { DaySum } from '../../core';
import { cardsOf, lessonsOf, sessionsOf, listPlans } from '../../store/read';
import { trendGoal, trendWords } from '../../wording/practice';
import { dueCards } from './dueCards';
import { dayNumber, dayOf, daysFrom, isFuture } from './calendar';
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
  /** Plans learned some weeks ago that come back today. */
  readonly old: readonly string[];
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
  const sessions = all.filter((session) => !isFuture(session.day, today) && !isEmpty(session));
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
    old: returning(counted, today, lessons[0]),
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

/** True of a session in which nothing stands: all of it was taken back. */
function isEmpty({ task, heard }: SessionRecord): boolean {
  return task !== undefined && heard.low + heard.in + heard.high + heard.missed === 0;
}

/** The plans that come back today, those longest away first; what is assigned comes anyway. */
function returning(days: readonly DaySum[], today: string, lesson: LessonRecord | undefined): string[] {
  const now = dayNumber(today);
  const played = new Map<string, number[]>();
  for (const { day, plans } of days)
    for (const id of Object.keys(plans)) played.set(id, [...(played.get(id) ?? []), dayNumber(day)]);
  const assigned = new Set(lesson?.assigned.map(({ planId }) => planId));
  return [...played]
    .filter(([id, own]) => !assigned.has(id) && comesBack(own, now))
    .sort(([, a], [, b]) => a[a.length - 1] - b[b.length - 1])
    .map(([id]) => id);
}

/** A session that was left longer ago is over. */
const LEFT_DAYS = 3;

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
