import { moveCostBetween, stayCostBetween, type Path, type Trellis } from '../graph';
import { FRESH, type Passes } from './passes';

/*
 * From a node of a trellis along the cheapest way, forward or back. A node is told with whether a move led to it: twice its number, one more where it is
 * fresh.
 */

/** Twice a node's number, one more where a move led to it. */
export type Stand = number;

export const nodeOf = (stand: Stand): number => stand >> 1;
export const isFreshStand = (stand: Stand): boolean => (stand & FRESH) === FRESH;

/** Sums taken in another order differ in the last bits. */
const ROUNDING = 1e-9;

/** The stand before one of event t on the cheapest way there. */
export function standBefore(trellis: Trellis, { first, forward }: Passes, t: number, stand: Stand): Stand {
  const layer = trellis.layers[t - 1];
  const { stone } = trellis.blocks[t - 1];
  const goal = forward[2 * first[t] + stand] + ROUNDING;
  const between = isFreshStand(stand) ? moveCostBetween : stayCostBetween;
  let least = Infinity;
  let best = 0;
  for (let from = 0; from < 2 * layer.nodes && least > goal; from++) {
    const node = nodeOf(from);
    const spent = forward[2 * first[t - 1] + from] + layer.cost[node];
    if (!(spent < least)) continue;
    const more = isFreshStand(stand) && isFreshStand(from) ? stone : 0;
    const cost = spent + more + between(trellis, t - 1, node, nodeOf(stand));
    if (cost < least) {
      least = cost;
      best = from;
    }
  }
  return best;
}

/** The stand after one of event t on the cheapest way onward. */
export function standAfter(trellis: Trellis, { first, backward }: Passes, t: number, stand: Stand): Stand {
  const node = nodeOf(stand);
  const goal = backward[2 * first[t] + stand] - trellis.layers[t].cost[node] + ROUNDING;
  const stone = isFreshStand(stand) ? trellis.blocks[t].stone : 0;
  let least = Infinity;
  let best = 0;
  for (let to = 0; to < 2 * trellis.layers[t + 1].nodes && least > goal; to++) {
    const ahead = backward[2 * first[t + 1] + to];
    if (!(ahead < least)) continue;
    const step = isFreshStand(to)
      ? moveCostBetween(trellis, t, node, nodeOf(to)) + stone
      : stayCostBetween(trellis, t, node, nodeOf(to));
    if (ahead + step < least) {
      least = ahead + step;
      best = to;
    }
  }
  return best;
}

/** The cheapest path of all; there must be one. */
export function cheapestOfAll(trellis: Trellis, costs: Passes): Path {
  const { least, backward } = costs;
  const path = new Int32Array(trellis.layers.length);
  let stand = 2 * trellis.layers[0].entry.findIndex((set, node) => set + backward[2 * node] === least);
  path[0] = nodeOf(stand);
  for (let t = 0; t + 1 < path.length; t++) {
    stand = standAfter(trellis, costs, t, stand);
    path[t + 1] = nodeOf(stand);
  }
  return path;
}
