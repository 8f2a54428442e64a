import { joined, turnedRound, type Fields } from '../store/changes';

/** A change of some fields, with whatever else tells what it is a change of. */
type FieldChange = Fields<object>;

/** Changes before and after what stands now, the nearest last. */
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
export function afterEdit<C extends FieldChange>(
  history: History<C>,
  change: C,
  run: string | null,
): History<C> {
  const last = history.past.at(-1);
  if (run !== null && run === history.run && last) {
    const both = { ...change, ...joined(last, change) };
    return { past: [...history.past.slice(0, -1), both], future: [], run };
  }
  return { past: [...history.past, change].slice(-MOST_STEPS), future: [], run };
}

/** A change to be made, and the history once it is. */
export interface Step<C> {
  readonly change: C;
  readonly history: History<C>;
  /** The history where the change can no longer be made: the step is gone. */
  readonly without: History<C>;
}

/** One step back: what takes the last change back; null where there is none. */
export function undone<C extends FieldChange>(history: History<C>): Step<C> | null {
  const last = history.past.at(-1);
  if (!last) return null;
  return {
    change: { ...last, ...turnedRound(last) },
    history: { past: history.past.slice(0, -1), future: [...history.future, last], run: null },
    without: { past: history.past.slice(0, -1), future: history.future, run: null },
  };
}

/** One step forward again. */
export function redone<C extends FieldChange>(history: History<C>): Step<C> | null {
  const next = history.future.at(-1);
  if (!next) return null;
  return {
    change: next,
    history: { past: [...history.past, next], future: history.future.slice(0, -1), run: null },
    without: { past: history.past, future: history.future.slice(0, -1), run: null },
  };
}
