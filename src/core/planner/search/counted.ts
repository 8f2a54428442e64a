import { width, type Lattice, type Trellis } from '../graph';
import { arriving } from './finish';

/*
 * The cheapest path where shifts are counted and places must be visited: a dynamic program in which each node stands once for each number of shifts
 * made and each set of visits done.
 */

/** What is counted along a path. */
export interface Counted {
  /** Most shifts; Infinity where they are free. */
  readonly most: number;
  /** How many places must be visited. */
  readonly visits: number;
  /** Whether a step between two nodes of the trellis is a shift. */
  readonly isShift: (t: number, from: number, to: number) => boolean;
  /** Which of the visits a step makes, as bits. */
  readonly visited: (t: number, from: number, to: number) => number;
}

/** What the step to node v of event `at` uses from node u of the event before: shifts times EACH_SHIFT, and visits as bits. */
export type Uses = (at: number, u: number, v: number) => number;
export const EACH_SHIFT = 4;

/**
 * The cheapest path of a lattice with no more shifts than may be and every visit made, where it costs less than the limit.
 * @param ahead what finishing costs from each node on
 */
export function cheapestCounted(
  lattice: Lattice,
  ahead: Float64Array,
  uses: Uses,
  { most, visits }: Counted,
  limit: number,
): { readonly path: Int32Array; readonly cost: number } | null {
  const { first, cost, steps, stepsAt } = lattice;
  const events = first.length - 1;
  const sets = 2 ** visits;
  const { used, fewest } = usedNear(lattice, uses, ahead, limit);
  const counts = most < Infinity;
  if (counts && Math.min(...fewest.subarray(0, first[1])) > most) return null;
  const states = (counts ? most + 1 : 1) * sets;
  /** Cheapest arrival at each node in each state, its own cost included, and which of the states before it came from. */
  let here = new Float64Array(width(lattice, 0) * states).fill(Infinity);
  for (let node = 0; node < width(lattice, 0); node++) here[node * states] = cost[node];
  const cameFrom: Int32Array[] = [];
  for (let at = 1; at < events; at++) {
    const [before, nodes] = [width(lattice, at - 1), width(lattice, at)];
    const next = new Float64Array(nodes * states).fill(Infinity);
    const origin = new Int32Array(nodes * states).fill(-1);
    for (let u = 0; u < before; u++)
      for (let v = 0; v < nodes; v++) {
        const step = stepsAt[at - 1] + u * nodes + v;
        if (used[step] < 0) continue;
        const node = first[at] + v;
        const [added, onward] = [steps[step] + cost[node], steps[step] + ahead[node]];
        const more = counts ? Math.floor(used[step] / EACH_SHIFT) : 0;
        const seen = used[step] % EACH_SHIFT;
        // Where so many shifts are made already that with those still to come there are too many, there is no way on.
        const end = counts ? (most - more - fewest[node] + 1) * sets : sets;
        for (let state = 0; state < end; state++) {
          const spent = here[u * states + state];
          if (!(spent + onward < limit)) continue;
          const to = v * states + ((state + more * sets) | seen);
          if (spent + added >= next[to]) continue;
          next[to] = spent + added;
          origin[to] = u * states + state;
        }
      }
    here = next;
    cameFrom.push(origin);
  }
  let [least, end] = [limit, -1];
  for (let at = sets - 1; at < here.length; at += sets) if (here[at] < least) [least, end] = [here[at], at];
  if (end < 0) return null;
  const path = new Int32Array(events);
  for (let at = events - 1; at >= 0; at--) {
    path[at] = Math.floor(end / states);
    if (at > 0) end = cameFrom[at - 1][end];
  }
  return { path, cost: least };
}

/** What each step uses that lies on some path below the limit, -1 for the others; and how many shifts there are at least from each node on. */
function usedNear(
  lattice: Lattice,
  uses: Uses,
  ahead: Float64Array,
  limit: number,
): { readonly used: Int8Array; readonly fewest: Float64Array } {
  const { first, cost, steps, stepsAt } = lattice;
  const spent = arriving(lattice);
  const used = new Int8Array(steps.length).fill(-1);
  const fewest = new Float64Array(ahead.length).fill(Infinity);
  fewest.fill(0, first[first.length - 2]);
  for (let at = first.length - 2; at > 0; at--)
    for (let from = first[at - 1], step = stepsAt[at - 1]; from < first[at]; from++) {
      const paid = spent[from] + cost[from];
      for (let to = first[at]; to < first[at + 1]; to++, step++) {
        if (!(paid + steps[step] + ahead[to] < limit)) continue;
        used[step] = uses(at, from - first[at - 1], to - first[at]);
        fewest[from] = Math.min(fewest[from], fewest[to] + Math.floor(used[step] / EACH_SHIFT));
      }
    }
  return { used, fewest };
}

/** No path of a trellis has fewer shifts than this: as if the hand could go from anywhere to anywhere. */
export function fewestShifts({ layers, blocks }: Trellis): number {
  let made = new Int32Array(layers[0].nodes);
  blocks.forEach(({ stayStart, stayTo }, t) => {
    const least = made.reduce((fewest, shifts) => Math.min(fewest, shifts), Infinity);
    const next = new Int32Array(layers[t + 1].nodes).fill(least + 1);
    for (let from = 0; from < layers[t].nodes; from++)
      for (let stay = stayStart[from]; stay < stayStart[from + 1]; stay++)
        if (made[from] < next[stayTo[stay]]) next[stayTo[stay]] = made[from];
    made = next;
  });
  return made.reduce((fewest, shifts) => Math.min(fewest, shifts), Infinity);
}
