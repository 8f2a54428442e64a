import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, samePlace, type Plan, type PlanRequest, type Reason, type Shift } from '../../../src/core';
import { plannedMusic } from '../../../src/core/planner/begins';
import type { SoundingEvent } from '../../../src/core/material/events';
import { beyondHand } from '../../../src/core/planner/graph/candidates';
import { placeOf } from '../../../src/core/planner/place';
import { contextFor } from '../../../src/core/planner/cost/context';
import { passesOver } from '../../../src/core/planner/search/passes';
import { masked, type HoldTrellis } from '../../../src/core/planner/graph';
import type { Trellis } from '../../../src/core/planner/graph/trellis';
import { buildTrellis } from '../../../src/core/planner/graph/build';
import { worded } from '../../support/words';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

const threeOctaves: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' },
};

/** Cost of the cheapest plan of a trellis; Infinity where there is none. */
const best = (trellis: Trellis) => passesOver(trellis).least;

/** Lines that do not come back, so that a plan costs what its path does. */
const oneWay = someRequest.map((request): PlanRequest => {
  const { material } = request;
  return 'direction' in material && material.direction === 'updown'
    ? { ...request, material: { ...material, direction: 'up' } }
    : request;
});

const reasonOf = (shift: Shift, question: Reason['question']) =>
  shift.reasons.find((reason) => reason.question === question);

/** True where notes far apart have their price: a way round is then told with its own price, and a better one may come of changing both. */
const hangsTogether = ({ style, material }: PlanRequest, { again }: HoldTrellis) =>
  again.length > 0 || (style === 'singing' && material.type === 'notes');

/** Each shift of the best plans of random requests, with what it was found in. */
function everyShift(
  runs: number,
  seed: number,
  look: (shift: Shift, t: number, trellis: HoldTrellis, one: Plan, request: PlanRequest) => void,
) {
  fc.assert(
    fc.property(oneWay, (request) => {
      const context = contextFor(request, plannedMusic(request).music);
      const trellis = buildTrellis(context);
      if (hangsTogether(request, trellis)) return;
      for (const one of plan({ ...request, alternatives: 1 }).plans)
        for (const shift of one.shifts)
          look(
            shift,
            one.steps.findIndex(({ at }) => at === shift.from),
            trellis,
            one,
            request,
          );
    }),
    { numRuns: runs, seed },
  );
}

test('what is said of the moment is true, and shifting elsewhere costs what is claimed', () => {
  const seen = new Map<string, number>();
  everyShift(400, 3, (shift, t, trellis, one, request) => {
    const here = reasonOf(shift, 'why-here');
    if (!here) return;
    seen.set(here.data.kind, (seen.get(here.data.kind) ?? 0) + 1);
    const never = [...(request.rules?.never ?? []), { at: shift.to, shift: true as const }];
    const [other] = plan({ ...request, rules: { ...request.rules, never }, alternatives: 1 }).plans;
    const loss = best(masked(trellis, { noShiftTo: t + 1 }) ?? assert.fail()) - one.cost;
    const { data } = here;
    assert.ok(other && Math.abs((here.loss ?? NaN) - loss) < 1e-9, `${here.loss} against ${loss}`);
    if (data.kind !== 'moment') return;
    assert.ok(
      other.shifts.some(({ to, toFinger }) => to === data.other.at && toFinger === data.other.finger) || loss < 1e-9,
      'the other moment is that of the plan without it',
    );
    if (data.good.includes('first-finger')) {
      assert.equal(shift.toFinger, 1);
      assert.notEqual(data.other.finger, 1);
    }
    if (data.good.includes('during-open')) assert.ok(shift.kind === 'open-string' || shift.to > shift.from + 1);
  });
  for (const kind of ['moment', 'elsewhere']) assert.ok((seen.get(kind) ?? 0) > 0, kind);
});

test('staying would take what is said: planned again with the hand held in its place', () => {
  let seen = 0;
  everyShift(500, 5, (shift, t, trellis, one) => {
    const why = reasonOf(shift, 'why');
    if (why?.data.kind !== 'staying') return;
    seen++;
    const next = one.shifts.find(({ from }) => from > shift.from);
    const until = next ? one.steps.findIndex(({ at }) => at === next.from) : one.steps.length - 1;
    const from = one.steps[t];
    const layers = trellis.layers.map((layer, at) => ({
      ...layer,
      cost: layer.cost.map((cost, node) => {
        const { hold } = layer.candidates[node];
        const own = hold.stops.every(({ finger, semitones }, voice) => {
          const stop = one.steps[at].stops[voice];
          return (finger === 5 ? 'T' : finger) === stop.finger && semitones === stop.semitones;
        });
        if (at <= t) return own ? cost : Infinity;
        return at > until || isAt(trellis, at, node, from, t) ? cost : Infinity;
      }),
    }));
    assert.ok(best({ ...trellis, layers }) >= one.cost - 1e-9);
    assert.ok((why.loss ?? -1) >= 0);
    if (why.data.worse.length === 0) assert.ok(why.data.felt);
    for (const { what, more } of why.data.worse) assert.ok(more > 0 && what !== 'shifts');
  });
  assert.ok(seen > 30, String(seen));
});

/** True where a hold lies in the position that a step does. */
function isAt({ layers }: HoldTrellis, at: number, node: number, step: Plan['steps'][number], t: number): boolean {
  const positions = new Set(
    layers[t].candidates
      .filter(({ hold }) => hold.stops.every(({ semitones }, voice) => semitones === step.stops[voice].semitones))
      .map(({ hold }) => hold.position),
  );
  return positions.has(layers[at].candidates[node].hold.position);
}

test('the loss claimed for what is special about a note is what planning again without it costs', () => {
  let seen = 0;
  const elements = new Set<string>();
  fc.assert(
    fc.property(oneWay, (request) => {
      const context = contextFor(request, plannedMusic(request).music);
      const trellis = buildTrellis(context);
      if (hangsTogether(request, trellis)) return;
      const [one] = plan({ ...request, alternatives: 1, explain: 'all' }).plans;
      one?.steps.forEach((step, t) => {
        const claimed = step.reasons?.find((reason) => reason.loss !== undefined);
        if (!claimed || claimed.data.kind !== 'without') return;
        const { element } = claimed.data;
        elements.add(element);
        const layers = trellis.layers.map((layer, at) => {
          if (at !== t) return layer;
          const cost = layer.cost.map((own, node) => {
            const { hold } = layer.candidates[node];
            const plays = (finger: number) => hold.stops.some((stop) => stop.finger === finger);
            const is = {
              extension: hold.extended > 0,
              contraction: hold.contracted > 0,
              'little-finger': plays(4),
              'open-string': plays(0),
              thumb: plays(5),
              stay: samePlace(placeOf(context.model, hold.position), step),
              string: context.setup.strings[hold.stops[0].string].name === step.stops[0].string,
            }[element];
            return is ? Infinity : own;
          });
          return { ...layer, cost };
        });
        const loss = best({ ...trellis, layers }) - one.cost;
        assert.ok(Math.abs((claimed.loss ?? NaN) - loss) < 1e-9, `${claimed.loss} against ${loss}`);
        assert.ok(claimed.data.worse.length > 0 || claimed.data.felt);
        seen++;
      });
    }),
    runs(150, 4),
  );
  assert.ok(seen > 50, String(seen));
  for (const element of ['stay', 'string', 'little-finger', 'open-string', 'extension'])
    assert.ok(elements.has(element), `${element} of ${[...elements].join()}`);
});

test('a figure that comes again keeps its fingers, and without the shift it does not', () => {
  let seen = 0;
  for (const [instrument, tonic] of [
    ['violin', 'F4'],
    ['cello', 'E2'],
    ['bass', 'E1'],
  ] as const) {
    const material = { type: 'broken-thirds', tonic, scale: 'major', octaves: 2, direction: 'up' } as const;
    const [one] = worded({ instrument, material, alternatives: 1 }).plans;
    const fingers = ({ steps }: Plan) => steps.map(({ stops: [{ finger }] }) => finger);
    for (const shift of one.shifts)
      for (const { data, message } of shift.reasons) {
        if (data.kind !== 'sequence') continue;
        seen++;
        const notes = shift.to - data.at;
        const figure = (of: Plan, from: number) =>
          fingers(of)
            .slice(from, from + notes)
            .join();
        assert.equal(figure(one, shift.to - notes + 1 - notes), figure(one, shift.to + 1 - notes));
        const rules = { never: [{ at: shift.to, shift: true as const }] };
        const [other] = plan({ instrument, material, rules, alternatives: 1 }).plans;
        assert.notEqual(fingers(one).join(), fingers(other).join());
        assert.match(message, /^The figure keeps the fingers it had at bar \d+, beat \d+\.$/);
      }
  }
  assert.ok(seen >= 3, String(seen));
});

test('why shift at all and why here, in a sentence each', () => {
  const [one] = worded(threeOctaves).plans;
  const [why, here] = one.shifts[0].reasons;
  assert.deepEqual(
    [why.question, why.code, why.message],
    ['why', 'range', 'The line goes on to C♯6 (bar 5, beat 1), which 1st position does not have.'],
  );
  assert.equal(here.question, 'why-here');
  assert.match(
    here.message,
    /^Here the hand moves the shorter way; at bar 4, beat 4 it would go \d+ mm instead of \d+\.$/,
  );
  const { plans } = plan({ ...threeOctaves, rules: { locks: [{ at: 1, finger: 1 }] } });
  const codes = plans[0].shifts.flatMap((shift) => shift.reasons.map(({ code }) => code));
  assert.ok(codes.includes('demand'), codes.join());
});

/** Turns that argue against themselves, or say nothing to a teacher. */
const BANNED = [
  /no other moment/i,
  /anywhere else/i,
  /further up the neck than/i,
  /without this shift/i,
  /costs? (the same|\d)/i,
  /cheaper|dearer/i,
  /as good/i,
  /way back to learn/i,
  /landings? off the first finger/i,
  /larger hand/i,
  /\bNaN\b|undefined|Infinity/,
];

test('over many plans no reason argues against itself', () => {
  let said = 0;
  fc.assert(
    fc.property(someRequest, (request) => {
      const { plans } = worded({ ...request, explain: 'all', alternatives: 5 });
      for (const one of plans)
        for (const { message } of [
          ...one.shifts.flatMap(({ reasons }) => reasons),
          ...one.steps.flatMap(({ reasons = [] }) => reasons),
          { message: one.message ?? '' },
        ]) {
          said++;
          for (const turn of BANNED) assert.doesNotMatch(message, turn);
        }
    }),
    runs(100, 9),
  );
  assert.ok(said > 500);
});

test('what is said to have no place in a position has none, is beyond the hand, or lies too high', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, fc.constantFrom('small' as const, 'medium' as const), (request, hand) => {
      const asked = { ...request, hand, rules: {}, alternatives: 1 };
      const context = contextFor(asked, plannedMusic(asked).music);
      for (const one of plan(asked).plans) {
        for (const shift of one.shifts) {
          const why = reasonOf(shift, 'why');
          if (why?.data.kind !== 'goes-on') continue;
          const { code, data } = why;
          const event = context.music.events[data.at] as SoundingEvent;
          const there = context.holdsOf(event).all.filter(({ position }) => {
            const place = placeOf(context.model, position);
            return place.position === data.position && place.thumbAt === data.thumbAt;
          });
          seen.set(code, (seen.get(code) ?? 0) + 1);
          const side = data.frame === 'forward' ? 1 : -1;
          // Opened one way the hand has not what it has opened the other way only.
          if (data.frame) assert.ok(there.every((hold) => hold.side === -side || beyondHand(context, hold)));
          else if (code === 'range' && event.octave === undefined)
            assert.ok(there.every((hold) => hold.extended > 0 && beyondHand(context, hold)));
          const closed = there.filter(({ extended }) => extended === 0);
          if (code === 'stretch') assert.ok(closed.length > 0 && there.every((hold) => beyondHand(context, hold)));
          if (code === 'height') assert.ok(there.some((hold) => !beyondHand(context, hold)));
        }
      }
    }),
    runs(250, 8),
  );
  for (const code of ['range', 'stretch', 'height']) assert.ok((seen.get(code) ?? 0) > 0, code);
});

test('nothing is explained where nothing is asked', () => {
  const [one] = plan({ ...threeOctaves, explain: 'nothing' }).plans;
  assert.ok(one.shifts.every((shift) => shift.reasons.length === 0));
});
