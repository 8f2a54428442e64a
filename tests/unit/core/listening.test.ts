import assert from 'node:assert/strict';
import { test } from 'node:test';
import { aimFor, plan, type Fault, type PlanRequest } from '../../../src/core';
import {
  bowedTake,
  chances,
  drawnPartials,
  expectedOf,
  listen,
  performed,
  plucked,
  sawtooth,
  startListening,
  startTuning,
  type Expected,
  type Voice,
} from '../../../src/core/listening';
import { causesWithoutSound, found, names, PLANTS, within, type Planted } from '../../support/plants';
import { NIGHTLY } from '../../support/runs';
import { heardOf, INSTRUMENTS, RATE, someTake, usual } from '../../support/takes';

test('notes of half a second are found on all four instruments, their middles within two cents', () => {
  for (const [n, instrument] of INSTRUMENTS.entries()) {
    const take = someTake(40 + n, 0.55, (_, chance) => usual(chance), instrument);
    const { share, errors } = found(take, heardOf(take, n));
    assert.ok(share >= 0.97, `${instrument}: ${share} found`);
    assert.ok(within(errors, instrument === 'bass' ? 3 : 2) >= 0.97, `${instrument}: ${errors.join(' ')}`);
  }
});

test('eight notes a second are found from C3 up, five below', () => {
  for (const [instrument, seconds] of [
    ['violin', 0.125],
    ['viola', 0.125],
    ['cello', 0.2],
  ] as const) {
    const faults = (): Fault[] => [
      { fault: 'scatter', cents: 4 },
      { fault: 'noise', db: 20 },
    ];
    const take = someTake(7, seconds, faults, instrument);
    const { share } = found(take, heardOf(take, 3));
    assert.ok(share >= 0.95, `${instrument}: ${share} found`);
  }
});

const VOICES: readonly (readonly [string, Voice])[] = [
  ['drawn partials', drawnPartials],
  ['plucked', plucked],
  ['sawtooth', sawtooth],
];

/** Trouble that a room full of pupils has. */
const TROUBLE: readonly (readonly [string, (samples: Float32Array, at: number) => number])[] = [
  ['clipped', (samples, at) => Math.max(-0.3, Math.min(0.3, samples[at]))],
  ['hum', (samples, at) => samples[at] + 0.02 * Math.sin((2 * Math.PI * 50 * at) / RATE)],
  ['clicks', (samples, at) => samples[at] + (at % 60_000 === 0 ? 0.9 : 0)],
  ['a string that rings', (samples, at) => samples[at] + 0.02 * Math.sin((2 * Math.PI * 293.4 * at) / RATE)],
  [
    'a second player far off',
    (samples, at) =>
      samples[at] + 0.02 * Math.sin((2 * Math.PI * 440 * 2 ** (Math.floor(at / 30_000) / 6) * at) / RATE),
  ],
];

test('voices made by other means are heard as well, with trouble added', () => {
  for (const [v, [name, voice]] of VOICES.entries())
    for (const [t, [trouble, add]] of TROUBLE.entries()) {
      // By day each voice and each trouble at least once, by night all together.
      if (!NIGHTLY && t % VOICES.length !== v) continue;
      const take = someTake(100 + 10 * v + t, 0.5, () => [{ fault: 'scatter', cents: 4 }], t % 2 ? 'viola' : 'violin');
      const made = voice(take.notes, { rate: RATE, faults: take.faults, chance: chances(5) });
      const samples = made.map((_, at) => add(made, at));
      const { share, errors } = found(take, listen(take.expected, take.plan, samples, RATE));
      assert.ok(share >= 0.94, `${name}, ${trouble}: ${share} found`);
      assert.ok(within(errors, 3) >= 0.94, `${name}, ${trouble}: ${errors.map((one) => one.toFixed(1)).join(' ')}`);
    }
});

test('a player who begins again, leaves out, repeats and plays another note is followed', () => {
  const faults = ({ events }: Expected): Fault[] => [
    { fault: 'restart', after: events[8].at, from: events[0].at },
    { fault: 'skip', at: events[5].at },
    { fault: 'wrong', at: events[12].at, semitones: 1 },
    { fault: 'repeat', at: events[14].at },
    { fault: 'noise', db: 25 },
  ];
  const take = someTake(11, 0.5, faults, 'violin');
  const { passes, extra } = heardOf(take, 2);
  assert.equal(passes.length, 2);
  const { events } = take.expected;
  const verdict = (pass: number, at: number) => passes[pass].notes.find((note) => note.at === at)?.heard;
  assert.equal(verdict(1, events[5].at), 'missed');
  assert.equal(verdict(1, events[12].at), 'wrong');
  assert.ok(extra.some(({ after }) => after === events[14].at));
});

const SCATTER: Fault = { fault: 'scatter', cents: 4 };

for (const [kind, plant] of Object.entries(PLANTS))
  test(`a planted cause is found in the cents of a take: ${kind}`, () => {
    let [tried, right] = [0, 0];
    for (let seed = 0; tried < 30 && seed < 200; seed++) {
      let planted: Planted | null = null;
      const take = someTake(3000 + seed, 0.5, (expected, chance) => {
        planted = plant(expected, chance);
        return planted ? [planted, SCATTER] : [SCATTER];
      });
      const wanted = planted as Planted | null;
      if (!wanted) continue;
      tried++;
      const causes = causesWithoutSound(take);
      if (causes.some(({ cause, or }) => [cause, ...or].some((one) => names(one, wanted, take.expected)))) right++;
    }
    assert.ok(right >= (kind === 'frame' ? 25 : 27), `${right} of ${tried}`);
  });

test('two planted causes are both found, and of a true player nothing is invented', () => {
  let [tried, right, invented] = [0, 0, 0];
  for (let seed = 0; tried < 30; seed++) {
    const planted: Planted[] = [];
    const take = someTake(5000 + seed, 0.5, (expected, chance) => {
      for (const kind of ['finger', 'string'] as const) {
        const one = PLANTS[kind](expected, chance);
        if (one) planted.push(one);
      }
      return [...planted, SCATTER];
    });
    if (planted.length < 2) continue;
    tried++;
    const all = causesWithoutSound(take).flatMap(({ cause, or }) => [cause, ...or]);
    if (planted.every((one) => all.some((cause) => names(cause, one, take.expected)))) right++;
  }
  for (let seed = 0; seed < 60; seed++)
    if (causesWithoutSound(someTake(7000 + seed, 0.5, () => [SCATTER])).length > 0) invented++;
  assert.ok(right >= 24, `${right} of ${tried}`);
  assert.ok(invented <= 2, `${invented} invented`);
});

test('each tone of a double stop is heard by itself, but the upper one of an octave', () => {
  for (const [instrument, tonic, interval] of [
    ['violin', 'A3', 'sixth'],
    ['cello', 'C3', 'third'],
    ['violin', 'A3', 'octave'],
  ] as const) {
    const request: PlanRequest = {
      instrument,
      material: { type: 'double-stops', interval, tonic, scale: 'major', octaves: 1, direction: 'up' },
      tempo: { bpm: 70 },
    };
    const response = plan(request);
    const [best] = response.plans;
    const expected = expectedOf(request, response, best, aimFor('middle'));
    const { at } = expected.events[3];
    const faults: Fault[] = [
      { fault: 'voice', at, stop: 0, cents: -14 },
      { fault: 'noise', db: 20 },
    ];
    const notes = performed(expected, faults, chances(2));
    const samples = bowedTake(notes, { rate: RATE, faults, chance: chances(3) });
    const { passes } = listen(expected, best, samples, RATE, { a4: 440 });
    const heard = new Map(passes.flatMap((pass) => pass.notes).map((note) => [note.at, note]));
    for (const note of notes) {
      const cents = heard.get(note.at)?.stops?.[note.stop]?.cents;
      if (interval === 'octave' && note.stop === 1) assert.equal(cents, undefined);
      else {
        const target = expected.events.find((event) => event.at === note.at)?.stops[note.stop].cents ?? 0;
        assert.ok(Math.abs((cents ?? Infinity) - (note.cents - target)) <= 5, `${interval} at ${note.at}: ${cents}`);
      }
    }
    assert.equal(heard.get(at)?.heard, 'low');
  }
});

test('what is no take of this plan gets a plain word and no report', () => {
  const take = someTake(21, 0.4, (_, chance) => usual(chance), 'violin');
  const chance = chances(8);
  const of = (samples: Float32Array) => listen(take.expected, take.plan, samples, RATE);
  const bowed = bowedTake(take.notes, { rate: RATE, faults: [], chance });
  assert.equal(of(new Float32Array(100)).unheard, 'too-short');
  assert.equal(of(new Float32Array(5 * RATE)).unheard, 'silence');
  for (const samples of [Float32Array.from({ length: 10 * RATE }, () => 0.3 * (chance() - 0.5))]) {
    const { unheard, causes } = of(samples);
    assert.ok(unheard !== undefined);
    assert.deepEqual(causes, []);
  }
  // An octave higher: the same samples at twice the rate.
  const high = bowed.filter((_, n) => n % 2 === 0);
  const octave = of(high);
  assert.ok(octave.unheard === 'octave-off' || octave.unheard === 'not-this-piece', String(octave.unheard));
  // Another piece: of the chromatic scale downwards next to nothing fits.
  const strange = take.expected.events.map((event, n) => ({
    ...event,
    stops: event.stops.map((stop) => ({ ...stop, midi: 90 - n })),
  }));
  const other = performed({ ...take.expected, events: strange }, [], chance);
  assert.equal(of(bowedTake(other, { rate: RATE, faults: [], chance })).unheard, 'not-this-piece');
});

test('the tuner names the string that sounds and how far it is off, and nothing in silence', () => {
  for (const instrument of INSTRUMENTS) {
    const { expected } = someTake(3, 0.5, () => [], instrument);
    expected.setup.strings.forEach(({ midi }, string) => {
      const push = startTuning(expected, 442, RATE);
      const off = 7 - 4 * string;
      const pitch = 100 * midi + expected.openCents[string] + 1200 * Math.log2(442 / 440) + off;
      const hertz = 440 * 2 ** ((pitch / 100 - 69) / 12);
      // The fundamental is the weakest, as on a low string.
      const at = (n: number) =>
        [0.1, 0.5, 0.4, 0.3].reduce(
          (sum, loud, k) => sum + 0.3 * loud * Math.sin((2 * Math.PI * (k + 1) * hertz * n) / RATE),
          0,
        );
      const found = push(Float32Array.from({ length: RATE / 2 }, (_, n) => at(n)));
      assert.equal(found?.string, string, `${instrument}, string ${string}`);
      assert.ok(Math.abs((found?.cents ?? Infinity) - off) < 1.5, `${instrument}: ${found?.cents} for ${off}`);
    });
    assert.equal(startTuning(expected, 440, RATE)(new Float32Array(RATE)), undefined);
  }
});

test('live, the place is known within a fifth of a second, and the end of the take', () => {
  const take = someTake(31, 0.5, () => [SCATTER, { fault: 'noise', db: 20 }], 'violin');
  const samples = bowedTake(take.notes, { rate: RATE, faults: take.faults, chance: chances(1) });
  const push = startListening(take.expected, RATE);
  const block = 1024;
  const seen: (readonly [number, number])[] = [];
  let finished = false;
  for (let at = 0; at + block <= samples.length; at += block) {
    const moment = push(samples.slice(at, at + block));
    if (!moment) continue;
    seen.push([(at + block) / RATE, moment.at]);
    finished = moment.finished;
  }
  const late = take.notes.filter(({ at, start }) => {
    const first = seen.find(([time, event]) => time >= start && event === at);
    return !first || first[0] - start > 0.2;
  });
  assert.ok(late.length <= take.notes.length * 0.06, `${late.length} of ${take.notes.length} late`);
  assert.ok(finished);
});
