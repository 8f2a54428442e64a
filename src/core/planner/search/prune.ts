import { inPlaceCost, moveCost, width, type Lattice, type Path, type Trellis } from '../graph';
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

/** Sums taken in another order differ in the last bits. */
const ROUNDING = 1e-9;

/** A node that may be kept: its number, whether a move leads to it, and what finishing from there costs. */
interface Stand {
  readonly node: number;
  readonly fresh: boolean;
  readonly ahead: number;
}

/**
 * The nodes of a trellis that lie on some path of at most `most`: no plan within it goes anywhere else. It goes event by event, and only on from
 * what it has kept.
 * @param passes what arriving and finishing cost at least
 * @returns null where some event is left without a node
 */
export function prune(trellis: Trellis, passes: Passes, most: number): Pruned | null {
  const { layers } = trellis;
  const limit = most + ROUNDING;
  const first = new Int32Array(layers.length + 1);
  const stepsAt = new Int32Array(layers.length);
  const [nodes, cost, steps]: number[][] = [[], [], []];
  const stay = new Float64Array(layers.reduce((widest, layer) => Math.max(widest, layer.nodes), 0)).fill(Infinity);
  let kept: readonly Stand[] = [];
  /** What has been paid up to each node kept, its own cost included. */
  let paid: readonly number[] = [];
  for (let t = 0; t < layers.length; t++) {
    const stands = standsNear(trellis, passes, t, limit);
    const rows = t === 0 ? null : stepsTo(trellis, t, kept, paid, stands, stay, limit);
    const { entry, cost: played } = layers[t];
    const [next, spent, at]: [Stand[], number[], number[]] = [[], [], []];
    for (let v = 0; v < stands.length; v++) {
      const { node, ahead } = stands[v];
      const arrived = rows ? rows.arrived[v] : entry[node];
      if (arrived + ahead > limit) continue;
      next.push(stands[v]);
      spent.push(arrived + played[node]);
      at.push(v);
      nodes.push(node);
      cost.push(rows ? played[node] : played[node] + entry[node]);
    }
    if (next.length === 0) return null;
    if (rows) {
      for (let u = 0; u < kept.length; u++) for (const v of at) steps.push(rows.costs[u * stands.length + v]);
      stepsAt[t] = steps.length;
    }
    first[t + 1] = nodes.length;
    kept = next;
    paid = spent;
  }
  return {
    first,
    stepsAt,
    nodes: Int32Array.from(nodes),
    cost: Float64Array.from(cost),
    steps: Float64Array.from(steps),
  };
}

/** The nodes of an event that may lie on a path within the limit. */
function standsNear(
  { layers }: Trellis,
  { first, forward, backward, ahead: alone = backward }: Passes,
  t: number,
  limit: number,
): Stand[] {
  const stands: Stand[] = [];
  for (let node = 0, at = 2 * first[t]; node < layers[t].nodes; node++, at += 2) {
    if (layers[t].cost[node] === Infinity) continue;
    for (let fresh = 0; fresh <= FRESH; fresh++) {
      const through = forward[at + fresh] + backward[at + fresh];
      if (through > limit || through === Infinity) continue;
      stands.push({ node, fresh: fresh === FRESH, ahead: alone[at + fresh] });
    }
  }
  return stands;
}

/**
 * What each step to an event costs from the nodes kept before it, and what arriving there costs; steps too dear for any path within the limit are
 * left out.
 * @param stay room for a number a node, all Infinity
 */
function stepsTo(
  { layers, blocks }: Trellis,
  t: number,
  kept: readonly Stand[],
  paid: readonly number[],
  stands: readonly Stand[],
  stay: Float64Array,
  limit: number,
): { readonly costs: Float64Array; readonly arrived: Float64Array } {
  const block = blocks[t - 1];
  const { stayStart, stayTo, stayCost, stone, least } = block;
  const [before, next] = [layers[t - 1], layers[t]];
  const costs = new Float64Array(kept.length * stands.length).fill(Infinity);
  const arrived = new Float64Array(stands.length).fill(Infinity);
  for (let u = 0, at = 0; u < kept.length; u++) {
    const { node, fresh } = kept[u];
    const touch = before.touchOf[node];
    const more = fresh ? stone : 0;
    for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = stayCost[one];
    for (let v = 0; v < stands.length; v++, at++) {
      const to = stands[v];
      let step = stay[to.node];
      if (to.fresh) {
        const entry = next.entry[to.node] + more;
        const goal = next.touchOf[to.node];
        if (paid[u] + entry + least[goal] + to.ahead > limit) continue;
        step = Math.min(moveCost(block, touch, goal) + entry, inPlaceCost(block, node, to.node) + more);
      }
      costs[at] = step;
      if (paid[u] + step < arrived[v]) arrived[v] = paid[u] + step;
    }
    for (let one = stayStart[node]; one < stayStart[node + 1]; one++) stay[stayTo[one]] = Infinity;
  }
  return { costs, arrived };
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
