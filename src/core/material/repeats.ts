import { letterSteps, midiOf } from '../pitch/pitch';
import type { SoundingEvent } from './events';

/*
 * Music that comes again: stretches that are the same as an earlier one, and figures that are said again at once a step away. Both are wanted with the
 * same fingers.
 */

/** A stretch and an earlier one that it repeats, by their first sounding events. */
export interface Repeat {
  readonly model: number;
  readonly from: number;
  readonly length: number;
}

/** Sounding events from which a stretch that comes again is one. */
const LEAST_REPEAT = 5;
/** Notes of a figure that is said again. */
const FIGURE = { least: 3, most: 16 };

/**
 * Stretches with the same pitches, lengths, rests and slurs as an earlier one: the longest first, then the leftmost, without overlap.
 * O(n²) in the number of events.
 */
export function repeatsOf(sounding: readonly SoundingEvent[]): Repeat[] {
  const n = sounding.length;
  const [inside, atEnd] = [numbered(sounding, insideTag), numbered(sounding, endTag)];
  /** How many events from i on are as those from j on, the last by what it sounds alone. */
  const alike = (i: number, j: number, most: number) => {
    let length = 0;
    while (length < most && inside[i + length] === inside[j + length]) length++;
    return length < most && atEnd[i + length] === atEnd[j + length] ? length + 1 : length;
  };
  const longest = longestEarlier(inside, atEnd);
  const found: Repeat[] = [];
  const taken = new Uint8Array(n);
  const room = (from: number) => {
    let to = from;
    while (to < n && !taken[to]) to++;
    return to - from;
  };
  for (;;) {
    let [best, length] = [-1, LEAST_REPEAT - 1];
    for (let from = 0; from < n; from++) {
      if (longest[from] <= length) continue;
      const own = Math.min(longest[from], room(from));
      if (own > length) [best, length] = [from, own];
    }
    if (best < 0) return found;
    let model = 0;
    while (alike(model, best, length) < length) model++;
    found.push({ model, from: best, length });
    taken.fill(1, best, best + length);
  }
}

/** Of each event how long a stretch from it on is the same as an earlier one that ends before it. */
function longestEarlier(inside: Int32Array, atEnd: Int32Array): Int32Array {
  const n = inside.length;
  const longest = new Int32Array(n);
  /** How many events from i on are as those from j on; row i out of row i + 1. */
  let after = new Int32Array(n + 1);
  let here = new Int32Array(n + 1);
  for (let i = n - 1; i >= 0; i--) {
    for (let j = i + 1; j < n; j++) {
      here[j] = inside[i] === inside[j] ? after[j + 1] + 1 : atEnd[i] === atEnd[j] ? 1 : 0;
      const own = Math.min(here[j], j - i);
      if (own > longest[j]) longest[j] = own;
    }
    [after, here] = [here, after];
  }
  return longest;
}

function numbered(sounding: readonly SoundingEvent[], tagOf: (all: readonly SoundingEvent[], t: number) => string) {
  const numbers = new Map<string, number>();
  return Int32Array.from(sounding, (_, t) => {
    const tag = tagOf(sounding, t);
    const number = numbers.get(tag) ?? numbers.size;
    numbers.set(tag, number);
    return number;
  });
}

const endTag = (all: readonly SoundingEvent[], t: number) => `${all[t].pitches.map(midiOf).join()} ${all[t].beats}`;

/** With how it goes on to the next: after a rest of so many events, under a slur. */
function insideTag(all: readonly SoundingEvent[], t: number): string {
  const goesOn = t + 1 < all.length ? all[t + 1].at - all[t].at : 'end';
  return `${endTag(all, t)} ${goesOn} ${all[t].slur === true}`;
}

/** A figure and its statements. */
interface Figure {
  readonly from: number;
  readonly length: number;
  readonly times: number;
}

/**
 * Each further statement of a figure that is said again at once, every note moved by the same number of letters, in the same rhythm. What lies in a
 * repeat is left to it; a line that goes on by one interval is no figure. Of figures that overlap the one that covers most is taken, then the shorter.
 */
export function sequencesOf(sounding: readonly SoundingEvent[], repeats: readonly Repeat[]): Repeat[] {
  const taken = new Uint8Array(sounding.length);
  for (const { from, length } of repeats) taken.fill(1, from, from + length);
  const steps = sounding.map(({ pitches }) => pitches.map(letterSteps));
  const figures: Figure[] = [];
  for (let length = FIGURE.least; length <= FIGURE.most; length++)
    for (let from = 0; from + 2 * length <= sounding.length; from++) {
      let times = 1;
      while (isMoved(sounding, steps, from + (times - 1) * length, from + times * length, length)) times++;
      if (times > 1 && !isRun(steps, from, times * length)) figures.push({ from, length, times });
      // What begins inside covers less.
      from += (times - 1) * length;
    }
  const covered = ({ length, times }: Figure) => length * times;
  figures.sort((a, b) => covered(b) - covered(a) || a.length - b.length || a.from - b.from);
  return figures.flatMap((figure) => {
    const { from, length, times } = figure;
    if (taken.subarray(from, from + covered(figure)).includes(1)) return [];
    taken.fill(1, from, from + covered(figure));
    return Array.from({ length: times - 1 }, (_, n) => ({ model: from, from: from + (n + 1) * length, length }));
  });
}

type Letters = readonly (readonly number[])[];

/** True where the events from `to` on say the figure from `from` on again, moved by one number of letters. */
function isMoved(
  sounding: readonly SoundingEvent[],
  steps: Letters,
  from: number,
  to: number,
  length: number,
): boolean {
  if (to + length > sounding.length) return false;
  const moved = steps[to][0] - steps[from][0];
  for (let i = 0; i < length; i++) {
    const [a, b] = [sounding[from + i], sounding[to + i]];
    if (a.beats !== b.beats || a.pitches.length !== b.pitches.length) return false;
    if (steps[from + i].some((step, voice) => steps[to + i][voice] - step !== moved)) return false;
    // Said at once: no rest inside the figures that the other has not.
    if (i > 0 && a.at - sounding[from + i - 1].at !== b.at - sounding[to + i - 1].at) return false;
  }
  return sounding[to].at === sounding[to - 1].at + 1;
}

/** True where every note lies the same number of letters above the one before. */
function isRun(steps: Letters, from: number, length: number): boolean {
  const first = steps[from + 1][0] - steps[from][0];
  for (let t = from + 1; t + 1 < from + length; t++) if (steps[t + 1][0] - steps[t][0] !== first) return false;
  return true;
}
