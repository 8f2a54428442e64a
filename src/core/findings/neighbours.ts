import type { Setup } from '../instrument/setup';
import { letterSteps, midiOf, spellAt, type Pitch } from '../pitch/pitch';
import type { Finger } from '../vocabulary';
import { checkpointsFor, type Sounding } from './checks';
import type { Played } from './played';
import { widerWhenPure, pureBetween } from './pure';
import { targetOf, type AimHere } from './targets';

/*
 * What helps to place a note that no string checks: a neighbour under the hand that has a check, or the tonic.
 */

/** A place on the fingerboard with the finger that takes it. */
export interface Link {
  readonly string: number;
  readonly semitones: number;
  readonly pitch: Pitch;
  readonly finger: Finger;
  readonly interval: 'octave' | 'fifth' | 'fourth';
}

export type Neighbour =
  /** Over one place, or two, to a note that has a check. */
  | { readonly kind: 'linked'; readonly links: readonly Link[] }
  /** The leading note, close under a tonic that has a check. */
  | { readonly kind: 'leading'; readonly tonic: Pitch }
  /** A pure third above the dominant. */
  | { readonly kind: 'above-dominant'; readonly dominant: Pitch }
  /** A third from the tonic that was just played. */
  | { readonly kind: 'third'; readonly tonic: Pitch; readonly above: boolean }
  | { readonly kind: 'drone' };

/** Further from the note the tonic is forgotten, in events. */
const JUST_PLAYED = 8;
/** A pure interval between two targets, in cents: as one note after the other is heard. */
const PURE_WITHIN = 10;
const MOST_LINKS = 2;

/** What neighbours are looked for in. */
export interface Neighbourhood {
  readonly setup: Setup;
  readonly aim: AimHere;
  readonly others: readonly Sounding[];
}

/** The tonic, where it was played shortly before a note and lies a third from it. @param before the notes before it, in order */
export function tonicBefore(note: Played, before: readonly Played[], tonic: AimHere['tonic']): Pitch | undefined {
  const near = before.slice(-2 * JUST_PLAYED).filter(({ at }) => note.at - at <= JUST_PLAYED);
  return near.findLast(({ pitch }) => sameClass(pitch, tonic) && isThird(pitch, note.pitch))?.pitch;
}

/**
 * The neighbour that helps with a note that nothing checks, in the order that a teacher tries them.
 * @param tonic the one just played a third away, if any
 */
export function neighbourOf(note: Played, within: Neighbourhood, tonic: Pitch | undefined): Neighbour {
  const links = linksFrom(placeOf(note), within, MOST_LINKS);
  if (links) return { kind: 'linked', links };
  const { aim } = within;
  const fromTonic = (letterSteps(note.pitch) - letterSteps({ ...aim.tonic, octave: 0 }) + 70) % 7;
  if (fromTonic === 6) {
    const above = spellAt(letterSteps(note.pitch) + 1, note.midi + 1);
    if (sameClass(above, aim.tonic)) {
      if (aim.system !== 'just' && isHeard(above, within)) return { kind: 'leading', tonic: above };
      const dominant = spellAt(letterSteps(note.pitch) - 2, note.midi - 4);
      if (aim.system === 'just' && isHeard(dominant, within)) return { kind: 'above-dominant', dominant };
    }
  }
  if (tonic && isHeard(tonic, within)) return { kind: 'third', tonic, above: midiOf(tonic) < note.midi };
  return { kind: 'drone' };
}

interface Place {
  readonly string: number;
  readonly semitones: number;
  readonly pitch: Pitch;
  readonly finger: Finger;
}

const placeOf = ({ string, semitones, pitch, finger }: Played): Place => ({ string, semitones, pitch, finger });

const sameClass = (one: Pick<Pitch, 'letter' | 'alteration'>, other: Pick<Pitch, 'letter' | 'alteration'>) =>
  one.letter === other.letter && one.alteration === other.alteration;

function isThird(one: Pitch, other: Pitch): boolean {
  const semitones = Math.abs(midiOf(one) - midiOf(other));
  return Math.abs(letterSteps(one) - letterSteps(other)) === 2 && (semitones === 3 || semitones === 4);
}

/** The shortest chain of places, octaves before fifths, to one that has a check. */
function linksFrom(from: Place, within: Neighbourhood, most: number): Link[] | null {
  const next = linked(from, within);
  const found = next.find((place) => hasCheck(place, within));
  if (found) return [found];
  if (most <= 1) return null;
  for (const place of next) {
    const rest = linksFrom(place, within, most - 1);
    if (rest && !rest.some(({ string, semitones }) => string === from.string && semitones === from.semitones))
      return [place, ...rest];
  }
  return null;
}

/** The places under the same hand that make a pure octave or fifth with one: by 1 and 4, and under the same finger on the next string. */
function linked(from: Place, { setup, aim }: Neighbourhood): Link[] {
  const { string, semitones, finger, pitch } = from;
  const at = (other: number, stop: number, by: Finger): Link[] => {
    const open = setup.strings[other];
    if (!open || stop < 1 || stop > setup.reachSemitones) return [];
    const away = open.midi + stop - midiOf(pitch);
    const steps = STEPS[Math.abs(away)];
    if (steps === undefined) return [];
    const spelled = spellAt(letterSteps(pitch) + Math.sign(away) * steps, open.midi + stop);
    const link: Link = { string: other, semitones: stop, pitch: spelled, finger: by, interval: NAMES[steps] };
    return Math.abs(spelled.alteration) <= 1 && isPure(from, link, setup, aim) ? [link] : [];
  };
  // An octave lies between 1 and 4: on the next string a fourth farther up where strings are a fifth apart, on the next but one a tone where they are a fourth.
  const octaves = [1, -1].flatMap((way) => {
    if (finger !== (way > 0 ? 1 : 4)) return [];
    const other = string + way * octaveStrings(setup);
    const open = setup.strings[other];
    const stop = open ? midiOf(pitch) + 12 * way - open.midi : 0;
    const apart = (stop - semitones) * way;
    return open && apart > 0 && apart <= setup.instrument.firstPosition - 2 ? at(other, stop, way > 0 ? 4 : 1) : [];
  });
  const sameFinger = [string - 1, string + 1].flatMap((other) => at(other, semitones, finger));
  return [...octaves, ...sameFinger];
}

/** Letter steps of the intervals that links are made of, by semitones. */
const STEPS: Readonly<Record<number, 3 | 4 | 7>> = { 5: 3, 7: 4, 12: 7 };
const NAMES = { 3: 'fourth', 4: 'fifth', 7: 'octave' } as const;
const FIFTH = 7;

/** How many strings up an octave lies in one hand. */
function octaveStrings({ strings }: Setup): number {
  return strings[1].midi - strings[0].midi >= FIFTH ? 1 : 2;
}

function isPure(one: Place, other: Place, setup: Setup, aim: AimHere): boolean {
  const interval = pureBetween(one.pitch, other.pitch);
  if (!interval) return false;
  const [low, high] = midiOf(one.pitch) < midiOf(other.pitch) ? [one, other] : [other, one];
  const wide = targetAt(high, setup, aim) - targetAt(low, setup, aim);
  return Math.abs(wide - widerWhenPure(interval)) <= PURE_WITHIN;
}

const targetAt = (place: Place, setup: Setup, aim: AimHere) => targetOf(asNote(place), setup, aim).cents;

const asNote = ({ string, semitones, pitch, finger }: Place) => ({
  string,
  semitones,
  pitch,
  finger,
  midi: midiOf(pitch),
  harmonic: false,
});

function hasCheck(place: Place, { setup, aim, others }: Neighbourhood): boolean {
  const note = asNote(place);
  return checkpointsFor(note, others, targetOf(note, setup, aim)).some(({ fits }) => fits);
}

/** True where a pitch is an open string, or can be checked where it is first found on a string. */
function isHeard(pitch: Pitch, within: Neighbourhood): boolean {
  const midi = midiOf(pitch);
  return within.setup.strings.some(
    (open, string) =>
      midi === open.midi ||
      (midi > open.midi &&
        midi - open.midi <= within.setup.instrument.firstPosition &&
        hasCheck({ string, semitones: midi - open.midi, pitch, finger: 1 }, within)),
  );
}
