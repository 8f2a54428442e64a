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
  const [node, fresh] = [nodeOf(stand), isFreshStand(stand)];
  const goal = forward[2 * first[t] + stand] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let from = 0; from < 2 * layer.nodes && least > goal; from++) {
    const spent = forward[2 * first[t - 1] + from] + layer.cost[nodeOf(from)];
    const more = fresh && isFreshStand(from) ? stone : 0;
    if (!(spent + more < least)) continue;
    const step = fresh
      ? moveCostBetween(trellis, t - 1, nodeOf(from), node)
      : stayCostBetween(trellis, t - 1, nodeOf(from), node);
    if (spent + more + step >= least) continue;
    least = spent + more + step;
    best = from;
  }
  return best;
}

/** The stand after one of event t on the cheapest way onward. */
export function standAfter(trellis: Trellis, { first, backward }: Passes, t: number, stand: Stand): Stand {
  const [node, fresh] = [nodeOf(stand), isFreshStand(stand)];
  const { stayStart, stayTo, stayCost, stone, least: leastMove } = trellis.blocks[t];
  const next = trellis.layers[t + 1];
  const ahead = 2 * first[t + 1];
  let least = Infinity;
  let best = 0;
  for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
    const cost = stayCost[stay] + backward[ahead + 2 * stayTo[stay]];
    if (cost >= least) continue;
    least = cost;
    best = 2 * stayTo[stay];
  }
  const more = fresh ? stone : 0;
  for (let to = 0; to < next.nodes; to++) {
    const onward = backward[ahead + 2 * to + FRESH] + more;
    if (onward + next.entry[to] + leastMove[next.touchOf[to]] >= least) continue;
    const cost = onward + moveCostBetween(trellis, t, node, to);
    if (cost >= least) continue;
    least = cost;
    best = 2 * to + FRESH;
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
