/*
 * Addresses of sessions.
 */

/** The address of a session on part of a plan. */
export function practiceAddress(
  planId: string,
  part: {
    readonly from?: number;
    readonly to?: number;
    readonly target?: number;
    readonly goal?: string;
    /** Set for a step up the ladder of the last session. */
    readonly up?: number;
    /** Which part of the day it is, and how many minutes it has. */
    readonly part?: number;
    readonly min?: number;
  } = {},
): string {
  const asked = new URLSearchParams({ plan: planId });
  for (const [name, value] of Object.entries(part)) if (value !== undefined) asked.set(name, String(value));
  return `/practice?${asked}`;
}

/** The part of a plan that works at some notes: with a note before and after, the last one judged. */
export function partAround(events: readonly number[], count: number) {
  const [first, last] = [Math.min(...events), Math.max(...events)];
  return { from: Math.max(0, first - 1), to: Math.min(count - 1, last + 1), target: last };
}

/** The tag of a plan that is the rehearsal of a shift. */
export const REHEARSAL = 'rehearsal';
