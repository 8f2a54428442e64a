import { fingerAtStop, frameSchool, opensBothWays } from '../hand/positions';
import type { Setup } from '../instrument/setup';
import { letterSteps, midiOf, type Pitch } from '../pitch/pitch';
import type { Finger, School } from '../vocabulary';
import type { Played } from './played';

/*
 * Where a note can be heard the easy way before it is played.
 */

/** Where the target can be heard first, so many octaves lower than it sounds: on an open string, or low down under a finger. */
export type HearFirst =
  | { readonly kind: 'open'; readonly string: number; readonly octaves: number }
  | ({ readonly kind: 'stopped'; readonly octaves: number } & LowPlace)
  /** To be sung, or played slowly in its place; lowest where the note lies nowhere lower down. */
  | { readonly kind: 'in-place'; readonly lowest: boolean };

interface LowPlace {
  readonly string: number;
  readonly semitones: number;
  readonly finger: Finger;
  /** First, or half for the semitone above the open string where the hand lies back for it. */
  readonly position: 0.5 | 1;
}

/** Further off the ear no longer takes it for the same note. */
const MOST_OCTAVES = 2;

/** Whose hand hears it: by its school, and without the fingers that are not to be used. */
export interface Hearer {
  readonly school?: School;
  readonly never?: ReadonlySet<Finger>;
}

/**
 * The easy way to hear a pitch, the nearest to the music first: matched in the very same place by the finger that first position has there; as an open
 * string; in first position on another string; an octave or two above an open string; an octave or two lower in first position.
 */
export function hearFirst(to: Played, setup: Setup, hearer: Hearer = {}): HearFirst {
  const home = to.step.position !== 'thumb' && to.step.position <= 1;
  const low = (octaves: number) =>
    lowPlaces({ ...to.pitch, octave: to.pitch.octave - octaves }, setup, hearer).sort(
      (a, b) => Number(b.string === to.string) - Number(a.string === to.string),
    );
  const stopped = (place: LowPlace | undefined, octaves: number) =>
    place && ({ kind: 'stopped', ...place, octaves } as const);
  const here = low(0);
  const matched = home ? undefined : here.find(({ string }) => string === to.string);
  const same = setup.strings.findIndex(({ midi }, string) => midi === to.midi && string !== to.string);
  const open = (string: number) => {
    const octaves = (to.midi - setup.strings[string].midi) / 12;
    return { kind: 'open', string, octaves } as const;
  };
  const above = setup.strings.findLastIndex(({ midi }) => {
    const octaves = (to.midi - midi) / 12;
    return octaves >= 1 && octaves <= MOST_OCTAVES && Number.isInteger(octaves);
  });
  return (
    stopped(matched, 0) ??
    (same >= 0 ? open(same) : undefined) ??
    stopped(
      here.find(({ string }) => string !== to.string),
      0,
    ) ??
    (above >= 0 ? open(above) : undefined) ??
    stopped(low(1)[0], 1) ??
    stopped(low(2)[0], 2) ?? { kind: 'in-place', lowest: home && !liesLower(to, setup) }
  );
}

/** True where another string has the note nearer to the nut. */
function liesLower({ string, midi, semitones }: Played, { strings }: Setup): boolean {
  return strings.some((open, other) => other !== string && midi >= open.midi && midi - open.midi < semitones);
}

/** Where the fourth finger of an opened hand lies in first position, in semitones above the open string. */
const OPENED_FOURTH = 6;

/** Where a pitch lies in first position, and with which finger: the hand closed, on the cello opened for the one note above. */
function lowPlaces(pitch: Pitch, setup: Setup, { school, never = new Set() }: Hearer): LowPlace[] {
  const { instrument } = setup;
  const frames = frameSchool(instrument, school);
  return setup.strings.flatMap((open, string): LowPlace[] => {
    const semitones = midiOf(pitch) - open.midi;
    if (semitones < 1) return [];
    const place = (finger: Finger | null, position: 0.5 | 1): LowPlace[] =>
      finger && !never.has(finger) ? [{ string, semitones, finger, position }] : [];
    if (semitones === OPENED_FOURTH && opensBothWays(instrument)) return place(4, 1);
    if (semitones > instrument.firstPosition) return [];
    if (frames) return semitones === 1 ? place(1, 0.5) : place(fingerAtStop(frames, semitones), 1);
    // By letters: the note next above the open string's letter is the first finger's.
    const finger = letterSteps(pitch) - open.steps;
    if (finger === 0) return place(1, 0.5);
    return finger <= 4 ? place(finger as Finger, 1) : [];
  });
}
