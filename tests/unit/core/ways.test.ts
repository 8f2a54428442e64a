import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  changesBetween,
  midiOf,
  parsePitch,
  plan,
  withDemand,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../../src/core';
import { requestIssues } from '../../../src/core';
import { wayWords } from '../../../src/wording/ways';
import { speechOf } from '../../../src/wording/plans';
import { corpus } from '../../support/corpus';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

const fingering = ({ steps }: Plan) =>
  steps.map(({ stops }) => stops.map(({ string, finger }) => string + finger).join('+')).join(' ');

const RETURNS_OTHERWISE: PlanRequest = {
  instrument: 'viola',
  hand: 'large',
  style: 'early',
  material: { type: 'arpeggio', tonic: 'D3', chord: 'dominant-seventh', octaves: 2, direction: 'updown' },
  rules: { positions: { from: 2, to: 7 }, fourthFinger: 'never', chromatic: 'finger-per-semitone' },
};

test('each way, its demand put into the request, is the best plan of that request', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, (request) => {
      const asked = { ...request, alternatives: 6, explain: 'nothing' as const };
      const { plans } = plan(asked);
      for (const way of plans.slice(1)) {
        assert.ok(way.way && way.demand);
        const demanded: PlanRequest = { ...withDemand(asked, way.demand), alternatives: 1 };
        assert.deepEqual(requestIssues(demanded), []);
        const [best] = plan(demanded).plans;
        assert.ok(best, JSON.stringify(way.demand));
        if (fingering(best) !== fingering(way))
          // Two that cost the same are both the best.
          assert.ok(Math.abs(costUnder(demanded, way) - best.cost) < 1e-9, JSON.stringify([way.demand, request]));
        seen.set(way.way.code, (seen.get(way.way.code) ?? 0) + 1);
      }
    }),
    // A line that comes back another way than it went is rare: one is given.
    { ...runs(125, 71), examples: [[RETURNS_OTHERWISE]] },
  );
  const missing = ['no-open-string', 'no-little-finger', 'fewer-shifts', 'in-position', 'same-back', 'school'];
  for (const code of missing) assert.ok(seen.has(code), `${code} of ${[...seen.keys()].join()}`);
});

/** What a fingering costs under a request: every note locked as it is held. */
function costUnder(request: PlanRequest, { steps }: Plan): number {
  const locks = steps.flatMap(({ at, stops, position }) =>
    stops.map(({ finger, string }) => ({ at, finger, string, ...(finger === 0 ? {} : { position }) })),
  );
  const all = [...(request.rules?.locks ?? []), ...locks];
  return plan({ ...request, rules: { ...request.rules, locks: all } }).plans[0]?.cost ?? Infinity;
}

test('no two ways are alike in strings, fingers and positions', () => {
  for (const { request, response } of corpus()) {
    const held = response.plans.map(({ steps }) =>
      steps
        .map(({ position, stops }) => [position, ...stops.map(({ string, finger }) => string + finger)].join('/'))
        .join(' '),
    );
    assert.equal(new Set(held).size, held.length, JSON.stringify(request));
  }
});

/** Ways of a piece stand by how much of it they play otherwise. */
const isPiece = ({ steps }: Plan, events: PlanResponse['events']) =>
  steps.length > 32 || events.some((event) => 'phrase' in event && event.phrase !== undefined);

test('each way differs from every cheaper plan in what a player feels, and is better in something; names are unique', () => {
  let ways = 0;
  for (const { request, response } of corpus(250)) {
    const { plans, events } = response;
    const shown = plans.slice(1);
    shown.forEach((way, at) => {
      ways++;
      // A cello hand that is opened much is asked to be closed first, whatever that costs.
      const ofPiece = isPiece(way, events);
      const before = ofPiece
        ? shown.filter((one) => one.cost < way.cost)
        : shown.slice(0, at).filter((one) => one.way?.code !== 'no-extension' || one.cost <= way.cost);
      if (!ofPiece && before.length > 0) assert.ok(way.cost >= before[before.length - 1].cost - 1e-9, 'cheapest first');
      for (const cheaper of [plans[0], ...before]) {
        const changes = changesBetween(way, cheaper, events);
        assert.ok(changes.some(({ trait, from, to }) => to < from || trait === 'open-strings'));
      }
    });
    const speech = speechOf(request.instrument, response);
    const names = shown.map(({ way }) => way && wayWords(way, speech));
    assert.equal(new Set(names).size, names.length, names.join('; '));
  }
  assert.ok(ways > 200, String(ways));
});

test('a cello scale that opens the hand much offers to keep it closed first, and nothing that nobody would ask for is offered', () => {
  const opened = ({ steps }: Plan) => steps.filter(({ extended }) => extended).length;
  let first = 0;
  for (const tonic of ['D2', 'Eb2', 'E2', 'A2', 'Bb2', 'B2'])
    for (const octaves of [2, 3]) {
      const material = { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' } as const;
      const [best, ...ways] = plan({ instrument: 'cello', material, alternatives: 5, explain: 'nothing' }).plans;
      for (const way of ways.filter((one) => one.way?.code !== 'no-extension')) {
        assert.ok(way.shifts.length - best.shifts.length < 4);
        assert.ok(opened(way) - opened(best) < 6);
      }
      if (opened(best) < 4 || !plan({ instrument: 'cello', material, rules: { extensions: 'never' } }).plans[0])
        continue;
      first++;
      assert.equal(ways[0].way?.code, 'no-extension', tonic);
      assert.equal(opened(ways[0]), 0);
    }
  assert.ok(first > 3, String(first));
});

test('a shift made elsewhere is named by where it is made', () => {
  const material = { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' } as const;
  const request: PlanRequest = { instrument: 'violin', material, alternatives: 10 };
  const response = plan(request);
  const speech = speechOf('violin', response);
  const moved = response.plans.filter(({ way }) => way?.code === 'shift-elsewhere');
  assert.ok(moved.length > 0);
  for (const { way, shifts } of moved) {
    if (way?.code !== 'shift-elsewhere' || way.instead === undefined) assert.fail('a shift is made elsewhere');
    assert.ok(shifts.some(({ to }) => to === way.instead));
    assert.match(wayWords(way, speech), /^the shift on [A-G][♯♭]?\d, bar \d, beat \d$/);
  }
});

test('most scales have between two and four ways', () => {
  let [few, all] = [0, 0];
  for (const [instrument, tonics] of [
    ['violin', ['G3', 'A3', 'Bb3', 'D4', 'F4']],
    ['viola', ['C3', 'Eb3', 'G3', 'A3']],
    ['cello', ['C2', 'Eb2', 'F2', 'A2']],
    ['bass', ['E1', 'F1', 'A1', 'C2']],
  ] as const)
    for (const tonic of tonics)
      for (const octaves of [1, 2]) {
        const material = { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' } as const;
        const { plans } = plan({ instrument, material, alternatives: 5, explain: 'nothing' });
        all++;
        if (plans.length >= 2) few++;
      }
  assert.ok(few >= 0.8 * all, `${few} of ${all}`);
});

const TWO_OCTAVES: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'updown' },
};
const bestUnder = (rules: PlanRequest['rules'], request = TWO_OCTAVES) =>
  plan({ ...request, rules, alternatives: 1 }).plans[0];

test('a position that must be visited is stood in for two stopped notes running', () => {
  const inFirst = bestUnder({ positions: { from: 1, to: 3 } });
  assert.ok(inFirst.steps.every(({ position }) => position === 1));
  const { steps } = bestUnder({ positions: { from: 1, to: 3 }, visit: [3] });
  const third = ({ position, stops }: Plan['steps'][number]) => position === 3 && stops[0].finger !== 0;
  assert.ok(steps.some((step, t) => t > 0 && third(step) && third(steps[t - 1])));
});

test('shifts are at most so many, a shift that is asked for is made, and down is as up where that is asked', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'A3', scale: 'melodic-minor', octaves: 3, direction: 'updown' },
  };
  const free = bestUnder(undefined, request);
  for (let most = free.shifts.length; most > 1; most--) {
    const one = bestUnder({ mostShifts: most }, request);
    if (one) assert.ok(one.shifts.length <= most);
  }
  const asked = bestUnder({ locks: [{ at: 9, shift: true }] });
  assert.ok(asked.shifts.some(({ to }) => to === 9));
  const { steps } = bestUnder({ sameBack: true }, request);
  const { events } = plan(request);
  steps.forEach((step, t) => {
    const back = steps[steps.length - 1 - t];
    const [a, b] = [events[step.at], events[back.at]];
    if (!('midi' in a) || !('midi' in b) || a.midi[0] !== b.midi[0]) return;
    assert.deepEqual([step.stops[0].string, step.stops[0].finger], [back.stops[0].string, back.stops[0].finger]);
  });
});

test('the little finger preferred takes what an open string would', () => {
  const open = midiOf(parsePitch('E5') ?? assert.fail());
  const { steps } = bestUnder({ fourthFinger: 'prefer', positions: { from: 1, to: 1 } });
  const notes = steps.filter(({ stops }) => stops[0].semitones === 7 || stops[0].finger === 0);
  assert.ok(open > 0 && notes.length > 0 && notes.every(({ stops }) => stops[0].finger !== 0));
});

test('where there are fewer shifts than any fingering has, that is found at once, and how many would do', () => {
  const notes = Array.from({ length: 400 }, (_, at) => ({
    pitches: [['C2', 'Eb2', 'G4', 'B4', 'D3', 'A4', 'F5'][at % 7]],
  }));
  const request: PlanRequest = { instrument: 'cello', alternatives: 1, material: { type: 'notes', notes } };
  const { plans, problems } = plan({ ...request, rules: { mostShifts: 0 } });
  assert.equal(plans.length, 0);
  const most = problems[0].relax?.mostShifts ?? 0;
  assert.ok(most > 0 && bestUnder({ mostShifts: most }, request));
});
