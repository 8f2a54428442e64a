import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { DaySum, StudentRecord, Trend } from '../../core';
import { sumOf, trendsIn } from '../../core';
import { daysOf, listPlans, listStudents, practisedBy, type Practised } from '../../store/read';
import { planTitle } from '../../wording/material';
import { dayNumber, dayOf, daysFrom, isFuture } from './calendar';
import { dueOf } from './dueCards';

/*
 * All students on one page, as a teacher looks at them before the lessons: who comes next, and what became of the week.
 */

/** One student before the lesson. */
export interface BeforeLesson {
  readonly student: StudentRecord;
  /** Of the last days, the oldest first, whether there was practice. */
  readonly practised: readonly boolean[];
  /** Minutes of these days, and what the lesson asked for. */
  readonly minutes: number;
  readonly asked: number;
  /** The assigned plans with the tempo reached and the goal. */
  readonly tempi: readonly { readonly what: string; readonly reached?: number; readonly goal?: number }[];
  readonly question: string;
  readonly cardsDue: number;
}

/** Days that are shown. */
const WEEK = 7;
/** Days in which the tempo of a plan is looked for. */
const TEMPO_DAYS = 42;
const TREND_DAYS = 182;

/** All of them, those whose lesson comes next first; undefined while they are read. */
export function useAllStudents(): readonly BeforeLesson[] | undefined {
  return useLiveQuery(async () => {
    const [students, plans] = await Promise.all([listStudents(), listPlans()]);
    const titles = new Map(plans.map((plan) => [plan.id, planTitle(plan)]));
    const now = Date.now();
    const today = dayOf(now);
    const from = { days: daysFrom(today, -TEMPO_DAYS), sessions: daysFrom(today, 1 - WEEK) };
    const practised = await practisedBy(
      students.map(({ id }) => id),
      from,
    );
    const all = students.map((student, at) => beforeLesson(student, practised[at], titles, now));
    return all.sort((a, b) => untilLesson(a.student, now) - untilLesson(b.student, now));
  }, []);
}

/**
 * The first trend of each student, one student after the other once the page stands: half a year of a whole school takes longer to weigh than the rest takes
 * to be shown.
 */
export function useFirstTrends(all: readonly BeforeLesson[] | undefined): ReadonlyMap<string, Trend> {
  const [trends, setTrends] = useState<ReadonlyMap<string, Trend>>(new Map());
  useEffect(() => {
    let here = true;
    const weigh = async () => {
      const today = dayOf(Date.now());
      for (const { student } of all ?? []) {
        const days = await daysOf(student.id, daysFrom(today, -TREND_DAYS), today);
        if (!here) return;
        const sound = days.filter(({ rule }) => rule === 2);
        const trend = Object.keys(sumOf(sound)).length > 0 ? trendsIn(sound).at(0) : undefined;
        if (trend) setTrends((before) => new Map([...before, [student.id, trend]]));
        await new Promise((done) => setTimeout(done));
      }
    };
    weigh().catch(() => undefined);
    return () => {
      here = false;
    };
  }, [all]);
  return trends;
}

function beforeLesson(
  student: StudentRecord,
  practised: Practised,
  titles: ReadonlyMap<string, string>,
  now: number,
): BeforeLesson {
  const today = dayOf(now);
  const from = daysFrom(today, 1 - WEEK);
  const { lessons } = practised;
  const days = practised.days.filter(({ day }) => day <= today);
  const sessions = practised.sessions.filter(({ day }) => day <= today);
  const lesson = lessons.find(({ day }) => !isFuture(day, today));
  const late = days.filter(({ day }) => day >= from);
  return {
    student,
    cardsDue: dueOf(practised, now).cards.length,
    practised: Array.from({ length: WEEK }, (_, n) => late.some(({ day }) => day === daysFrom(from, n))),
    minutes: Math.round(late.reduce((sum, { minutes }) => sum + minutes, 0)),
    asked: lesson ? WEEK * lesson.minutes : 0,
    tempi: (lesson?.assigned ?? []).map(({ planId, what, goalBpm }) => ({
      what: titles.get(planId) ?? what,
      ...reachedOf(days, planId),
      ...(goalBpm ? { goal: goalBpm } : {}),
    })),
    question: sessions.find(({ question }) => question !== '')?.question ?? '',
  };
}

/** The tempo reached last. */
function reachedOf(days: readonly DaySum[], planId: string): { readonly reached?: number } {
  const reached = days.findLast(({ plans }) => plans[planId]?.reached !== undefined)?.plans[planId].reached;
  return reached === undefined ? {} : { reached: Math.round(reached) };
}

const MINUTES_A_WEEK = 7 * 24 * 60;

/** Minutes until the next lesson; those without one come last. */
export function untilLesson({ lessonAt }: Pick<StudentRecord, 'lessonAt'>, now: number): number {
  if (!lessonAt) return Infinity;
  const [hour, minute] = lessonAt.time.split(':').map(Number);
  const date = new Date(now);
  const at = (dayNumber(dayOf(now)) % 7) * 1440 + date.getHours() * 60 + date.getMinutes();
  const next = lessonAt.weekday * 1440 + hour * 60 + minute;
  return (((next - at) % MINUTES_A_WEEK) + MINUTES_A_WEEK) % MINUTES_A_WEEK;
}
