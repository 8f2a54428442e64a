/*
 * How far a drawing reaches up and down along its width: what is put over or under it finds its room here, and nothing collides.
 */

const STEP = 0.5;

export interface Skyline {
  /** The highest thing between two places (the least y), and the lowest. */
  readonly top: (from: number, to: number) => number;
  readonly bottom: (from: number, to: number) => number;
  /** Something stands from one place to another, from its upper edge to its lower one. */
  readonly put: (from: number, to: number, upper: number, lower: number) => void;
}

/** @param upper @param lower edges of what is everywhere, the staff itself */
export function skyline(width: number, upper: number, lower: number): Skyline {
  const count = Math.max(1, Math.ceil(width / STEP) + 2);
  const tops = new Float64Array(count).fill(upper);
  const bottoms = new Float64Array(count).fill(lower);
  const place = (x: number) => Math.max(0, Math.min(count - 1, Math.floor(x / STEP)));
  return {
    top: (from, to) => tops.subarray(place(from), place(to) + 1).reduce((most, y) => Math.min(most, y), Infinity),
    bottom: (from, to) =>
      bottoms.subarray(place(from), place(to) + 1).reduce((most, y) => Math.max(most, y), -Infinity),
    put(from, to, up, down) {
      for (let at = place(from); at <= place(to); at++) {
        tops[at] = Math.min(tops[at], up);
        bottoms[at] = Math.max(bottoms[at], down);
      }
    },
  };
}
