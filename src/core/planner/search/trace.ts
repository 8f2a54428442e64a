import { stepCost, type Path, type Trellis } from '../graph';
import type { Passes } from './passes';

/*
 * From a node of a trellis along the cheapest way, forward or back.
 */

/** Sums taken in another order differ in the last bits. */
const ROUNDING = 1e-9;

/** The node before one of event t on the cheapest way there. */
export function nodeBefore(trellis: Trellis, { first, forward }: Passes, t: number, node: number): number {
  const layer = trellis.layers[t - 1];
  const goal = forward[first[t] + node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let from = 0; from < layer.nodes && least > goal; from++) {
    const spent = forward[first[t - 1] + from] + layer.cost[from];
    const cost = spent < least ? spent + stepCost(trellis, t - 1, from, node) : Infinity;
    if (cost < least) {
      least = cost;
      best = from;
    }
  }
  return best;
}

/** The node after one of event t on the cheapest way onward. */
export function nodeAfter(trellis: Trellis, { first, backward }: Passes, t: number, node: number): number {
  const goal = backward[first[t] + node] - trellis.layers[t].cost[node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let to = 0; to < trellis.layers[t + 1].nodes && least > goal; to++) {
    const ahead = backward[first[t + 1] + to];
    const cost = ahead < least ? ahead + stepCost(trellis, t, node, to) : Infinity;
    if (cost < least) {
      least = cost;
      best = to;
    }
  }
  return best;
}

/** The cheapest path of all; there must be one. */
export function cheapestOfAll(trellis: Trellis, costs: Passes): Path {
  const { least, backward } = costs;
  const path = new Int32Array(trellis.layers.length);
  path[0] = trellis.layers[0].entry.findIndex((set, node) => set + backward[node] === least);
  for (let t = 0; t + 1 < path.length; t++) path[t + 1] = nodeAfter(trellis, costs, t, path[t]);
  return path;
}
