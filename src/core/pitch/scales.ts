import * as patterns from '#generated/patterns';
import { keyAlteration, majorFifths } from './key';
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

/** The signature of a chromatic scale: the major key's on its tonic, none where there is no such key. */
export function chromaticFifths(tonic: Pitch): number {
  const fifths = majorFifths(tonic);
  return Math.abs(fifths) <= MOST_SIGNS ? fifths : 0;
}

/** A signature has at most as many signs as there are letters. */
const MOST_SIGNS = 7;

/**
 * Every semitone from the tonic over some octaves, upward order. Notes of the signature and the tonic keep their spelling; those between are raised
 * going up and lowered coming down. Where the sign would double, and for E sharp, B sharp, F flat and C flat that are not of the key, the natural
 * stands.
 */
export function chromaticRun(tonic: Pitch, octaves: number, going: 'up' | 'down'): Pitch[] {
  const base = midiOf(tonic);
  const key = { fifths: chromaticFifths(tonic), name: '' };
  const own = (midi: number): Pitch | undefined => {
    if ((midi - base) % 12 === 0) return degreePitch(tonic, { steps: 0, semitones: 0 }, (midi - base) / 12);
    return LETTER_NUMBERS.map((letter) => spelledAs(letter, midi)).find(
      (pitch) => pitch.alteration === keyAlteration(key, pitch.letter),
    );
  };
  return Array.from({ length: 12 * octaves + 1 }, (_, semitones) => {
    const midi = base + semitones;
    const kept = own(midi);
    if (kept) return kept;
    const raised = going === 'up' ? 1 : -1;
    const beside = own(midi - raised);
    const altered = beside ? { ...beside, alteration: beside.alteration + raised } : spellMidi(midi, SIGN[going]);
    return isForeign(altered) ? spellMidi(midi, SIGN[going]) : altered;
  });
}

const LETTER_NUMBERS = [0, 1, 2, 3, 4, 5, 6];
const SIGN = { up: 'sharp', down: 'flat' } as const;

/** The spelling of a sound by one letter, in the octave that is nearest. */
function spelledAs(letter: number, midi: number): Pitch {
  const natural = midiOf({ letter, alteration: 0, octave: 0 });
  const octave = Math.round((midi - natural) / 12);
  return { letter, octave, alteration: midi - natural - 12 * octave };
}

/** Two signs, or E sharp, B sharp, F flat, C flat: a player reads the natural. */
function isForeign({ letter, alteration }: Pitch): boolean {
  if (Math.abs(alteration) > 1) return true;
  return alteration === 1 ? letter === 2 || letter === 6 : alteration === -1 && (letter === 3 || letter === 0);
}
