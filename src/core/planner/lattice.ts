import type { Costs } from './togo';
import { moveCost, type Path, type Trellis } from './trellis';

/*
 * What is left of a trellis near its cheapest path: few nodes an event, and the cost of every step between them written out. The search
 * for different plans goes over it again and again, so it is laid out flat.
 */

export interface Lattice {
  /** Number of each event's first node, all nodes numbered in one row; at the end how many there are. */
  readonly first: Int32Array;
  /** What a node costs for being played; at the opening also for setting the hand. */
  readonly cost: Float64Array;
  /** Where a node lies, by which plans are told apart. */
  readonly place: Int32Array;
  /** Cost from node u of event t to node v of the next, both counted from their first, at [stepsAt[t] + u * nodes of t + 1 + v]; Infinity where there is none. */
  readonly steps: Float64Array;
  readonly stepsAt: Int32Array;
}

/** A lattice with the nodes of the trellis that its own stand for, and the way back to them. */
export interface Narrowed extends Lattice {
  readonly nodes: Int32Array;
}

/** How many nodes an event has. */
export function width({ first }: Lattice, t: number): number {
  return first[t + 1] - first[t];
}

/** The nodes of a trellis that lie on some path of at most `most`: no plan within it goes anywhere else. */
export function narrow(trellis: Trellis, { first: whole, soFar, toGo }: Costs, most: number): Narrowed {
  const { layers } = trellis;
  const first = new Int32Array(layers.length + 1);
  const kept: number[] = [];
  for (let t = 0; t < layers.length; t++) {
    for (let at = whole[t]; at < whole[t + 1]; at++)
      if (soFar[at] + toGo[at] <= most) kept.push(at - whole[t]);
    first[t + 1] = kept.length;
  }
  const nodes = Int32Array.from(kept);
  const cost = new Float64Array(nodes.length);
  const place = new Int32Array(nodes.length);
  layers.forEach((layer, t) => {
    for (let at = first[t]; at < first[t + 1]; at++) {
      const node = nodes[at];
      cost[at] = layer.cost[node] + (t === 0 ? layer.entry[node] : 0);
      place[at] = layer.place[layer.touchOf[node]];
    }
  });
  return { first, nodes, cost, place, ...stepsBetween(trellis, first, nodes) };
}

function stepsBetween(
  { layers, blocks }: Trellis,
  first: Int32Array,
  nodes: Int32Array,
): Pick<Lattice, 'steps' | 'stepsAt'> {
  const stepsAt = new Int32Array(layers.length);
  for (let t = 0; t + 1 < layers.length; t++)
    stepsAt[t + 1] = stepsAt[t] + (first[t + 1] - first[t]) * (first[t + 2] - first[t + 1]);
  const steps = new Float64Array(stepsAt[layers.length - 1]);
  const stay = new Float64Array(layers.reduce((most, layer) => Math.max(most, layer.nodes), 0));
  stay.fill(Infinity);
  blocks.forEach((block, t) => {
    const [layer, next] = [layers[t], layers[t + 1]];
    const { stayStart, stayTo, stayCost } = block;
    let at = stepsAt[t];
    for (let u = first[t]; u < first[t + 1]; u++) {
      const node = nodes[u];
      const touch = layer.touchOf[node];
      for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = stayCost[one];
      for (let v = first[t + 1]; v < first[t + 2]; v++) {
        const to = nodes[v];
        const move = moveCost(block, touch, next.touchOf[to]) + next.entry[to];
        steps[at++] = stay[to] < move ? stay[to] : move;
      }
      for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = Infinity;
    }
  });
  return { steps, stepsAt };
}

/** The least costs of finishing, one for each number of differences still owed to another plan. */
export interface ToGo {
  /** Where the other plan lies at each event; null where nothing is owed. */
  readonly places: Int32Array | null;
  readonly owed: number;
  /** At [(owed + 1) * first[t] + stillOwed * nodes of t + node], the node's own cost included, arrival left out. */
  readonly costs: Float64Array;
}

/** Least costs of finishing from each node on while up to `owed` more events must lie elsewhere than `places`. */
export function costsToGo(lattice: Lattice, places: Int32Array | null, owed: number): ToGo {
  const { first, cost, place, steps, stepsAt } = lattice;
  const last = first.length - 2;
  const levels = owed + 1;
  const costs = new Float64Array(levels * first[last + 1]);
  const onward = new Float64Array(levels);
  for (let t = last; t >= 0; t--) {
    const nodes = width(lattice, t);
    const here = levels * first[t];
    const next = t === last ? 0 : width(lattice, t + 1);
    for (let node = 0; node < nodes; node++) {
      const row = stepsAt[t] + node * next;
      // After the last event nothing may be owed.
      for (let still = 0; still <= owed; still++) {
        const ahead = levels * first[t + 1] + still * next;
        let least = t === last && still === 0 ? 0 : Infinity;
        for (let to = 0; to < next; to++) {
          const through = steps[row + to] + costs[ahead + to];
          if (through < least) least = through;
        }
        onward[still] = least;
      }
      const at = first[t] + node;
      const elsewhere = places !== null && place[at] !== places[t];
      for (let still = 0; still <= owed; still++)
        costs[here + still * nodes + node] = cost[at] + onward[elsewhere && still > 0 ? still - 1 : still];
    }
  }
  return { places, owed, costs };
}

/** The nodes of a trellis that a path through its lattice stands for. */
export function nodesOf({ first, nodes }: Narrowed, path: Int32Array): Path {
  return path.map((node, t) => nodes[first[t] + node]);
}
