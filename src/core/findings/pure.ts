import { centsOf } from '../pitch/intonation';
import { letterSteps, midiOf, type Pitch } from '../pitch/pitch';

/*
 * Intervals pure enough to be heard as true or false.
 */

/** The most surely judged first. */
export const INTERVALS = [
  'unison',
  'octave',
  'twelfth',
  'two-octaves',
  'fifth',
  'fourth',
  'major-sixth',
  'minor-sixth',
  'major-third',
  'minor-third',
  'major-tenth',
  'minor-tenth',
] as const;
export type Interval = (typeof INTERVALS)[number];

export interface PureInterval {
  readonly name: Interval;
  readonly steps: number;
  readonly semitones: number;
  /** Frequency of the higher note over the lower one. */
  readonly ratio: readonly [number, number];
  /** True for thirds and sixths, which only tell something where both notes sound at once, and which a comma parts from fifths and fourths. */
  readonly byThirds: boolean;
}

const pure = (
  name: Interval,
  steps: number,
  semitones: number,
  ratio: readonly [number, number],
  byThirds = false,
): PureInterval => ({ name, steps, semitones, ratio, byThirds });

const PURE: readonly PureInterval[] = [
  pure('unison', 0, 0, [1, 1]),
  pure('octave', 7, 12, [2, 1]),
  pure('twelfth', 11, 19, [3, 1]),
  pure('two-octaves', 14, 24, [4, 1]),
  pure('fifth', 4, 7, [3, 2]),
  pure('fourth', 3, 5, [4, 3]),
  pure('major-sixth', 5, 9, [5, 3], true),
  pure('minor-sixth', 5, 8, [8, 5], true),
  pure('major-third', 2, 4, [5, 4], true),
  pure('minor-third', 2, 3, [6, 5], true),
  pure('major-tenth', 9, 16, [5, 2], true),
  pure('minor-tenth', 9, 15, [12, 5], true),
];

/** The pure interval between two pitches as they are spelled; undefined where there is none. */
export function pureBetween(one: Pitch, other: Pitch): PureInterval | undefined {
  const steps = Math.abs(letterSteps(one) - letterSteps(other));
  const semitones = Math.abs(midiOf(one) - midiOf(other));
  return PURE.find((interval) => interval.steps === steps && interval.semitones === semitones);
}

/** How much wider than in equal temperament an interval is when pure, in cents. */
export function widerWhenPure({ ratio: [p, q], semitones }: PureInterval): number {
  return centsOf(p / q) - 100 * semitones;
}

/** Frequency of a pitch in equal temperament moved by some cents; A4 is 440 Hz. */
export function hertzOf(midi: number, cents = 0): number {
  return 440 * 2 ** ((midi - 69 + cents / 100) / 12);
}

/**
 * Beats a second between two notes in the ratio p:q that are off by some cents: between the lowest partials they have in common, p times the lower note
 * and q times the higher one.
 * @param lowerHz frequency of the lower note
 * @param cents by which the interval is too wide
 */
export function beatsPerSecond([p]: readonly [number, number], lowerHz: number, cents: number): number {
  return p * lowerHz * Math.abs(2 ** (cents / 1200) - 1);
}
