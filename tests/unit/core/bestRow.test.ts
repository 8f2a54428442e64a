import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  after,
  keepsOrder,
  missingOf,
  stillMissing,
  type PathProblem,
  type Stand,
} from '../../../src/core/path/options';
import { bestRow } from '../../../src/core/path/bestRow';
import { runs } from '../../support/runs';

/*
 * The best row of steps, against trying every row there is.
 */

/** Steps with several new things, what was missing at each, things not needed, steps, then what comes round again (negative), then what it costs. */
type Worth = readonly number[];

const compare = (a: Worth, b: Worth) => {
  const at = a.findIndex((one, n) => Math.abs(one - b[n]) > 1e-9);
  return at < 0 ? 0 : a[at] - b[at];
};

interface Told {
  readonly worth: Worth;
  readonly stand: Stand;
}

/** What one step adds, whichever way; null where the order of positions or of stations forbids it. */
function stepped(problem: PathProblem, { worth, stand }: Told, at: number, asStation: boolean): Told | null {
  const { options, needed } = problem;
  const { brings, shaky, atWork, cost } = options[at];
  const missing = missingOf(brings, stand);
  if (!keepsOrder(problem, missing, stand)) return null;
  const early = missing.length > 1 ? stillMissing(problem, stand).length : 0;
  const unneeded = missing.filter((skill) => needed[skill] === 0).length;
  const added = [missing.length > 1 ? 1 : 0, early, unneeded, 1, -shaky, -atWork, cost];
  return { worth: worth.map((one, n) => one + added[n]), stand: after(problem, stand, missing, asStation ? 1 : 0) };
}

/** The worth of the best row by trying all: every step from every stand, until nothing gets better. */
function byTrying(problem: PathProblem): Worth | null {
  const { options, stations, size } = problem;
  const tag = ({ has, station, top }: Stand) => `${has.join('')} ${station} ${top}`;
  const first: Told = { worth: [0, 0, 0, 0, 0, 0, 0], stand: { has: new Uint8Array(size), station: 0, top: -1 } };
  const best = new Map<string, Told>([[tag(first.stand), first]]);
  const queue = [first];
  let end: Worth | null = null;
  const isEnd = ({ stand }: Told) => stillMissing(problem, stand).length === 0 && stand.station === stations.length;
  for (let one = queue.pop(); one; one = queue.pop()) {
    if (best.get(tag(one.stand)) !== one) continue;
    if (isEnd(one)) {
      if (!end || compare(one.worth, end) < 0) end = one.worth;
      continue;
    }
    const { station } = one.stand;
    for (const at of options.keys()) {
      const isNext = stations[station] === at;
      // A station has its turn; another step that brings nothing leads nowhere.
      const isStation = stations.includes(at);
      const ways = isStation
        ? isNext
          ? [true]
          : []
        : missingOf(options[at].brings, one.stand).length > 0
          ? [false]
          : [];
      for (const asStation of ways) {
        const isLast = asStation && station === stations.length - 1;
        const next = stepped(problem, one, at, asStation);
        // The last station ends the row: nothing may be missing after it.
        if (!next || (isLast && stillMissing(problem, next.stand).length > 0)) continue;
        const known = best.get(tag(next.stand));
        if (known && compare(known.worth, next.worth) <= 0) continue;
        best.set(tag(next.stand), next);
        queue.push(next);
      }
    }
  }
  return end;
}

/** The worth of a row that was found, step by step. */
function worthOf(problem: PathProblem, row: readonly number[]): Worth {
  const { stations } = problem;
  let told: Told = { worth: [0, 0, 0, 0, 0, 0, 0], stand: { has: new Uint8Array(problem.size), station: 0, top: -1 } };
  row.forEach((at, n) => {
    const isStation = stations[told.stand.station] === at;
    const next = stepped(problem, told, at, isStation) ?? assert.fail(`step ${n} is out of order`);
    told = next;
  });
  assert.deepEqual(stillMissing(problem, told.stand), [], 'nothing is missing at the end');
  assert.equal(told.stand.station, stations.length, 'every station is passed');
  if (stations.length > 0) assert.equal(row.at(-1), stations.at(-1), 'the last station ends the row');
  return told.worth;
}

const SIZE = 6;

const someProblem = fc
  .record({
    sets: fc.array(fc.uniqueArray(fc.integer({ min: 0, max: SIZE - 1 }), { minLength: 1, maxLength: 4 }), {
      minLength: 3,
      maxLength: 9,
    }),
    stations: fc.integer({ min: 0, max: 2 }),
    needed: fc.array(fc.boolean(), { minLength: SIZE, maxLength: SIZE }),
    rank: fc.array(fc.constantFrom(-1, -1, -1, 0, 1, 2), { minLength: SIZE, maxLength: SIZE }),
    seed: fc.integer({ min: 0, max: 1000 }),
  })
  .map(({ sets, stations, needed, rank, seed }): PathProblem => {
    const options = sets.map((set, at) => ({
      brings: [...set].sort((a, b) => a - b),
      shaky: (seed + at) % 3 === 0 ? 1 : 0,
      atWork: (seed + at) % 2,
      cost: ((seed * (at + 3)) % 17) / 4,
      key: `key ${at % 3}`,
      text: `step ${String(at).padStart(2, '0')}`,
    }));
    const numbers = Array.from({ length: Math.min(stations, options.length) }, (_, at) => at);
    const byStations = numbers.flatMap((at) => options[at].brings);
    const brought = new Set(options.flatMap(({ brings }) => brings));
    return {
      size: SIZE,
      // What nothing brings cannot be needed; what a station has is.
      needed: Uint8Array.from(needed, (one, skill) =>
        Number(byStations.includes(skill) || (one && brought.has(skill))),
      ),
      rank: Int16Array.from(rank),
      options,
      stations: numbers,
    };
  });

test('no row is better than the one that is found', () => {
  let several = 0;
  let besides = 0;
  fc.assert(
    fc.property(someProblem, (problem) => {
      const best = byTrying(problem);
      const row = bestRow(problem);
      if (!best) {
        assert.ok(!row?.inOrder, 'where no row keeps the order none is said to');
        return;
      }
      assert.ok(row?.inOrder, 'there is a row in order');
      const worth = worthOf(problem, row.steps);
      assert.ok(row.provedBest);
      assert.ok(compare(worth, best) <= 0, `${worth.join()} is worse than ${best.join()}`);
      assert.ok(compare(worth, best) >= 0, `${worth.join()} cannot be: the best is ${best.join()}`);
      if (best[0] > 0) several++;
      if (best[2] > 0) besides++;
    }),
    runs(1500, 36),
  );
  assert.ok(several > 100 && besides > 20, `${several} with several at once, ${besides} with things besides`);
});
