import { ticks } from 'd3-array';

/*
 * A stretch of the fingerboard in mm from the nut, laid on a picture in px.
 */

export interface BoardScale {
  /** From mm to px. */
  readonly at: (mm: number) => number;
  /** Round distances for a ruler, about so many. */
  readonly marks: (about: number) => number[];
  /** Px for each mm. */
  readonly perMm: number;
}

/** @param mm first and last place shown @param px where they lie */
export function boardScale(mm: readonly [number, number], px: readonly [number, number]): BoardScale {
  const slope = (px[1] - px[0]) / (mm[1] - mm[0]);
  return {
    at: (place) => px[0] + (place - mm[0]) * slope,
    marks: (about) => ticks(Math.max(0, mm[0]), mm[1], about),
    perMm: Math.abs(slope),
  };
}
