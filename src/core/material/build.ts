import { keyOf, signatureName, type Key } from '../pitch/key';
import { midiOf, parsePitch, pitchClassName, pitchName, type Pitch } from '../pitch/pitch';
import {
  chordPattern,
  chromaticFifths,
  chromaticRun,
  degreePitch,
  hasMinorThird,
  scalePattern,
  type Degree,
  type Pattern,
} from '../pitch/scales';
import type { Music, MusicEvent, OctaveFingering } from './events';
import type {
  MusicChange,
  ChangeSpec,
  Direction,
  DoubleStopInterval,
  MaterialSpec,
  NoteSpec,
  NotesSpec,
} from '../vocabulary';
import { COMMON_TIME } from './bars';
import { bowing, withBows } from './bows';
import { notesOf } from './noteEvents';
/** Letter steps between the voices of a double stop. */
const VOICE_STEPS: Readonly<Record<DoubleStopInterval, number>> = {
  third: 2,
  sixth: 5,
  octave: 7,
  'fingered-octave': 7,
  tenth: 9,
};

/** Scale steps from a note to its partner. */
const BROKEN_STEPS = { 'broken-thirds': 2, 'broken-fourths': 3, 'broken-sixths': 5 } as const;

/**
 * Works material out into events.
 * The spec must have passed materialIssues; an unreadable name throws a RangeError.
 */
export function buildMusic(spec: MaterialSpec): Music {
  const music = line(spec);
  const perBow = spec.type === 'notes' ? undefined : spec.notesPerBow;
  const events = perBow ? withBows(music.events, perBow) : music.events;
  const changes = spec.type === 'notes' ? (spec.changes ?? []).map(changeOf) : [];
  const firstBar = spec.firstBar === undefined || spec.firstBar === 1 ? {} : { firstBar: spec.firstBar };
  return { ...music, events, time: spec.time ?? COMMON_TIME, pickup: spec.pickup ?? 0, ...firstBar, changes };
}

type Line = Omit<Music, 'time' | 'pickup' | 'firstBar' | 'changes'>;

function line(spec: MaterialSpec): Line {
  switch (spec.type) {
    case 'notes':
      return buildNotes(spec);
    case 'scale':
      return {
        key: scaleKey(spec.tonic, spec.scale),
        returns: spec.direction === 'updown',
        events: melody(spec.direction, (going) => scaleRun(spec, going), true),
      };
    case 'arpeggio': {
      const tonic = pitchOf(spec.tonic);
      const pattern = patternOf(chordPattern(spec.chord), spec.chord);
      const name = `${pitchClassName(tonic)} ${spec.chord.replaceAll('-', ' ')}`;
      return {
        key: keyOf(tonic, pattern.mode, hasMinorThird(pattern), name),
        returns: spec.direction === 'updown',
        events:
          spec.figure === 'in-threes'
            ? melody(spec.direction, (going) => inThrees(run(tonic, pattern, spec.octaves, going)), false)
            : melody(spec.direction, (going) => run(tonic, pattern, spec.octaves, going), true),
      };
    }
    case 'broken-thirds':
    case 'broken-fourths':
    case 'broken-sixths':
      return {
        key: scaleKey(spec.tonic, spec.scale),
        returns: spec.direction === 'updown',
        events: melody(spec.direction, (going) => broken(scaleRun(spec, going), BROKEN_STEPS[spec.type]), false),
      };
    case 'double-stops':
      return {
        key: scaleKey(spec.tonic, spec.scale),
        returns: spec.direction === 'updown',
        events: sounding(
          inDirection(spec.direction, (going) => doubled(spec, going), true),
          OCTAVES[spec.interval],
        ),
      };
  }
}

/** Material as a list of notes in the key of its signature, to be changed by hand. The spec must have passed materialIssues. */
export function writtenOut(spec: MaterialSpec): NotesSpec {
  const { key, events } = buildMusic(spec);
  const { time, pickup, firstBar } = spec;
  if (spec.type === 'notes') return { ...spec, notes: notesOf(spec) };
  const notes = events.map((event): NoteSpec => {
    const length = { beats: event.beats, ...(event.bar ? { bar: event.bar } : {}) };
    return event.kind === 'rest'
      ? { rest: true, ...length }
      : { pitches: event.pitches.map(pitchName), ...length, ...bowing(event) };
  });
  const metre = {
    ...(time ? { time } : {}),
    ...(pickup ? { pickup } : {}),
    ...(firstBar === undefined ? {} : { firstBar }),
  };
  return { type: 'notes', key: signatureName(key.fifths), notes, ...metre };
}

type Going = 'up' | 'down';
type Voices = readonly Pitch[];

function pitchOf(name: string): Pitch {
  const pitch = parsePitch(name);
  if (!pitch) throw new RangeError(`no pitch: ${name}`);
  return pitch;
}

function patternOf(pattern: Pattern | null, name: string): Pattern {
  if (!pattern) throw new RangeError(`unknown: ${name}`);
  return pattern;
}

/** The signature and name of a scale on a tonic. */
function scaleKey(tonicName: string, scale: string): Key {
  const tonic = pitchOf(tonicName);
  const name = `${pitchClassName(tonic)} ${scale.replaceAll('-', ' ')}`;
  if (scale === 'chromatic') return { fifths: chromaticFifths(tonic), name };
  const pattern = patternOf(scalePattern(scale), scale);
  return keyOf(tonic, pattern.mode, hasMinorThird(pattern), name);
}

interface RunSpec {
  readonly tonic: string;
  readonly scale: string;
  readonly octaves: number;
}

/** The scale's notes from the bottom up (going up) or the top down (going down). */
function scaleRun(spec: RunSpec, going: Going): Pitch[] {
  const tonic = pitchOf(spec.tonic);
  if (spec.scale === 'chromatic') {
    const notes = chromaticRun(tonic, spec.octaves, going);
    return going === 'up' ? notes : notes.reverse();
  }
  return run(tonic, patternOf(scalePattern(spec.scale), spec.scale), spec.octaves, going);
}

function run(tonic: Pitch, pattern: Pattern, octaves: number, going: Going): Pitch[] {
  const degrees = pattern[going];
  const notes = ladder(tonic, degrees, degrees.length * octaves + 1);
  return going === 'up' ? notes : notes.reverse();
}

/** The first `count` notes of a pattern repeated at the octave, from the tonic up. */
function ladder(tonic: Pitch, degrees: readonly Degree[], count: number): Pitch[] {
  return Array.from({ length: count }, (_, at) =>
    degreePitch(tonic, degrees[at % degrees.length], Math.floor(at / degrees.length)),
  );
}

/** Each note followed by the one so many further on, inside the range: 1 3 2 4 3 5 … */
function broken(notes: readonly Pitch[], steps: number): Pitch[] {
  return notes.slice(0, -steps).flatMap((note, at) => [note, notes[at + steps]]);
}

/** Groups of three notes, each group beginning one note further on. */
function inThrees(notes: readonly Pitch[]): Pitch[] {
  return notes.slice(0, -2).flatMap((_, at) => notes.slice(at, at + 3));
}

const OCTAVES: Partial<Record<DoubleStopInterval, OctaveFingering>> = {
  octave: 'framed',
  'fingered-octave': 'fingered',
};

function doubled(spec: RunSpec & { readonly interval: DoubleStopInterval }, going: Going): Voices[] {
  const tonic = pitchOf(spec.tonic);
  const pattern = patternOf(scalePattern(spec.scale), spec.scale);
  const degrees = pattern[going];
  const steps = VOICE_STEPS[spec.interval];
  // The upper voice lies `steps` letters up: that many degrees in a seven-note scale.
  const apart = Math.round((steps * degrees.length) / 7);
  const count = degrees.length * spec.octaves + 1;
  const notes = ladder(tonic, degrees, count + apart);
  const pairs = notes.slice(0, count).map((low, at) => [low, notes[at + apart]]);
  return going === 'up' ? pairs : pairs.reverse();
}

/** Joins the two directions; a shared turning note is played once. */
function inDirection<T>(direction: Direction, half: (going: Going) => T[], shareTop: boolean): T[] {
  if (direction !== 'updown') return half(direction);
  return [...half('up'), ...half('down').slice(shareTop ? 1 : 0)];
}

function melody(direction: Direction, half: (going: Going) => Pitch[], shareTop: boolean): MusicEvent[] {
  return sounding(inDirection(direction, half, shareTop).map((pitch) => [pitch]));
}

function sounding(voices: readonly Voices[], octave?: OctaveFingering): MusicEvent[] {
  return voices.map((pitches, at) => ({ kind: 'sounding', at, pitches, beats: 1, octave }));
}

/** Reads "A major", "f# minor", "D dorian"; null where it is no key. */
export function parseKey(name: string): Key | null {
  const match = /^([A-Ga-g])(#{1,2}|b{1,2})?\s+([a-z][a-z -]*)$/.exec(name.trim());
  if (!match) return null;
  const tonic = parsePitch(`${match[1].toUpperCase()}${match[2] ?? ''}4`);
  const pattern = scalePattern(match[3].replaceAll(' ', '-'));
  if (!tonic || !pattern) return null;
  return keyOf(tonic, pattern.mode, hasMinorThird(pattern), name.trim());
}

function buildNotes(spec: NotesSpec): Line {
  const key = spec.key === undefined ? { fifths: 0, name: 'C major' } : parseKey(spec.key);
  if (!key) throw new RangeError(`no key: ${spec.key}`);
  return { key, returns: false, events: notesOf(spec).map(noteEvent) };
}

function changeOf({ at, key: name, time, bpm }: ChangeSpec): MusicChange {
  const key = name === undefined ? undefined : parseKey(name);
  if (key === null) throw new RangeError(`no key: ${name}`);
  return { at, ...(key ? { key } : {}), ...(time ? { time } : {}), ...(bpm ? { bpm } : {}) };
}

function noteEvent(note: NoteSpec & { readonly beats: number }, at: number): MusicEvent {
  const { beats } = note;
  const { bar, bars, phrase, doubleBar } = note;
  const marks = {
    ...(bar ? { bar } : {}),
    ...(bars ? { bars } : {}),
    ...(phrase === undefined ? {} : { phrase }),
    ...(doubleBar ? { doubleBar } : {}),
  };
  if ('rest' in note) return { kind: 'rest', at, beats, ...marks };
  const pitches = note.pitches.map(pitchOf).sort((a, b) => midiOf(a) - midiOf(b));
  const { accent, short, divisi } = note;
  return {
    kind: 'sounding',
    at,
    pitches,
    beats,
    ...marks,
    ...bowing(note),
    ...(accent ? { accent } : {}),
    ...(short ? { short } : {}),
    ...(divisi ? { divisi } : {}),
  };
}
