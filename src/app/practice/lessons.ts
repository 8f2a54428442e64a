import { proposeWeek, type WeekItem, type LessonRecord, type PlanRecord } from '../../core';
import { planTitle } from '../../wording/material';
import { data } from '../../store/browserState';
import { save } from '../writes';
import { edit } from '../editing';
import type { Overview } from './overview';

/*
 * A lesson: proposed from the log, edited by the teacher, kept.
 */

/** Minutes a day that are taken where nobody said how many there are. */
const USUAL_MINUTES = 20;

type LessonEdit = Partial<Pick<LessonRecord, 'minutes' | 'assigned' | 'items' | 'goal' | 'words'>>;

export function assignedFor(plan: PlanRecord): LessonRecord['assigned'][number] {
  return { planId: plan.id, what: planTitle(plan), words: '' };
}

/** What a week is proposed from. */
type Proposing = Pick<Overview, 'trends' | 'cardsDue' | 'cards' | 'old'>;

/** A week proposed anew from what is assigned, with the log as it is. */
export function proposed(
  overview: Proposing,
  assigned: readonly { readonly planId: string }[],
  minutes: number,
  about?: string | null,
): WeekItem[] {
  const { trends, cardsDue, cards, old } = overview;
  const first = trends.find(({ kind }) => kind === about);
  const items = proposeWeek({
    assigned: assigned.map(({ planId }) => planId),
    trends: first ? [first, ...trends] : trends,
    old: old.filter((id) => !assigned.some(({ planId }) => planId === id)),
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

/**
 * The parts of a day once other plans were assigned or other minutes set. What was only proposed is proposed anew; what the teacher wrote, ordered or timed
 * stays, without the plans that went and with those that came.
 */
export function itemsAfter(
  { items, assigned, minutes }: LessonRecord,
  overview: Proposing,
  next: LessonRecord['assigned'],
  day: number,
): WeekItem[] {
  const fresh = proposed(overview, next, day);
  const text = (list: readonly WeekItem[]) => JSON.stringify(list);
  if (text(items) === text(proposed(overview, assigned, minutes))) return fresh;
  const has = (list: LessonRecord['assigned'], id: string | undefined) => list.some(({ planId }) => planId === id);
  const gone = assigned.filter(({ planId }) => !has(next, planId));
  const came = next.filter(({ planId }) => !has(assigned, planId));
  return [...items.filter(({ planId }) => !has(gone, planId)), ...fresh.filter(({ planId }) => has(came, planId))];
}

const isObjects = (found: unknown) => Array.isArray(found) && found.every((part) => typeof part === 'object' && part);

/** What is remembered may be anything: a draft that is no lesson is not taken for one. */
function isLesson(found: unknown): found is LessonRecord {
  const { id, day, goal, words, minutes, assigned, items } = (found ?? {}) as Partial<LessonRecord>;
  const areTexts = [id, day, goal, words].every((text) => typeof text === 'string');
  return areTexts && typeof minutes === 'number' && isObjects(assigned) && isObjects(items);
}

const draft = (studentId: string) =>
  data<LessonRecord | null>('session', `dove-path-lesson:${studentId}`, (found) => (isLesson(found) ? found : null));

/** Keeps a lesson that was edited and not kept yet, for as long as the tab lives. */
export const keepLessonDraft = (lesson: LessonRecord) => draft(lesson.studentId).write(lesson);

/** The lesson of a day that was edited and not kept yet; null where there is none. */
export function lessonDraftOf(studentId: string, day: string): LessonRecord | null {
  const found = draft(studentId).read();
  return found?.day === day ? found : null;
}

export function keepLesson(lesson: LessonRecord): Promise<boolean> {
  return save([{ kind: 'added', table: 'lessons', record: lesson }], () => draft(lesson.studentId).clear());
}

/** An edit of a lesson as it is by then: what is typed comes faster than the page hears of what was kept. */
export type LessonChange = (lesson: LessonRecord) => LessonEdit;

export function editLesson(lesson: LessonRecord, change: LessonChange): Promise<boolean> {
  return edit('lessons', lesson, change);
}
