import * as patterns from '#generated/patterns';
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

/** A scale under a name of the contract, where the list knows it by another, or where down differs from up. */
interface ScaleSource {
  readonly up: string;
  readonly down?: string;
  readonly mode?: string;
}

const SOURCES: readonly (readonly [name: string, source: ScaleSource])[] = [
  ['major', { up: 'major' }],
  ['natural-minor', { up: 'aeolian', mode: 'minor' }],
  ['harmonic-minor', { up: 'harmonic-minor', mode: 'minor' }],
  ['melodic-minor', { up: 'melodic-minor', down: 'aeolian', mode: 'minor' }],
  ['chromatic', { up: 'chromatic' }],
  ['dorian', { up: 'dorian' }],
  ['phrygian', { up: 'phrygian' }],
  ['lydian', { up: 'lydian' }],
  ['mixolydian', { up: 'mixolydian' }],
  ['locrian', { up: 'locrian' }],
  ['ionian', { up: 'major' }],
  ['aeolian', { up: 'aeolian', mode: 'minor' }],
  ['minor', { up: 'aeolian', mode: 'minor' }],
  ['whole-tone', { up: 'whole-tone' }],
  ['major-pentatonic', { up: 'major-pentatonic' }],
  ['minor-pentatonic', { up: 'minor-pentatonic' }],
];

const COMMON_CHORDS = [
  'major',
  'minor',
  'diminished',
  'augmented',
  'dominant-seventh',
  'diminished-seventh',
  'major-seventh',
  'minor-seventh',
  'half-diminished',
] as const;

const hyphened = (name: string) => name.replaceAll(' ', '-');

/** Degrees by every name in a list; found in a map, never in an object: a user may type any word. */
function byName(rows: typeof patterns.scales): ReadonlyMap<string, readonly Degree[]> {
  return new Map(
    rows.flatMap(([names, pairs]) => {
      const degrees = pairs.map(([steps, semitones]) => ({ steps, semitones }));
      return names.map((name) => [hyphened(name), degrees] as const);
    }),
  );
}

const SCALE_DEGREES = byName(patterns.scales);
const CHORD_DEGREES = byName(patterns.chords);
/** The name that the list has first, by every other; a mode is called by it. */
const MODES: ReadonlyMap<string, string> = new Map(
  patterns.scales.flatMap(([names]) => names.map((name) => [hyphened(name), names[0]] as const)),
);
const SCALE_SOURCES: ReadonlyMap<string, ScaleSource> = new Map(SOURCES);

/** Every scale by its name in the contract, those that are taught first. */
export const SCALES: readonly string[] = known(
  SOURCES.map(([name]) => name),
  SCALE_DEGREES,
);
/** Every chord, likewise. */
export const CHORDS: readonly string[] = known(COMMON_CHORDS, CHORD_DEGREES);

function known(first: readonly string[], all: ReadonlyMap<string, unknown>): string[] {
  return [...new Set([...first, ...all.keys()])];
}

/** Looks a scale up by its name in the contract; null where no such scale is known. "chromatic" is spelled by chromaticRun instead. */
export function scalePattern(name: string): Pattern | null {
  const source = SCALE_SOURCES.get(name) ?? { up: name };
  const up = SCALE_DEGREES.get(source.up);
  if (!up) return null;
  const down = (source.down !== undefined && SCALE_DEGREES.get(source.down)) || up;
  return { mode: source.mode ?? MODES.get(source.up) ?? '', up, down };
}

/** Looks a chord up by its name in the contract, such as "dominant-seventh"; null where it is unknown. */
export function chordPattern(name: string): Pattern | null {
  const up = CHORD_DEGREES.get(name);
  return up ? { mode: '', up, down: up } : null;
}

export function hasMinorThird(pattern: Pattern): boolean {
  return pattern.up.some((degree) => degree.semitones === 3) && !pattern.up.some((degree) => degree.semitones === 4);
}

/** The pitch a degree and some octaves above the tonic. */
export function degreePitch(tonic: Pitch, degree: Degree, octaves: number): Pitch {
  return spellAt(letterSteps(tonic) + degree.steps + 7 * octaves, midiOf(tonic) + degree.semitones + 12 * octaves);
}

/**
 * Every semitone from the tonic over some octaves, upward order. Notes of the major key on the tonic keep
 * their spelling; those between are raised going up and lowered coming down, written as naturals where the
 * sign would double.
 */
export function chromaticRun(tonic: Pitch, octaves: number, going: 'up' | 'down'): Pitch[] {
  const major = SCALE_DEGREES.get('major') ?? [];
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
