import { moveCost, type Block, type Layer, type Trellis } from '../graph';

/*
 * Least costs from the start to every node and from every node to the end, by dynamic programming over a whole trellis. A move that cannot
 * be the cheapest by what it costs at least is never worked out.
 *
 * A node counts twice: settled, where the path begins or the hand has stayed, and fresh, where a move led to it; out of a fresh one the next move costs
 * more. So pairs of moves are priced, exactly, and hardly more is to be worked out than for single ones.
 */

/** Least costs of arriving at every node, its own cost left out, and of finishing from it, its own cost included. */
export interface Passes {
  /** Number of each layer's first node, all nodes numbered in one row. At the end how many there are. */
  readonly first: Int32Array;
  /** Costs lie at 2 * (first[t] + node), settled, and one further, fresh. What arrives fresh no cheaper than settled may cost more than is told. */
  readonly forward: Float64Array;
  readonly backward: Float64Array;
  /** What finishing costs at least by itself, where `backward` is a bound only together with `forward`. */
  readonly ahead?: Float64Array;
  /** Cost of the cheapest path of all; Infinity where there is none. */
  readonly least: number;
}

/** Added to the place of a node's costs where a move led to it. */
export const FRESH = 1;

/** Both passes over a trellis, worked out once for everything that is asked about it; the way forward when it is first asked for. */
export function passesOver(trellis: Trellis): Passes {
  const { layers } = trellis;
  const first = new Int32Array(layers.length + 1);
  for (let t = 0; t < layers.length; t++) first[t + 1] = first[t] + layers[t].nodes;
  const backward = backwardOver(trellis, first);
  const least = layers[0].entry.reduce((cheapest, set, node) => Math.min(cheapest, set + backward[2 * node]), Infinity);
  let forward: Float64Array | undefined;
  return {
    first,
    backward,
    least,
    get forward() {
      return (forward ??= forwardOver(trellis, first));
    },
  };
}

function backwardOver({ layers, blocks }: Trellis, first: Int32Array): Float64Array {
  const backward = new Float64Array(2 * first[layers.length]);
  const room = roomFor(layers);
  const last = layers.length - 1;
  layers[last].cost.forEach((cost, node) =>
    backward.fill(cost, 2 * (first[last] + node), 2 * (first[last] + node) + 2),
  );
  for (let t = last - 1; t >= 0; t--)
    finish(blocks[t], layers[t], layers[t + 1], backward, first[t], first[t + 1], room);
  return backward;
}

function forwardOver({ layers, blocks }: Trellis, first: Int32Array): Float64Array {
  const forward = new Float64Array(2 * first[layers.length]).fill(Infinity);
  const room = roomFor(layers);
  layers[0].entry.forEach((set, node) => (forward[2 * node] = set));
  for (let t = 0; t + 1 < layers.length; t++)
    arrive(blocks[t], layers[t], layers[t + 1], forward, first[t], first[t + 1], room);
  return forward;
}

/** Room for a number a touch. */
function roomFor(layers: readonly Layer[]): Float64Array {
  return new Float64Array(layers.reduce((most, { touches }) => Math.max(most, touches), 0));
}

/** Cost of the cheapest path through the node that lies worst of all that lie on any. */
export function mostCost({ forward, backward }: Passes): number {
  let most = 0;
  for (let at = 0; at < forward.length; at++) {
    const cost = forward[at] + backward[at];
    if (cost > most && cost < Infinity) most = cost;
  }
  return most;
}

/**
 * Least cost of arriving at each node of the next layer.
 * @param here where this layer's costs lie
 * @param ahead where the next layer's are to lie
 * @param leave room for a number a touch
 */
function arrive(
  block: Block,
  layer: Layer,
  next: Layer,
  forward: Float64Array,
  here: number,
  ahead: number,
  leave: Float64Array,
) {
  const { least, stayStart, stayTo, stayCost, stone, inPlace } = block;
  for (let touch = 0; touch < layer.touches; touch++) {
    let cheapest = Infinity;
    for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
      const settled = forward[2 * (here + node)];
      const fresh = forward[2 * (here + node) + FRESH];
      const leaving = layer.cost[node] + Math.min(settled, fresh + stone);
      if (leaving < cheapest) cheapest = leaving;
      const paid = layer.cost[node] + Math.min(settled, fresh);
      for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
        const to = 2 * (ahead + stayTo[stay]);
        const cost = paid + stayCost[stay];
        if (cost < forward[to]) forward[to] = cost;
      }
      if (!inPlace) continue;
      for (let slide = inPlace.start[node]; slide < inPlace.start[node + 1]; slide++) {
        const to = 2 * (ahead + inPlace.to[slide]) + FRESH;
        const cost = leaving + inPlace.cost[slide];
        if (cost < forward[to]) forward[to] = cost;
      }
    }
    leave[touch] = cheapest;
  }
  const cheapest = ascending(leave, layer.touches);
  for (let to = 0; to < next.touches; to++) {
    const [start, end] = [next.touchStart[to], next.touchStart[to + 1]];
    let limit = 0;
    for (let node = start; node < end; node++) {
      const bare = forward[2 * (ahead + node)] - next.entry[node];
      if (bare > limit) limit = bare;
    }
    for (let at = 0; at < layer.touches; at++) {
      const touch = cheapest[at];
      if (leave[touch] + least[to] >= limit) break;
      const cost = leave[touch] + moveCost(block, touch, to);
      if (cost < limit) limit = cost;
    }
    // Where no move was cheaper than staying, none costs less than the dearest stay.
    for (let node = start; node < end; node++) {
      const at = 2 * (ahead + node) + FRESH;
      forward[at] = Math.min(forward[at], limit + next.entry[node]);
    }
  }
}

/**
 * Least cost from each node of a layer to the end.
 * @param here where this layer's costs are to lie
 * @param ahead where the next layer's lie
 * @param arrival room for a number a touch
 */
function finish(
  block: Block,
  layer: Layer,
  next: Layer,
  backward: Float64Array,
  here: number,
  ahead: number,
  arrival: Float64Array,
) {
  const { least, stayStart, stayTo, stayCost, stone, inPlace } = block;
  const bound = new Float64Array(next.touches);
  for (let to = 0; to < next.touches; to++) {
    let cheapest = Infinity;
    for (let node = next.touchStart[to]; node < next.touchStart[to + 1]; node++) {
      const cost = next.entry[node] + backward[2 * (ahead + node) + FRESH];
      if (cost < cheapest) cheapest = cost;
    }
    arrival[to] = cheapest;
    bound[to] = cheapest + least[to];
  }
  const cheapest = ascending(bound, next.touches);
  for (let touch = 0; touch < layer.touches; touch++) {
    const [start, end] = [layer.touchStart[touch], layer.touchStart[touch + 1]];
    let limit = 0;
    for (let node = start; node < end; node++) {
      let cheapest = Infinity;
      for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
        const cost = stayCost[stay] + backward[2 * (ahead + stayTo[stay])];
        if (cost < cheapest) cheapest = cost;
      }
      backward[2 * (here + node)] = cheapest;
      if (cheapest > limit) limit = cheapest;
    }
    for (let at = 0; at < next.touches; at++) {
      const to = cheapest[at];
      if (bound[to] >= limit) break;
      const cost = arrival[to] + moveCost(block, touch, to);
      if (cost < limit) limit = cost;
    }
    for (let node = start; node < end; node++) {
      const at = 2 * (here + node);
      const stays = backward[at];
      let moves = limit;
      if (inPlace)
        for (let slide = inPlace.start[node]; slide < inPlace.start[node + 1]; slide++) {
          const cost = inPlace.cost[slide] + backward[2 * (ahead + inPlace.to[slide]) + FRESH];
          if (cost < moves) moves = cost;
        }
      backward[at] = layer.cost[node] + Math.min(stays, moves);
      backward[at + FRESH] = layer.cost[node] + Math.min(stays, moves + stone);
    }
  }
}

/** The numbers of some values, the least value first. */
function ascending(values: Float64Array, count: number): Int32Array {
  const order = new Int32Array(count);
  for (let one = 0; one < count; one++) {
    let at = one;
    for (; at > 0 && values[order[at - 1]] > values[one]; at--) order[at] = order[at - 1];
    order[at] = one;
  }
  return order;
}
