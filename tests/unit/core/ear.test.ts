import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  findingsOf,
  parsePitch,
  pitchName,
  type Aim,
  type Checkpoint,
  type Findings,
  type Level,
  type Pitch,
  type PlanRequest,
  type PlanResponse,
} from '../../../src/core';
import { checkWords, noCheckWords } from '../../../src/wording/checks';
import { planAlone } from '../best';
import { corpus } from '../../support/corpus';
import { runs } from '../../support/runs';

/*
 * Checks, beats, ringing, what is heard first and where a note is put, against formulas of the test's own: frequencies as products of small ratios from A,
 * and nothing of the core but the plan. Every plan is heard in each system by each level.
 */

const LEVELS: readonly Level[] = ['first-year', 'early', 'middle', 'advanced'];
const SYSTEMS = ['equal', 'pythagorean', 'just', 'own'] as const;
const TABLE = [0, -9.3, 4.1, 16, -14, -2.2, -11, 2.3, 14, -16, 18, -12];

interface Page {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly aim: Aim;
  readonly findings: Findings;
}

/** Every plan of the corpus in two systems, in turn; the strings tuned pure or as a tuner has them. */
function* pages(): Generator<Page> {
  for (const [n, { request, response }] of corpus().entries()) {
    const [first] = response.plans;
    if (!first) continue;
    for (const turn of [0, 1, 2, 3]) {
      const system = SYSTEMS[turn];
      const aim: Aim = {
        system,
        tuning: n % 5 === 0 ? 'equal' : 'pure',
        level: LEVELS[(n + turn) % 4],
        ...(system === 'own' ? { table: TABLE } : {}),
      };
      yield { request, response, aim, findings: findingsOf(request, response, first, aim) };
    }
  }
}

const LETTER_FIFTHS = [0, 2, 4, -1, 1, 3, 5];
/** Place on the line of fifths: C 0, G 1, F -1. */
const fifthsOf = ({ letter, alteration }: Pick<Pitch, 'letter' | 'alteration'>) =>
  LETTER_FIFTHS[letter] + 7 * alteration;
const octavesIn = (ratio: number) => Math.log2(ratio);

/** Ratio of the just interval from the tonic, by fifths, for those that a scale has. */
const JUST: Readonly<Record<number, number>> = {
  [-6]: 64 / 45,
  [-5]: 16 / 15,
  [-4]: 8 / 5,
  [-3]: 6 / 5,
  [-2]: 9 / 5,
  [-1]: 4 / 3,
  0: 1,
  1: 3 / 2,
  2: 9 / 8,
  3: 5 / 3,
  4: 5 / 4,
  5: 15 / 8,
  6: 45 / 32,
};

const A_FIFTHS = 3;

/** Cents against equal that a pitch has, worked out from ratios. @returns undefined where the table of ratios has none */
function centsByRatio(pitch: Pitch, tonic: Pick<Pitch, 'letter' | 'alteration'>, aim: Aim): number | undefined {
  const fromA = (fifths: number) => 1200 * octavesIn((3 / 2) ** fifths) - 700 * fifths;
  const fifths = fifthsOf(pitch) - fifthsOf(tonic);
  if (aim.system === 'equal') return 0;
  if (aim.system === 'pythagorean') return fromA(fifthsOf(pitch) - A_FIFTHS);
  if (aim.system === 'own') return TABLE[(((7 * fifths) % 12) + 12) % 12];
  const ratio = JUST[fifths];
  if (ratio === undefined) return undefined;
  const away = 1200 * octavesIn(ratio) - 100 * ((((7 * fifths) % 12) + 12) % 12);
  return fromA(fifthsOf(tonic) - A_FIFTHS) + away;
}

/** The tonic in force: the last key named at or before an event. */
function tonicAt({ key, changes = [] }: PlanResponse, at: number): Pitch {
  const name = changes.filter((change) => change.key && change.at <= at).at(-1)?.key?.name ?? key.name;
  return parsePitch(`${name.split(' ')[0]}4`) ?? assert.fail(name);
}

const hertz = (midi: number, cents: number) => 440 * 2 ** ((midi - 69) / 12 + cents / 1200);

/** An open string, in Hz. */
function openHz({ setup }: Findings, string: number, { tuning }: Aim): number {
  const { pitch, midi } = setup.strings[string];
  const fifths = fifthsOf(pitch) - A_FIFTHS;
  return hertz(midi, tuning === 'pure' ? 1200 * octavesIn((3 / 2) ** fifths) - 700 * fifths : 0);
}

const PARTIAL: Readonly<Record<number, number>> = { 0: 1, 12: 2, 7: 3, 5: 4 };
const otherHz = (findings: Findings, { string, touch }: Checkpoint, aim: Aim) =>
  openHz(findings, string, aim) * PARTIAL[touch];

test('every target stands where the ratios put it, by its spelling and the key in force', () => {
  const seen = new Map<string, number>();
  for (const { response, aim, findings } of pages())
    for (const { note, target } of findings.heard) {
      if (note.finger === 0 || note.harmonic) continue;
      const cents = centsByRatio(note.pitch, tonicAt(response, note.at), aim);
      if (cents === undefined) continue;
      seen.set(aim.system, (seen.get(aim.system) ?? 0) + 1);
      assert.ok(
        Math.abs(target.cents - cents) < 0.01,
        `${pitchName(note.pitch)} ${aim.system} ${target.cents} ${cents}`,
      );
    }
  for (const system of SYSTEMS) assert.ok((seen.get(system) ?? 0) > 1000, system);
});

test('a check fits by purity and never by level: together, in turn, or not at all and then for a comma', () => {
  const seen = { beatless: 0, slow: 0, inTurn: 0, elsewhere: 0 };
  for (const { aim, findings } of pages())
    for (const { note, target, checks, comma } of findings.heard)
      for (const check of checks) {
        const [own, other] = [hertz(note.midi, target.cents), otherHz(findings, check, aim)];
        const [low, high] = [Math.min(own, other), Math.max(own, other)];
        const [p, q] = check.ratio;
        const beats = Math.abs(p * low - q * high);
        const off = Math.abs(1200 * Math.log2(((high / low) * q) / p));
        const beside = check.touch === 0 && Math.abs(check.string - note.string) === 1;
        const words = checkWords(check, note, findings.setup);
        assert.equal(check.together, beside && off <= 6 && beats < 4, words);
        assert.equal(check.fits, check.together || off <= 10, words);
        assert.ok(check.fits || check === comma?.fifth || check === comma?.third, words);
        assert.ok(check.string !== note.string || check.touch > 0, 'the string that is stopped is not open');
        if (/no beats/.test(words)) {
          seen.beatless++;
          assert.ok(beats < 1.01 && check.together, `${words}: ${beats}`);
        }
        if (/beats slowly/.test(words)) {
          seen.slow++;
          assert.ok(beats > 0.99 && beats < 4.01 && check.together, `${words}: ${beats}`);
        }
        if (/^(play|touch)/.test(words)) {
          seen.inTurn++;
          assert.ok(!check.together && off <= 10.001, `${words}: ${off}`);
        }
        if (/higher than|lower than/.test(words)) {
          seen.elsewhere++;
          assert.ok(!check.fits && comma);
        }
      }
  for (const [what, count] of Object.entries(seen)) assert.ok(count > 20, `${what}: ${count}`);
});

test('of two checks that a comma parts one fits and the other does not', () => {
  let seen = 0;
  for (const { findings } of pages())
    for (const { comma, checks } of findings.heard) {
      if (!comma) continue;
      seen++;
      assert.notEqual(comma.fifth.fits, comma.third.fits);
      assert.ok(checks.includes(comma.fifth) && checks.includes(comma.third));
    }
  assert.ok(seen > 100, String(seen));
});

test('the best check comes first: one that fits, then one that can sound together', () => {
  for (const { findings } of pages())
    for (const { checks } of findings.heard)
      checks.slice(1).forEach((check, at) => {
        const before = checks[at];
        assert.ok(Number(before.fits) >= Number(check.fits));
        if (before.fits === check.fits) assert.ok(Number(before.neighbours) >= Number(check.neighbours));
      });
});

test('a string rings by the first partials and answers faintly by the next, never one that is stopped', () => {
  const seen = { clear: 0, faint: 0 };
  for (const { aim, findings } of pages())
    for (const { note, target, ringing } of findings.heard) {
      if (note.finger === 0) continue;
      const stopped = new Set(note.step.stops.filter(({ finger }) => finger !== 0).map(({ string }) => string));
      const own = hertz(note.midi, target.cents);
      findings.setup.strings.forEach(({ name }, string) => {
        const ratio = own / openHz(findings, string, aim);
        const near = (wanted: number) => Math.abs(1200 * Math.log2(ratio / wanted)) <= 6;
        const free = string !== note.string && !stopped.has(name);
        const clear = free && [1, 2, 3, 4, 0.5, 1 / 3].some(near);
        const faint = free && [1.5, 4 / 3, 1.25, 2 / 3, 0.75, 0.8].some(near);
        assert.equal(ringing.clear.includes(string), clear);
        assert.equal(ringing.faint.includes(string), faint);
        if (clear) seen.clear++;
        if (faint) seen.faint++;
      });
    }
  assert.ok(seen.clear > 500 && seen.faint > 500, JSON.stringify(seen));
});

test('what is heard first is the same pitch or at most two octaves away, and matched where first position has the place', () => {
  const seen = { matched: 0, open: 0, other: 0, inPlace: 0 };
  for (const { request, findings } of pages())
    for (const { note, elsewhere } of findings.heard) {
      if (note.finger === 0 || note.harmonic) continue;
      const { strings, instrument } = findings.setup;
      const never = request.rules?.fourthFinger === 'never' ? 4 : null;
      const high = note.step.position === 'thumb' || note.step.position > 1;
      if (elsewhere.kind === 'in-place') {
        seen.inPlace++;
        const lower = strings.some(
          ({ midi }, string) => string !== note.string && note.midi >= midi && note.midi - midi < note.semitones,
        );
        if (elsewhere.lowest) assert.ok(!high && !lower, pitchName(note.pitch));
        continue;
      }
      const { octaves, string } = elsewhere;
      assert.ok(octaves >= 0 && octaves <= 2);
      if (elsewhere.kind === 'open') {
        seen.open++;
        assert.equal(strings[string].midi, note.midi - 12 * octaves);
        continue;
      }
      assert.equal(strings[string].midi + elsewhere.semitones, note.midi - 12 * octaves);
      assert.notEqual(elsewhere.finger, never);
      const same = string === note.string && elsewhere.semitones === note.semitones;
      if (same) seen.matched++;
      else seen.other++;
      assert.ok(!same || high, 'a note is not matched by itself');
      // A whole-tone or semitone place within first position, under a finger that may be used, is matched and nothing else.
      const within = note.semitones >= 1 && note.semitones <= instrument.firstPosition;
      const letters = instrument.fingering.by === 'letters';
      if (high && within && !letters && never === null && note.semitones !== 5 && request.school === 'four-finger')
        assert.ok(same, pitchName(note.pitch));
      if (high && within && letters && never === null) {
        const finger =
          7 * note.pitch.octave +
          note.pitch.letter -
          (7 * strings[note.string].pitch.octave + strings[note.string].pitch.letter);
        assert.equal(same, finger >= 0 && finger <= 4, pitchName(note.pitch));
      }
    }
  assert.ok(seen.matched > 200 && seen.open > 200 && seen.other > 200, JSON.stringify(seen));
});

test('a note that nothing fits is led to a neighbour that itself can be heard', () => {
  const seen = new Map<string, number>();
  for (const { response, aim, findings } of pages())
    for (const heard of findings.heard) {
      const { note, checks, neighbour, target } = heard;
      if (note.finger === 0 || checks.some(({ fits }) => fits)) {
        assert.equal(neighbour, undefined);
        continue;
      }
      assert.ok(neighbour, pitchName(note.pitch));
      seen.set(neighbour.kind, (seen.get(neighbour.kind) ?? 0) + 1);
      const words = noCheckWords(heard, findings.setup);
      assert.ok(words.length < 140, words);
      const tonic = tonicAt(response, note.at);
      if (neighbour.kind === 'linked') {
        assert.ok(neighbour.links.length >= 1 && neighbour.links.length <= 2);
        let [midi, cents] = [note.midi, target.cents];
        for (const link of neighbour.links) {
          const there = findings.setup.strings[link.string].midi + link.semitones;
          const far = Math.abs(there - midi);
          assert.ok([5, 7, 12].includes(far), words);
          const own = centsByRatio(link.pitch, tonic, aim);
          if (own === undefined) break;
          const [low, high] =
            there < midi ? [hertz(there, own), hertz(midi, cents)] : [hertz(midi, cents), hertz(there, own)];
          const pure = { 5: 4 / 3, 7: 3 / 2, 12: 2 }[far] ?? NaN;
          assert.ok(Math.abs(1200 * Math.log2(high / low / pure)) <= 10.001, words);
          [midi, cents] = [there, own];
        }
      }
      if (neighbour.kind === 'leading') {
        assert.ok(aim.system !== 'just' && neighbour.tonic.letter === tonic.letter);
        assert.equal(fifthsOf(note.pitch) - fifthsOf(tonic), 5, words);
      }
      if (neighbour.kind === 'third') {
        const last = response.events
          .slice(Math.max(0, note.at - 8), note.at + 1)
          .some((event) => 'pitches' in event && event.pitches.includes(pitchName(neighbour.tonic)));
        assert.ok(last, words);
      }
    }
  for (const kind of ['linked', 'third', 'drone']) assert.ok((seen.get(kind) ?? 0) > 20, `${kind}: ${seen.get(kind)}`);
});

const KEYS = ['C major', 'A minor', 'D major', 'Bb major', 'F# minor', 'E major', 'Eb major'];
const LINE = ['D4', 'E4', 'F4', 'F#4', 'G4', 'A4', 'Bb4', 'A#4', 'B4', 'C5', 'C#5', 'D5', 'Eb5', 'D#5', 'E5'];

const modulating: fc.Arbitrary<PlanRequest> = fc
  .record({
    instrument: fc.constantFrom('violin' as const, 'viola' as const, 'cello' as const),
    keys: fc.tuple(fc.constantFrom(...KEYS), fc.constantFrom(...KEYS)),
    names: fc.array(fc.constantFrom(...LINE), { minLength: 4, maxLength: 14 }),
    turn: fc.integer({ min: 1, max: 12 }),
  })
  .map(({ instrument, keys, names, turn }) => ({
    instrument,
    material: {
      type: 'notes',
      key: keys[0],
      notes: names.map((name) => ({ pitches: [name], beats: 1 })),
      changes: [{ at: Math.min(turn, names.length - 1), key: keys[1] }],
    },
  }));

test('after a change of key targets and landmarks follow the key in force, however a place is spelled', () => {
  let [seen, changed] = [0, 0];
  fc.assert(
    fc.property(modulating, (request) => {
      const response = planAlone(request);
      const [first] = response.plans;
      if (!first) return;
      for (const system of ['just', 'pythagorean'] as const) {
        const aim: Aim = { system, tuning: 'pure', level: 'middle' };
        for (const { note, target, tonic } of findingsOf(request, response, first, aim).heard) {
          if (note.finger === 0 || note.harmonic) continue;
          const own = tonicAt(response, note.at);
          assert.equal(tonic, fifthsOf(note.pitch) === fifthsOf(own));
          const cents = centsByRatio(note.pitch, own, aim);
          if (cents === undefined) continue;
          seen++;
          if (Math.abs((centsByRatio(note.pitch, tonicAt(response, 0), aim) ?? cents) - cents) > 1) changed++;
          assert.ok(Math.abs(target.cents - cents) < 0.01, `${pitchName(note.pitch)} ${target.cents} ${cents}`);
        }
      }
    }),
    runs(200, 4242),
  );
  assert.ok(seen > 500 && changed > 50, `${seen} ${changed}`);
});
