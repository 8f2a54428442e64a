import type { Plan } from '../../core';
import { rulerMark } from '../../wording/rooms/drawings';
import {
  bandMark,
  fingerMarks,
  raisedShifts,
  shiftMarks,
  spreadMarks,
  tokenMarks,
  type TrailLook,
  type TrailPlaces,
} from '../board/trail';
import { line, type Ink } from '../paper/ink';
import { typeset, words } from '../paper/words';

/*
 * The hand trail on paper, under one line of music.
 */

export const TRAIL_HEIGHT = 126;
/** Room over the highest place for the words of two shifts. */
const TOP = 22;
const FOOT = 8;

const ON_PAPER: TrailLook = {
  token: 5.6,
  finger: 7.6,
  edge: 0.8,
  stretched: 1.8,
  words: 7,
  step: 1.8,
  dot: 2.4,
  wordsWide: 30,
};
/** Half a column, where a line has one note only. */
const HALF = 12;

/**
 * @param xs where each event stands, in points; only events on this line have a place
 * @param left @param right the edges of the line
 */
export function trailInks(plan: Plan, xs: ReadonlyMap<number, number>, left: number, right: number): Ink[] {
  const steps = plan.steps.filter(({ at }) => xs.has(at));
  if (steps.length === 0) return [];
  const most = Math.max(60, ...plan.steps.map(({ handMm }) => handMm[1])) * 1.06;
  // As on the Bench: up the neck is up.
  const y = (mm: number) => TRAIL_HEIGHT - FOOT - (mm / most) * (TRAIL_HEIGHT - TOP - FOOT);
  const places: TrailPlaces = { left: columns(xs), y };
  const verdicts = new Map(plan.reach.map(({ at, verdict }) => [at, verdict]));
  const verdictAt = (at: number) => verdicts.get(at);
  const shifts = plan.shifts.filter(({ to }) => xs.has(to));
  const raised = raisedShifts(shifts, places, ON_PAPER);
  const byAt = new Map(plan.steps.map((step) => [step.at, step]));
  const inks: Ink[] = [line(left, y(0), right, y(0), 1.6), ...words(left, y(0) - 2.5, rulerMark(0), MARK)];
  for (let mm = 50; mm < most; mm += 50)
    inks.push(
      line(left, y(mm), right, y(mm), 0.4, { tone: 'light' }),
      ...words(left, y(mm) - 1.5, rulerMark(mm), MARK),
    );
  const marks = [
    bandMark(steps, places),
    ...shifts.flatMap((shift) => {
      const [from, to] = [byAt.get(shift.from), byAt.get(shift.to)];
      return from && to ? shiftMarks(shift, { from, to, raised: raised.has(shift.to) }, places, ON_PAPER) : [];
    }),
    ...tokenMarks(steps, verdictAt, places, ON_PAPER),
    ...spreadMarks(steps, verdictAt, places, ON_PAPER),
    ...fingerMarks(steps, places, ON_PAPER),
  ];
  return [...inks, ...typeset(marks)];
}

const MARK = { size: 6.5, tone: 'grey' } as const;

/** Left edges of the columns of a line: half way between two notes. */
function columns(xs: ReadonlyMap<number, number>): (at: number) => number {
  return (at) => {
    const [before, here] = [xs.get(at - 1), xs.get(at)];
    if (here === undefined) return (before ?? 0) + HALF;
    return before === undefined ? here - HALF : (before + here) / 2;
  };
}
