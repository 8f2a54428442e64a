import { ChordType, Interval, ScaleType } from 'tonal';
import { letterSteps, midiOf, spellAt, spellMidi, type Pitch } from './pitch';

/** One degree of a scale or chord, as distances above its tonic. */
export interface Degree {
  /** letter steps */
  readonly steps: number;
  readonly semitones: number;
}

export interface Pattern {
  /** The name the signature goes by: a mode or "minor", or "" where there is none. */
  readonly mode: string;
  readonly up: readonly Degree[];
  /** Differs from `up` in the melodic minor only. */
  readonly down: readonly Degree[];
}

/** Names the contract uses where the theory package has another word, or where down differs from up. */
const SCALE_NAMES: Readonly<Record<string, { up: string; down?: string; mode?: string }>> = {
  'natural-minor': { up: 'aeolian', mode: 'minor' },
  minor: { up: 'aeolian', mode: 'minor' },
  aeolian: { up: 'aeolian', mode: 'minor' },
  ionian: { up: 'major' },
  'harmonic-minor': { up: 'harmonic minor', mode: 'minor' },
  'melodic-minor': { up: 'melodic minor', down: 'aeolian', mode: 'minor' },
};

function degrees(intervals: readonly string[]): Degree[] {
  return intervals.map((name) => {
    const interval = Interval.get(name);
    return { steps: interval.step as number, semitones: interval.semitones as number };
  });
}

/**
 * Looks a scale up by its contract name ("major", "harmonic-minor", "dorian", "whole-tone", …) or by any
 * name the theory package knows, with hyphens for spaces. "chromatic" is spelled by chromaticRun instead.
 * @returns null where no such scale is known.
 */
export function scalePattern(name: string): Pattern | null {
  const known = SCALE_NAMES[name];
  const upName = known?.up ?? name.replaceAll('-', ' ');
  const type = ScaleType.get(ScaleType.get(upName).empty ? name : upName);
  if (type.empty) return null;
  const up = degrees(type.intervals);
  const down = known?.down ? degrees(ScaleType.get(known.down).intervals) : up;
  return { mode: known?.mode ?? upName, up, down };
}

/** Looks a chord up by its contract name, such as "dominant-seventh"; null where it is unknown. */
export function chordPattern(name: string): Pattern | null {
  const type = ChordType.get(name.replaceAll('-', ' '));
  const exact = type.empty ? ChordType.get(name) : type;
  if (exact.empty) return null;
  const up = degrees(exact.intervals);
  return { mode: '', up, down: up };
}

export function hasMinorThird(pattern: Pattern): boolean {
  return (
    pattern.up.some((degree) => degree.semitones === 3) &&
    !pattern.up.some((degree) => degree.semitones === 4)
  );
}

/** The pitch a degree and some octaves above the tonic. */
export function degreePitch(tonic: Pitch, degree: Degree, octaves: number): Pitch {
  return spellAt(
    letterSteps(tonic) + degree.steps + 7 * octaves,
    midiOf(tonic) + degree.semitones + 12 * octaves,
  );
}

/**
 * Every semitone from the tonic over some octaves, upward order. Notes of the major key on the tonic keep
 * their spelling; those between are raised going up and lowered coming down, written as naturals where the
 * sign would double.
 */
export function chromaticRun(tonic: Pitch, octaves: number, going: 'up' | 'down'): Pitch[] {
  const major = degrees(ScaleType.get('major').intervals);
  const base = midiOf(tonic);
  return Array.from({ length: 12 * octaves + 1 }, (_, semitones) => {
    const octave = Math.floor(semitones / 12);
    const within = semitones - 12 * octave;
    const own = major.find((degree) => degree.semitones === within);
    if (own) return plain(degreePitch(tonic, own, octave));
    const beside = major.find((degree) => degree.semitones === within + (going === 'up' ? -1 : 1));
    const step = letterSteps(tonic) + (beside ? beside.steps : 7) + 7 * octave;
    return plain(spellAt(step, base + semitones));
  });
}

function plain(pitch: Pitch): Pitch {
  if (Math.abs(pitch.alteration) <= 1) return pitch;
  return spellMidi(midiOf(pitch), pitch.alteration > 0 ? 'sharp' : 'flat');
}
