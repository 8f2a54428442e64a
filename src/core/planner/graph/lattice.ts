/*
 * What is left of a trellis near its cheapest path: few nodes an event, and the cost of every step between them written out. It is
 * laid out flat, since searches go over it again and again.
 */

export interface Lattice {
  /** Number of each event's first node, all nodes numbered in one row; at the end how many there are. */
  readonly first: Int32Array;
  /** What a node costs for being played; at the opening also for setting the hand. */
  readonly cost: Float64Array;
  /** Cost from node u of event t to node v of the next, both counted from their first, at [stepsAt[t] + u * nodes of t + 1 + v]; Infinity where there is none. */
  readonly steps: Float64Array;
  readonly stepsAt: Int32Array;
}

/** How many nodes an event has. */
export function width({ first }: Lattice, t: number): number {
  return first[t + 1] - first[t];
}
