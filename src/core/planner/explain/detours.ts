import { isFresh, type HoldTrellis, type Path } from '../graph';
import type { Candidate } from '../cost';
import { isFreshStand, nodeOf, standAfter, standBefore, type Passes, type Stand } from '../search';

/*
 * The cheapest ways round something in a plan: another stretch of path that leaves the plan's own and comes back to it.
 */

export interface Detour {
  /** First and last event where the two are one again, or the ends of the piece. */
  readonly first: number;
  readonly last: number;
  readonly path: Path;
}

/** The cheapest way of all that reaches event t + 1 without a move of the hand; null where none does. */
export function withoutShift(trellis: HoldTrellis, costs: Passes, own: Path, t: number): Detour | null {
  const { first, forward, backward } = costs;
  const { stayStart, stayTo, stayCost } = trellis.blocks[t];
  const { nodes, cost: played } = trellis.layers[t];
  let least = Infinity;
  let [best, to] = [-1, -1];
  for (let from = 0; from < 2 * nodes; from++) {
    const node = nodeOf(from);
    const spent = forward[2 * first[t] + from] + played[node];
    if (!(spent < least)) continue;
    for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
      const cost = spent + stayCost[stay] + backward[2 * (first[t + 1] + stayTo[stay])];
      if (cost >= least) continue;
      least = cost;
      [best, to] = [from, 2 * stayTo[stay]];
    }
  }
  return best < 0 ? null : detour(trellis, costs, own, [t, best], [t + 1, to]);
}

/** The cheapest way on whose event t is held otherwise; null where there is none. */
export function withoutHold(
  trellis: HoldTrellis,
  costs: Passes,
  own: Path,
  t: number,
  is: (candidate: Candidate) => boolean,
): Detour | null {
  const { first, forward, backward } = costs;
  const layer = trellis.layers[t];
  let least = Infinity;
  let best = -1;
  for (let stand = 0; stand < 2 * layer.nodes; stand++) {
    const at = 2 * first[t] + stand;
    const cost = forward[at] + backward[at];
    if (cost < least && !is(layer.candidates[nodeOf(stand)])) {
      least = cost;
      best = stand;
    }
  }
  return best < 0 ? null : detour(trellis, costs, own, [t, best], [t, best]);
}

/** The cheapest way on from the plan's own event t whose hand stays where it is up to event `until`; null where there is none. */
export function stayingUntil(trellis: HoldTrellis, costs: Passes, own: Path, t: number, until: number): Detour | null {
  const { layers, blocks } = trellis;
  const path = own.slice();
  /** Least cost of each node of the event looked at, own cost left out, and where it was come from, event by event. */
  let spent = new Map([[own[t], 0]]);
  const cameFrom: Map<number, number>[] = [];
  for (let at = t; at < until; at++) {
    const { stayStart, stayTo, stayCost } = blocks[at];
    const [next, origin] = [new Map<number, number>(), new Map<number, number>()];
    for (const [from, paid] of spent)
      for (let stay = stayStart[from]; stay < stayStart[from + 1]; stay++) {
        const cost = paid + layers[at].cost[from] + stayCost[stay];
        if (cost >= (next.get(stayTo[stay]) ?? Infinity)) continue;
        next.set(stayTo[stay], cost);
        origin.set(stayTo[stay], from);
      }
    spent = next;
    cameFrom.push(origin);
  }
  let least = Infinity;
  let end = -1;
  for (const [node, paid] of spent) {
    const cost = paid + costs.backward[2 * (costs.first[until] + node)];
    if (cost >= least) continue;
    least = cost;
    end = node;
  }
  if (end < 0) return null;
  for (let at = until, node = end; at > t; at--) {
    path[at] = node;
    node = cameFrom[at - t - 1].get(node) ?? 0;
  }
  return { first: t, ...onward(trellis, costs, own, path, until, 2 * end) };
}

/** The first event after t, up to `until`, that no hand staying in its place comes to; null where it comes to all. */
export function firstUnreached(trellis: HoldTrellis, own: Path, t: number, until: number): number | null {
  let reached = new Set([own[t]]);
  for (let at = t; at < until; at++) {
    const { stayStart, stayTo, stayCost } = trellis.blocks[at];
    const next = new Set<number>();
    for (const from of reached)
      for (let stay = stayStart[from]; stay < stayStart[from + 1]; stay++)
        if (stayCost[stay] < Infinity) next.add(stayTo[stay]);
    if (next.size === 0) return at + 1;
    reached = next;
  }
  return null;
}

type Point = readonly [t: number, stand: Stand];

/** From two points of a way, back and onward by the cheapest steps until it is on the plan's own path again. */
function detour(trellis: HoldTrellis, costs: Passes, own: Path, start: Point, end: Point): Detour {
  const path = own.slice();
  [path[start[0]], path[end[0]]] = [nodeOf(start[1]), nodeOf(end[1])];
  let [first, stand] = start;
  while (first > 0 && !sameStand(trellis, own, path, first, stand)) {
    stand = standBefore(trellis, costs, first, stand);
    first--;
    path[first] = nodeOf(stand);
  }
  return { first, ...onward(trellis, costs, own, path, ...end) };
}

/** True where a way is on the plan's own path: it has the same node and has come to it alike. */
function sameStand(trellis: HoldTrellis, own: Path, path: Path, t: number, stand: Stand): boolean {
  return path[t] === own[t] && isFreshStand(stand) === isFresh(trellis, own, t);
}

function onward(
  trellis: HoldTrellis,
  costs: Passes,
  own: Path,
  path: Path,
  from: number,
  begun: Stand,
): Pick<Detour, 'last' | 'path'> {
  let [last, stand] = [from, begun];
  while (last + 1 < path.length && !sameStand(trellis, own, path, last, stand)) {
    stand = standAfter(trellis, costs, last, stand);
    last++;
    path[last] = nodeOf(stand);
  }
  return { last, path };
}
