import { width, type Lattice } from '../graph';

/** Least costs of finishing from each node of a lattice on, the node's own cost included; at the node's number in the one row. */
export function finishing(lattice: Lattice): Float64Array {
  const { first, cost, steps, stepsAt } = lattice;
  const last = first.length - 2;
  const costs = new Float64Array(first[last + 1]);
  for (let t = last; t >= 0; t--) {
    const next = t === last ? 0 : width(lattice, t + 1);
    for (let node = 0; node < width(lattice, t); node++) {
      const row = stepsAt[t] + node * next;
      let least = t === last ? 0 : Infinity;
      for (let to = 0; to < next; to++) {
        const through = steps[row + to] + costs[first[t + 1] + to];
        if (through < least) least = through;
      }
      costs[first[t] + node] = cost[first[t] + node] + least;
    }
  }
  return costs;
}

/** Least costs of arriving at each node of a lattice, its own cost left out. */
export function arriving(lattice: Lattice): Float64Array {
  const { first, cost, steps, stepsAt } = lattice;
  const last = first.length - 2;
  const costs = new Float64Array(first[last + 1]).fill(Infinity, first[1]);
  for (let t = 0; t < last; t++) {
    const next = width(lattice, t + 1);
    for (let node = 0; node < width(lattice, t); node++) {
      const spent = costs[first[t] + node] + cost[first[t] + node];
      const row = stepsAt[t] + node * next;
      for (let to = 0; to < next; to++) {
        const through = spent + steps[row + to];
        if (through < costs[first[t + 1] + to]) costs[first[t + 1] + to] = through;
      }
    }
  }
  return costs;
}
