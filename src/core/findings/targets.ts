import { centsPerMm, stopMm, stopMmForRatio } from '../instrument/geometry';
import { soundsTouched } from '../instrument/nodes';
import type { Setup } from '../instrument/setup';
import { FIFTH_EXCESS, openCents, targetCents, type OwnTable } from '../pitch/intonation';
import type { StringTuning, System, Level } from '../vocabulary';
import { TOLERANCES } from '../pitch/levels';
import { midiOf, type Pitch } from '../pitch/pitch';
import type { Played } from './played';

/*
 * Where a note is to be: its target in cents and in mm, and how exactly it must be met.
 */

export interface Aim {
  readonly system: System;
  readonly tuning: StringTuning;
  readonly level: Level;
  /** What sounds under it all; without one the tonic of the key in force counts. */
  readonly drone?: PitchClass;
  /** For the system "own". */
  readonly table?: OwnTable;
}

type PitchClass = Pick<Pitch, 'letter' | 'alteration'>;

/** An aim in one key. */
export interface AimHere extends Aim {
  readonly tonic: PitchClass;
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

/** A note in its place, wherever it comes from. */
export type Aimed = Pick<Played, 'string' | 'semitones' | 'finger' | 'harmonic' | 'pitch' | 'midi'>;

/** True of an open string as it is tuned, and not of one that a gate beyond the nut lets down. */
export function isOpen({ finger, semitones }: Pick<Played, 'finger' | 'semitones'>): boolean {
  return finger === 0 && semitones === 0;
}

/**
 * A note's target in cents and mm, with the tolerance for the level at that place. An open string's is its own tuning, and a harmonic sounds where the
 * string has it, whatever the system.
 */
export function targetOf(note: Aimed, setup: Setup, aim: AimHere): Target {
  const own = openCents(setup.strings[note.string].pitch, aim.tuning);
  const cents = centsOfNote(note, own, aim);
  const mm = stopMmForRatio(setup.lengthMm, 2 ** ((100 * note.semitones + cents - own) / 1200));
  const toleranceCents = TOLERANCES[aim.level];
  const open = isOpen(note);
  return {
    cents,
    mm: open ? 0 : mm,
    awayMm: open ? 0 : mm - stopMm(setup.lengthMm, note.semitones),
    toleranceCents,
    toleranceMm: toleranceCents / centsPerMm(setup.lengthMm, mm),
  };
}

function centsOfNote(note: Aimed, own: number, aim: AimHere): number {
  if (isOpen(note)) return own;
  if (note.harmonic) return own + harmonicCents(note.semitones);
  const tonicMidi = midiOf({ ...aim.tonic, octave: 4 });
  return targetCents(aim.system, note.pitch, aim.tonic, note.midi - tonicMidi, aim.table);
}

/** How far a harmonic sounds from the equal pitch above its open string: the third partial is a pure twelfth. */
export function harmonicCents(touched: number): number {
  return soundsTouched(touched)?.semitones === 19 ? FIFTH_EXCESS : 0;
}

/** Share of the sounding length, from the bridge, at which a full middling tone is drawn: about a tenth. Players differ; softer is further out. */
const CONTACT_SHARE = 0.1;

/** Where the bow meets the string for a stop, in mm from the bridge: a constant share of what sounds. */
export function contactMm(lengthMm: number, stop: number): number {
  return CONTACT_SHARE * (lengthMm - stop);
}
