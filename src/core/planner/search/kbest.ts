import { foldLattice, type Alike } from '../graph';
import { labelStore } from './labels';
import { width, type Lattice } from '../graph';
import { boundAgainst, type Bound } from './bound';
import { nodesOf, prune, type Pruned } from './prune';
import { passesOver, leastCost, mostCost, type Passes } from './passes';
import type { Path, Trellis } from '../graph';

/*
 * Exact search for the cheapest plans that are different from each other. The first is the cheapest path of all; each next one is the
 * cheapest among those that lie elsewhere than every earlier one in at least `apart` events. For each earlier plan one backward pass works out,
 * node by node, the least cost of finishing with so many differences still to come; the dearest of these is an exact
 * lower bound, and a best-first search over (event, node, differences still owed) follows it. Most often it walks straight
 * to the answer. Time and memory grow linearly with the events.
 */

/** Labels tried before a search for one more plan is given up; far above what any lesson material needs. */
const MOST_LABELS = 3_000_000;

/** A path of a lattice. */
interface Cheapest {
  readonly path: Int32Array;
  readonly cost: number;
}

export interface Found {
  /** One node a layer. */
  readonly path: Path;
  /** Where it goes through, event by event. */
  readonly places: Int32Array;
  readonly cost: number;
}

/** How far above the best plan the first try looks, and how much further each next one: most alternatives lie near. */
const FIRST_SLACK = 0.8;
const MORE_SLACK = 1.6;

/** One kind of path to look for, in a lattice of its own. */
interface Way {
  readonly lattice: Lattice;
  /** Added to the cost of every path of this kind. */
  readonly surcharge: number;
  /** To a path of the narrowed trellis, and from its places. */
  readonly unfold: (path: Int32Array) => Int32Array;
  readonly fold: (places: Int32Array) => Int32Array;
  /** One for each earlier plan, as far as they have been asked for. */
  bounds: Bound[];
  /** No path that still counts costs less than this, the surcharge left out: with each plan found fewer do. */
  least: number;
}

export interface Wanted {
  /** Most plans wanted; fewer come back where no more exist. */
  readonly count: number;
  /** In how many events two of them must lie elsewhere. */
  readonly apart: number;
  /** Where the line turns round and comes back: what it costs to come back another way than it went, and what the same way is. */
  readonly back?: { readonly otherWay: number; readonly alike: Alike };
}

/**
 * The cheapest plans, each different from all before it, cheapest first.
 *
 * Only nodes that lie on some path near enough to the best are searched. That loses nothing: what is found within the
 * limit is the cheapest of all, and where it does not suffice the limit is raised.
 */
export function differentPaths(
  trellis: Trellis,
  wanted: Wanted,
  costs: Passes = passesOver(trellis),
): Found[] {
  const least = leastCost(costs);
  if (least === Infinity) return [];
  const dearest = mostCost(costs);
  const found: Found[] = [];
  for (let slack = FIRST_SLACK; ; slack *= MORE_SLACK) {
    const whole = least + slack >= dearest;
    const lattice = prune(trellis, costs, whole ? Number.MAX_VALUE : least + slack);
    findMore(found, lattice, wanted, whole ? Infinity : least + slack);
    if (whole || found.length === wanted.count) return found;
  }
}

/** Adds what is still wanted to the plans already found, as far as it costs less than `most`. */
function findMore(found: Found[], lattice: Pruned, wanted: Wanted, most: number) {
  const taken = found.map(({ places }) => places);
  const ways = waysOf(lattice, wanted);
  while (found.length < wanted.count) {
    let best: Cheapest | null = null;
    for (const way of ways) {
      const limit = Math.min(best?.cost ?? Infinity, most) - way.surcharge;
      if (way.least >= limit) continue;
      const one = cheapest(way.lattice, boundsOf(way, taken, wanted.apart), limit);
      way.least = one?.cost ?? limit;
      if (one) best = { path: way.unfold(one.path), cost: one.cost + way.surcharge };
    }
    if (!best) return;
    const places = best.path.map((node, t) => lattice.place[lattice.first[t] + node]);
    found.push({ path: nodesOf(lattice, best.path), places, cost: best.cost });
    taken.push(places);
  }
}

/** Free paths, and before them those that come back the way they went where that is worth something. */
function waysOf(lattice: Pruned, { back }: Wanted): Way[] {
  const same = <T>(value: T) => value;
  const free = { lattice, surcharge: back?.otherWay ?? 0, unfold: same, fold: same, bounds: [], least: 0 };
  if (!back) return [free];
  const { first, nodes } = lattice;
  const folded = foldLattice(lattice, (t, node, late, other) =>
    back.alike(t, nodes[first[t] + node], late, nodes[first[late] + other]),
  );
  if (!folded) return [free];
  const { unfold, fold } = folded;
  return [{ lattice: folded, surcharge: 0, unfold, fold, bounds: [], least: 0 }, free];
}

/** What a way costs to the end, by the plans already taken. */
function boundsOf(way: Way, taken: readonly Int32Array[], apart: number): readonly Bound[] {
  if (taken.length === 0) return [boundAgainst(way.lattice, null, 0)];
  for (const places of taken.slice(way.bounds.length))
    way.bounds.push(boundAgainst(way.lattice, way.fold(places), apart));
  return way.bounds;
}

/** Differences still owed to each earlier plan, packed as digits of `owed + 1`, the first plan's lowest. */
type Owed = number;

/** Best-first search under the bounds; null where no path below the limit meets them all. */
function cheapest(lattice: Lattice, bounds: readonly Bound[], limit: number): Cheapest | null {
  const { first, cost, place, steps, stepsAt } = lattice;
  const events = first.length - 1;
  const base = bounds[0].owed + 1;
  const allOwed: Owed = base ** bounds.length - 1;
  const labels = labelStore();
  const closed = new Set<number>();

  function bound(t: number, node: number, owed: Owed): number {
    const nodes = width(lattice, t);
    const here = base * first[t] + node;
    if (bounds.length === 1) return bounds[0].costs[here + owed * nodes];
    let worst = 0;
    let rest = owed;
    for (const { costs } of bounds) {
      const still = rest % base;
      rest = (rest - still) / base;
      const one = costs[here + still * nodes];
      if (one > worst) worst = one;
    }
    return worst;
  }

  function owedAfter(t: number, node: number, owed: Owed): Owed {
    let left = owed;
    let rest = owed;
    let digit = 1;
    for (const { places } of bounds) {
      const still = rest % base;
      rest = (rest - still) / base;
      if (still > 0 && places !== null && places[t] !== place[first[t] + node]) left -= digit;
      digit *= base;
    }
    return left;
  }

  function push(t: number, node: number, owed: Owed, spent: number, parent: number) {
    const least = spent + bound(t, node, owed);
    if (least < limit) labels.push(t, node, owed, spent, least, parent);
  }

  for (let node = 0; node < first[1]; node++) push(0, node, allOwed, 0, -1);

  while (labels.waiting() && labels.count() < MOST_LABELS) {
    const label = labels.pop();
    const [t, node, owed] = [labels.t(label), labels.node(label), labels.owed(label)];
    const tag = (first[t] + node) * (allOwed + 1) + owed;
    if (closed.has(tag)) continue;
    closed.add(tag);
    if (t + 1 === events) return { path: labels.path(label, events), cost: labels.least(label) };
    const left = owedAfter(t, node, owed);
    const paid = labels.spent(label) + cost[first[t] + node];
    const next = width(lattice, t + 1);
    const row = stepsAt[t] + node * next;
    for (let to = 0; to < next; to++) push(t + 1, to, left, paid + steps[row + to], label);
  }
  return null;
}
