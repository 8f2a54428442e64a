import { joined, turnedRound, type Fields } from '../store/changes';

/*
 * Undo, for everything that is edited, with one rule: a step takes back one's own edit and never what another page has written since. Where the fields are not
 * as the edit left them the step is not taken; it says so and stays.
 */

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
export function afterEdit<C extends FieldChange>(history: History<C>, change: C, run: string | null): History<C> {
  const last = history.past.at(-1);
  if (run !== null && run === history.run && last) {
    const both = { ...change, ...joined(last, change) };
    return { past: [...history.past.slice(0, -1), both], future: [], run };
  }
  return { past: [...history.past, change].slice(-MOST_STEPS), future: [], run };
}

/** One step back or forward: the change to be made, and the history once it is. */
export interface Step<C> {
  readonly change: C;
  readonly history: History<C>;
}

export type Direction = 'back' | 'forward';

/** One step back takes the last change back; one forward makes it again. Null where there is none. */
export function stepOf<C extends FieldChange>(history: History<C>, direction: Direction): Step<C> | null {
  const { past, future } = history;
  if (direction === 'back') {
    const last = past.at(-1);
    if (!last) return null;
    const change = { ...last, ...turnedRound(last) };
    return { change, history: { past: past.slice(0, -1), future: [...future, last], run: null } };
  }
  const next = future.at(-1);
  if (!next) return null;
  return { change: next, history: { past: [...past, next], future: future.slice(0, -1), run: null } };
}
