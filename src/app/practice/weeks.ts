import { format, parseISO, startOfISOWeek } from 'date-fns';
import type { DaySum } from '../../core';
import type { LessonRecord } from '../../core';
import { dayOf, daysFrom } from './calendar';

/*
 * Practice by weeks: minutes, and the tempo reached in each plan with its goal.
 */

export interface Week {
  /** Its Monday. */
  readonly day: string;
  /** "2 Nov". */
  readonly words: string;
  readonly minutes: number;
  /** By plan: the fastest that was clean. */
  readonly reached: Readonly<Record<string, number>>;
}

const mondayOf = (day: string) => dayOf(startOfISOWeek(parseISO(day)).getTime());

/** Every week from the first day to today; those in which nothing was practised too. */
export function weeksOf(days: readonly DaySum[], today: string): Week[] {
  const [first] = days;
  if (!first) return [];
  const byWeek = new Map<string, DaySum[]>();
  for (const day of days) {
    const monday = mondayOf(day.day);
    byWeek.set(monday, [...(byWeek.get(monday) ?? []), day]);
  }
  const weeks: Week[] = [];
  for (let day = mondayOf(first.day); day <= today; day = daysFrom(day, 7)) {
    const own = byWeek.get(day) ?? [];
    weeks.push({
      day,
      words: format(parseISO(day), 'd MMM'),
      minutes: Math.round(own.reduce((sum, { minutes }) => sum + minutes, 0)),
      reached: reachedIn(own),
    });
  }
  return weeks;
}

function reachedIn(days: readonly DaySum[]): Record<string, number> {
  const reached: Record<string, number> = {};
  for (const { plans } of days)
    for (const [id, plan] of Object.entries(plans))
      if (plan.reached !== undefined) reached[id] = Math.max(reached[id] ?? 0, Math.round(plan.reached));
  return reached;
}

/** The tempo that a plan is to reach, by the last lesson that says so; undefined where none does. */
export function goalOf(lessons: readonly LessonRecord[], planId: string): number | undefined {
  for (const { assigned } of lessons) {
    const goal = assigned.find((one) => one.planId === planId)?.goalBpm;
    if (goal !== undefined) return goal;
  }
  return undefined;
}
