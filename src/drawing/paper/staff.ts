import { line, type Ink } from './ink';

/*
 * The five lines of a staff, and the lines between bars.
 */

const STAFF_LINE = 0.13;
export const BAR_LINE = 0.17;

/** The five lines from one place to another. */
export function drawStaffLines(inks: Ink[], from: number, to: number) {
  for (let y = 0; y <= 4; y++) inks.push(line(from, y, to, y, STAFF_LINE));
}
