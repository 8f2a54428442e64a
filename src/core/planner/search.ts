import { labelStore } from './labels';
import { placesOf, type Block, type Layer, type Path, type Trellis } from './trellis';

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

/**
 * The cheapest plans, each different from all before it in at least `apart` events, cheapest first.
 * @param count most plans wanted; fewer come back where no more exist
 */
export function differentPaths(trellis: Trellis, count: number, apart: number): Found[] {
  const first = cheapest(trellis, [costsToGo(trellis, null, 0)]);
  if (!first) return [];
  const found = [first];
  const bounds: ToGo[] = [];
  while (found.length < count) {
    const places = placesOf(trellis, found[found.length - 1].path);
    bounds.push(costsToGo(trellis, places, apart));
    const next = cheapest(trellis, bounds);
    if (!next) break;
    found.push(next);
  }
  return found;
}

/** Least costs of finishing from a node on, while `owed` more events must lie elsewhere than `places`. */
interface ToGo {
  readonly places: Int32Array | null;
  readonly owed: number;
  /** costs[t][stillOwed * nodes + node], the node's own cost included, arrival left out. */
  readonly costs: readonly Float64Array[];
}

function costsToGo(trellis: Trellis, places: Int32Array | null, owed: number): ToGo {
  const { layers, blocks } = trellis;
  const costs: Float64Array[] = new Array(layers.length);
  for (let t = layers.length - 1; t >= 0; t--) {
    const layer = layers[t];
    const { nodes } = layer;
    const here = new Float64Array((owed + 1) * nodes);
    const onward =
      t + 1 === layers.length
        ? ending(nodes, owed)
        : onwardCosts(blocks[t], layer, layers[t + 1], costs[t + 1], owed);
    for (let node = 0; node < nodes; node++) {
      const elsewhere = places !== null && layer.place[layer.touchOf[node]] !== places[t] ? 1 : 0;
      for (let still = 0; still <= owed; still++) {
        const left = still > 0 ? still - elsewhere : 0;
        here[still * nodes + node] = layer.cost[node] + onward[left * nodes + node];
      }
    }
    costs[t] = here;
  }
  return { places, owed, costs };
}

/** After the last event nothing may be owed. */
function ending(nodes: number, owed: number): Float64Array {
  return new Float64Array((owed + 1) * nodes).fill(Infinity).fill(0, 0, nodes);
}

/** Least cost from each node of a layer over one block and to the end, for every number of differences still owed. */
function onwardCosts(
  block: Block,
  layer: Layer,
  next: Layer,
  ahead: Float64Array,
  owed: number,
): Float64Array {
  const { move, stayStart, stayTo, stayCost } = block;
  const onward = new Float64Array((owed + 1) * layer.nodes);
  const arrive = new Float64Array(next.touches);
  for (let still = 0; still <= owed; still++) {
    const here = still * layer.nodes;
    const there = still * next.nodes;
    for (let touch = 0; touch < next.touches; touch++) {
      let least = Infinity;
      for (let node = next.touchStart[touch]; node < next.touchStart[touch + 1]; node++)
        least = Math.min(least, next.entry[node] + ahead[there + node]);
      arrive[touch] = least;
    }
    for (let touch = 0; touch < layer.touches; touch++) {
      const row = touch * next.touches;
      let leave = Infinity;
      for (let to = 0; to < next.touches; to++) leave = Math.min(leave, move[row + to] + arrive[to]);
      for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
        let least = leave;
        for (let at = stayStart[node]; at < stayStart[node + 1]; at++)
          least = Math.min(least, stayCost[at] + ahead[there + stayTo[at]]);
        onward[here + node] = least;
      }
    }
  }
  return onward;
}

/** Differences still owed to each earlier plan, packed as digits of `owed + 1`, the first plan's lowest. */
type Owed = number;

/** Best-first search under the bounds; null where no path meets them all. */
function cheapest(trellis: Trellis, bounds: readonly ToGo[]): Found | null {
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
    for (let touch = 0; touch < next.touches; touch++) {
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
