import fc from 'fast-check';
import { isFresh, moveCostBetween, stayCostBetween, type Trellis } from '../../src/core/planner/graph/trellis';
import { DEAREST, movesOutOf } from './moves';

/** Cost of a single step, by a stay where there is one, else by a move. */
export function stepCost(trellis: Trellis, t: number, from: number, to: number): number {
  return Math.min(stayCostBetween(trellis, t, from, to), moveCostBetween(trellis, t, from, to));
}

/** Cost of a whole path; where two moves follow each other the second costs a stone more. */
export function pathCost(trellis: Trellis, path: ArrayLike<number>): number {
  const { layers, blocks } = trellis;
  let cost = layers[0].entry[path[0]];
  for (let t = 0; t < layers.length; t++) {
    cost += layers[t].cost[path[t]];
    if (t + 1 < layers.length) cost += stepCost(trellis, t, path[t], path[t + 1]);
    if (isFresh(trellis, path, t) && t > 1 && isFresh(trellis, path, t - 1)) cost += blocks[t - 1].stone;
  }
  return cost;
}

/** Every path of a trellis with its cost, cheapest first. */
export function allPaths(trellis: Trellis) {
  let paths: number[][] = [[]];
  for (const layer of trellis.layers)
    paths = paths.flatMap((path) => Array.from({ length: layer.nodes }, (_, node) => [...path, node]));
  return paths
    .map((path) => ({ path, cost: pathCost(trellis, path) }))
    .filter(({ cost }) => cost < Infinity)
    .sort((a, b) => a.cost - b.cost);
}

/** Random trellises: few nodes, some steps impossible, costs without ties (of equals either may come first). */
export const someTrellis: fc.Arbitrary<Trellis> = fc
  .record({
    sizes: fc.array(fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 1, maxLength: 3 }), {
      minLength: 1,
      maxLength: 5,
    }),
    seeds: fc.infiniteStream(fc.integer({ min: 0, max: 1_000_000 })),
  })
  .map(({ sizes, seeds }) => {
    const draw = () => seeds.next().value as number;
    const layers = sizes.map((touchSizes) => {
      const touchStart = Int32Array.from([0, ...touchSizes]);
      for (let at = 1; at < touchStart.length; at++) touchStart[at] += touchStart[at - 1];
      const nodes = touchStart[touchStart.length - 1];
      return {
        nodes,
        touches: touchSizes.length,
        touchStart,
        touchOf: Int32Array.from(touchSizes.flatMap((size, touch) => Array(size).fill(touch))),
        cost: Float64Array.from({ length: nodes }, draw),
        entry: Float64Array.from({ length: nodes }, draw),
        place: Int32Array.from(touchSizes, () => draw() % 3),
      };
    });
    const blocks = layers.slice(1).map((next, t) => {
      const layer = layers[t];
      const pairs = Array.from({ length: layer.touches * next.touches }, () => draw());
      const stays = pairs.map((roll) => roll < 300_000);
      const stayStart = new Int32Array(layer.nodes + 1);
      const [stayTo, stayCost]: number[][] = [[], []];
      for (let node = 0; node < layer.nodes; node++) {
        for (let to = 0; to < next.nodes; to++)
          if (stays[layer.touchOf[node] * next.touches + next.touchOf[to]]) {
            stayTo.push(to);
            stayCost.push(draw());
          }
        stayStart[node + 1] = stayTo.length;
      }
      return {
        ...movesOutOf(
          Float64Array.from(pairs, (roll, at) => (stays[at] || roll > 900_000 ? Infinity : roll)),
          next.touches,
        ),
        stayStart,
        stayTo: Int32Array.from(stayTo),
        stayCost: Float64Array.from(stayCost),
        inPlace: inPlaceOut(layer, next, (a, b) => stays[a * next.touches + b], draw),
        stone: draw(),
      };
    });
    return { layers, blocks };
  });

/** Shifts within a position between some nodes that do not stay. */
function inPlaceOut(
  { nodes, touchOf }: Trellis['layers'][number],
  next: Trellis['layers'][number],
  stays: (from: number, to: number) => boolean,
  draw: () => number,
) {
  const start = new Int32Array(nodes + 1);
  const [to, cost]: number[][] = [[], []];
  for (let from = 0; from < nodes; from++) {
    for (let node = 0; node < next.nodes; node++)
      if (!stays(touchOf[from], next.touchOf[node]) && draw() < 200_000) {
        to.push(node);
        cost.push(DEAREST + next.entry[node] + draw());
      }
    start[from + 1] = to.length;
  }
  return to.length === 0 ? null : { start, to: Int32Array.from(to), cost: Float64Array.from(cost) };
}
