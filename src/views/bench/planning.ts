import { heldAlike, type Plan } from '../../core';
import { planInWorker } from '../../work/planner';
import { useBench } from './state';

/** Alternatives the Bench asks for. */
export const ALTERNATIVES = 5;

let asked = 0;

/**
 * Plans the request on the stand; an answer that comes after a newer question is dropped.
 * @param follow a plan of the same notes: the most like it is put on the stand, not the cheapest
 * @returns whether another than the cheapest was put there so
 */
export async function replan(follow: Plan | null = null): Promise<boolean> {
  const ask = ++asked;
  const { getState: get, setState: set } = useBench;
  const { request } = get().record;
  const asking = { ...request, alternatives: ALTERNATIVES };
  const answer = await planInWorker(asking);
  if (ask !== asked) return false;
  if ('error' in answer) {
    set({ issues: answer.error.issues });
    return false;
  }
  const { record, cursor, selection } = get();
  const wanted = follow ? mostLike(answer.plans, follow) : record.chosen;
  const chosen = Math.max(0, Math.min(wanted, answer.plans.length - 1));
  const last = answer.events.length - 1;
  set({
    response: answer,
    planned: asking,
    issues: [],
    cursor: Math.min(cursor, last),
    selection: selection && selection.to <= last ? selection : null,
    record: answer.plans.length > 0 && chosen !== record.chosen ? { ...record, chosen } : record,
  });
  return follow !== null && chosen > 0;
}

/** Which of some plans holds the most notes as another does; the cheapest of equals. */
function mostLike(plans: readonly Plan[], other: Plan): number {
  const alike = plans.map(
    ({ steps }) => steps.filter((step, at) => other.steps[at] && heldAlike(step, other.steps[at])).length,
  );
  return alike.indexOf(Math.max(...alike));
}
