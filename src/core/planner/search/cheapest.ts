import { foldLattice, width, type Alike, type Fold, type Lattice, type Path, type Trellis } from '../graph';
import { finishing } from './finish';
import { cheapestCounted, EACH_SHIFT, type Counted, type Uses } from './counted';
import { bothRemembered, rememberedCounts, type PathMemory } from './memory';
import { cheapestRemembering } from './remembering';
import { mostCost, passesOver, type Passes } from './passes';
import { narrowed, nodesOf, prune, type Pruned } from './prune';
import { cheapestOfAll } from './trace';

/*
 * Exact search for the cheapest plan. Without more it is the cheapest way through a trellis. Four things a dynamic program on single notes cannot
 * see: a line that comes back the way it went (searched in the folded lattice), shifts that are counted and positions that must be visited (each
 * node once for each number of shifts made and each visit done), and music that comes again (each node once for each fingering remembered).
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
  readonly again?: Wants;
}

/** Notes that are wanted alike. */
export interface Wants {
  /** What a path pays where they are not; Infinity where they must be. */
  readonly paid: (path: Path) => number;
  readonly memory: () => PathMemory;
}

export interface Found {
  /** One node a layer. */
  readonly path: Path;
  readonly cost: number;
  /** No path costs less than this, where the search had to leave some out; left out where the path is proved best. */
  readonly bound?: number;
}

/** One kind of path to look for, in a lattice of its own. */
interface Kind {
  readonly pruned: Pruned;
  readonly lattice: Lattice;
  /** What finishing costs from each node of the lattice on. */
  readonly ahead: Float64Array;
  readonly unfold: (path: Int32Array) => Int32Array;
  /** The steps of the pruned trellis behind a step of the lattice. */
  readonly behind: Fold['behind'];
}

/** How far above the cheapest path of all the first try looks where more is asked, and how much further each next one. */
const FIRST_SLACK = 0.8;
const MORE_SLACK = 4;
/** What notes that are wanted alike may cost beyond the dearest path of all. */
const FURTHEST = 1000;

/**
 * The cheapest path that is as wanted; null where there is none.
 *
 * Only nodes that lie on some path near enough to the cheapest of all are searched. That loses nothing: what is found within the limit is the
 * cheapest, and where nothing is found the limit is raised.
 */
export function cheapestPath(trellis: Trellis, wanted: Wanted, costs: Passes = passesOver(trellis)): Found | null {
  const { least } = costs;
  if (least === Infinity) return null;
  const { back, counted, again } = wanted;
  let most = Infinity;
  if (!back) {
    const path = cheapestOfAll(trellis, costs);
    const paid = again?.paid(path) ?? 0;
    if (!counted || isWithin(path, counted)) {
      if (paid === 0) return { path, cost: least };
      most = least + paid;
    }
  }
  const dearest = Math.min(most, mostCost(costs) + (again ? FURTHEST : 0));
  for (let slack = counted || again || back?.only ? FIRST_SLACK : (back?.otherWay ?? 0); ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    if (again && whole && most < Infinity) return cheapestNear(trellis, wanted, costs, most);
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
  { back, counted, again }: Wanted,
  atLeast: Passes,
  limit: number,
): Found | null {
  const lattice = prune(trellis, atLeast, limit);
  const free = lattice && cheapestIn(lattice, limit + ROUNDING, back);
  if (!lattice || !free) return null;
  if (again && again.paid(free.path) > 0) {
    const found = remembering(lattice, again.memory(), limit + ROUNDING, counted);
    return found && back ? plus(found, comesBack(found.path, back.alike) ? 0 : back.otherWay, limit + ROUNDING) : found;
  }
  if (!counted || isWithin(free.path, counted)) return free;
  if (again) return remembering(lattice, again.memory(), limit + ROUNDING, counted);
  return cheapestIn(lattice, limit + ROUNDING, back, counted);
}

/** The cheapest path where notes far apart are wanted alike. */
function remembering(lattice: Pruned, own: PathMemory, limit: number, counted?: Counted): Found | null {
  const memory = counted ? bothRemembered(own, rememberedCounts(counted)) : own;
  const { first, nodes } = lattice;
  const nodeAt = (t: number, node: number) => nodes[first[t] + node];
  const { found, bound } = cheapestRemembering(lattice, finishing(lattice), memory, nodeAt, limit);
  return found && { path: nodesOf(lattice, found.path), cost: found.cost, ...(bound < found.cost ? { bound } : {}) };
}

function comesBack(path: Path, alike: Alike): boolean {
  return path.every(
    (node, t) => 2 * t >= path.length || alike(t, node, path.length - 1 - t, path[path.length - 1 - t]),
  );
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
  const plain = plainly(lattice);
  const any = cheapestOf(plain, limit, counted);
  if (!any || !back) return any;
  const { alike, only, otherWay } = back;
  const both: Alike = only ? (...pair) => only(...pair) && alike(...pair) : alike;
  const first = only ? foldedIn(plain, only, otherWay, limit, counted) : plus(any, otherWay, limit);
  return foldedIn(plain, both, 0, first?.cost ?? limit, counted) ?? first;
}

/** A path at its surcharge, where that costs less than the limit. */
function plus(found: Found, surcharge: number, limit: number): Found | null {
  const cost = found.cost + surcharge;
  return cost < limit ? { ...found, cost } : null;
}

/** The cheapest path whose notes and mirror images are the same, where it costs less than the limit. */
function foldedIn(plain: Kind, same: Alike, surcharge: number, limit: number, counted?: Counted): Found | null {
  const pruned = narrowed(plain.pruned, plain.ahead, limit - surcharge);
  if (!pruned) return null;
  const { first, nodes } = pruned;
  const fold = foldLattice(pruned, (t, node, late, other) =>
    same(t, nodes[first[t] + node], late, nodes[first[late] + other]),
  );
  if (!fold) return null;
  const { unfold, behind } = fold;
  const kind = { pruned, lattice: fold, ahead: finishing(fold), unfold, behind };
  const found = cheapestOf(kind, limit - surcharge, counted);
  return found && plus(found, surcharge, limit);
}

/** Paths as they are. */
function plainly(lattice: Pruned): Kind {
  return {
    pruned: lattice,
    lattice,
    ahead: finishing(lattice),
    unfold: (path) => path,
    behind: (at, u, v, visit) => visit(at - 1, u, v),
  };
}

/** The cheapest path of a kind, where it costs less than the limit. */
function cheapestOf(kind: Kind, limit: number, counted?: Counted): Found | null {
  const { lattice, ahead, pruned, unfold } = kind;
  const one: Found | null = counted
    ? cheapestCounted(lattice, ahead, usesOf(kind, counted), counted, limit)
    : cheapestPlain(lattice, ahead, limit);
  return one && { path: nodesOf(pruned, unfold(one.path)), cost: one.cost };
}

/** The cheapest path of a lattice, where it costs less than the limit. */
function cheapestPlain(lattice: Lattice, ahead: Float64Array, limit: number): Found | null {
  const { first, steps, stepsAt } = lattice;
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
