import { samePlace, type Plan } from '../core';

/*
 * Signs above the staff that are not fingers: where the hand opens, and where it stays up although the strings change.
 */

/** Events at which the hand opens beyond its frame and was closed before. */
export function extensionMarks(steps: Plan['steps']): ReadonlySet<number> {
  return new Set(steps.filter((step, t) => step.extended && !steps[t - 1]?.extended).map(({ at }) => at));
}

export interface Stay {
  readonly from: number;
  readonly to: number;
}

/**
 * Where a reader would expect the hand to come down but it stays: from the first change of string inside a stay above first position to the
 * stay's last note.
 */
export function restezMarks(steps: Plan['steps']): Stay[] {
  const marks: Stay[] = [];
  let from: number | null = null;
  steps.forEach((step, t) => {
    const before = steps[t - 1];
    const after = steps[t + 1];
    const stays = before !== undefined && samePlace(before, step);
    if (!stays) from = null;
    const high = step.position === 'thumb' || step.position > 1;
    const pressed = step.stops.some(({ finger }) => finger !== 0);
    const crosses = stays && before.stops[0].string !== step.stops[0].string;
    if (from === null && high && pressed && crosses) from = step.at;
    const ends = after === undefined || !samePlace(after, step);
    if (from !== null && ends && step.at > from) marks.push({ from, to: step.at });
  });
  return marks;
}

const NUMERALS = ['I', 'II', 'III', 'IV', 'V', 'VI'];

/** The numeral of a string; I is the highest. @param strings names, low to high */
export function numeralOf(string: string, strings: readonly string[]): string {
  return NUMERALS[strings.length - 1 - strings.indexOf(string)] ?? '';
}
