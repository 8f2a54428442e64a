import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  midiOf,
  parsePitch,
  plan,
  type Pitch,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Rules,
  samePlace,
  type Step,
} from '../../../src/core';
import { corpus } from '../../support/corpus';
import { runs } from '../../support/runs';
import { someRequest } from '../requests';

const RUNS = runs(150, 20261123);
const TUNINGS = ['G3 D4 A4 E5', 'C3 G3 D4 A4', 'C2 G2 D3 A3', 'E1 A1 D2 G2'].map((names) => names.split(' '));
const OPEN = Object.fromEntries(TUNINGS.flat().map((name) => [name, midiOf(parsePitch(name) as Pitch)]));

function everyPlan(law: (plan: Plan, response: PlanResponse, rules: Rules, request: PlanRequest) => void) {
  for (const { request, response } of corpus()) {
    assert.ok(response.plans.length > 0 || response.problems.length > 0, 'never an empty answer');
    for (const one of response.plans) law(one, response, request.rules ?? {}, request);
  }
}

test('every stop sounds its note', () => {
  everyPlan((one, { events }) => {
    assert.equal(one.steps.length, events.filter((event) => 'pitches' in event).length);
    for (const step of one.steps) {
      const event = events[step.at];
      assert.ok('midi' in event);
      assert.deepEqual(
        step.stops.map((stop) => OPEN[stop.string] + stop.semitones),
        event.midi,
      );
      for (const stop of step.stops) assert.equal(stop.finger === 0, stop.semitones === 0);
    }
  });
});

test('terms add up to the cost', () => {
  everyPlan((one) => {
    const sum = Object.values(one.terms).reduce((total, cost) => total + cost, 0);
    assert.ok(Math.abs(sum - one.cost) < 1e-9 && Object.values(one.terms).every((cost) => cost > 0));
  });
});

test('a finger is never below a lower one in the same frame', () => {
  everyPlan((one) => {
    for (const frame of one.frames) {
      const stops = Object.entries(frame.fingers)
        .map(([finger, n]) => [finger === 'T' ? 0 : Number(finger), n])
        .sort(([a], [b]) => a - b)
        .map(([, n]) => n);
      stops.slice(1).forEach((n, at) => assert.ok(n >= stops[at], JSON.stringify(frame)));
      assert.ok(frame.gaps.every((gap) => gap >= 0));
    }
  });
});

test('a move of the hand is always a listed shift, and a listed shift always a move of the hand', () => {
  everyPlan((one) => {
    const changes = one.steps
      .slice(1)
      .flatMap((step, at) => (handStays(one.steps, at) ? [] : [`${one.steps[at].at}-${step.at}`]));
    assert.deepEqual(
      one.shifts.map((shift) => `${shift.from}-${shift.to}`),
      changes,
    );
  });
});

/** Worked out from what is told alone: same place, never from opened back to opened forward or the other way, no two fingers sliding together. */
function handStays(steps: readonly Step[], at: number): boolean {
  const [from, to] = [steps[at], steps[at + 1]];
  if (!samePlace(from, to)) return false;
  const before = steps.slice(0, at + 1).findLast(({ stops }) => stops.some(({ finger }) => finger !== 0)) ?? from;
  const pressed = to.stops.some(({ finger }) => finger !== 0);
  if (pressed && samePlace(before, to) && [before.frame, to.frame].sort().join() === 'back,forward') return false;
  const ways = from.stops.map(({ string, finger, semitones }, voice) => {
    const other = to.stops[voice];
    return finger !== 0 && other?.string === string && other.finger === finger
      ? Math.sign(other.semitones - semitones)
      : 0;
  });
  const both = from.stops.length > 1 && to.stops.length === from.stops.length;
  return !both || ways[0] === 0 || ways.some((way) => way !== ways[0]);
}

test('the rules are kept', () => {
  everyPlan((one, _, rules) => {
    for (const step of one.steps) {
      const fingers = step.stops.map((stop) => stop.finger);
      if (rules.openStrings === 'never') assert.ok(!fingers.includes(0));
      if (rules.fourthFinger === 'never') assert.ok(!fingers.includes(4));
      if (rules.extensions === 'never') assert.ok(!step.extended);
      const { positions } = rules;
      if (positions && 'only' in positions) assert.ok(positions.only.includes(step.position));
      if (positions && 'from' in positions)
        assert.ok(Number(step.position) >= positions.from && Number(step.position) <= Number(positions.to));
    }
    if (rules.fourthFinger === 'no-shift')
      assert.ok(one.shifts.every((shift) => shift.fromFinger !== 4 && shift.toFinger !== 4));
  });
});

test('no stretch beyond the hand without a lock', () => {
  everyPlan((one) => assert.ok(one.reach.every((reach) => reach.verdict !== 'beyond' && reach.share <= 1.0005)));
});

test('adding a rule never makes the best cost smaller', () => {
  const extra = fc.constantFrom<Rules>(
    { openStrings: 'never' },
    { openStrings: 'prefer' },
    { openStrings: 'avoid' },
    { fourthFinger: 'avoid' },
    { fourthFinger: 'no-shift' },
    { fourthFinger: 'never' },
    { extensions: 'never' },
    { chromatic: 'finger-per-semitone' },
    { positions: { from: 1, to: 3 } },
  );
  fc.assert(
    fc.property(someRequest, extra, (request, rule) => {
      const free = plan({ ...request, rules: {}, alternatives: 1 });
      const bound = plan({ ...request, rules: rule, alternatives: 1 });
      if (free.plans.length > 0 && bound.plans.length > 0) assert.ok(bound.plans[0].cost >= free.plans[0].cost - 1e-9);
    }),
    RUNS,
  );
});

test('a lock is kept and never makes the best cost smaller', () => {
  fc.assert(
    fc.property(
      someRequest,
      fc.nat(),
      fc.constantFrom(1 as const, 2 as const, 3 as const, 4 as const),
      (request, where, finger) => {
        const free = plan({ ...request, rules: {}, alternatives: 1 });
        if (free.plans.length === 0) return;
        const { at } = free.plans[0].steps[where % free.plans[0].steps.length];
        const bound = plan({ ...request, rules: { locks: [{ at, finger }] }, alternatives: 1 });
        if (bound.plans.length === 0) assert.equal(bound.problems[0].code, 'out-of-rules');
        else {
          const locked = bound.plans[0].steps.find((step) => step.at === at);
          assert.ok(locked?.stops.some((stop) => stop.finger === finger));
          assert.ok(bound.plans[0].cost >= free.plans[0].cost - 1e-9);
        }
      },
    ),
    RUNS,
  );
});

test('a passage on one string keeps its fingers on the next string up, a fifth higher', () => {
  const scale = (tonic: string, string: string) =>
    plan({
      instrument: 'violin',
      material: { type: 'scale', tonic, scale: 'major', octaves: 1, direction: 'updown' },
      rules: { strings: [string], openStrings: 'never' },
      alternatives: 1,
    }).plans[0].steps.map((step) => step.stops[0].finger);
  assert.deepEqual(scale('Bb3', 'G3'), scale('F4', 'D4'));
  assert.deepEqual(scale('F4', 'D4'), scale('C5', 'A4'));
});

test('shift figures agree with the stops', () => {
  everyPlan((one) => {
    for (const shift of one.shifts) {
      const to = one.steps.find((step) => step.at === shift.to);
      const from = one.steps.find((step) => step.at === shift.from);
      assert.ok(to && from);
      const thumb = shift.kind === 'to-thumb' || shift.kind === 'from-thumb';
      assert.equal(thumb, (shift.fromPosition === 'thumb') !== (shift.toPosition === 'thumb'));
      if (!thumb) assert.equal(shift.fromFinger === 0, shift.kind === 'open-string');
      if (shift.kind === 'same-finger' && from.stops.length + to.stops.length === 2)
        assert.ok(Math.abs(shift.travelMm - Math.abs(to.stops[0].stopMm - from.stops[0].stopMm)) < 0.11);
      assert.equal(shift.fromPosition, from.position);
      assert.equal(shift.toPosition, to.position);
    }
  });
});

test('a plan that comes back another way than it went is charged for it, and no other is', () => {
  let [same, other] = [0, 0];
  everyPlan((one, response, _, request) => {
    const { material } = request;
    if (!('direction' in material) || material.direction !== 'updown') {
      assert.equal(one.terms.return, undefined);
      return;
    }
    const midi = response.events.map((event) => ('midi' in event ? event.midi.join() : ''));
    const way = one.steps.map(({ stops, position, thumbAt }, t) =>
      [
        midi[t] === midi[midi.length - 1 - t] ? '' : t,
        position,
        thumbAt,
        ...stops.map((stop) => stop.string + stop.finger),
      ].join(),
    );
    const alike = way.every((words, t) => words === way[way.length - 1 - t]);
    if (alike) same++;
    else if (one.terms.return !== undefined) other++;
    if (alike) assert.equal(one.terms.return, undefined);
    else if (one.terms.return !== undefined) assert.equal(one.terms.return, 0.6);
  });
  assert.ok(same > 10 && other > 3, `${same} ${other}`);
});

test('what is kept from request to request changes nothing: in any order each request has the same answer', () => {
  fc.assert(
    fc.property(fc.array(someRequest, { minLength: 2, maxLength: 6 }), (requests) => {
      const once = requests.map((request) => JSON.stringify(plan(request)));
      // Locks come and go, keys alternate, and the same is asked again.
      for (const request of requests) {
        const first = plan({ ...request, alternatives: 1 }).plans[0]?.steps[0];
        if (!first) continue;
        const { finger, string } = first.stops[0];
        plan({ ...request, rules: { ...request.rules, locks: [{ at: first.at, finger, string }] } });
      }
      [...requests.entries()].reverse().forEach(([at, request]) => {
        assert.equal(JSON.stringify(plan(request)), once[at]);
      });
    }),
    runs(15, 41),
  );
});

test('a note that rings at the opening and again after others is held where the hand then is', () => {
  const notes = ['D2', 'B1', 'D2', 'E2'].map((name) => ({ pitches: [name] }));
  for (const only of [[1, 3.5], [0.5, 2.5], [1], [3, 5]]) {
    const request: PlanRequest = {
      instrument: 'bass',
      material: { type: 'notes', notes },
      rules: { positions: { only } },
      alternatives: 1,
    };
    for (const one of plan(request).plans)
      one.steps.forEach((step, t) => {
        const open = step.stops.every(({ finger }) => finger === 0);
        if (open && t > 0) assert.equal(step.position, one.steps[t - 1].position);
      });
  }
});
