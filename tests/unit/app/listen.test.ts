import assert from 'node:assert/strict';
import { test } from 'node:test';
import { aimFor, countsOf, stopMm, placesIn, plan, type InstrumentName, type PlanRequest } from '../../../src/core';
import {
  bowedTake,
  chances,
  expectedOf,
  judgedByEar,
  listen,
  performed,
  startListening,
  triesOf,
} from '../../../src/core/listening';
import { NIGHTLY } from '../../support/runs';
import { heardPlaces } from '../../../src/app/heardPlaces';
import { waysToPlay } from '../../../src/views/listen/playerFaults';
import { foundCauseWords, listenAnswer, type Listener } from '../../../src/wording/listening';

/* What the page that listens makes of takes: the ways the simulated player plays, the places on the neck, the words. */

const RATE = 44_100;

function planned(request: PlanRequest) {
  const response = plan({ ...request, alternatives: 1 });
  const [best] = response.plans;
  const expected = expectedOf(request, response, best, aimFor('middle'));
  const listener: Listener = { instrument: request.instrument, expected, place: placesIn(response) };
  return { plan: best, expected, listener };
}

const scale = (instrument: InstrumentName, tonic: string): PlanRequest => ({
  instrument,
  material: { type: 'scale', tonic, scale: 'major', octaves: 2, direction: 'updown' },
  tempo: { bpm: 140 },
});

/** Words by which each fault is told; nothing for a player who begins again or plays true. */
const TOLD: readonly (readonly [fault: string, words: RegExp])[] = [
  ['hand', /^Your whole hand is \d+\.\d mm towards the bridge in /],
  ['finger', /^Finger \d stands \d+\.\d mm towards the nut wherever it plays/],
  ['string', /string is 1\d cents flat, not you/],
  ['shift', /^The shift to bar \d+.* lands short by \d+\.\d mm, \d+ cents/],
];

/** By day one instrument; the others by night. */
const PLAYED = [
  ['violin', 'A3'],
  ['bass', 'G1'],
  ['viola', 'D3'],
  ['cello', 'D2'],
] as const;

for (const [instrument, tonic] of NIGHTLY ? PLAYED : PLAYED.slice(0, 1))
  test(`every way the simulated player plays is told in words, ${instrument}`, () => {
    const { plan: best, expected, listener } = planned(scale(instrument, tonic));
    const ways = waysToPlay({ plan: best }, listener);
    assert.ok(ways.length >= 5);
    for (const { words, faults } of ways) {
      const notes = performed(expected, [...faults, { fault: 'scatter', cents: 3 }], chances(3));
      const samples = bowedTake(notes, { rate: RATE, faults: [{ fault: 'noise', db: 30 }], chance: chances(4) });
      const report = listen(expected, best, samples, RATE, { a4: 440 });
      assert.equal(report.unheard, undefined, words);
      const said = report.causes.map((cause) => foundCauseWords(cause, listener));
      const wanted = TOLD.find(([fault]) => faults.some((one) => one.fault === fault));
      if (wanted)
        assert.ok(
          said.some((one) => wanted[1].test(one)),
          `${words}: ${said.join(' ')}`,
        );
      else assert.deepEqual(said, [], words);
      if (faults.some(({ fault }) => fault === 'restart')) assert.equal(report.passes.length, 2, words);
      // What every door answers can be written as JSON and holds the same causes.
      const answer = JSON.parse(JSON.stringify(listenAnswer(report, listener))) as { causes: { message: string }[] };
      assert.deepEqual(
        answer.causes.map(({ message }) => message),
        said,
      );
    }
  });

test('places are gathered over takes: their middle, between which half of the tries lie, and never an open string', () => {
  const { plan: best, expected } = planned(scale('violin', 'A3'));
  const [first] = expected.events.filter(({ stops }) => !stops[0].open);
  const tries = [-2, -1, 0, 1, 7].map((mm) => ({
    seconds: 1,
    a4: 440,
    strings: new Map<number, number>(),
    passes: [
      {
        from: 0,
        to: 1,
        shifts: [],
        notes: [
          { at: first.at, heard: 'in' as const, cents: 0, mm },
          ...expected.events
            .filter(({ stops }) => stops[0].open)
            .map(({ at }) => ({ at, heard: 'in' as const, mm: 0 })),
          { at: best.steps[best.steps.length - 1].at, heard: 'missed' as const },
        ],
      },
    ],
    extra: [],
    causes: [],
  }));
  const heard = (reports: typeof tries) =>
    heardPlaces(
      expected.setup,
      reports.flatMap((report) => triesOf(expected, report)),
      12,
    );
  const places = heard(tries);
  assert.equal(places.length, 1);
  const [place] = places;
  assert.deepEqual([place.middle, place.low, place.high], [0, -1, 1]);
  assert.ok(Math.abs(place.mm - stopMm(expected.setup.lengthMm, first.stops[0].semitones)) < 1e-9);
  assert.ok(place.inTune);
  assert.ok(!heard(tries.slice(4))[0].inTune);
});

test('a repetition is judged by its target, or by the first note that is off; of several passes by the last', () => {
  const note = (at: number, heard: 'in' | 'low' | 'wrong' | 'missed') => ({ at, heard });
  const report = (...passes: ReturnType<typeof note>[][]) => ({
    seconds: 1,
    a4: 440,
    strings: new Map<number, number>(),
    passes: passes.map((notes) => ({ from: 0, to: notes.length - 1, shifts: [], notes })),
    extra: [],
    causes: [],
  });
  const clean = [note(0, 'in'), note(1, 'in'), note(2, 'in')];
  const slip = [note(0, 'in'), note(1, 'low'), note(2, 'wrong')];
  assert.deepEqual(judgedByEar(report(clean)), { heard: 'in', place: null });
  assert.deepEqual(judgedByEar(report(slip)), { heard: 'low', place: 1 });
  assert.deepEqual(judgedByEar(report(slip), 2), { heard: 'missed', place: 2 });
  assert.deepEqual(judgedByEar(report(slip), 0), { heard: 'in', place: null });
  assert.deepEqual(judgedByEar(report(slip, clean)), { heard: 'in', place: null });
  assert.equal(judgedByEar(report()), null);
  assert.equal(judgedByEar(report(clean), 7), null);
  assert.equal(judgedByEar({ ...report(clean), unheard: 'silence' }), null);
});

test('what the microphone judged is never put beside what was typed', () => {
  const judged = {
    kind: 'judged',
    id: 'a',
    sessionId: 's',
    number: 0,
    at: 0,
    step: 0,
    from: 0,
    to: 0,
    bpm: 60,
  } as const;
  const places = [{ at: 0, kinds: ['high'] }];
  const low = { heard: 'low', place: 0 } as const;
  assert.equal(Object.keys(countsOf({ ...judged, ...low }, places)).length, 1);
  assert.deepEqual(countsOf({ ...judged, ...low, byEar: true }, places), {});
});

test('double stops are followed live too', () => {
  const { plan: best, expected } = planned({
    instrument: 'violin',
    material: { type: 'double-stops', interval: 'sixth', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
    tempo: { bpm: 60 },
  });
  assert.ok(best.steps.length > 5);
  const notes = performed(expected, [], chances(1));
  const samples = bowedTake(notes, { rate: RATE, faults: [], chance: chances(2) });
  const push = startListening(expected, RATE);
  const seen = new Set<number>();
  for (let at = 0; at + 2048 <= samples.length; at += 2048) {
    const moment = push(samples.slice(at, at + 2048));
    if (moment) {
      seen.add(moment.at);
      assert.equal(moment.cents, undefined);
    }
  }
  assert.ok(seen.size >= expected.events.length - 1, `${seen.size} of ${expected.events.length}`);
});
