import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { buildMusic } from '../../../src/core/material/build';
import { apartFor } from '../../../src/core/planner/plan';
import { contextFor } from '../../../src/core/planner/cost/context';
import type { Alike } from '../../../src/core/planner/graph/fold';
import { differentPaths, type Wanted } from '../../../src/core/planner/search/kbest';
import { tallyOf } from '../../../src/core/planner/graph/pathcost';
import { moveCost, stepCost, type Trellis } from '../../../src/core/planner/graph/trellis';
import { buildTrellis } from '../../../src/core/planner/graph/build';
import type { PlanRequest } from '../../../src/core';
import { someRequest } from '../requests';
import { allPaths, pathCost, placesOf, someTrellis } from '../trellises';

/** Costs of the different plans, found by trying everything. */
function bruteForce(trellis: Trellis, { count, apart, back }: Wanted): number[] {
  const taken: { cost: number; places: Int32Array }[] = [];
  const charged = allPaths(trellis).map(({ path, cost }) => {
    const places = placesOf(trellis, path);
    const last = path.length - 1;
    const same = places.every(
      (place, t) =>
        2 * t >= last || (place === places[last - t] && back?.alike(t, path[t], last - t, path[last - t])),
    );
    return { places, cost: cost + (same ? 0 : (back?.otherWay ?? 0)) };
  });
  for (const { places, cost } of charged.sort((a, b) => a.cost - b.cost)) {
    if (taken.length === count) break;
    const elsewhere = (other: Int32Array) => places.filter((place, t) => place !== other[t]).length;
    if (taken.every((other) => elsewhere(other.places) >= apart)) taken.push({ cost, places });
  }
  return taken.map(({ cost }) => cost);
}

function assertSame(found: readonly number[], wanted: readonly number[]) {
  assert.equal(found.length, wanted.length);
  found.forEach((cost, at) => assert.ok(Math.abs(cost - wanted[at]) < 1e-6, `${found} against ${wanted}`));
}

test('the search equals brute force on random trellises', () => {
  fc.assert(
    fc.property(
      someTrellis,
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 3 }),
      fc.constantFrom(undefined, 200_000, 1_000_000),
      (trellis, count, apart, otherWay) => {
        const alike: Alike = (t, node, late, back) => (node + back + t + late) % 3 > 0;
        const wanted = { count, apart, back: otherWay ? { otherWay, alike } : undefined };
        const found = differentPaths(trellis, wanted);
        assertSame(
          found.map(({ cost }) => cost),
          bruteForce(trellis, wanted),
        );
        for (const { path, cost } of found) {
          const over = cost - pathCost(trellis, path);
          assert.ok([0, otherWay ?? 0].some((charge) => Math.abs(over - charge) < 1e-6));
        }
      },
    ),
    { numRuns: 600, seed: 11 },
  );
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
    const trellis = buildTrellis(contextFor(request, buildMusic(request.material)));
    const apart = apartFor(names.length);
    const found = differentPaths(trellis, { count: 4, apart }).map(({ cost }) => cost);
    assert.ok(found.length > 0);
    assertSame(found, bruteForce(trellis, { count: 4, apart }));
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
            moves: block.moves.map(() => Infinity),
            stayStart: new Int32Array(block.stayStart.length),
          })),
        };
        assert.deepEqual(
          differentPaths(shut, { count: 3, apart: 1, back: { otherWay: 1, alike: () => true } }),
          [],
        );
      },
    ),
    { numRuns: 20 },
  );
});

test('what the search pays for a step is what the answer charges for it', () => {
  fc.assert(
    fc.property(someRequest, fc.infiniteStream(fc.nat(1_000_000)), (request, draws) => {
      const context = contextFor(request, buildMusic(request.material));
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
        const paid = a.entry[from] + a.cost[from] + step + b.cost[to];
        assert.ok(Math.abs(charged - paid) < 1e-9, `${charged} against ${paid}`);
      }
    }),
    { numRuns: 200, seed: 17 },
  );
});

test('no move costs less than what is said to be the least', () => {
  fc.assert(
    fc.property(someRequest, (request) => {
      const { layers, blocks } = buildTrellis(contextFor(request, buildMusic(request.material)));
      blocks.forEach((block, t) => {
        for (let from = 0; from < layers[t].touches; from++)
          for (let to = 0; to < layers[t + 1].touches; to++)
            assert.ok(moveCost(block, from, to) >= block.least[to]);
      });
    }),
    { numRuns: 100, seed: 5 },
  );
});
