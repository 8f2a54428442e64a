import type { Block, Layer, Trellis } from './trellis';

/*
 * Least costs from every node to the end, by one backward pass of dynamic programming.
 */

/** For each layer the touches that a pass looks at, rising. */
export type Live = readonly Int32Array[];

/** Least costs of finishing from a node on, while `owed` more events must lie elsewhere than `places`. */
export interface ToGo {
  readonly places: Int32Array | null;
  readonly owed: number;
  /** costs[t][stillOwed * nodes + node], the node's own cost included, arrival left out; Infinity where not live. */
  readonly costs: readonly Float64Array[];
}

/** 0, 1, 2, … below a number. */
export function counting(below: number): Int32Array {
  const numbers = new Int32Array(below);
  for (let at = 1; at < below; at++) numbers[at] = at;
  return numbers;
}

export function allLive(trellis: Trellis): Live {
  return trellis.layers.map(({ touches }) => counting(touches));
}

export function costsToGo(trellis: Trellis, live: Live, places: Int32Array | null, owed: number): ToGo {
  const { layers, blocks } = trellis;
  const arrive = new Float64Array(layers.reduce((most, { touches }) => Math.max(most, touches), 0));
  const costs: Float64Array[] = new Array(layers.length);
  for (let t = layers.length - 1; t >= 0; t--) {
    const layer = layers[t];
    const here = new Float64Array((owed + 1) * layer.nodes).fill(Infinity);
    if (t + 1 === layers.length) endingCosts(layer, live[t], here);
    else onwardCosts(blocks[t], layer, layers[t + 1], live[t], live[t + 1], costs[t + 1], owed, arrive, here);
    settleHere(layer, live[t], places === null ? null : places[t], owed, here);
    costs[t] = here;
  }
  return { places, owed, costs };
}

/** After the last event nothing may be owed. */
function endingCosts(layer: Layer, live: Int32Array, onward: Float64Array) {
  for (const touch of live) onward.fill(0, layer.touchStart[touch], layer.touchStart[touch + 1]);
}

/**
 * Least cost from each node of a layer over one block and to the end, for every number of differences still owed.
 * @param arrive room for a number a touch
 */
function onwardCosts(
  block: Block,
  layer: Layer,
  next: Layer,
  live: Int32Array,
  nextLive: Int32Array,
  ahead: Float64Array,
  owed: number,
  arrive: Float64Array,
  onward: Float64Array,
) {
  const { move, stayStart, stayTo, stayCost } = block;
  for (let still = 0; still <= owed; still++) {
    const here = still * layer.nodes;
    const there = still * next.nodes;
    for (let at = 0; at < nextLive.length; at++) {
      const touch = nextLive[at];
      let least = Infinity;
      for (let node = next.touchStart[touch]; node < next.touchStart[touch + 1]; node++) {
        const cost = next.entry[node] + ahead[there + node];
        if (cost < least) least = cost;
      }
      arrive[touch] = least;
    }
    for (let at = 0; at < live.length; at++) {
      const touch = live[at];
      const row = touch * next.touches;
      let leave = Infinity;
      for (let to = 0; to < nextLive.length; to++) {
        const cost = move[row + nextLive[to]] + arrive[nextLive[to]];
        if (cost < leave) leave = cost;
      }
      for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
        let least = leave;
        for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
          const cost = stayCost[stay] + ahead[there + stayTo[stay]];
          if (cost < least) least = cost;
        }
        onward[here + node] = least;
      }
    }
  }
}

/** Turns onward costs into costs from the node on: its own cost added, and one difference paid off where it lies elsewhere. */
function settleHere(layer: Layer, live: Int32Array, place: number | null, owed: number, costs: Float64Array) {
  const { nodes } = layer;
  for (const touch of live) {
    const elsewhere = place !== null && layer.place[touch] !== place;
    for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
      // From the most owed down, so that what is read has not been settled yet.
      for (let still = owed; still >= 0; still--) {
        const left = elsewhere && still > 0 ? still - 1 : still;
        costs[still * nodes + node] = layer.cost[node] + costs[left * nodes + node];
      }
    }
  }
}

/** Least costs of arriving at every node, its own cost left out, and of finishing from it, its own cost included. */
export interface Costs {
  readonly soFar: readonly Float64Array[];
  readonly toGo: readonly Float64Array[];
}

/** Both passes over a whole trellis: worked out once for everything that is asked about it. */
export function costsOf(trellis: Trellis): Costs {
  const { layers, blocks } = trellis;
  const soFar: Float64Array[] = [layers[0].entry];
  for (let t = 0; t + 1 < layers.length; t++)
    soFar.push(arrivalCosts(blocks[t], layers[t], layers[t + 1], soFar[t]));
  return { soFar, toGo: costsToGo(trellis, allLive(trellis), null, 0).costs };
}

/** Cost of the cheapest path of all; Infinity where there is none. */
export function leastCost({ soFar, toGo }: Costs): number {
  return toGo[0].reduce((least, cost, node) => Math.min(least, soFar[0][node] + cost), Infinity);
}

/** The touches that lie on some path of at most a given cost: no plan within it goes anywhere else. */
export function touchesWithin(trellis: Trellis, costs: Costs, most: number): Live {
  return trellis.layers.map((layer, t) => {
    const [soFar, toGo] = [costs.soFar[t], costs.toGo[t]];
    const live: number[] = [];
    for (let touch = 0; touch < layer.touches; touch++) {
      for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
        if (soFar[node] + toGo[node] > most) continue;
        live.push(touch);
        break;
      }
    }
    return new Int32Array(live);
  });
}

/** Least cost of arriving at each node of the next layer, its own cost left out. */
function arrivalCosts(block: Block, layer: Layer, next: Layer, soFar: Float64Array) {
  const { move, stayStart, stayTo, stayCost } = block;
  const moved = new Float64Array(next.touches).fill(Infinity);
  const arrival = new Float64Array(next.nodes).fill(Infinity);
  for (let touch = 0; touch < layer.touches; touch++) {
    let leave = Infinity;
    for (let node = layer.touchStart[touch]; node < layer.touchStart[touch + 1]; node++) {
      const paid = soFar[node] + layer.cost[node];
      if (paid < leave) leave = paid;
      for (let stay = stayStart[node]; stay < stayStart[node + 1]; stay++) {
        const cost = paid + stayCost[stay];
        if (cost < arrival[stayTo[stay]]) arrival[stayTo[stay]] = cost;
      }
    }
    const row = touch * next.touches;
    for (let to = 0; to < next.touches; to++) {
      const cost = leave + move[row + to];
      if (cost < moved[to]) moved[to] = cost;
    }
  }
  for (let node = 0; node < next.nodes; node++) {
    const cost = moved[next.touchOf[node]] + next.entry[node];
    if (cost < arrival[node]) arrival[node] = cost;
  }
  return arrival;
}
