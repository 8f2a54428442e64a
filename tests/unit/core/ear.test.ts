import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  findingsOf,
  midiOf,
  parsePitch,
  TOLERANCES,
  type Aim,
  type Checkpoint,
  type Findings,
  type InstrumentName,
  type Level,
  type PlanRequest,
} from '../../../src/core';
import { checkWords, noCheckWords } from '../../../src/wording/checks';
import { planAlone } from '../best';

/*
 * Checks, beats and ringing against formulas of the test's own: frequencies from the strings' pure fifths, and nothing of the core but the targets.
 */

const TONICS: Readonly<Record<InstrumentName, readonly string[]>> = {
  violin: ['G3', 'Ab3', 'A3', 'Bb3', 'B3', 'C4', 'C#4', 'D4', 'Eb4', 'E4', 'F4', 'F#4'],
  viola: ['C3', 'Db3', 'D3', 'Eb3', 'E3', 'F3', 'F#3', 'G3', 'Ab3', 'A3', 'Bb3', 'B3'],
  cello: ['C2', 'Db2', 'D2', 'Eb2', 'E2', 'F2', 'F#2', 'G2', 'Ab2', 'A2', 'Bb2', 'B2'],
  bass: ['E1', 'F1', 'F#1', 'G1', 'Ab1', 'A1', 'Bb1', 'B1', 'C2', 'Db2', 'D2', 'Eb2'],
};
/** Fifths (or fourths) from the A string to each string, low to high, and the A string's own frequency. */
const STRINGS: Readonly<Record<InstrumentName, { readonly a: number; readonly hz: readonly number[] }>> = {
  violin: { a: 440, hz: [4 / 9, 2 / 3, 1, 3 / 2] },
  viola: { a: 440, hz: [8 / 27, 4 / 9, 2 / 3, 1] },
  cello: { a: 220, hz: [8 / 27, 4 / 9, 2 / 3, 1] },
  bass: { a: 55, hz: [3 / 4, 1, 4 / 3, 16 / 9] },
};
const LEVELS: readonly Level[] = ['first-year', 'early', 'middle', 'advanced'];

interface Page {
  readonly instrument: InstrumentName;
  readonly aim: Aim;
  readonly findings: Findings;
}

/** Scales in all keys on the four instruments, heard in every system. */
function* pages(): Generator<Page> {
  for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const)
    for (const [at, tonic] of TONICS[instrument].entries())
      for (const scale of ['major', 'harmonic-minor']) {
        const material = { type: 'scale', tonic, scale, octaves: 2, direction: 'up' } as const;
        const request: PlanRequest = { instrument, material, alternatives: 1, explain: 'nothing' };
        const response = planAlone(request);
        for (const system of ['equal', 'pythagorean', 'just', 'own'] as const) {
          const pitch = parsePitch(tonic);
          assert.ok(pitch);
          const table = system === 'own' ? [0, -9, 4, 16, -14, -2, -10, 2, 14, -16, 18, -12] : undefined;
          const aim: Aim = { system, tuning: 'pure', tonic: pitch, level: LEVELS[at % 4], table };
          yield { instrument, aim, findings: findingsOf(request, response, response.plans[0], aim) };
        }
      }
}

const hertz = (midi: number, cents: number) => 440 * 2 ** ((midi - 69) / 12 + cents / 1200);

/** What a check is held against sounds at, in Hz: the open string, or two, three or four times that. */
function otherHz(instrument: InstrumentName, { string, touch }: Checkpoint): number {
  const { a, hz } = STRINGS[instrument];
  return a * hz[string] * ({ 0: 1, 12: 2, 7: 3, 5: 4 }[touch] ?? NaN);
}

test('no check is called beatless that beats at the target, none fits past the tolerance, and each names its notes', () => {
  const seen = { beatless: 0, slow: 0, elsewhere: 0, inTurn: 0 };
  for (const { instrument, aim, findings } of pages())
    for (const { note, target, checks } of findings.heard)
      for (const check of checks) {
        const [own, other] = [hertz(note.midi, target.cents), otherHz(instrument, check)];
        const [low, high] = [Math.min(own, other), Math.max(own, other)];
        const [p, q] = check.ratio;
        const beats = Math.abs(p * low - q * high);
        const off = 1200 * Math.log2(((high / low) * q) / p);
        const words = checkWords(check, note, findings.setup);
        assert.equal(check.fits, Math.abs(off) <= TOLERANCES[aim.level] + 1e-9, words);
        assert.ok(Math.abs(Math.abs(check.offCents) - Math.abs(off)) < 0.01, words);
        if (/no beats/.test(words)) {
          seen.beatless++;
          assert.ok(beats < 1.01 && check.together, `${words}: ${beats}`);
        }
        if (/beats slowly/.test(words)) {
          seen.slow++;
          assert.ok(beats > 0.99 && check.fits, `${words}: ${beats}`);
        }
        if (/higher than|lower than/.test(words)) {
          seen.elsewhere++;
          assert.ok(!check.fits);
        }
        if (/^(play|touch)/.test(words)) {
          seen.inTurn++;
          assert.ok(!check.together && !/colour/.test(words));
        }
        // The string that a finger stops is not open.
        assert.ok(check.string !== note.string || check.touch > 0);
        assert.ok(!check.together || Math.abs(check.string - note.string) === 1);
      }
  for (const [what, count] of Object.entries(seen)) assert.ok(count > 20, `${what}: ${count}`);
});

test('the best check comes first: one that fits before one that does not, together before in turn', () => {
  for (const { findings } of pages())
    for (const { checks } of findings.heard)
      checks.slice(1).forEach((check, at) => {
        const before = checks[at];
        assert.ok(Number(before.fits) >= Number(check.fits));
        if (before.fits === check.fits) assert.ok(Number(before.together) >= Number(check.together));
      });
});

test('what is said to ring along has a partial within six cents of one of the string', () => {
  let seen = 0;
  for (const { instrument, findings } of pages())
    for (const { note, target, ringing } of findings.heard)
      for (const { string } of ringing) {
        seen++;
        const { a, hz } = STRINGS[instrument];
        const own = hertz(note.midi, target.cents);
        const apart: number[] = [];
        for (let k = 1; k <= 8; k++)
          for (let m = 1; m <= 24; m++) apart.push(Math.abs(1200 * Math.log2((k * own) / (m * a * hz[string]))));
        assert.ok(Math.min(...apart) <= 6.01, `${note.midi} on ${string}`);
      }
  assert.ok(seen > 200, String(seen));
});

test('a note that nothing fits is compared only where it lies elsewhere', () => {
  let seen = 0;
  for (const { findings } of pages())
    for (const { note, checks, elsewhere } of findings.heard) {
      if (note.finger === 0 || checks.some(({ fits }) => fits)) continue;
      seen++;
      const words = noCheckWords(note, elsewhere, findings.setup);
      if (elsewhere.kind === 'in-place') assert.match(words, /drone\.$/);
      else if (elsewhere.kind === 'stopped') {
        const open = findings.setup.strings[elsewhere.string];
        assert.equal(open.midi + elsewhere.semitones + 12 * elsewhere.octaves, midiOf(note.pitch));
      }
    }
  assert.ok(seen > 50, String(seen));
});
