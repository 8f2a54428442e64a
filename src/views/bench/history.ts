import type { PlanRecord } from '../../store/records';

/** What an edit can change, and undo brings back. */
export type Edited = Pick<PlanRecord, 'name' | 'request' | 'typed' | 'chosen'>;

/** States before and after the one on the stand, the nearest last. */
export interface History {
  readonly past: readonly Edited[];
  readonly future: readonly Edited[];
  /** Marks edits of one kind that follow each other, such as letters typed into one box. */
  readonly run: string | null;
}

/** Steps kept; a long lesson of edits is shorter. */
export const MOST_STEPS = 500;

export const NO_HISTORY: History = { past: [], future: [], run: null };

export function editedOf({ name, request, typed, chosen }: PlanRecord): Edited {
  return { name, request, typed, chosen };
}

/**
 * The history after an edit.
 * @param run a name for edits that follow each other and are undone together; null for an edit of its own
 */
export function afterEdit(history: History, before: Edited, run: string | null): History {
  if (run !== null && run === history.run) return { ...history, future: [] };
  return { past: [...history.past, before].slice(-MOST_STEPS), future: [], run };
}

/** One step back: the state to bring back and the history then; null where there is none. */
export function undone(
  history: History,
  now: Edited,
): { readonly state: Edited; readonly history: History } | null {
  const state = history.past.at(-1);
  if (!state) return null;
  return {
    state,
    history: { past: history.past.slice(0, -1), future: [...history.future, now], run: null },
  };
}

/** One step forward again. */
export function redone(
  history: History,
  now: Edited,
): { readonly state: Edited; readonly history: History } | null {
  const state = history.future.at(-1);
  if (!state) return null;
  return {
    state,
    history: { past: [...history.past, now], future: history.future.slice(0, -1), run: null },
  };
}
