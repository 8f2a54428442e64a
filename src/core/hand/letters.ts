import type { Setup } from '../instrument/setup';
import { keyAlteration, type Key } from '../pitch/key';
import { midiOf } from '../pitch/pitch';
import { patternCost } from './patterns';
import { soundsAlikeTouched } from '../instrument/nodes';
import { HARMONIC_UNSTEADY, makeHold, makeStop, NO_FRAME, type DemandedPitch, type HandModel, type Hold } from './hold';
import { THUMB } from './finger';
import type { LetterFingering } from '../instrument/record';
import { letterPositions } from './positions';

/*
 * Violin and viola: a position is named by letters. Finger f on a note k letter steps above the open string lies in
 * position k - (f - 1), whatever its accidental; 0 is half position.
 */

/** Least and most semitones between two fingers n apart in one frame (index n); an extension adds up to two. */
const LEAST_GAP = [0, 1, 2, 3];
const MOST_GAP = [0, 3, 5, 6];
const EXTENSION_GAP = 2;

/**
 * True where a letter k steps above the open string is played this many semitones up without being read as another letter:
 * minor to major for seconds, thirds, sixths and sevenths, diminished to augmented for the perfect steps.
 */
function inZone(k: number, semitones: number): boolean {
  const octave = Math.floor(k / 7);
  const [low, high] = ZONES[k - 7 * octave];
  return semitones >= low + 12 * octave && semitones <= high + 12 * octave;
}

const ZONES: readonly (readonly [number, number])[] = [
  [-1, 1],
  [1, 2],
  [3, 4],
  [4, 6],
  [6, 8],
  [8, 9],
  [10, 11],
];

/**
 * The letter-position hand of violin and viola for one piece of material.
 * @param key its signature: says where a resting finger lies
 * @param demanded every pitch of the material: fingers lie ready where the music will want them
 */
export function letterHand(
  setup: Setup,
  fingering: LetterFingering,
  key: Key,
  demanded: readonly DemandedPitch[],
): HandModel {
  const { topPosition } = fingering;
  const labels = letterPositions(fingering);
  const wanted = wantedSemitones(setup, demanded);

  function resting(position: number, string: number, finger: number): number {
    if (finger === THUMB) return NaN;
    const steps = setup.strings[string].steps + position + finger - 1;
    const octave = Math.floor(steps / 7);
    const letter = steps - 7 * octave;
    const pitch = { letter, octave, alteration: keyAlteration(key, letter) };
    return Math.max(finger, midiOf(pitch) - setup.strings[string].midi);
  }

  /** Where each finger may lie round one that plays: where the music wants it, or else at rest. */
  function framesFor(string: number, position: number, finger: number, semitones: number, extended: boolean) {
    const options: number[][] = [[], [], [], []];
    const rests = [0, 0, 0, 0];
    for (let other = 1; other <= 4; other++) {
      const at = other - 1;
      rests[at] = semitones;
      if (other !== finger) {
        rests[at] = nearest(finger, semitones, other, resting(position, string, other), extended);
        for (const n of wanted[string][position + at] ?? [])
          if (fits(finger, semitones, other, n, extended)) options[at].push(n);
      }
      if (options[at].length === 0) options[at].push(rests[at]);
    }
    const frames = steadyFrames(options, extended);
    if (frames.length > 0) return frames;
    // What the music wants of two fingers cannot lie side by side (one sound read as two letters, say): either may rest.
    const either = steadyFrames(
      options.map((list, at) => (list.includes(rests[at]) ? list : [...list, rests[at]])),
      extended,
    );
    return either.length > 0 ? either : [filled(options, finger)];
  }

  function holds(string: number, pitch: DemandedPitch): Hold[] {
    const semitones = pitch.midi - setup.strings[string].midi;
    if (semitones < 1 || semitones > setup.reachSemitones) return [];
    const found: Hold[] = [];
    const seen = new Set<number>();
    const steps = pitch.readings
      .map((reading, at) => ({ k: reading - setup.strings[string].steps, reread: at > 0 }))
      .filter(({ k, reread }) => !reread || inZone(k, semitones));
    // A finger in its own place is tried before one that reaches out of it.
    for (const one of [...SLOTS, HALF_FIRST]) {
      const { finger, slot, reaches, contracted } = one;
      for (const { k, reread } of steps) {
        const position = k - slot;
        if (!inHalf(one, position, semitones)) continue;
        // The little finger that reaches out of the hand to a node of the string touches it.
        const touches = reaches && finger === 4 && soundsAlikeTouched(semitones);
        const extended = reaches && !leansBack(finger, position, semitones);
        const tag = position * 10 + finger;
        if (position < 0 || position > topPosition || semitones < finger || seen.has(tag)) continue;
        seen.add(tag);
        const stops = [makeStop(string, finger, semitones, touches)];
        for (const frame of framesFor(string, position, finger, semitones, extended)) {
          const oddity = {
            extended: extended && !touches ? finger : 0,
            contracted: contracted ? finger : 0,
            reread,
            unsteady: patternCost(frame) + (touches ? HARMONIC_UNSTEADY : 0),
          };
          found.push(makeHold(position, stops, frame, oddity));
        }
      }
    }
    return found;
  }

  return {
    positionCount: topPosition + 1,
    home: 1,
    // The wrist or the heel of the hand comes to the ribs.
    landmark: 3,
    fixedFrames: false,
    label: (position) => labels[position],
    thumbUp: () => false,
    anchor: (position) => (position * 12) / 7,
    resting,
    frameAside: () => NO_FRAME,
    holds,
  };
}

interface Slot {
  readonly finger: number;
  /** Letter steps that it lies above the position's first. */
  readonly slot: number;
  /** True where that is above or below its own place: the hand opens. */
  readonly reaches: boolean;
  /** True where it is drawn in to the place of the finger below while the hand stays. */
  readonly contracted: boolean;
}

const slotFor = (finger: number, slot: number, how?: 'reaches' | 'contracted'): Slot => ({
  finger,
  slot,
  reaches: how === 'reaches',
  contracted: how === 'contracted',
});

const SLOTS: readonly Slot[] = [
  slotFor(1, 0),
  slotFor(2, 1),
  slotFor(3, 2),
  slotFor(4, 3),
  slotFor(4, 4, 'reaches'),
  slotFor(1, -1, 'reaches'),
  slotFor(4, 2, 'contracted'),
];

/** Leaning back in half position the first finger has the semitone above the open string, whichever way that is spelled. */
const HALF_FIRST = slotFor(1, 1);

/** True for a finger that half position has by its place alone and not by its letter. */
function inHalf(slot: Slot, position: number, semitones: number): boolean {
  return slot !== HALF_FIRST || (position === 0 && semitones === 1);
}

/** In first position the first finger may lie back a semitone, in half position's place, while the hand stays as it is: that opens nothing. */
function leansBack(finger: number, position: number, semitones: number): boolean {
  return finger === 1 && position === 1 && semitones === 1;
}

/** For each string and letter step above it, the stops that the material asks of that letter. */
function wantedSemitones(setup: Setup, demanded: readonly DemandedPitch[]): number[][][] {
  return setup.strings.map((open) => {
    const wanted: number[][] = [];
    for (const pitch of demanded) {
      const semitones = pitch.midi - open.midi;
      if (semitones < 1 || semitones > setup.reachSemitones) continue;
      pitch.readings.forEach((reading, at) => {
        const k = reading - open.steps;
        if (k < 0 || (at > 0 && !inZone(k, semitones))) return;
        const list = (wanted[k] ??= []);
        if (!list.includes(semitones)) list.push(semitones);
      });
    }
    return wanted;
  });
}

function mostGap(apart: number, extended: boolean): number {
  return MOST_GAP[apart] + (extended ? EXTENSION_GAP : 0);
}

function fits(finger: number, at: number, other: number, n: number, extended: boolean): boolean {
  const apart = Math.abs(finger - other);
  const gap = other > finger ? n - at : at - n;
  return gap >= LEAST_GAP[apart] && gap <= mostGap(apart, extended) && n >= 1;
}

function nearest(finger: number, at: number, other: number, n: number, extended: boolean): number {
  const apart = Math.abs(finger - other);
  const [least, most] = [LEAST_GAP[apart], mostGap(apart, extended)];
  return other > finger
    ? Math.min(Math.max(n, at + least), at + most)
    : Math.max(Math.min(n, at - least), at - most, other);
}

/** All frames out of the options where no finger is below a lower one, none too far from the next, and 1 to 4 lie down together. */
function steadyFrames([firsts, seconds, thirds, fourths]: readonly number[][], extended: boolean): number[][] {
  const most = mostGap(1, extended);
  const widest = mostGap(3, extended);
  const next = (from: number, to: number) => to - from >= LEAST_GAP[1] && to - from <= most;
  const frames: number[][] = [];
  for (const first of firsts)
    for (const second of seconds)
      if (next(first, second))
        for (const third of thirds)
          if (next(second, third))
            for (const fourth of fourths)
              if (next(third, fourth) && fourth - first <= widest)
                frames.push([NaN, first, second, third, fourth, NaN]);
  return frames;
}

/** A frame round the fixed finger where the wanted places contradict each other: each next finger moves aside. */
function filled(options: readonly number[][], finger: number): number[] {
  const frame = [NaN, ...options.map((list) => list[0]), NaN];
  for (let other = finger + 1; other <= 4; other++)
    frame[other] = Math.min(Math.max(frame[other], frame[other - 1] + 1), frame[other - 1] + 3);
  for (let other = finger - 1; other >= 1; other--)
    frame[other] = Math.max(Math.min(frame[other], frame[other + 1] - 1), frame[other + 1] - 3);
  return frame;
}
