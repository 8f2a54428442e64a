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

/** What is looked up in the theory package for a name of the contract, where the two differ or where down differs from up. */
interface ScaleSource {
  readonly up: string;
  readonly down?: string;
  readonly mode?: string;
}

const SOURCES: readonly (readonly [name: string, source: ScaleSource])[] = [
  ['major', { up: 'major' }],
  ['natural-minor', { up: 'aeolian', mode: 'minor' }],
  ['harmonic-minor', { up: 'harmonic minor', mode: 'minor' }],
  ['melodic-minor', { up: 'melodic minor', down: 'aeolian', mode: 'minor' }],
  ['chromatic', { up: 'chromatic' }],
  ['dorian', { up: 'dorian' }],
  ['phrygian', { up: 'phrygian' }],
  ['lydian', { up: 'lydian' }],
  ['mixolydian', { up: 'mixolydian' }],
  ['locrian', { up: 'locrian' }],
  ['ionian', { up: 'major' }],
  ['aeolian', { up: 'aeolian', mode: 'minor' }],
  ['minor', { up: 'aeolian', mode: 'minor' }],
  ['whole-tone', { up: 'whole tone' }],
  ['major-pentatonic', { up: 'major pentatonic' }],
  ['minor-pentatonic', { up: 'minor pentatonic' }],
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

/** Names are looked up in maps made of what is known, never in an object: a user may type any word. */
const SCALE_SOURCES: ReadonlyMap<string, ScaleSource> = new Map([
  ...ScaleType.all().flatMap(({ name, aliases }) =>
    [name, ...aliases].map((known) => [hyphened(known), { up: name }] as const),
  ),
  ...SOURCES,
]);

const CHORD_SOURCES: ReadonlyMap<string, string> = new Map(
  ChordType.all().flatMap(({ name, aliases }) =>
    [name, ...aliases].filter((known) => known !== '').map((known) => [hyphened(known), name || aliases[0]] as const),
  ),
);

/** Every scale by its name in the contract, those that are taught first. */
export const SCALES: readonly string[] = known(
  SOURCES.map(([name]) => name),
  SCALE_SOURCES,
);
/** Every chord, likewise. */
export const CHORDS: readonly string[] = known(COMMON_CHORDS, CHORD_SOURCES);

function known(first: readonly string[], all: ReadonlyMap<string, unknown>): string[] {
  return [...new Set([...first, ...all.keys()])];
}

function degrees(intervals: readonly string[]): Degree[] {
  return intervals.map((name) => {
    const interval = Interval.get(name);
    return { steps: interval.step as number, semitones: interval.semitones as number };
  });
}

/** Looks a scale up by its name in the contract; null where no such scale is known. "chromatic" is spelled by chromaticRun instead. */
export function scalePattern(name: string): Pattern | null {
  const source = SCALE_SOURCES.get(name);
  if (!source) return null;
  const up = degrees(ScaleType.get(source.up).intervals);
  const down = source.down ? degrees(ScaleType.get(source.down).intervals) : up;
  return { mode: source.mode ?? source.up, up, down };
}

/** Looks a chord up by its name in the contract, such as "dominant-seventh"; null where it is unknown. */
export function chordPattern(name: string): Pattern | null {
  const source = CHORD_SOURCES.get(name);
  if (source === undefined) return null;
  const up = degrees(ChordType.get(source).intervals);
  return { mode: '', up, down: up };
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
