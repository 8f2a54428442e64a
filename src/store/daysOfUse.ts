import { data } from './browserState';

/*
 * Days on which the program was opened in this browser. What is deleted is kept for so many of them: a clock that jumps passes one day, not a year.
 */

interface Use {
  /** How many days there were. */
  readonly days: number;
  /** The last of them, so that a clock that is set back and forth counts none twice. */
  readonly last: readonly string[];
}

/** Days that are told apart. */
const REMEMBERED = 60;

const use = data<Use>('local', 'dove-path-days-of-use', (found) => {
  const { days = 0, last = [] } = (found ?? {}) as Partial<Use>;
  return { days: Number.isFinite(days) ? days : 0, last: Array.isArray(last) ? last : [] };
});

/** Counts a day on which the program is opened. @param day as "2026-11-26" @returns the days so far */
export function countDayOfUse(day: string): number {
  const { days, last } = use.read();
  if (last.includes(day)) return days;
  use.write({ days: days + 1, last: [...last, day].slice(-REMEMBERED) });
  return days + 1;
}

/** The days so far. */
export const daysOfUse = () => use.read().days;
