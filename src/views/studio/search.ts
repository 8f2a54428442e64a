import { instrumentWords } from '../../wording/instruments';
import { planTitle, requestWords } from '../../wording/material';
import type { PlanRecord, StudentRecord } from '../../core';
import * as studioViewsText from '../../wording/rooms/studioViews';

/** What a search finds: everything that has all the words. A key is a whole word: "D" is neither "double" nor "D flat". */
export function found(
  search: string,
  students: readonly StudentRecord[],
  plans: readonly PlanRecord[],
): { readonly students: StudentRecord[]; readonly plans: PlanRecord[] } {
  const asked = wordsOf(search);
  if (asked.length === 0) return { students: [...students], plans: [...plans] };
  const has = (words: readonly string[]) => asked.every((one) => words.some((word) => means(word, one)));
  const byId = new Map(students.map((student) => [student.id, student]));
  return {
    students: students.filter(({ name, plays, remark }) =>
      has(wordsOf([name, instrumentWords(plays.instrument), remark].join(' '))),
    ),
    plans: plans.filter((plan) => has(wordsOfPlan(plan, byId.get(plan.studentId ?? '')))),
  };
}

/** The words of plans that were looked through before. */
const known = new WeakMap<
  PlanRecord,
  { readonly owner: StudentRecord | undefined; readonly words: readonly string[] }
>();

/** Plans whose words are worked out between two things that the page does. */
const AT_ONCE = 100;
/** Ms between them. */
const PAUSE = 30;

/** Works out the words of all plans while nothing is searched yet. @returns ends it */
export function searchSoon(students: readonly StudentRecord[], plans: readonly PlanRecord[]): () => void {
  const byId = new Map(students.map((student) => [student.id, student]));
  let timer: ReturnType<typeof setTimeout>;
  const go = (from: number) => {
    for (const plan of plans.slice(from, from + AT_ONCE)) wordsOfPlan(plan, byId.get(plan.studentId ?? ''));
    if (from + AT_ONCE < plans.length) timer = setTimeout(() => go(from + AT_ONCE), PAUSE);
  };
  // A small studio is searched at once as it is.
  if (plans.length > AT_ONCE) timer = setTimeout(() => go(0), 20 * PAUSE);
  return () => clearTimeout(timer);
}

function wordsOfPlan(plan: PlanRecord, owner: StudentRecord | undefined): readonly string[] {
  const before = known.get(plan);
  if (before && before.owner === owner) return before.words;
  const words = wordsOf([planTitle(plan, owner), requestWords(plan.request), ...plan.tags].join(' '));
  known.set(plan, { owner, words });
  return words;
}

/** Words so short are keys, numbers and the like: they are meant whole. */
const WHOLE = 2;

function means(word: string, asked: string): boolean {
  return asked.length <= WHOLE ? word === asked : word.startsWith(asked);
}

/** The words of a text; "E♭" is found by "eb" and "e flat" alike. */
function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .replaceAll('♭', 'b')
    .replaceAll('♯', '#')
    .replaceAll(/\b([a-g])[ -]flat\b/g, '$1b')
    .replaceAll(/\b([a-g])[ -]sharp\b/g, '$1#')
    .split(/[\s,:;.()“”"]+/)
    .filter(Boolean);
}

/** All tags in use, in the order of the alphabet. */
export function tagsOf(plans: readonly PlanRecord[]): string[] {
  return [...new Set(plans.flatMap(({ tags }) => tags))].sort((a, b) => a.localeCompare(b));
}

/** Orders of the list, the newest or the first of the alphabet first. */
export const ORDERS = [
  ['changed', studioViewsText.lastChanged],
  ['opened', studioViewsText.lastOpened],
  ['made', studioViewsText.lastMade],
  ['name', studioViewsText.byName],
] as const;

export type Order = (typeof ORDERS)[number][0];

/** @param opened when each plan was opened last, by id */
export function inOrder(
  plans: readonly PlanRecord[],
  order: Order,
  opened: ReadonlyMap<string, number>,
  students: readonly StudentRecord[],
): PlanRecord[] {
  const byId = new Map(students.map((student) => [student.id, student]));
  const titles = new Map(
    order === 'name' ? plans.map((plan) => [plan, planTitle(plan, byId.get(plan.studentId ?? ''))]) : [],
  );
  const title = (plan: PlanRecord) => titles.get(plan) ?? '';
  const by: Readonly<Record<Order, (a: PlanRecord, b: PlanRecord) => number>> = {
    changed: (a, b) => b.changedAt - a.changedAt,
    opened: (a, b) => (opened.get(b.id) ?? 0) - (opened.get(a.id) ?? 0),
    made: (a, b) => b.createdAt - a.createdAt,
    name: (a, b) => title(a).localeCompare(title(b)),
  };
  return [...plans].sort(by[order]);
}
