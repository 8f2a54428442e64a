import fc from 'fast-check';
import type { PlanRequest, Rules } from '../../src/core';

/** Random requests for the laws of the planner. Kept small, so that many can be tried. */
const TONICS: Readonly<Record<string, readonly string[]>> = {
  violin: ['G3', 'Ab3', 'A3', 'Bb3', 'B3', 'C4', 'C#4', 'D4', 'Eb4', 'E4', 'F4', 'F#4'],
  cello: ['C2', 'D2', 'Eb2', 'E2', 'F2', 'F#2', 'G2', 'Ab2', 'A2', 'Bb2', 'B2', 'C3'],
  bass: ['E1', 'F1', 'F#1', 'G1', 'Ab1', 'A1', 'Bb1', 'B1', 'C2', 'D2', 'Eb2', 'E2'],
  viola: ['C3', 'Db3', 'D3', 'Eb3', 'E3', 'F3', 'F#3', 'G3', 'Ab3', 'A3', 'Bb3', 'B3'],
};
const SCALES = ['major', 'natural-minor', 'harmonic-minor', 'melodic-minor', 'chromatic', 'dorian', 'whole-tone'];

const runs = (instrument: string) =>
  fc.oneof(
    fc.record({
      type: fc.constant('scale' as const),
      tonic: fc.constantFrom(...TONICS[instrument]),
      scale: fc.constantFrom(...SCALES),
      octaves: fc.integer({ min: 1, max: 2 }),
      direction: fc.constantFrom('up' as const, 'down' as const, 'updown' as const),
    }),
    fc.record({
      type: fc.constant('arpeggio' as const),
      tonic: fc.constantFrom(...TONICS[instrument]),
      chord: fc.constantFrom('major', 'minor', 'diminished-seventh', 'dominant-seventh'),
      octaves: fc.integer({ min: 1, max: 3 }),
      direction: fc.constantFrom('up' as const, 'updown' as const),
    }),
    fc.record({
      type: fc.constant('double-stops' as const),
      interval: fc.constantFrom('third' as const, 'sixth' as const, 'octave' as const),
      tonic: fc.constantFrom(...TONICS[instrument].slice(5)),
      scale: fc.constantFrom('major', 'melodic-minor'),
      octaves: fc.constant(1),
      direction: fc.constantFrom('up' as const, 'updown' as const),
    }),
    fc.record({
      type: fc.constant('notes' as const),
      key: fc.constantFrom('C major', 'D major', 'Eb major', 'F# minor'),
      notes: fc
        .array(
          fc.oneof(
            {
              weight: 5,
              arbitrary: fc.record({
                pitches: fc.constantFrom(...TONICS[instrument]).map((name) => [name]),
                beats: fc.constantFrom(0.5, 1, 2),
              }),
            },
            { weight: 1, arbitrary: fc.record({ rest: fc.constant(true as const), beats: fc.constant(1) }) },
          ),
          { minLength: 2, maxLength: 14 },
        )
        .filter((notes) => notes.some((note) => 'pitches' in note)),
    }),
  );

const someRules: fc.Arbitrary<Rules> = fc.record(
  {
    positions: fc.constantFrom({ from: 1, to: 1 }, { from: 0.5, to: 3 }, { only: [1, 3] }, { from: 2, to: 7 }),
    openStrings: fc.constantFrom('free' as const, 'prefer' as const, 'avoid' as const, 'never' as const),
    fourthFinger: fc.constantFrom('free' as const, 'no-shift' as const, 'avoid' as const, 'never' as const),
    extensions: fc.constantFrom('free' as const, 'avoid' as const, 'never' as const),
    chromatic: fc.constantFrom('slide' as const, 'finger-per-semitone' as const),
  },
  { requiredKeys: [] },
);

export const someRequest: fc.Arbitrary<PlanRequest> = fc
  .constantFrom('violin' as const, 'viola' as const, 'cello' as const, 'bass' as const)
  .chain((instrument) =>
    fc.record({
      instrument: fc.constant(instrument),
      hand: fc.constantFrom('small' as const, 'medium' as const, 'large' as const),
      school: fc.constantFrom('one-two-four' as const, 'four-finger' as const, 'pivot' as const),
      style: fc.constantFrom('secure' as const, 'singing' as const, 'early' as const),
      material: runs(instrument),
      rules: someRules,
      alternatives: fc.constantFrom(1, 3, 4),
    }),
  );
