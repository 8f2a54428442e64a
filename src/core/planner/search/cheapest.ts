import { foldLattice, width, type Alike, type Fold, type Lattice, type Path, type Trellis } from '../graph';
import { finishing } from './finish';
import { cheapestCounted, EACH_SHIFT, type Counted, type Uses } from './counted';
import type { Apart } from './apart';
import { improvedByCopying } from './copying';
import { bothRemembered, NO_MEMORY, rememberedCounts } from './memory';
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
  /** What hangs on notes far apart. */
  readonly apart?: Apart;
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

/**
 * The cheapest path that is as wanted; null where there is none.
 *
 * Only nodes that lie on some path near enough to the cheapest of all are searched. That loses nothing: what is found within the limit is the
 * cheapest, and where nothing is found the limit is raised.
 */
export function cheapestPath(trellis: Trellis, wanted: Wanted, costs: Passes = passesOver(trellis)): Found | null {
  const { least } = costs;
  if (least === Infinity) return null;
  const { back, counted, apart } = wanted;
  if (apart && !back) return cheapestApart(trellis, costs, apart, counted);
  if (!back && !counted) return { path: cheapestOfAll(trellis, costs), cost: least };
  const dearest = mostCost(costs);
  for (let slack = counted || apart || back?.only ? FIRST_SLACK : (back?.otherWay ?? 0); ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    const found = cheapestNear(trellis, wanted, costs, whole ? Infinity : least + slack);
    if (found || whole) return found;
  }
}

/** The cheapest path where notes far apart have their price: within a limit that is raised until what is found lies within it. */
function cheapestApart(trellis: Trellis, costs: Passes, apart: Apart, counted?: Counted): Found | null {
  const { least } = costs;
  const path = cheapestOfAll(trellis, costs);
  const within = !counted || isWithin(path, counted);
  let best: Found | null = within ? withPaid(apart, { path, cost: least }) : null;
  if (best?.cost === least) return best;
  if (path.length > SHORT) return nearly(trellis, costs, apart, counted);
  const dearest = mostCost(costs);
  for (let slack = FIRST_SLACK; ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    const most = best?.cost ?? Infinity;
    const limit = Math.min(most, whole ? Infinity : least + slack);
    const lattice = prune(trellis, costs, limit);
    const { found, bound } = lattice ? cheapestLazily(lattice, apart, most, counted) : NOTHING;
    if (found) best = found;
    if (limit === Infinity || (best && best.cost <= limit + ROUNDING)) return best && provedTo(best, bound);
  }
}

/** How far above the cheapest path of all a longer piece is looked at. */
const NEAR_SLACK = 6;

/** A longer piece: what copying makes of the cheapest path, and what a search near it with few labels finds beyond that; with what nothing costs less than. */
function nearly(trellis: Trellis, costs: Passes, apart: Apart, counted?: Counted): Found | null {
  const { least } = costs;
  const lattice = prune(trellis, costs, least + NEAR_SLACK);
  if (!lattice) return null;
  const { first, nodes } = lattice;
  const nodeAt = (t: number, node: number) => nodes[first[t] + node];
  const inTrellis = (own: Int32Array) => nodesOf(lattice, own);
  const start = cheapestPlain(lattice, finishing(lattice), Infinity);
  if (!start) return null;
  const copied = improvedByCopying(lattice, start.path, {
    paid: (own) => apart.paid(inTrellis(own)),
    fixes: (own, item) =>
      apart
        .fixes(inTrellis(own), item)
        .map((fix) => new Map([...fix].map(([t, holds]) => [t, (node: number) => holds(nodeAt(t, node))]))),
  });
  const made: Found = { path: inTrellis(copied.path), cost: copied.cost };
  const within = copied.cost < Infinity && (!counted || isWithin(made.path, counted));
  if (within && made.cost <= NEAR * least) return provedTo(made, least);
  const { found, bound } = cheapestLazily(lattice, apart, within ? made.cost : Infinity, counted);
  const best = found ?? (within ? made : null);
  // What is not in the lattice costs more than its limit.
  if (best) return provedTo(best, Math.min(least + NEAR_SLACK, bound));
  // Nothing near is as wanted.
  const all = prune(trellis, costs, Infinity);
  const far = all ? cheapestLazily(all, apart, Infinity, counted) : NOTHING;
  return far.found && provedTo(far.found, far.bound);
}

/**
 * The cheapest path that is as wanted, where it costs no more than some limit; null where there is none.
 * @param atLeast what arriving at each node of the trellis, and finishing from it, costs at least
 */
export function cheapestNear(
  trellis: Trellis,
  { back, counted, apart }: Wanted,
  atLeast: Passes,
  limit: number,
): Found | null {
  const lattice = prune(trellis, atLeast, limit);
  const most = limit + ROUNDING;
  const free = lattice && cheapestIn(lattice, most, back);
  if (!lattice || !free) return null;
  const within = !counted || isWithin(free.path, counted);
  if (within && (!apart || withPaid(apart, free).cost === free.cost)) return free;
  if (!apart) return cheapestIn(lattice, most, back, counted);
  const { found } = cheapestLazily(lattice, apart, most, counted);
  return found && back ? plus(found, comesBack(found.path, back.alike) ? 0 : back.otherWay, most) : found;
}

/** A path with all that it pays for notes far apart. */
function withPaid(apart: Apart, { path, cost }: Found): Found {
  return { path, cost: apart.paid(path).reduce((sum, paid) => sum + paid, cost) };
}

/** Longer pieces are not searched on for the last hundredth. */
const SHORT = 60;
const NEAR = 1.01;
const isNear = (cost: number, bound: number, events: number) => events > SHORT && cost <= NEAR * bound;

interface Lazily {
  readonly found: Found | null;
  readonly bound: number;
}
const NOTHING: Lazily = { found: null, bound: Infinity };

/** Rounds in which more is taken into account. */
const MOST_ROUNDS = 60;

/**
 * The cheapest path of a lattice with its prices for notes far apart, where it costs less than the limit. Only what a path was found to pay is remembered:
 * where the cheapest path by that pays nothing else, it is the cheapest of all.
 * @returns what was found, null where nothing costs less than the limit; and what no path of the lattice costs less than
 */
function cheapestLazily(lattice: Pruned, apart: Apart, limit: number, counted?: Counted): Lazily {
  const { first, nodes } = lattice;
  const nodeAt = (t: number, node: number) => nodes[first[t] + node];
  const ahead = finishing(lattice);
  const events = first.length - 1;
  const taken = new Set<number>();
  let best: Found | null = null;
  let most = limit;
  for (let round = 0; ; round++) {
    const own = taken.size > 0 ? apart.memoryOf([...taken].sort((a, b) => a - b)) : NO_MEMORY;
    const memory = counted ? bothRemembered(own, rememberedCounts(counted)) : own;
    const { found, bound } = cheapestRemembering(lattice, ahead, memory, nodeAt, most, labelsFor(events));
    // Nothing is cheaper than the best so far: it is proved, but for what was left out.
    if (!found) return { found: best, bound };
    const path = nodesOf(lattice, found.path);
    const paid = apart.paid(path);
    const more = paid.flatMap((cost, item) => (cost > 0 && !taken.has(item) ? [item] : []));
    const cost = more.reduce((sum, item) => sum + paid[item], found.cost);
    if (cost < most) {
      best = { path, cost };
      most = cost;
    }
    const enough = round === MOST_ROUNDS || isNear(best?.cost ?? Infinity, bound, events);
    if (more.length === 0 || enough) return { found: best, bound };
    more.forEach((item) => taken.add(item));
  }
}

/** Labels at one event, fewer the longer the piece. */
const LABELS = { least: 20, most: 1500, inAll: 30_000 };
const labelsFor = (events: number) =>
  events <= SHORT ? LABELS.most : Math.max(LABELS.least, Math.round(LABELS.inAll / events));

const provedTo = (found: Found, bound: number): Found => (bound < found.cost - ROUNDING ? { ...found, bound } : found);

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
