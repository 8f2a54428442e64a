import { moveCost, width, type Lattice, type Path, type Trellis } from '../graph';
import { arriving } from './finish';
import { FRESH, type Passes } from './passes';

/*
 * Takes out of a trellis what lies too far from its cheapest path: few nodes an event are left, with the cost of every step between them written
 * out. Nothing is lost, for every path within the limit goes only through nodes that are kept.
 */

/** A lattice with the nodes of the trellis that its own stand for, each once settled and once fresh, and the way back to them. */
export interface Pruned extends Lattice {
  readonly nodes: Int32Array;
}

/**
 * The nodes of a trellis that lie on some path of at most `most`: no plan within it goes anywhere else.
 * @param passes what arriving and finishing cost at least
 * @returns null where some event is left without a node
 */
export function prune(
  { layers, blocks }: Trellis,
  { first: whole, forward, backward }: Passes,
  most: number,
): Pruned | null {
  const first = new Int32Array(layers.length + 1);
  const kept: number[] = [];
  const led: number[] = [];
  for (let t = 0; t < layers.length; t++) {
    const { cost } = layers[t];
    for (let node = 0, at = 2 * whole[t]; at < 2 * whole[t + 1]; node++, at += 2) {
      if (cost[node] === Infinity) continue;
      for (let fresh = 0; fresh <= FRESH; fresh++) {
        const through = forward[at + fresh] + backward[at + fresh];
        if (through > most || through === Infinity) continue;
        kept.push(node);
        led.push(fresh);
      }
    }
    if (kept.length === first[t]) return null;
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
  return { first, nodes, cost, ...stepsBetween({ layers, blocks }, first, nodes, led) };
}

function stepsBetween(
  { layers, blocks }: Trellis,
  first: Int32Array,
  nodes: Int32Array,
  led: readonly number[],
): Pick<Lattice, 'steps' | 'stepsAt'> {
  const stepsAt = rowsOf(first);
  const steps = new Float64Array(stepsAt[layers.length - 1]);
  const stay = new Float64Array(layers.reduce((most, layer) => Math.max(most, layer.nodes), 0));
  stay.fill(Infinity);
  blocks.forEach((block, t) => {
    const [layer, next] = [layers[t], layers[t + 1]];
    const { stayStart, stayTo, stayCost, stone } = block;
    let at = stepsAt[t];
    for (let u = first[t]; u < first[t + 1]; u++) {
      const node = nodes[u];
      const touch = layer.touchOf[node];
      for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = stayCost[one];
      for (let v = first[t + 1]; v < first[t + 2]; v++) {
        const to = nodes[v];
        // To a settled node the hand stays, to a fresh one it moves.
        steps[at++] =
          led[v] === FRESH
            ? moveCost(block, touch, next.touchOf[to]) + next.entry[to] + (led[u] === FRESH ? stone : 0)
            : stay[to];
      }
      for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = Infinity;
    }
  });
  return { steps, stepsAt };
}

/**
 * What is left of a lattice where paths may cost no more than some limit; null where nothing is.
 * @param ahead what finishing costs from each node on
 */
export function narrowed(lattice: Pruned, ahead: Float64Array, most: number): Pruned | null {
  const { first: whole, nodes, cost } = lattice;
  const before = arriving(lattice);
  const first = new Int32Array(whole.length);
  /** The nodes that stay, by their numbers in the whole. */
  const kept: number[] = [];
  for (let t = 0; t + 1 < whole.length; t++) {
    for (let at = whole[t]; at < whole[t + 1]; at++) if (before[at] + ahead[at] <= most) kept.push(at);
    if (kept.length === first[t]) return null;
    first[t + 1] = kept.length;
  }
  const stepsAt = rowsOf(first);
  const steps = new Float64Array(stepsAt[first.length - 2]);
  for (let t = 0, at = 0; t + 2 < first.length; t++)
    for (let u = first[t]; u < first[t + 1]; u++) {
      const row = lattice.stepsAt[t] + (kept[u] - whole[t]) * width(lattice, t + 1) - whole[t + 1];
      for (let v = first[t + 1]; v < first[t + 2]; v++) steps[at++] = lattice.steps[row + kept[v]];
    }
  return {
    first,
    nodes: Int32Array.from(kept, (at) => nodes[at]),
    cost: Float64Array.from(kept, (at) => cost[at]),
    steps,
    stepsAt,
  };
}

/** Where each event's steps begin. */
function rowsOf(first: Int32Array): Int32Array {
  const stepsAt = new Int32Array(first.length - 1);
  for (let t = 0; t + 2 < first.length; t++)
    stepsAt[t + 1] = stepsAt[t] + (first[t + 1] - first[t]) * (first[t + 2] - first[t + 1]);
  return stepsAt;
}

/** The nodes of a trellis that a path through its lattice stands for. */
export function nodesOf({ first, nodes }: Pruned, path: Int32Array): Path {
  return path.map((node, t) => nodes[first[t] + node]);
}
