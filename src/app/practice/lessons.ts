import { proposeWeek, type WeekItem, type LessonRecord, type PlanRecord } from '../../core';
import { planTitle } from '../../wording/material';
import { save } from '../writes';
import { edit } from '../editing';
import type { Overview } from './overview';

/*
 * A lesson: proposed from the log, edited by the teacher, kept.
 */

/** Minutes a day that are taken where nobody said how many there are. */
const USUAL_MINUTES = 20;

export type LessonEdit = Partial<Pick<LessonRecord, 'minutes' | 'assigned' | 'items' | 'goal' | 'words'>>;

export function assignedFor(plan: PlanRecord): LessonRecord['assigned'][number] {
  return { planId: plan.id, what: planTitle(plan), words: '' };
}

/** A week proposed anew from what is assigned, with the log as it is. */
export function proposed(
  overview: Pick<Overview, 'trends' | 'cardsDue' | 'cards'>,
  assigned: readonly { readonly planId: string }[],
  minutes: number,
  about?: string | null,
): WeekItem[] {
  const { trends, cardsDue, cards } = overview;
  const first = trends.find(({ kind }) => kind === about);
  const items = proposeWeek({
    assigned: assigned.map(({ planId }) => planId),
    trends: first ? [first, ...trends] : trends,
    ...(assigned[0] ? { hardPlace: assigned[0].planId } : {}),
    cardsDue: Math.max(cardsDue, cards.length > 0 ? 1 : 0),
    minutes,
  });
  return items;
}

/** The lesson of today as it begins: what was assigned last stays assigned, the rest is proposed. */
export function lessonToday(studentId: string, overview: Overview, about: string | null): LessonRecord {
  const { lessons, plans, today } = overview;
  const [last] = lessons;
  const here = new Set(plans.map(({ id }) => id));
  const before = last?.assigned.filter(({ planId }) => here.has(planId)) ?? [];
  const assigned = before.length > 0 ? before : plans.slice(0, 1).map(assignedFor);
  const minutes = last?.minutes ?? USUAL_MINUTES;
  const now = Date.now();
  return {
    id: crypto.randomUUID(),
    studentId,
    day: today,
    minutes,
    assigned,
    goal: '',
    words: '',
    items: proposed(overview, assigned, minutes, about),
    createdAt: now,
    changedAt: now,
  };
}

export function keepLesson(lesson: LessonRecord): Promise<boolean> {
  return save([{ kind: 'added', table: 'lessons', record: lesson }]);
}

export function editLesson(lesson: LessonRecord, to: LessonEdit): Promise<boolean> {
  return edit('lessons', lesson, to);
}
