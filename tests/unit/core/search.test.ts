import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plannedMusic } from '../../../src/core/planner/begins';
import { contextFor } from '../../../src/core/planner/cost/context';
import type { Alike } from '../../../src/core/planner/graph/fold';
import { cheapestPath, type Wanted } from '../../../src/core/planner/search/cheapest';
import { tallyOf } from '../../../src/core/planner/graph/pathcost';
import { isFresh, moveCost, type Trellis } from '../../../src/core/planner/graph/trellis';
import { buildTrellis } from '../../../src/core/planner/graph/build';
import type { PlanRequest } from '../../../src/core';
import { someRequest } from '../requests';
import { allPaths, pathCost, stepCost, someTrellis } from '../trellises';
import { runs } from '../../support/runs';

/** Cost of the cheapest path that is as wanted, found by trying everything; Infinity where there is none. */
function bruteForce(trellis: Trellis, { back, counted }: Wanted): number {
  let least = Infinity;
  for (const { path, cost } of allPaths(trellis)) {
    const last = path.length - 1;
    const mirrored = (alike: Alike | undefined) =>
      path.every((node, t) => 2 * t >= last || !alike || alike(t, node, last - t, path[last - t]));
    if (!mirrored(back?.only)) continue;
    let [shifts, seen] = [0, 0];
    for (let t = 0; counted && t < last; t++) {
      if (counted.isShift(t, path[t], path[t + 1])) shifts++;
      seen |= counted.visited(t, path[t], path[t + 1]);
    }
    if (counted && (shifts > counted.most || seen !== 2 ** counted.visits - 1)) continue;
    least = Math.min(least, cost + (back && !mirrored(back.alike) ? back.otherWay : 0));
  }
  return least;
}

const close = (a: number, b: number) => a === b || Math.abs(a - b) < 1e-6;

test('the search equals brute force on random trellises: back the same way, shifts counted, places visited', () => {
  const alike: Alike = (t, node, late, back) => (node + back + t + late) % 3 > 0;
  const only: Alike = (_, node, __, back) => (node * 2 + back) % 4 > 0;
  const isShift = (t: number, from: number, to: number) => (t + from + to) % 2 > 0;
  const visited = (t: number, from: number, to: number) => (from === to ? 1 : 0) + ((t + to) % 3 ? 0 : 2);
  const someCounted = fc.option(
    fc.record({ most: fc.constantFrom(0, 1, 2, Infinity), visits: fc.constantFrom(0, 2) }),
    { nil: undefined },
  );
  let found = 0;
  fc.assert(
    fc.property(
      someTrellis,
      fc.constantFrom(undefined, 200_000, 1_000_000),
      fc.boolean(),
      someCounted,
      (trellis, otherWay, strict, counts) => {
        const wanted: Wanted = {
          ...(otherWay ? { back: { otherWay, alike, ...(strict ? { only } : {}) } } : {}),
          ...(counts ? { counted: { ...counts, isShift, visited: counts.visits > 0 ? visited : () => 0 } } : {}),
        };
        const one = cheapestPath(trellis, wanted);
        const least = bruteForce(trellis, wanted);
        assert.ok(close(one?.cost ?? Infinity, least), `${one?.cost} against ${least}`);
        if (!one) return;
        found++;
        const over = one.cost - pathCost(trellis, one.path);
        assert.ok([0, otherWay ?? 0].some((charge) => close(over, charge)));
      },
    ),
    runs(500, 11),
  );
  assert.ok(found > 300, String(found));
});

test('the search equals brute force on real fingerings, frames and all', () => {
  const lines = [
    ['B3', 'C4', 'C#4'],
    ['A4', 'Bb4', 'B4', 'C5'],
    ['D4', 'F4', 'D4', 'F#4'],
    ['E5', 'G5'],
    ['G3', 'D4', 'A4'],
  ];
  for (const names of lines) {
    const request: PlanRequest = {
      instrument: 'violin',
      material: { type: 'notes', notes: names.map((name) => ({ pitches: [name] })) },
      rules: { positions: { from: 0.5, to: 3 }, strings: ['G3', 'D4', 'A4'] },
    };
    if (names.includes('G5')) Object.assign(request, { rules: { positions: { from: 1, to: 5 } } });
    const trellis = buildTrellis(contextFor(request, plannedMusic(request).music));
    assert.ok(close(cheapestPath(trellis, {})?.cost ?? Infinity, bruteForce(trellis, {})));
  }
});

test('nothing is found where there is no way through', () => {
  fc.assert(
    fc.property(
      someTrellis.filter((trellis) => trellis.blocks.length > 0),
      (trellis) => {
        const shut: Trellis = {
          ...trellis,
          blocks: trellis.blocks.map((block) => ({
            ...block,
            inPlace: null,
            moves: block.moves.map(() => Infinity),
            stayStart: new Int32Array(block.stayStart.length),
          })),
        };
        assert.equal(cheapestPath(shut, { back: { otherWay: 1, alike: () => true } }), null);
      },
    ),
    runs(20),
  );
});

test('what the search pays for a step is what the answer charges for it', () => {
  fc.assert(
    fc.property(someRequest, fc.infiniteStream(fc.nat(1_000_000)), (request, draws) => {
      const context = contextFor(request, plannedMusic(request).music);
      const trellis = buildTrellis(context);
      if (trellis.blocks.length === 0) return;
      for (let t = 0; t + 1 < trellis.layers.length; t++) {
        const [from, to] = [t, t + 1].map((at) => (draws.next().value as number) % trellis.layers[at].nodes);
        const step = stepCost(trellis, t, from, to);
        if (step === Infinity) continue;
        const path = new Int32Array(trellis.layers.length);
        [path[t], path[t + 1]] = [from, to];
        const charged = tallyOf(context, trellis, path, t, t + 1).reduce((sum, term) => sum + term, 0);
        const [a, b] = [trellis.layers[t], trellis.layers[t + 1]];
        const stone = [t, t + 1].every((at) => isFresh(trellis, path, at)) ? trellis.blocks[t].stone : 0;
        const paid = a.entry[from] + a.cost[from] + step + stone + b.cost[to];
        assert.ok(Math.abs(charged - paid) < 1e-9, `${charged} against ${paid}`);
      }
    }),
    runs(100, 17),
  );
});

test('no move costs less than what is said to be the least', () => {
  fc.assert(
    fc.property(someRequest, (request) => {
      const { layers, blocks } = buildTrellis(contextFor(request, plannedMusic(request).music));
      blocks.forEach((block, t) => {
        for (let from = 0; from < layers[t].touches; from++)
          for (let to = 0; to < layers[t + 1].touches; to++) assert.ok(moveCost(block, from, to) >= block.least[to]);
      });
    }),
    runs(50, 5),
  );
});
