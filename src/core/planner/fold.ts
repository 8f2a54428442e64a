import type { Costs } from './togo';
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

interface Pair {
  readonly early: number;
  readonly late: number;
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
    if (t > 0) blocks.push(foldedBlock(trellis, t, pairsAt[t - 1], pairs));
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
  if (t === late) return live[t].map((node) => ({ early: node, late: node }));
  const placeIn = (at: number, node: number) => layers[at].place[layers[at].touchOf[node]];
  return live[t].flatMap((early) =>
    live[late]
      .filter((back) => placeIn(late, back) === placeIn(t, early) && alike(t, early, late, back))
      .map((back) => ({ early, late: back })),
  );
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
    touchStart: Int32Array.from({ length: nodes + 1 }, (_, node) => node),
    touchOf: Int32Array.from({ length: nodes }, (_, node) => node),
    cost: cost ? Float64Array.from(cost) : new Float64Array(nodes),
    entry: entry ? Float64Array.from(entry) : new Float64Array(nodes),
    place: Int32Array.from(places),
  };
}

/** From each node to its own other half, free of charge. */
function joiningBlock(nodes: number): Block {
  return {
    move: new Float64Array(nodes * nodes).fill(Infinity),
    stayStart: Int32Array.from({ length: nodes + 1 }, (_, node) => node),
    stayTo: Int32Array.from({ length: nodes }, (_, node) => node),
    stayCost: new Float64Array(nodes),
  };
}

/** One step on the way out together with the same step on the way back. */
function foldedBlock(trellis: Trellis, t: number, from: readonly Pair[], to: readonly Pair[]): Block {
  const late = trellis.layers.length - 1 - t;
  const out = stepTable(
    trellis,
    t - 1,
    from.map(({ early }) => early),
    to.map(({ early }) => early),
  );
  const back = stepTable(
    trellis,
    late,
    to.map((pair) => pair.late),
    from.map((pair) => pair.late),
  );
  const move = new Float64Array(from.length * to.length);
  from.forEach((a, row) => {
    to.forEach((b, column) => {
      move[row * to.length + column] = out(a.early, b.early) + back(b.late, a.late);
    });
  });
  return {
    move,
    stayStart: new Int32Array(from.length + 1),
    stayTo: new Int32Array(0),
    stayCost: new Float64Array(0),
  };
}

/** The steps between some nodes of two neighbouring layers, each worked out once. */
function stepTable(trellis: Trellis, t: number, from: readonly number[], to: readonly number[]) {
  const columns = trellis.layers[t + 1].nodes;
  const known = new Float64Array(trellis.layers[t].nodes * columns).fill(NaN);
  for (const a of new Set(from))
    for (const b of new Set(to)) known[a * columns + b] = stepCost(trellis, t, a, b);
  return (a: number, b: number) => known[a * columns + b];
}
