import { instrumentWords } from '../../wording/instruments';
import { planTitle, requestWords } from '../../wording/material';
import type { PlanRecord, StudentRecord } from '../../store/records';

/** What a search finds: everything that has all the words somewhere. */
export function found(
  search: string,
  students: readonly StudentRecord[],
  plans: readonly PlanRecord[],
): { readonly students: StudentRecord[]; readonly plans: PlanRecord[] } {
  const words = plain(search).split(/\s+/).filter(Boolean);
  const has = (text: string) => words.every((word) => plain(text).includes(word));
  const owner = (plan: PlanRecord) => students.find(({ id }) => id === plan.studentId);
  return {
    students: students.filter(({ name, plays, remark }) =>
      has([name, instrumentWords(plays.instrument), remark].join(' ')),
    ),
    plans: plans.filter((plan) =>
      has([planTitle(plan, owner(plan)), requestWords(plan.request), ...plan.tags].join(' ')),
    ),
  };
}

/** "E♭" is found by "eb" and "e flat" alike. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .replaceAll('♭', 'b')
    .replaceAll('♯', '#')
    .replaceAll(/ flat\b/g, 'b')
    .replaceAll(/ sharp\b/g, '#');
}

/** All tags in use, in the order of the alphabet. */
export function tagsOf(plans: readonly PlanRecord[]): string[] {
  return [...new Set(plans.flatMap(({ tags }) => tags))].sort((a, b) => a.localeCompare(b));
}
