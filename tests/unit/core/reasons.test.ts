import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, requestWeights, type PlanRequest } from '../../../src/core';
import { buildMusic } from '../../../src/core/material/build';
import type { SoundingEvent } from '../../../src/core/material/events';
import { beyondHand } from '../../../src/core/planner/graph/candidates';
import { placeOf } from '../../../src/core/planner/place';
import { contextFor } from '../../../src/core/planner/cost/context';
import { passesOver, leastCost } from '../../../src/core/planner/search/passes';
import type { Trellis } from '../../../src/core/planner/graph/trellis';
import { buildTrellis } from '../../../src/core/planner/graph/build';
import { priceWords } from '../../../src/wording/plans';
import { worded } from '../../support/words';
import { someRequest } from '../requests';

const threeOctaves: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' },
};

/** Cost of the cheapest plan of a trellis; Infinity where there is none. */
const best = (trellis: Trellis) => leastCost(passesOver(trellis));

/**
 * A claimed loss is that of a real plan. Where a line comes back, the best plan without the element may keep its two ways alike or
 * not, which the claim leaves open by the price of another way back; else it is exact.
 */
function assertLoss(claimed: number | undefined, without: Trellis, own: number, request: PlanRequest) {
  const loss = best(without) - own;
  const material = request.material;
  const open = 'direction' in material && material.direction === 'updown' ? 2 * OTHER_WAY : 0;
  assert.ok(
    claimed !== undefined && claimed >= loss - 1e-9 && claimed <= loss + open + 1e-9,
    `${claimed} ${loss}`,
  );
}

const OTHER_WAY = requestWeights(threeOctaves).otherWayBack;

test('the loss claimed for a shift is what re-planning without it costs', () => {
  let seen = 0;
  fc.assert(
    fc.property(someRequest, (request) => {
      const trellis = buildTrellis(contextFor(request, buildMusic(request.material)));
      for (const one of plan({ ...request, alternatives: 1 }).plans) {
        for (const shift of one.shifts) {
          const t = one.steps.findIndex((step) => step.at === shift.from);
          const blocks = trellis.blocks.map((block, at) =>
            at === t ? { ...block, moves: block.moves.map(() => Infinity) } : block,
          );
          const without = { ...trellis, blocks };
          const claimed = shift.reasons.find((reason) => reason.loss !== undefined);
          assert.ok(shift.reasons.length > 0);
          if (best(without) === Infinity) assert.equal(claimed, undefined);
          else assertLoss(claimed?.loss, without, one.cost, request);
          seen++;
        }
      }
    }),
    { numRuns: 60, seed: 3 },
  );
  assert.ok(seen > 50);
});

test('the loss claimed for a little finger, open string or extension is what re-planning without it costs', () => {
  let seen = 0;
  fc.assert(
    fc.property(someRequest, (request) => {
      const trellis = buildTrellis(contextFor(request, buildMusic(request.material)));
      const [one] = plan({ ...request, alternatives: 1, explain: 'all' }).plans;
      one?.steps.forEach((step, t) => {
        const claimed = step.reasons?.find((reason) => reason.loss !== undefined);
        if (!claimed) return;
        const has = (finger: number) => step.stops.some((stop) => stop.finger === finger);
        const layers = trellis.layers.map((layer, at) => {
          if (at !== t) return layer;
          const cost = layer.cost.map((own, node) => {
            const { hold } = layer.candidates[node];
            const plays = (finger: number) => hold.stops.some((stop) => stop.finger === finger);
            const is = step.extended ? hold.extended > 0 : plays(has(4) ? 4 : 0);
            return is ? Infinity : own;
          });
          return { ...layer, cost };
        });
        assertLoss(claimed.loss, { ...trellis, layers }, one.cost, request);
        seen++;
      });
    }),
    { numRuns: 120, seed: 4 },
  );
  assert.ok(seen > 50, String(seen));
});

test('reasons say range, demand and loss in a sentence', () => {
  const [one] = worded(threeOctaves).plans;
  const [range, loss] = one.shifts[0].reasons;
  assert.deepEqual(
    [range.code, range.message],
    ['range', 'There is no C♯6 (bar 5, beat 1) in 1st position.'],
  );
  assert.match(loss.message, /^Without this shift: .*\(costs \d+\.\d more\)\.$/);
  const { plans } = plan({ ...threeOctaves, rules: { locks: [{ at: 1, finger: 1 }] } });
  const codes = plans[0].shifts.flatMap((shift) => shift.reasons.map(({ code }) => code));
  assert.ok(codes.includes('demand'), codes.join());
});

test('what is said to have no place in a position has none, is beyond the hand, or lies too high', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, fc.constantFrom('small' as const, 'medium' as const), (request, hand) => {
      const asked = { ...request, hand, rules: {} };
      const context = contextFor(asked, buildMusic(asked.material));
      for (const one of plan(asked).plans) {
        for (const shift of one.shifts) {
          const { data } = shift.reasons[0];
          if (data.kind !== 'no-place') continue;
          const event = context.music.events[data.at] as SoundingEvent;
          const there = context.holdsOf(event).all.filter(({ position }) => {
            const place = placeOf(context.model, position);
            return place.position === data.position && place.thumbAt === data.thumbAt;
          });
          const { code } = shift.reasons[0];
          seen.set(code, (seen.get(code) ?? 0) + 1);
          if (code === 'range' && event.octave === undefined)
            assert.ok(there.every((hold) => hold.extended > 0 && beyondHand(context, hold)));
          const closed = there.filter(({ extended }) => extended === 0);
          if (code === 'reach')
            assert.ok(closed.length > 0 && there.every((hold) => beyondHand(context, hold)));
          if (code === 'height') assert.ok(there.some((hold) => !beyondHand(context, hold)));
        }
      }
    }),
    { numRuns: 150, seed: 8 },
  );
  for (const code of ['range', 'reach', 'height']) assert.ok((seen.get(code) ?? 0) > 0, code);
});

test('nothing is explained where nothing is asked', () => {
  const [one] = plan({ ...threeOctaves, explain: 'nothing' }).plans;
  assert.ok(one.shifts.every((shift) => shift.reasons.length === 0) && one.traits === undefined);
});

test('a price is told to a tenth, and nothing is told as nothing', () => {
  assert.deepEqual([1.26, -0.24, 0.04, -0.04, 0].map(priceWords), [
    'costs 1.3 more',
    'costs 0.2 less',
    'costs the same',
    'costs the same',
    'costs the same',
  ]);
});
