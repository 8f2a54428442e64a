import { foldLattice, width, type Alike, type Fold, type Lattice, type Path, type Trellis } from '../graph';
import { finishing } from './finish';
import { cheapestCounted, EACH_SHIFT, type Counted, type Uses } from './counted';
import { leastCost, mostCost, passesOver, type Passes } from './passes';
import { nodesOf, prune, type Pruned } from './prune';
import { cheapestOfAll } from './trace';

/*
 * Exact search for the cheapest plan. Without more it is the cheapest way through a trellis. Three things a dynamic program on single notes cannot
 * see: a line that comes back the way it went (searched in the folded lattice), shifts that are counted and positions that must be visited (each
 * node once for each number of shifts made and each visit done).
 */

export interface Wanted {
  /** Where the line turns round and comes back. */
  readonly back?: {
    /** What it costs to come back another way than it went. */
    readonly otherWay: number;
    /** What the same way is. */
    readonly alike: Alike;
    /** What must hold of each note and its mirror image, where the teacher wants it down as up. */
    readonly only?: Alike;
  };
  readonly counted?: Counted;
  /** What it may cost: dearer paths need not be found. */
  readonly most?: number;
}

export interface Found {
  /** One node a layer. */
  readonly path: Path;
  readonly cost: number;
}

/** One kind of path to look for, in a lattice of its own. */
interface Kind {
  readonly lattice: Lattice;
  /** Added to the cost of every path of this kind. */
  readonly surcharge: number;
  readonly unfold: (path: Int32Array) => Int32Array;
  /** The steps of the pruned trellis behind a step of the lattice. */
  readonly behind: Fold['behind'];
}

/** How far above the cheapest path of all the first try looks where more is asked, and how much further each next one. */
const FIRST_SLACK = 0.8;
const MORE_SLACK = 4;

/**
 * The cheapest path that is as wanted; null where there is none.
 *
 * Only nodes that lie on some path near enough to the cheapest of all are searched. That loses nothing: what is found within the limit is the
 * cheapest, and where nothing is found the limit is raised.
 */
export function cheapestPath(
  trellis: Trellis,
  wanted: Wanted,
  costs: Passes = passesOver(trellis),
): Found | null {
  const least = leastCost(costs);
  if (least === Infinity) return null;
  const { back, counted } = wanted;
  if (counted) {
    const free = cheapestPath(trellis, { back }, costs);
    if (!free || isWithin(free.path, counted)) return free;
  }
  if (!back && !counted) return { path: cheapestOfAll(trellis, costs), cost: least };
  const dearest = mostCost(costs);
  const free = !counted && !back?.only;
  // A free path is at hand: only those that come back alike and cost less than it with its surcharge are still of use.
  const widest = (wanted.most ?? Infinity) - least;
  for (let next = free ? (back?.otherWay ?? 0) : FIRST_SLACK; ; next *= MORE_SLACK) {
    const slack = Math.min(next, widest);
    const whole = least + slack >= dearest;
    const lattice = prune(trellis, costs, whole ? Number.MAX_VALUE : least + slack);
    const limit = whole ? Infinity : least + slack + ROUNDING;
    const found = cheapestIn(kindsOf(lattice, wanted), lattice, counted, limit);
    if (found) return found;
    if (free) return { path: cheapestOfAll(trellis, costs), cost: least + (back?.otherWay ?? 0) };
    if (whole || slack === widest) return null;
  }
}

/** True where a path makes no more shifts than may be, and every visit. */
function isWithin(path: Path, { most, visits, isShift, visited }: Counted): boolean {
  let [shifts, seen] = [0, 0];
  for (let t = 0; t + 1 < path.length; t++) {
    if (isShift(t, path[t], path[t + 1])) shifts++;
    seen |= visited(t, path[t], path[t + 1]);
  }
  return shifts <= most && seen === 2 ** visits - 1;
}

const ROUNDING = 1e-9;

/** Paths that come back the way they went, and, where they are not found at less, any others at their surcharge. */
function kindsOf(lattice: Pruned, { back, counted }: Wanted): Kind[] {
  const plain: Kind = {
    lattice,
    surcharge: back?.otherWay ?? 0,
    unfold: (path) => path,
    behind: (at, u, v, visit) => visit(at - 1, u, v),
  };
  if (!back) return [plain];
  const { first, nodes } = lattice;
  const { alike, only } = back;
  const folded = (same: Alike, surcharge: number): Kind[] => {
    const fold = foldLattice(lattice, (t, node, late, other) =>
      same(t, nodes[first[t] + node], late, nodes[first[late] + other]),
    );
    return fold ? [{ lattice: fold, surcharge, unfold: fold.unfold, behind: fold.behind }] : [];
  };
  if (!only) return [...folded(alike, 0), ...(counted ? [plain] : [])];
  const both: Alike = (...pair) => only(...pair) && alike(...pair);
  return [...folded(both, 0), ...folded(only, back.otherWay)];
}

function cheapestIn(
  kinds: readonly Kind[],
  pruned: Pruned,
  counted: Counted | undefined,
  most: number,
): Found | null {
  let best: Found | null = null;
  for (const kind of kinds) {
    const limit: number = Math.min(best?.cost ?? Infinity, most) - kind.surcharge;
    const one: Found | null = counted
      ? cheapestCounted(kind.lattice, usesOf(kind, pruned, counted), counted, limit)
      : cheapestPlain(kind.lattice, limit);
    if (one) best = { path: nodesOf(pruned, kind.unfold(one.path)), cost: one.cost + kind.surcharge };
  }
  return best;
}

/** The cheapest path of a lattice, where it costs less than the limit. */
function cheapestPlain(lattice: Lattice, limit: number): Found | null {
  const { first, steps, stepsAt } = lattice;
  const ahead = finishing(lattice);
  const path = new Int32Array(first.length - 1);
  let least = Infinity;
  for (let node = 0; node < first[1]; node++) {
    if (ahead[node] >= least) continue;
    least = ahead[node];
    path[0] = node;
  }
  if (!(least < limit)) return null;
  for (let t = 1; t < path.length; t++) {
    const row = stepsAt[t - 1] + path[t - 1] * width(lattice, t);
    let onward = Infinity;
    for (let to = 0; to < width(lattice, t); to++) {
      const cost = steps[row + to] + ahead[first[t] + to];
      if (cost >= onward) continue;
      onward = cost;
      path[t] = to;
    }
  }
  return { path, cost: least };
}

/** What a step of a kind's lattice uses, by the steps of the trellis behind it. */
function usesOf({ behind }: Kind, { first, nodes }: Pruned, { isShift, visited }: Counted): Uses {
  let [shifts, visits] = [0, 0];
  const add = (t: number, from: number, to: number) => {
    const [a, b] = [nodes[first[t] + from], nodes[first[t + 1] + to]];
    if (isShift(t, a, b)) shifts++;
    visits |= visited(t, a, b);
  };
  return (at, u, v) => {
    shifts = visits = 0;
    behind(at, u, v, add);
    return shifts * EACH_SHIFT + visits;
  };
}
