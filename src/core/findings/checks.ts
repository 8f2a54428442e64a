import { centsPerMm, stopMmForRatio } from '../instrument/geometry';
import type { Setup } from '../instrument/setup';
import {
  centsOf,
  COMMA,
  openCents,
  targetCents,
  type OwnTable,
  type StringTuning,
  type System,
} from '../pitch/intonation';
import { letterSteps, midiOf, type Pitch } from '../pitch/pitch';
import type { Played } from './played';

/*
 * What a note can be checked against: every open string with which it makes an interval the ear can judge.
 */

export const INTERVALS = [
  'unison',
  'octave',
  'two-octaves',
  'fifth',
  'fourth',
  'major-sixth',
  'minor-sixth',
  'major-third',
  'minor-third',
] as const;
export type Interval = (typeof INTERVALS)[number];

/** An interval pure enough to be heard as true or false. */
interface PureInterval {
  readonly name: Interval;
  readonly steps: number;
  readonly semitones: number;
  /** Frequency of the higher note over the lower one. */
  readonly ratio: readonly [number, number];
  /** How surely the ear judges it; 0 is surest. */
  readonly rank: number;
  /** True where only sounding both at once tells anything. */
  readonly together: boolean;
}

const PURE: readonly PureInterval[] = [
  { name: 'unison', steps: 0, semitones: 0, ratio: [1, 1], rank: 0, together: false },
  { name: 'octave', steps: 7, semitones: 12, ratio: [2, 1], rank: 1, together: false },
  { name: 'two-octaves', steps: 14, semitones: 24, ratio: [4, 1], rank: 2, together: false },
  { name: 'fifth', steps: 4, semitones: 7, ratio: [3, 2], rank: 3, together: false },
  { name: 'fourth', steps: 3, semitones: 5, ratio: [4, 3], rank: 4, together: false },
  { name: 'major-sixth', steps: 5, semitones: 9, ratio: [5, 3], rank: 5, together: true },
  { name: 'minor-sixth', steps: 5, semitones: 8, ratio: [8, 5], rank: 6, together: true },
  { name: 'major-third', steps: 2, semitones: 4, ratio: [5, 4], rank: 7, together: true },
  { name: 'minor-third', steps: 2, semitones: 3, ratio: [6, 5], rank: 8, together: true },
];

export interface Checkpoint {
  /** The open string, by index and pitch. */
  readonly string: number;
  readonly open: Pitch;
  readonly interval: Interval;
  readonly ratio: readonly [number, number];
  /** True where the note lies above the open string. */
  readonly above: boolean;
  /** True where both can sound at once: neighbouring strings. */
  readonly together: boolean;
  /** Where the note must be for the interval to be pure, in cents against equal. */
  readonly cents: number;
  readonly rank: number;
}

/** Open strings a note can honestly be checked against, the surest first. Thirds and sixths only where both sound together. */
export function checkpointsFor(note: Played, setup: Setup, tuning: StringTuning): Checkpoint[] {
  const found: Checkpoint[] = [];
  setup.strings.forEach((open, string) => {
    if (note.finger === 0 && note.string === string) return;
    const above = note.midi >= open.midi;
    const steps = Math.abs(letterSteps(note.pitch) - open.steps);
    const semitones = Math.abs(note.midi - open.midi);
    const pure = PURE.find((one) => one.steps === steps && one.semitones === semitones);
    if (!pure) return;
    const together = Math.abs(note.string - string) === 1;
    if (pure.together && !together) return;
    const [p, q] = pure.ratio;
    const away = centsOf(p / q) - 100 * semitones;
    found.push({
      string,
      open: open.pitch,
      interval: pure.name,
      ratio: pure.ratio,
      above,
      together,
      cents: openCents(open.pitch, tuning) + (above ? away : -away),
      rank: pure.rank,
    });
  });
  return found.sort((a, b) => a.rank - b.rank || Number(b.together) - Number(a.together));
}

/**
 * Beats a second between two notes in the ratio p:q when the higher is off by some cents: the common partial, q times the higher note, against p times the
 * lower.
 * @param higherHz frequency of the higher note when pure
 */
export function beatsPerSecond(ratio: readonly [number, number], higherHz: number, cents: number): number {
  return ratio[1] * higherHz * Math.abs(2 ** (cents / 1200) - 1);
}

/** Frequency of a pitch in equal temperament moved by some cents; A4 is 440 Hz. */
export function hertzOf(midi: number, cents = 0): number {
  return 440 * 2 ** ((midi - 69 + cents / 100) / 12);
}

/** Two honest checks of one note that a comma parts: one by fifths and fourths, one by thirds and sixths. */
export interface CommaConflict {
  readonly fifth: Checkpoint;
  readonly third: Checkpoint;
  /** How far apart they put the note, in cents. */
  readonly apart: number;
}

/** The first conflict of a note's checks, or null. */
export function commaConflict(checks: readonly Checkpoint[]): CommaConflict | null {
  for (const fifth of checks.filter(({ rank }) => rank <= 4))
    for (const third of checks.filter(({ rank }) => rank >= 5)) {
      const apart = Math.abs(fifth.cents - third.cents);
      if (Math.abs(apart - COMMA) < COMMA / 2) return { fifth, third, apart };
    }
  return null;
}

export interface Ringing {
  readonly string: number;
  readonly why: 'same' | 'fifth';
}

/** Which open strings ring along when a note is true: of the same letter, or of which it is the fifth. */
export function ringing(note: Played, setup: Setup): Ringing[] {
  if (note.finger === 0) return [];
  return setup.strings.flatMap((open, string): Ringing[] => {
    if (string === note.string) return [];
    const semitones = (((note.midi - open.midi) % 12) + 12) % 12;
    const steps = (((letterSteps(note.pitch) - open.steps) % 7) + 7) % 7;
    if (semitones === 0 && steps === 0) return [{ string, why: 'same' }];
    return semitones === 7 && steps === 4 ? [{ string, why: 'fifth' }] : [];
  });
}

/** How exactly a note must be met, in cents: wide for beginners, so that the ear is led and not discouraged. */
export const TOLERANCES = { 'first-year': 25, early: 18, middle: 12, advanced: 7 } as const;
export type Level = keyof typeof TOLERANCES;
export const LEVELS = Object.keys(TOLERANCES) as Level[];

export interface Aim {
  readonly system: System;
  readonly tuning: StringTuning;
  readonly tonic: Pick<Pitch, 'letter' | 'alteration'>;
  readonly level: Level;
  /** For the system "own". */
  readonly table?: OwnTable;
}

export interface Target {
  /** Against equal temperament. */
  readonly cents: number;
  /** Where the finger goes, in mm from the nut. */
  readonly mm: number;
  /** How far that is from the equal stop, in mm. */
  readonly awayMm: number;
  readonly toleranceCents: number;
  readonly toleranceMm: number;
}

/** A note's target in cents and mm, with the tolerance for the level at that place; an open string's is its own tuning. */
export function targetOf(note: Played, setup: Setup, aim: Aim): Target {
  const open = setup.strings[note.string];
  const own = openCents(open.pitch, aim.tuning);
  const tonicMidi = midiOf({ ...aim.tonic, octave: 4 });
  const cents =
    note.finger === 0
      ? own
      : targetCents(aim.system, note.pitch, aim.tonic, note.midi - tonicMidi, aim.table);
  const ratio = 2 ** ((100 * note.semitones + cents - own) / 1200);
  const mm = note.finger === 0 ? 0 : stopMmForRatio(setup.lengthMm, ratio);
  const toleranceCents = TOLERANCES[aim.level];
  return {
    cents,
    mm,
    awayMm: note.finger === 0 ? 0 : mm - stopMmForRatio(setup.lengthMm, 2 ** (note.semitones / 12)),
    toleranceCents,
    toleranceMm: toleranceCents / centsPerMm(setup.lengthMm, mm),
  };
}

/** A double stop's own pure interval: how far the upper note lies from the equal interval above the lower one; null where none is pure. */
export function pureBetween(
  low: Played,
  high: Played,
): { readonly interval: Interval; readonly ratio: readonly [number, number]; readonly cents: number } | null {
  const pure = PURE.find(
    (one) =>
      one.steps === letterSteps(high.pitch) - letterSteps(low.pitch) &&
      one.semitones === high.midi - low.midi,
  );
  if (!pure) return null;
  const [p, q] = pure.ratio;
  return { interval: pure.name, ratio: pure.ratio, cents: centsOf(p / q) - 100 * pure.semitones };
}

/** Share of the sounding length, from the bridge, at which a full middling tone is drawn: about a tenth. Players differ; softer is further out. */
const CONTACT_SHARE = 0.1;

/** Where the bow meets the string for a stop, in mm from the bridge: a constant share of what sounds. */
export function contactMm(lengthMm: number, stop: number): number {
  return CONTACT_SHARE * (lengthMm - stop);
}
