import {
  INSTRUMENT_NAMES,
  midiOf,
  parsePitch,
  resolveSetup,
  type InstrumentName,
  type MaterialSpec,
  type Pitch,
} from '../../src/core';
import { worded } from './words';

const TONICS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const SCALES = [
  'major',
  'natural-minor',
  'harmonic-minor',
  'melodic-minor',
  'chromatic',
  'dorian',
  'phrygian',
  'lydian',
  'mixolydian',
  'locrian',
  'whole-tone',
  'major-pentatonic',
  'minor-pentatonic',
];
const CHORDS = [
  'major',
  'minor',
  'diminished',
  'augmented',
  'dominant-seventh',
  'diminished-seventh',
  'major-seventh',
  'minor-seventh',
  'half-diminished',
];

export interface SweepCase {
  readonly instrument: InstrumentName;
  readonly material: MaterialSpec;
}

/** Every instrument × tonic (from its lowest) × scale and chord × one to three octaves, up and down. */
export function sweepCases(): SweepCase[] {
  return INSTRUMENT_NAMES.flatMap((instrument) =>
    TONICS.flatMap((name) => {
      const tonic = lowestTonic(instrument, name);
      return [1, 2, 3].flatMap((octaves) => [
        ...SCALES.map((scale): SweepCase => ({
          instrument,
          material: { type: 'scale', tonic, scale, octaves, direction: 'updown' },
        })),
        ...CHORDS.map((chord): SweepCase => ({
          instrument,
          material: { type: 'arpeggio', tonic, chord, octaves, direction: 'updown' },
        })),
      ]);
    }),
  );
}

export function lowestTonic(instrument: InstrumentName, name: string): string {
  const bottom = resolveSetup({ instrument }).strings[0].midi;
  const octave = [0, 1, 2, 3, 4].find((at) => midiOf(parsePitch(`${name}${at}`) as Pitch) >= bottom);
  return `${name}${octave}`;
}

/** @returns what is wrong with the answer to a case, or null where it is sound: a plan that plays every note, or the note that cannot be played. */
export function soundness({ instrument, material }: SweepCase): string | null {
  const { events, plans, problems } = worded({ instrument, material, alternatives: 1 });
  if (plans.length === 0) {
    const named = problems.length > 0 && problems.every(({ at, message }) => at !== undefined && message.length > 20);
    return named ? null : 'no plan and no note named';
  }
  const open = new Map(resolveSetup({ instrument }).strings.map(({ name, midi }) => [name, midi]));
  const [one] = plans;
  if (one.steps.length !== events.length) return 'notes are missing';
  const wrong = one.steps.find((step, at) => {
    const event = events[at];
    const [stop] = step.stops;
    return !('midi' in event) || (open.get(stop.string) as number) + stop.semitones !== event.midi[0];
  });
  if (wrong) return `note ${wrong.at} does not sound`;
  const sum = Object.values(one.terms).reduce((total, cost) => total + cost, 0);
  if (Math.abs(sum - one.cost) > 1e-9) return 'terms do not add up';
  return one.reach.some(({ verdict }) => verdict === 'beyond') ? 'a spread beyond the hand' : null;
}
