import { counting, type Costs } from './togo';
import { stepCost, type Block, type Layer, type Path, type Trellis } from './trellis';

/*
 * A line that goes up and comes back is folded at its turning point, so that each note lies upon its own way back. A path through the fold
 * is a plan that comes back the way it went; it is searched like any other, only the trellis is another one.
 *
 * Of each pair of events two layers are made, so that the search still sees one place a layer: first the pair's early event with all that
 * it costs, then its late one, joined to it by stays that cost nothing.
 */

export interface Fold {
  readonly trellis: Trellis;
  /** The nodes of the whole path, in the order of the events. */
  unfold(path: ArrayLike<number>): Path;
  /** Places in the order of the events laid in the order of the fold. */
  fold(places: Int32Array): Int32Array;
}

/** Nodes of an event and its mirror image, each with its place among the live nodes. */
interface Pair {
  readonly early: number;
  readonly late: number;
  readonly earlyAt: number;
  readonly lateAt: number;
}

/** Says whether nodes of two events are the same way of playing, once on the way out and once on the way back. */
export type Alike = (t: number, node: number, late: number, back: number) => boolean;

/** Order of events in the fold of n: 0, n-1, 1, n-2, … with the turning note last where there is one. */
function foldOrder(n: number): Int32Array {
  return Int32Array.from({ length: n }, (_, at) => (at % 2 === 0 ? at / 2 : n - 1 - (at - 1) / 2));
}

/**
 * Folds a trellis, keeping only nodes that lie on some path of at most `most`.
 * @param alike asked of nodes that lie in the same place
 * @returns null where no event can be held alike both ways
 */
export function foldTrellis(trellis: Trellis, costs: Costs, most: number, alike: Alike): Fold | null {
  const n = trellis.layers.length;
  const order = foldOrder(n);
  const live = trellis.layers.map((layer, t) =>
    Array.from({ length: layer.nodes }, (_, node) => node).filter(
      (node) => costs.soFar[t][node] + costs.toGo[t][node] <= most,
    ),
  );
  const pairsAt = Array.from({ length: Math.ceil(n / 2) }, (_, t) =>
    pairsOf(trellis, live, t, n - 1 - t, alike),
  );
  if (pairsAt.some((pairs) => pairs.length === 0)) return null;

  const layers: Layer[] = [];
  const blocks: Block[] = [];
  pairsAt.forEach((pairs, t) => {
    const late = n - 1 - t;
    const [first, last] = [trellis.layers[t], trellis.layers[late]];
    if (t > 0) blocks.push(foldedBlock(trellis, live, t, pairsAt[t - 1], pairs));
    const cost = pairs.map(({ early, late: back }) => first.cost[early] + (late === t ? 0 : last.cost[back]));
    const entry = pairs.map(({ early }) => (t === 0 ? first.entry[early] : 0));
    layers.push(
      foldedLayer(
        pairs.map(({ early }) => first.place[first.touchOf[early]]),
        cost,
        entry,
      ),
    );
    if (late === t) return;
    const turn = late === t + 1 ? pairs.map((pair) => stepCost(trellis, t, pair.early, pair.late)) : null;
    blocks.push(joiningBlock(pairs.length));
    layers.push(
      foldedLayer(
        pairs.map((pair) => last.place[last.touchOf[pair.late]]),
        turn,
      ),
    );
  });

  return {
    trellis: { layers, blocks },
    unfold: (path) => {
      const whole = new Int32Array(n);
      order.forEach((t, at) => {
        const pair = pairsAt[Math.min(t, n - 1 - t)][path[at]];
        whole[t] = 2 * t < n ? pair.early : pair.late;
      });
      return whole;
    },
    fold: (places) => order.map((t) => places[t]),
  };
}

/** Nodes of two events that are the same way of playing. */
function pairsOf(
  { layers }: Trellis,
  live: readonly number[][],
  t: number,
  late: number,
  alike: Alike,
): Pair[] {
  if (t === late) return live[t].map((node, at) => ({ early: node, late: node, earlyAt: at, lateAt: at }));
  const [out, home] = [layers[t], layers[late]];
  const pairs: Pair[] = [];
  live[t].forEach((early, earlyAt) => {
    const place = out.place[out.touchOf[early]];
    live[late].forEach((back, lateAt) => {
      if (home.place[home.touchOf[back]] === place && alike(t, early, late, back))
        pairs.push({ early, late: back, earlyAt, lateAt });
    });
  });
  return pairs;
}

/** A layer whose every node is a touch of its own. */
function foldedLayer(
  places: readonly number[],
  cost: readonly number[] | null,
  entry: readonly number[] | null = null,
): Layer {
  const nodes = places.length;
  return {
    nodes,
    touches: nodes,
    touchStart: counting(nodes + 1),
    touchOf: counting(nodes),
    cost: cost ? new Float64Array(cost) : new Float64Array(nodes),
    entry: entry ? new Float64Array(entry) : new Float64Array(nodes),
    place: new Int32Array(places),
  };
}

/** From each node to its own other half, free of charge. */
function joiningBlock(nodes: number): Block {
  return {
    move: new Float64Array(nodes * nodes).fill(Infinity),
    stayStart: counting(nodes + 1),
    stayTo: counting(nodes),
    stayCost: new Float64Array(nodes),
  };
}

/** One step on the way out together with the same step on the way back. */
function foldedBlock(
  trellis: Trellis,
  live: readonly number[][],
  t: number,
  from: readonly Pair[],
  to: readonly Pair[],
): Block {
  const late = trellis.layers.length - 1 - t;
  const out = stepTable(trellis, t - 1, live[t - 1], live[t]);
  const back = stepTable(trellis, late, live[late], live[late + 1]);
  const [outward, homeward] = [live[t].length, live[late + 1].length];
  const move = new Float64Array(from.length * to.length);
  for (let row = 0, at = 0; row < from.length; row++) {
    const outRow = from[row].earlyAt * outward;
    for (const pair of to)
      move[at++] = out[outRow + pair.earlyAt] + back[pair.lateAt * homeward + from[row].lateAt];
  }
  return {
    move,
    stayStart: new Int32Array(from.length + 1),
    stayTo: new Int32Array(0),
    stayCost: new Float64Array(0),
  };
}

/** The steps from some nodes of layer t to some of the next, row by row. */
function stepTable(
  trellis: Trellis,
  t: number,
  from: readonly number[],
  to: readonly number[],
): Float64Array {
  const { move, stayStart, stayTo, stayCost } = trellis.blocks[t];
  const [layer, next] = [trellis.layers[t], trellis.layers[t + 1]];
  const table = new Float64Array(from.length * to.length);
  const row = new Float64Array(next.nodes);
  from.forEach((a, at) => {
    const moves = layer.touchOf[a] * next.touches;
    for (const b of to) row[b] = move[moves + next.touchOf[b]] + next.entry[b];
    for (let stay = stayStart[a]; stay < stayStart[a + 1]; stay++)
      if (stayCost[stay] < row[stayTo[stay]]) row[stayTo[stay]] = stayCost[stay];
    to.forEach((b, column) => (table[at * to.length + column] = row[b]));
  });
  return table;
}
