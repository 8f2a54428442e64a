import { planInWorker } from '../../work/planner';
import { useBench } from './state';

/** Alternatives the Bench asks for. */
export const ALTERNATIVES = 5;

let asked = 0;

/** Plans the request on the stand; an answer that comes after a newer question is dropped. */
export async function replan() {
  const ask = ++asked;
  const { getState: get, setState: set } = useBench;
  const answer = await planInWorker({ ...get().record.request, alternatives: ALTERNATIVES });
  if (ask !== asked) return;
  if ('error' in answer) {
    set({ issues: answer.error.issues });
    return;
  }
  const { record, cursor, selection } = get();
  const chosen = Math.max(0, Math.min(record.chosen, answer.plans.length - 1));
  const last = answer.events.length - 1;
  set({
    response: answer,
    issues: [],
    cursor: Math.min(cursor, last),
    selection: selection && selection.to <= last ? selection : null,
    record: answer.plans.length > 0 ? { ...record, chosen } : record,
  });
}
