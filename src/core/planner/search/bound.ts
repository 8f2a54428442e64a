import { width, type Lattice } from '../graph';

/*
 * Exact lower bounds for the search: what finishing costs at least from each node on, while so many notes must still lie elsewhere than another plan's.
 */

/** The least costs of finishing, one for each number of differences still owed to another plan. */
export interface Bound {
  /** Where the other plan lies at each event; null where nothing is owed. */
  readonly places: Int32Array | null;
  readonly owed: number;
  /** At [(owed + 1) * first[t] + stillOwed * nodes of t + node], the node's own cost included, arrival left out. */
  readonly costs: Float64Array;
}

/** Least costs of finishing from each node on while up to `owed` more events must lie elsewhere than `places`. */
export function boundAgainst(lattice: Lattice, places: Int32Array | null, owed: number): Bound {
  const { first, cost, place, steps, stepsAt } = lattice;
  const last = first.length - 2;
  const levels = owed + 1;
  const costs = new Float64Array(levels * first[last + 1]);
  const onward = new Float64Array(levels);
  for (let t = last; t >= 0; t--) {
    const nodes = width(lattice, t);
    const here = levels * first[t];
    const next = t === last ? 0 : width(lattice, t + 1);
    for (let node = 0; node < nodes; node++) {
      const row = stepsAt[t] + node * next;
      // After the last event nothing may be owed.
      for (let still = 0; still <= owed; still++) {
        const ahead = levels * first[t + 1] + still * next;
        let least = t === last && still === 0 ? 0 : Infinity;
        for (let to = 0; to < next; to++) {
          const through = steps[row + to] + costs[ahead + to];
          if (through < least) least = through;
        }
        onward[still] = least;
      }
      const at = first[t] + node;
      const elsewhere = places !== null && place[at] !== places[t];
      for (let still = 0; still <= owed; still++)
        costs[here + still * nodes + node] = cost[at] + onward[elsewhere && still > 0 ? still - 1 : still];
    }
  }
  return { places, owed, costs };
}
