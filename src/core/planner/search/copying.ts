import { width, type Lattice } from '../graph';

/*
 * A path made cheaper by copying: where music comes again with other fingers, one of the two stretches takes the fingers of the other, and the rest of
 * the path goes round it as cheaply as it can. Good paths are found so in little time; whether a better one is left, another search has to say.
 */

/** What must hold of a node of an event. */
type Held = ReadonlyMap<number, (node: number) => boolean>;

export interface Copying {
  /** What a path pays, item by item. */
  readonly paid: (path: Int32Array) => number[];
  /** Ways to be spared an item that a path pays. */
  readonly fixes: (path: Int32Array, item: number) => readonly Held[];
}

interface Path {
  readonly path: Int32Array;
  /** With all that it pays. */
  readonly cost: number;
}

/** Times that all that is paid is gone through. */
const MOST_SWEEPS = 3;

/** @param start a path of the lattice */
export function improvedByCopying(lattice: Lattice, start: Int32Array, { paid, fixes }: Copying): Path {
  const total = (path: Int32Array) => paid(path).reduce((sum, cost) => sum + cost, costOf(lattice, path));
  let best: Path = { path: start, cost: total(start) };
  let held: Held = new Map();
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    const before = best.cost;
    const items = paid(best.path).flatMap((cost, item) => (cost > 0 ? [item] : []));
    for (const item of items) {
      if (paid(best.path)[item] === 0) continue;
      for (const fix of fixes(best.path, item)) {
        const both: Held = new Map([...held, ...fix]);
        const path = cheapestHeld(lattice, both);
        const cost = path ? total(path) : Infinity;
        if (!path || cost >= best.cost) continue;
        best = { path, cost };
        held = both;
      }
    }
    if (best.cost === before) return best;
  }
  return best;
}

function costOf({ first, cost, steps, stepsAt }: Lattice, path: Int32Array): number {
  let sum = cost[first[0] + path[0]];
  for (let t = 1; t < path.length; t++) {
    const next = first[t + 1] - first[t];
    sum += steps[stepsAt[t - 1] + path[t - 1] * next + path[t]] + cost[first[t] + path[t]];
  }
  return sum;
}

/** The cheapest path of a lattice through nodes that hold; null where there is none. */
function cheapestHeld(lattice: Lattice, held: Held): Int32Array | null {
  const { first, cost, steps, stepsAt } = lattice;
  const events = first.length - 1;
  const spent = new Float64Array(first[events]).fill(Infinity);
  const origin = new Int32Array(first[events]);
  const holds = (t: number, node: number) => held.get(t)?.(node) ?? true;
  for (let node = 0; node < width(lattice, 0); node++) if (holds(0, node)) spent[node] = cost[node];
  for (let t = 1; t < events; t++) {
    const [before, nodes] = [width(lattice, t - 1), width(lattice, t)];
    for (let v = 0; v < nodes; v++) {
      if (!holds(t, v)) continue;
      const at = first[t] + v;
      for (let u = 0; u < before; u++) {
        const sum = spent[first[t - 1] + u] + steps[stepsAt[t - 1] + u * nodes + v];
        if (sum + cost[at] >= spent[at]) continue;
        spent[at] = sum + cost[at];
        origin[at] = u;
      }
    }
  }
  const path = new Int32Array(events);
  let least = Infinity;
  for (let node = 0; node < width(lattice, events - 1); node++) {
    if (spent[first[events - 1] + node] >= least) continue;
    least = spent[first[events - 1] + node];
    path[events - 1] = node;
  }
  if (least === Infinity) return null;
  for (let t = events - 1; t > 0; t--) path[t - 1] = origin[first[t] + path[t]];
  return path;
}
