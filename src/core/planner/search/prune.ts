import { moveCost, type Lattice, type Path, type Trellis } from '../graph';
import type { Passes } from './passes';

/*
 * Takes out of a trellis what lies too far from its cheapest path: few nodes an event are left, with the cost of every step between them written
 * out. Nothing is lost, for every path within the limit goes only through nodes that are kept.
 */

/** A lattice with the nodes of the trellis that its own stand for, and the way back to them. */
export interface Pruned extends Lattice {
  readonly nodes: Int32Array;
}

/** The nodes of a trellis that lie on some path of at most `most`: no plan within it goes anywhere else. */
export function prune(trellis: Trellis, { first: whole, forward, backward }: Passes, most: number): Pruned {
  const { layers } = trellis;
  const first = new Int32Array(layers.length + 1);
  const kept: number[] = [];
  for (let t = 0; t < layers.length; t++) {
    for (let at = whole[t]; at < whole[t + 1]; at++)
      if (forward[at] + backward[at] <= most) kept.push(at - whole[t]);
    first[t + 1] = kept.length;
  }
  const nodes = Int32Array.from(kept);
  const cost = new Float64Array(nodes.length);
  layers.forEach((layer, t) => {
    for (let at = first[t]; at < first[t + 1]; at++) {
      const node = nodes[at];
      cost[at] = layer.cost[node] + (t === 0 ? layer.entry[node] : 0);
    }
  });
  return { first, nodes, cost, ...stepsBetween(trellis, first, nodes) };
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

/** The nodes of a trellis that a path through its lattice stands for. */
export function nodesOf({ first, nodes }: Pruned, path: Int32Array): Path {
  return path.map((node, t) => nodes[first[t] + node]);
}
