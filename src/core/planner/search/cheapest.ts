import { foldLattice, width, type Alike, type Fold, type Lattice, type Path, type Trellis } from '../graph';
import { finishing } from './finish';
import { labelStore } from './labels';
import { leastCost, mostCost, passesOver, type Passes } from './passes';
import { nodesOf, prune, type Pruned } from './prune';
import { cheapestOfAll } from './trace';

/*
 * Exact search for the cheapest plan. Without more it is the cheapest way through a trellis. Three things a dynamic program on single notes cannot
 * see: a line that comes back the way it went (searched in the folded lattice), shifts that are counted and positions that must be visited (a
 * best-first search over event, node and what has been used so far, under the exact costs of finishing without them).
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
  readonly lattice: Lattice;
  /** Added to the cost of every path of this kind. */
  readonly surcharge: number;
  readonly unfold: (path: Int32Array) => Int32Array;
  /** The steps of the pruned trellis behind a step of the lattice. */
  readonly behind: Fold['behind'];
}

/** How far above the cheapest path of all the first try looks where more is asked, and how much further each next one. */
const FIRST_SLACK = 0.8;
const MORE_SLACK = 2;
/** Labels tried before a search is given up; far above what lesson material needs. */
const MOST_LABELS = 3_000_000;

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
  if (!back && !counted) return { path: cheapestOfAll(trellis, costs), cost: least };
  const dearest = mostCost(costs);
  const free = !counted && !back?.only;
  // A free path is at hand: only those that come back alike and cost less than it with its surcharge are still of use.
  for (let slack = free ? (back?.otherWay ?? 0) : FIRST_SLACK; ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    const lattice = prune(trellis, costs, whole ? Number.MAX_VALUE : least + slack);
    const limit = whole ? Infinity : least + slack + ROUNDING;
    const found = cheapestIn(kindsOf(lattice, wanted), lattice, counted, limit);
    if (found) return found;
    if (free) return { path: cheapestOfAll(trellis, costs), cost: least + (back?.otherWay ?? 0) };
    if (whole) return null;
  }
}

const ROUNDING = 1e-9;

/** Paths that come back the way they went, and, where they are not found at less, any others at their surcharge. */
function kindsOf(lattice: Pruned, { back, counted }: Wanted): Kind[] {
  const plain: Kind = {
    lattice,
    surcharge: back?.otherWay ?? 0,
    unfold: (path) => path,
    behind: (at, u, v) => [[at - 1, u, v]],
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
    const ahead = finishing(kind.lattice);
    const one: Found | null = counted
      ? cheapestCounted(kind, pruned, counted, ahead, limit)
      : cheapestPlain(kind.lattice, ahead, limit);
    if (one) best = { path: nodesOf(pruned, kind.unfold(one.path)), cost: one.cost + kind.surcharge };
  }
  return best;
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

/** The cheapest path of a lattice with no more shifts than may be and every visit made, where it costs less than the limit. */
function cheapestCounted(
  { lattice, behind }: Kind,
  { first: base, nodes }: Pruned,
  { most, visits, isShift, visited }: Counted,
  ahead: Float64Array,
  limit: number,
): Found | null {
  const { first, cost, steps, stepsAt } = lattice;
  const events = first.length - 1;
  const allVisited = 2 ** visits - 1;
  // What has been used: shifts made and visits done, as one number; shifts that are free are not told apart.
  const counts = most < Infinity;
  const states = (counts ? most + 1 : 1) * (allVisited + 1);
  const labels = labelStore();
  const closed = new Set<number>();

  /** What has been used after one more step; -1 where that is too much. */
  function usedAfter(used: number, at: number, u: number, v: number): number {
    let shifts = Math.floor(used / (allVisited + 1));
    let seen = used % (allVisited + 1);
    for (const [t, from, to] of behind(at, u, v)) {
      const [a, b] = [nodes[base[t] + from], nodes[base[t + 1] + to]];
      if (counts && isShift(t, a, b)) shifts++;
      if (visits > 0) seen |= visited(t, a, b);
    }
    return shifts > most ? -1 : shifts * (allVisited + 1) + seen;
  }

  for (let node = 0; node < first[1]; node++)
    if (ahead[node] < limit) labels.push(0, node, 0, 0, ahead[node], -1);
  while (labels.waiting() && labels.count() < MOST_LABELS) {
    const label = labels.pop();
    const [t, node, used] = [labels.t(label), labels.node(label), labels.state(label)];
    const tag = (first[t] + node) * states + used;
    if (closed.has(tag)) continue;
    closed.add(tag);
    if (t + 1 === events) {
      if (used % (allVisited + 1) !== allVisited) continue;
      return { path: labels.path(label, events), cost: labels.least(label) };
    }
    const paid = labels.spent(label) + cost[first[t] + node];
    const row = stepsAt[t] + node * width(lattice, t + 1);
    for (let to = 0; to < width(lattice, t + 1); to++) {
      const spent = paid + steps[row + to];
      const least = spent + ahead[first[t + 1] + to];
      if (least >= limit) continue;
      const after = usedAfter(used, t + 1, node, to);
      if (after >= 0) labels.push(t + 1, to, after, spent, least, label);
    }
  }
  return null;
}
