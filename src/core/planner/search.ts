import { foldTrellis, type Alike } from './fold';
import { labelStore } from './labels';
import {
  allLive,
  costsOf,
  costsToGo,
  leastCost,
  touchesWithin,
  type Costs,
  type Live,
  type ToGo,
} from './togo';
import { placesOf, type Path, type Trellis } from './trellis';

/*
 * Exact search for the cheapest plans that are different from each other. The first is the cheapest path of all; each next one is the
 * cheapest among those that lie elsewhere than every earlier one in at least `apart` events. For each earlier plan one backward pass works out,
 * node by node, the least cost of finishing with so many differences still to come; the dearest of these is an exact
 * lower bound, and a best-first search over (event, node, differences still owed) follows it. Most often it walks straight
 * to the answer. Time and memory grow linearly with the events.
 */

/** Labels tried before a search for one more plan is given up; far above what any lesson material needs. */
const MOST_LABELS = 3_000_000;

export interface Found {
  readonly path: Path;
  readonly cost: number;
}

/** How far above the best plan the first try looks, and how much further each next one: most alternatives lie near. */
const FIRST_SLACK = 1.25;
const MORE_SLACK = 2;

/** One kind of path to look for, in a trellis of its own. */
interface Way {
  readonly trellis: Trellis;
  readonly live: Live;
  readonly toGo: ToGo;
  /** Added to the cost of every path of this kind. */
  readonly surcharge: number;
  readonly unfold: (path: Path) => Path;
  readonly fold: (places: Int32Array) => Int32Array;
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
 * Only touches that lie on some path near enough to the best are searched. That loses nothing: what is found within the
 * limit is the cheapest of all, and where it does not suffice the limit is raised.
 */
export function differentPaths(trellis: Trellis, wanted: Wanted, costs: Costs = costsOf(trellis)): Found[] {
  const least = leastCost(costs);
  if (least === Infinity) return [];
  for (let slack = FIRST_SLACK; ; slack *= MORE_SLACK) {
    const live = touchesWithin(trellis, costs, least + slack);
    const whole = live.every((touches, t) => touches.length === trellis.layers[t].touches);
    const most = whole ? Infinity : least + slack;
    const found = differentOver(trellis, waysOf(trellis, live, costs, most, wanted), wanted);
    const enough = found.length === wanted.count && found[wanted.count - 1].cost <= most;
    if (enough || whole) return found;
  }
}

/** Free paths, and those that come back the way they went where that is worth something. */
function waysOf(trellis: Trellis, live: Live, costs: Costs, most: number, wanted: Wanted): Way[] {
  const same = <T>(value: T) => value;
  const toGo = { places: null, owed: 0, costs: costs.toGo };
  const free: Way = { trellis, live, toGo, surcharge: wanted.back?.otherWay ?? 0, unfold: same, fold: same };
  const folded = wanted.back ? foldTrellis(trellis, costs, most, wanted.back.alike) : null;
  if (!folded) return [free];
  const all = allLive(folded.trellis);
  return [{ ...folded, live: all, toGo: costsToGo(folded.trellis, all, null, 0), surcharge: 0 }, free];
}

function differentOver(trellis: Trellis, ways: readonly Way[], { count, apart }: Wanted): Found[] {
  const found: Found[] = [];
  const bounds = ways.map(({ toGo }) => [toGo]);
  while (found.length < count) {
    let next: Found | null = null;
    ways.forEach((way, at) => {
      const one = cheapest(way.trellis, way.live, bounds[at]);
      if (one && one.cost + way.surcharge < (next?.cost ?? Infinity))
        next = { path: way.unfold(one.path), cost: one.cost + way.surcharge };
    });
    if (!next) break;
    found.push(next);
    if (found.length === count) break;
    const places = placesOf(trellis, found[found.length - 1].path);
    ways.forEach((way, at) => {
      const bound = costsToGo(way.trellis, way.live, way.fold(places), apart);
      if (found.length === 1) bounds[at] = [bound];
      else bounds[at].push(bound);
    });
  }
  return found;
}

/** Differences still owed to each earlier plan, packed as digits of `owed + 1`, the first plan's lowest. */
type Owed = number;

/** Best-first search under the bounds; null where no path meets them all. */
function cheapest(trellis: Trellis, live: Live, bounds: readonly ToGo[]): Found | null {
  const { layers, blocks } = trellis;
  const last = layers.length - 1;
  const base = bounds[0].owed + 1;
  const most = layers.reduce((nodes, layer) => Math.max(nodes, layer.nodes), 0);
  const allOwed: Owed = base ** bounds.length - 1;
  const labels = labelStore();
  const closed = new Set<number>();

  function bound(t: number, node: number, owed: Owed): number {
    const { nodes } = layers[t];
    if (bounds.length === 1) return bounds[0].costs[t][owed * nodes + node];
    let worst = 0;
    let rest = owed;
    for (const { costs } of bounds) {
      const still = rest % base;
      rest = (rest - still) / base;
      const cost = costs[t][still * nodes + node];
      if (cost > worst) worst = cost;
    }
    return worst;
  }

  function owedAfter(t: number, node: number, owed: Owed): Owed {
    const place = layers[t].place[layers[t].touchOf[node]];
    let left = owed;
    let rest = owed;
    let digit = 1;
    for (const { places } of bounds) {
      const still = rest % base;
      rest = (rest - still) / base;
      if (still > 0 && places !== null && places[t] !== place) left -= digit;
      digit *= base;
    }
    return left;
  }

  function push(t: number, node: number, owed: Owed, spent: number, parent: number) {
    const least = spent + bound(t, node, owed);
    if (least < Infinity) labels.push(t, node, owed, spent, least, parent);
  }

  for (let node = 0; node < layers[0].nodes; node++) push(0, node, allOwed, layers[0].entry[node], -1);

  while (labels.waiting() && labels.count() < MOST_LABELS) {
    const label = labels.pop();
    const [t, node, owed] = [labels.t(label), labels.node(label), labels.owed(label)];
    const tag = (t * most + node) * (allOwed + 1) + owed;
    if (closed.has(tag)) continue;
    closed.add(tag);
    if (t === last) return { path: labels.path(label, layers.length), cost: labels.least(label) };
    const left = owedAfter(t, node, owed);
    const paid = labels.spent(label) + layers[t].cost[node];
    const [block, next] = [blocks[t], layers[t + 1]];
    const row = layers[t].touchOf[node] * next.touches;
    for (const touch of live[t + 1]) {
      const move = block.move[row + touch];
      if (move === Infinity) continue;
      for (let to = next.touchStart[touch]; to < next.touchStart[touch + 1]; to++)
        push(t + 1, to, left, paid + move + next.entry[to], label);
    }
    for (let at = block.stayStart[node]; at < block.stayStart[node + 1]; at++)
      push(t + 1, block.stayTo[at], left, paid + block.stayCost[at], label);
  }
  return null;
}
