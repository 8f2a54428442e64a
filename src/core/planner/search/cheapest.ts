import { foldLattice, width, type Alike, type Fold, type Lattice, type Path, type Trellis } from '../graph';
import { finishing } from './finish';
import { cheapestCounted, EACH_SHIFT, type Counted, type Uses } from './counted';
import { mostCost, passesOver, type Passes } from './passes';
import { narrowed, nodesOf, prune, type Pruned } from './prune';
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
}

export interface Found {
  /** One node a layer. */
  readonly path: Path;
  readonly cost: number;
}

/** One kind of path to look for, in a lattice of its own. */
interface Kind {
  readonly pruned: Pruned;
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
  const { least } = costs;
  if (least === Infinity) return null;
  const { back, counted } = wanted;
  if (!back && !counted) return { path: cheapestOfAll(trellis, costs), cost: least };
  const dearest = mostCost(costs);
  for (let slack = counted || back?.only ? FIRST_SLACK : (back?.otherWay ?? 0); ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    const found = cheapestNear(trellis, wanted, costs, whole ? Infinity : least + slack);
    if (found || whole) return found;
  }
}

/**
 * The cheapest path that is as wanted, where it costs no more than some limit; null where there is none.
 * @param atLeast what arriving at each node of the trellis, and finishing from it, costs at least
 */
export function cheapestNear(
  trellis: Trellis,
  { back, counted }: Wanted,
  atLeast: Passes,
  limit: number,
): Found | null {
  const lattice = prune(trellis, atLeast, limit);
  const free = lattice && cheapestIn(lattice, limit + ROUNDING, back);
  if (!lattice || !free || !counted || isWithin(free.path, counted)) return free;
  return cheapestIn(lattice, limit + ROUNDING, back, counted);
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

/** The cheapest path where it costs less than the limit: any, and then those that come back the way they went, where they cost less than any with its surcharge. */
function cheapestIn(lattice: Pruned, limit: number, back: Wanted['back'], counted?: Counted): Found | null {
  const any = cheapestOf(plainly(lattice), limit, counted);
  if (!any || !back) return any;
  const otherWay = any.cost + back.otherWay;
  let best: Found | null = back.only || otherWay >= limit ? null : { ...any, cost: otherWay };
  const near = narrowed(lattice, best?.cost ?? limit);
  for (const kind of near ? folded(near, back) : [])
    best = cheapestOf(kind, best?.cost ?? limit, counted) ?? best;
  return best;
}

/** Paths as they are. */
function plainly(lattice: Pruned): Kind {
  return {
    pruned: lattice,
    lattice,
    surcharge: 0,
    unfold: (path) => path,
    behind: (at, u, v, visit) => visit(at - 1, u, v),
  };
}

/** Paths that come back the way they went; where the teacher asks for the same way, also those that do so as the teacher means it. */
function folded(pruned: Pruned, { alike, only, otherWay }: NonNullable<Wanted['back']>): Kind[] {
  const { first, nodes } = pruned;
  const fold = (same: Alike, surcharge: number): Kind[] => {
    const lattice = foldLattice(pruned, (t, node, late, other) =>
      same(t, nodes[first[t] + node], late, nodes[first[late] + other]),
    );
    return lattice ? [{ pruned, lattice, surcharge, unfold: lattice.unfold, behind: lattice.behind }] : [];
  };
  if (!only) return fold(alike, 0);
  return [...fold((...pair) => only(...pair) && alike(...pair), 0), ...fold(only, otherWay)];
}

/** The cheapest path of a kind, where it costs less than the limit with its surcharge. */
function cheapestOf(kind: Kind, limit: number, counted?: Counted): Found | null {
  const { lattice, pruned, surcharge, unfold } = kind;
  const most = limit - surcharge;
  const one: Found | null = counted
    ? cheapestCounted(lattice, usesOf(kind, counted), counted, most)
    : cheapestPlain(lattice, most);
  return one && { path: nodesOf(pruned, unfold(one.path)), cost: one.cost + surcharge };
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
function usesOf({ behind, pruned }: Kind, { isShift, visited }: Counted): Uses {
  const { first, nodes } = pruned;
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
