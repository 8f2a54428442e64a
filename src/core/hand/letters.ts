import type { Setup } from '../instrument/setup';
import { keyAlteration, type Key } from '../pitch/key';
import { midiOf } from '../pitch/pitch';
import { patternCost } from './patterns';
import {
  NO_FRAME,
  ordinal,
  THUMB,
  type DemandedPitch,
  type HandModel,
  type Hold,
  type PositionLabel,
} from './hold';

/*
 * Violin and viola: a position is named by letters. Finger f on a note k letter steps above the open string lies in
 * position k - (f - 1), whatever its accidental; 0 is half position.
 */

/** Highest position planned: the little finger then stands at the end of the fingerboard. */
const TOP_POSITION = 14;

const LABELS: readonly PositionLabel[] = Array.from({ length: TOP_POSITION + 1 }, (_, position) =>
  position === 0 ? { label: 0.5, name: 'half' } : { label: position, name: ordinal(position) },
);

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
export function letterHand(setup: Setup, key: Key, demanded: readonly DemandedPitch[]): HandModel {
  const wanted = wantedSemitones(setup, demanded);

  function resting(position: number, string: number, finger: number): number {
    if (finger === THUMB) return NaN;
    const steps = setup.strings[string].steps + position + finger - 1;
    const octave = Math.floor(steps / 7);
    const letter = steps - 7 * octave;
    const pitch = { letter, octave, alteration: keyAlteration(key, letter) };
    return Math.max(finger, midiOf(pitch) - setup.strings[string].midi);
  }

  function framesFor(string: number, position: number, finger: number, semitones: number, extended: boolean) {
    const places = [1, 2, 3, 4].map((other) => {
      if (other === finger) return { ready: [semitones], rest: semitones };
      const k = position + other - 1;
      const ready = (wanted.get(string * 100 + k) ?? []).filter((n) =>
        fits(finger, semitones, other, n, extended),
      );
      return { ready, rest: nearest(finger, semitones, other, resting(position, string, other), extended) };
    });
    const options = places.map(({ ready, rest }) => (ready.length > 0 ? ready : [rest]));
    const frames = steadyFrames(options, extended);
    if (frames.length > 0) return frames;
    // What the music wants of two fingers cannot lie side by side (one sound read as two letters, say): either may rest.
    const either = steadyFrames(
      places.map(({ ready, rest }) => (ready.includes(rest) ? ready : [...ready, rest])),
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
    for (const [finger, slot, extended] of SLOTS) {
      for (const { k, reread } of steps) {
        const position = k - slot;
        const tag = position * 10 + finger;
        if (position < 0 || position > TOP_POSITION || semitones < finger || seen.has(tag)) continue;
        seen.add(tag);
        for (const frame of framesFor(string, position, finger, semitones, extended)) {
          found.push({
            position,
            stops: [{ string, finger, semitones, harmonic: false }],
            frame: frameOf(frame),
            extended: extended ? finger : 0,
            leaned: false,
            reread,
            unsteady: patternCost(frame),
          });
        }
      }
    }
    return found;
  }

  return {
    positionCount: TOP_POSITION + 1,
    home: 1,
    // The wrist or the heel of the hand comes to the ribs.
    landmark: 3,
    fixedFrames: false,
    label: (position) => LABELS[position],
    thumbUp: () => false,
    anchor: (position) => (position * 12) / 7,
    resting,
    holds,
  };
}

/** The places of fingers 1 to 4 as a frame; a copy of NO_FRAME, so that all frames are stored alike and compare quickly. */
function frameOf([first, second, third, fourth]: readonly number[]): readonly number[] {
  const frame = NO_FRAME.slice();
  [frame[1], frame[2], frame[3], frame[4]] = [first, second, third, fourth];
  return frame;
}

/** Finger, letter steps it lies above the position's first, and whether that is outside its own place. */
const SLOTS: readonly (readonly [number, number, boolean])[] = [
  [1, 0, false],
  [2, 1, false],
  [3, 2, false],
  [4, 3, false],
  [4, 4, true],
  [1, -1, true],
];

/** For each string and letter step, the stops that the material asks of that letter. Key: string × 100 + k. */
function wantedSemitones(setup: Setup, demanded: readonly DemandedPitch[]): Map<number, number[]> {
  const wanted = new Map<number, number[]>();
  setup.strings.forEach((open, string) => {
    for (const pitch of demanded) {
      const semitones = pitch.midi - open.midi;
      if (semitones < 1 || semitones > setup.reachSemitones) continue;
      pitch.readings.forEach((reading, at) => {
        const k = reading - open.steps;
        if (k < 0 || (at > 0 && !inZone(k, semitones))) return;
        const list = wanted.get(string * 100 + k) ?? [];
        if (!list.includes(semitones)) wanted.set(string * 100 + k, [...list, semitones]);
      });
    }
  });
  return wanted;
}

function gapBounds(a: number, b: number, extended: boolean): readonly [number, number] {
  const apart = Math.abs(a - b);
  return [LEAST_GAP[apart], MOST_GAP[apart] + (extended ? EXTENSION_GAP : 0)];
}

function fits(finger: number, at: number, other: number, n: number, extended: boolean): boolean {
  const [least, most] = gapBounds(finger, other, extended);
  const gap = other > finger ? n - at : at - n;
  return gap >= least && gap <= most && n >= 1;
}

function nearest(finger: number, at: number, other: number, n: number, extended: boolean): number {
  const [least, most] = gapBounds(finger, other, extended);
  return other > finger
    ? Math.min(Math.max(n, at + least), at + most)
    : Math.max(Math.min(n, at - least), at - most, other);
}

/** All frames out of the options where no finger is below a lower one, none too far from the next, and 1 to 4 lie down together. */
function steadyFrames(options: readonly number[][], extended: boolean): number[][] {
  const [least, most] = gapBounds(1, 2, extended);
  const [, widest] = gapBounds(1, 4, extended);
  let frames = options[0].map((first) => [first]);
  for (let at = 1; at < options.length; at++) {
    const longer: number[][] = [];
    for (const frame of frames) {
      for (const n of options[at]) {
        const gap = n - frame[at - 1];
        if (gap >= least && gap <= most && n - frame[0] <= widest) longer.push([...frame, n]);
      }
    }
    frames = longer;
  }
  return frames;
}

/** A frame round the fixed finger where the wanted places contradict each other: each next finger moves aside. */
function filled(options: readonly number[][], finger: number): number[] {
  const frame = options.map((list) => list[0]);
  for (let at = finger; at < 4; at++)
    frame[at] = Math.min(Math.max(frame[at], frame[at - 1] + 1), frame[at - 1] + 3);
  for (let at = finger - 2; at >= 0; at--)
    frame[at] = Math.max(Math.min(frame[at], frame[at + 1] - 1), frame[at + 1] - 3);
  return frame;
}
