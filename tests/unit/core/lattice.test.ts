import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { foldLattice, type Alike } from '../../../src/core/planner/graph/fold';
import { finishing } from '../../../src/core/planner/search/finish';
import { narrowed, nodesOf, prune, type Pruned } from '../../../src/core/planner/search/prune';
import { width, type Lattice } from '../../../src/core/planner/graph/lattice';
import { FRESH, passesOver, mostCost } from '../../../src/core/planner/search/passes';
import { allPaths, someTrellis } from '../trellises';
import { runs } from '../../support/runs';

const close = (a: number, b: number) => a === b || Math.abs(a - b) < 1e-6;

/** Every path of a lattice with its cost, each event's nodes counted from its first. */
function pathsOf(lattice: Lattice): { path: number[]; cost: number }[] {
  const { first, cost, steps, stepsAt } = lattice;
  let paths = [{ path: [] as number[], cost: 0 }];
  for (let t = 0; t + 1 < first.length; t++) {
    paths = paths.flatMap((one) =>
      Array.from({ length: width(lattice, t) }, (_, node) => {
        const before = one.path[t - 1];
        const step = t === 0 ? 0 : steps[stepsAt[t - 1] + before * width(lattice, t) + node];
        return { path: [...one.path, node], cost: one.cost + step + cost[first[t] + node] };
      }),
    );
  }
  return paths.filter((one) => one.cost < Infinity);
}

test('both passes find the least cost through every node', () => {
  fc.assert(
    fc.property(someTrellis, (trellis) => {
      const costs = passesOver(trellis);
      const paths = allPaths(trellis);
      trellis.layers.forEach((layer, t) => {
        for (let node = 0; node < layer.nodes; node++) {
          const through = paths.find(({ path }) => path[t] === node)?.cost ?? Infinity;
          const at = 2 * (costs.first[t] + node);
          const stands = [at, at + FRESH].map((one) => costs.forward[one] + costs.backward[one]);
          assert.ok(close(Math.min(...stands), through));
        }
      });
      assert.ok(close(costs.least, paths[0]?.cost ?? Infinity));
    }),
    runs(150, 21),
  );
});

test('a lattice has the paths of its trellis up to the limit, at the same cost', () => {
  fc.assert(
    fc.property(someTrellis, fc.double({ min: 0, max: 1, noNaN: true }), (trellis, share) => {
      const costs = passesOver(trellis);
      const least = costs.least;
      if (least === Infinity) return;
      const most = least + share * (mostCost(costs) - least) + 1e-6;
      const lattice = prune(trellis, costs, most) ?? assert.fail();
      const found = pathsOf(lattice).map(({ path, cost }) => ({ path: nodesOf(lattice, Int32Array.from(path)), cost }));
      for (const { path, cost } of allPaths(trellis).filter((one) => one.cost <= most)) {
        const same = found.find((one) => one.path.every((node, t) => node === path[t]));
        assert.ok(same && close(same.cost, cost));
      }
    }),
    runs(150, 22),
  );
});

test('a lattice narrowed to a limit has its paths up to that limit and no other nodes', () => {
  fc.assert(
    fc.property(someTrellis, fc.double({ min: 0, max: 1, noNaN: true }), (trellis, share) => {
      const costs = passesOver(trellis);
      if (costs.least === Infinity) return;
      const lattice = prune(trellis, costs, Infinity) ?? assert.fail();
      const most = costs.least + share * (mostCost(costs) - costs.least) + 1e-6;
      const near = narrowed(lattice, finishing(lattice), most) ?? assert.fail();
      const within = pathsOf(lattice).filter(({ cost }) => cost <= most);
      const inWhole = ({ path }: { path: readonly number[] }, from: Pruned) =>
        path.map((node, t) => from.nodes[from.first[t] + node]).join();
      const found = new Map(pathsOf(near).map((one) => [inWhole(one, near), one.cost]));
      for (const one of within) assert.ok(close(found.get(inWhole(one, lattice)) ?? Infinity, one.cost));
      const used = new Set(within.flatMap(({ path }) => path.map((node, t) => `${t} ${node}`)));
      assert.equal(near.nodes.length, used.size);
      assert.equal(narrowed(lattice, finishing(lattice), costs.least - 1), null);
    }),
    runs(150, 25),
  );
});

test('finishing costs from a node on what the cheapest path from it does', () => {
  fc.assert(
    fc.property(someTrellis, (trellis) => {
      const costs = passesOver(trellis);
      if (costs.least === Infinity) return;
      const lattice = prune(trellis, costs, Infinity) ?? assert.fail();
      const paths = pathsOf(lattice);
      const ahead = finishing(lattice);
      for (let node = 0; node < width(lattice, 0); node++) {
        const least = paths
          .filter(({ path }) => path[0] === node)
          .reduce((cheapest, { cost }) => Math.min(cheapest, cost), Infinity);
        assert.ok(close(ahead[node], least));
      }
    }),
    runs(150, 23),
  );
});

test('the paths of a fold are those whose notes and mirror images are alike, at the same cost, over the same steps', () => {
  const alike: Alike = (t, node, late, back) => (node + back + t + late) % 3 > 0;
  fc.assert(
    fc.property(someTrellis, (trellis) => {
      const costs = passesOver(trellis);
      if (costs.least === Infinity) return;
      const lattice = prune(trellis, costs, Infinity) ?? assert.fail();
      const last = trellis.layers.length - 1;
      const returning = pathsOf(lattice).filter(({ path }) =>
        path.every((node, t) => 2 * t >= last || alike(t, node, last - t, path[last - t])),
      );
      const folded = foldLattice(lattice, alike);
      const unfolded = folded
        ? pathsOf(folded).map(({ path, cost }) => ({
            path: folded.unfold(Int32Array.from(path)),
            cost,
            steps: path.slice(1).flatMap((node, at) => {
              const steps: string[] = [];
              folded.behind(at + 1, path[at], node, (...step) => steps.push(step.join()));
              return steps;
            }),
          }))
        : [];
      assert.equal(unfolded.length, returning.length);
      for (const { path, cost } of returning) {
        const same = unfolded.find((one) => one.path.every((node, t) => node === path[t]));
        assert.ok(same && close(same.cost, cost));
        const steps = path.slice(1).map((node, t) => [t, path[t], node].join());
        assert.deepEqual(same.steps.sort(), steps.sort());
      }
    }),
    runs(200, 24),
  );
});
