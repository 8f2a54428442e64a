/** States before and after the one on the stand, the nearest last. */
export interface History<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
  /** Marks edits of one kind that follow each other, such as letters typed into one box. */
  readonly run: string | null;
}

/** Steps kept; a long lesson of edits is shorter. */
export const MOST_STEPS = 500;

export const NO_HISTORY: History<never> = { past: [], future: [], run: null };

/**
 * The history after an edit.
 * @param run a name for edits that follow each other and are undone together; null for an edit of its own
 */
export function afterEdit<T>(history: History<T>, before: T, run: string | null): History<T> {
  if (run !== null && run === history.run) return { ...history, future: [] };
  return { past: [...history.past, before].slice(-MOST_STEPS), future: [], run };
}

/** A state brought back, and the history then. */
export interface Step<T> {
  readonly state: T;
  readonly history: History<T>;
}

/** One step back: the state to bring back and the history then; null where there is none. */
export function undone<T>(history: History<T>, now: T): Step<T> | null {
  const state = history.past.at(-1);
  if (!state) return null;
  return {
    state,
    history: { past: history.past.slice(0, -1), future: [...history.future, now], run: null },
  };
}

/** One step forward again. */
export function redone<T>(history: History<T>, now: T): Step<T> | null {
  const state = history.future.at(-1);
  if (!state) return null;
  return {
    state,
    history: { past: [...history.past, now], future: history.future.slice(0, -1), run: null },
  };
}
