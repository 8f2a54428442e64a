import { centsOfHertz } from './hertz';
import type { ExpectedEvent } from './expected';
import type { Frames } from './pitchFrames';
import type { Sounding } from './stopsHeard';
import { togetherCosts } from './together';

/*
 * Where the player is: frame by frame, by dynamic programming over the plan. Of every event there are five states: it sounds, it sounds wrong, silence or a slide
 * after it, a note that is not in the plan, and the same note once more. Costs are in the unit of a frame that is a little off.
 */

export const SOUNDS = 0;
export const WRONG = 1;
const GAP = 2;
export const EXTRA = 3;
export const AGAIN = 4;
const STATES = 5;

/** A stretch of frames in one state of one event. */
export interface Segment {
  readonly event: number;
  readonly state: number;
  /** First and last frame. */
  readonly from: number;
  readonly to: number;
}

/** A pitch off by so much, in cents, costs one; further off never more than so much. */
const SPREAD = 38;
const MOST_OFF = 4;
const OCTAVE_OFF = 1.2;
/** Frames without a pitch in a note, and frames with one in a gap. */
const UNVOICED = 1;
const VOICED_GAP = 1.9;
const WRONG_FRAME = 1.5;

/** What a step from state to state costs. */
const PRICES = {
  next: 0.5,
  skip: 9,
  wrong: 5,
  extra: 8,
  again: 6,
  restart: 13,
  elsewhere: 4,
  withoutGap: 9,
  gap: 0.6,
  /** On with a note over a change of bow. */
  over: 6.8,
  /** On to a note of the same pitch without any dip. */
  samePitch: 7,
} as const;
/** Notes that can be left out in one go. */
const MOST_SKIPPED = 3;

/** The pitch of a frame in cents above MIDI 0; NaN where there is none. */
export function centsOfFrames({ hertz, level }: Frames, gate: number): Float32Array {
  return hertz.map((one, n) => (one > 0 && level[n] >= gate ? centsOfHertz(one) : NaN));
}

/** Levels below it are silence: over the noise, well under what is loud, and never so low that noise is played. */
export function gateOf({ level }: Frames): number {
  if (level.length === 0) return 0;
  const sorted = level.slice().sort();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
  const [floor, loud] = [at(0.05), at(0.9)];
  return Math.max(loud - 28, Math.min(floor + 4, loud - 13));
}

/** Frames where the level is lower than shortly before and after, a change of bow: 2 at the lowest, 1 just beside it. */
export function dipsOf({ level, hop }: Frames): Uint8Array {
  const around = Math.round(0.07 / hop);
  const dips = new Uint8Array(level.length);
  for (let n = 1; n + 1 < level.length; n++) {
    if (level[n] > level[n - 1] || level[n] > level[n + 1]) continue;
    let [before, after] = [-Infinity, -Infinity];
    for (let k = 1; k <= around; k++) {
      before = Math.max(before, level[n - k] ?? -Infinity);
      after = Math.max(after, level[n + k] ?? -Infinity);
    }
    if (before - level[n] >= DIP && after - level[n] >= DIP) dips[n] = 1;
  }
  // The step may come a frame early or late.
  const wide = dips.map((one) => 2 * one);
  for (let n = 0; n < dips.length; n++)
    if (dips[n])
      for (let k = -BESIDE; k <= BESIDE; k++)
        if (n + k >= 0 && n + k < dips.length) wide[n + k] = Math.max(1, wide[n + k]);
  return wide;
}

const DIP = 3;
/** Frames beside a dip in which the next note may begin. */
const BESIDE = 2;

/** The lowest note of an event is what is followed, as cents above MIDI 0; of a double stop whichever is nearer. */
function offOf(cents: number, pitches: readonly number[]): number {
  let best = Infinity;
  for (const pitch of pitches) {
    const away = Math.abs(cents - pitch);
    const folded = Math.abs(away - 1200 * Math.round(away / 1200));
    const own = Math.min(costOf(away), costOf(folded) + OCTAVE_OFF);
    if (own < best) best = own;
  }
  return best;
}

const costOf = (away: number) => Math.min(MOST_OFF, (away * away) / (2 * SPREAD * SPREAD));

/** The path of a take through a plan. @param a cents by which the player's A is off from 440 Hz */
export function aligned(events: readonly ExpectedEvent[], frames: Frames, a = 0, sounding?: Sounding): Segment[] {
  const together = sounding && togetherCosts(events, sounding, a);
  const follower = startFollowing(events, a);
  const gate = gateOf(frames);
  const cents = centsOfFrames(frames, gate);
  const dips = dipsOf(frames);
  const count = cents.length;
  const width = events.length * STATES;
  const back = new Uint8Array(count * width);
  const gaps = new Int32Array(count);
  const anywhere = new Int32Array(count);
  for (let n = 0; n < count; n++) {
    const costs = together && frames.level[n] >= gate ? together(frames.start + n * frames.hop) : undefined;
    follower.step(cents[n], dips[n], back.subarray(n * width, (n + 1) * width), costs);
    [gaps[n], anywhere[n]] = follower.restarts();
  }
  // The take may end anywhere.
  let state = follower.best();
  const path = new Int32Array(count);
  for (let n = count - 1; n >= 0; n--) {
    path[n] = state;
    const code = back[n * width + state];
    if (code === FROM_GAP) state = gaps[n];
    else if (code === FROM_ANYWHERE) state = anywhere[n];
    else state = Math.floor(state / STATES) * STATES + STATES - 1 - code;
  }
  const segments: Segment[] = [];
  for (let n = 0; n < count; n++) {
    const [event, kind] = [Math.floor(path[n] / STATES), path[n] % STATES];
    const last = segments[segments.length - 1];
    if (last && last.event === event && last.state === kind) segments[segments.length - 1] = { ...last, to: n };
    else segments.push({ event, state: kind, from: n, to: n });
  }
  return segments;
}

/** What a state came from, in one byte: so many states back from the last of its event, or one of the two that one begins again from. */
const FROM_GAP = STATES * (MOST_SKIPPED + 2);
const FROM_ANYWHERE = FROM_GAP + 1;

function codeOf(by: number, own: number, gap: number): number {
  const backwards = own + STATES - 1 - by;
  if (backwards >= 0 && backwards < FROM_GAP) return backwards;
  return by === gap ? FROM_GAP : FROM_ANYWHERE;
}

/** Two tones together repeat as often as a tone below both: a third or a fifth of the lower one, where it is no octave. */
const TOGETHER = [3, 5].map((part) => 1200 * Math.log2(part));

/** What may be heard of an event: its tones, and of several what they have in common. */
const followed = (pitches: readonly number[]): readonly number[] =>
  pitches.length === 1 ? pitches : [...pitches, ...TOGETHER.map((below) => pitches[0] - below)];

/** Follows a player live: where it is after each frame, without looking ahead. */
export function startFollowing(events: readonly ExpectedEvent[], a = 0) {
  const count = events.length;
  const pitches = events.map(({ stops }) => followed(stops.map((stop) => 100 * stop.midi + stop.cents + a)));
  const alike = events.map((_, i) => i > 0 && pitches[i][0] === pitches[i - 1][0]);
  const width = count * STATES;
  let costs = new Float64Array(width).fill(Infinity);
  let next = new Float64Array(width);
  let begun = false;
  let [bestGap, bestAny] = [0, 0];
  const off = new Float64Array(count);
  const step = (cents: number, dip: number, back?: Uint8Array, together?: readonly (number | undefined)[]) => {
    // Two tones sound also where no one pitch is heard.
    const voiced = !Number.isNaN(cents) || together !== undefined;
    for (let i = 0; i < count; i++) off[i] = together?.[i] ?? (voiced ? offOf(cents, pitches[i]) : UNVOICED);
    const wrongFrame = voiced ? WRONG_FRAME : UNVOICED + 0.2;
    const gapFrame = voiced ? VOICED_GAP : 0.05;
    if (!begun) {
      begun = true;
      for (let i = 0; i < count; i++) {
        const start = i === 0 ? 0 : PRICES.skip + PRICES.elsewhere;
        costs[i * STATES + SOUNDS] = voiced ? start + off[i] : Infinity;
        costs[i * STATES + WRONG] = voiced ? start + PRICES.wrong + wrongFrame : Infinity;
        // Silence before the first note stands as a gap of the event before it.
        costs[i * STATES + GAP] = i === count - 1 ? gapFrame : Infinity;
        costs[i * STATES + EXTRA] = Infinity;
        costs[i * STATES + AGAIN] = Infinity;
      }
      // Nothing came before the first frame.
      back?.forEach((_, at) => (back[at] = STATES - 1 - (at % STATES)));
      return;
    }
    let [bestGapCost, bestAnyCost] = [Infinity, Infinity];
    [bestGap, bestAny] = [0, 0];
    for (let i = 0; i < count; i++) {
      const gap = costs[i * STATES + GAP];
      if (gap < bestGapCost) [bestGap, bestGapCost] = [i * STATES + GAP, gap];
      for (const kind of [SOUNDS, AGAIN, EXTRA]) {
        const cost = costs[i * STATES + kind];
        if (cost < bestAnyCost) [bestAny, bestAnyCost] = [i * STATES + kind, cost];
      }
    }
    for (let i = 0; i < count; i++) {
      const own = i * STATES;
      // Into the note: from itself, from the one before, past some that were left out, or by beginning again.
      let from = own + SOUNDS;
      // One note has no change of bow within it.
      let cost = costs[from] + (dip > 1 ? PRICES.over : 0);
      let by = own + SOUNDS;
      const consider = (state: number, price: number) => {
        const one = costs[state] + price;
        if (one < cost) [cost, by] = [one, state];
      };
      consider(own + WRONG, PRICES.next + 1);
      consider(own + GAP, PRICES.extra);
      for (let skipped = 0; skipped <= MOST_SKIPPED; skipped++) {
        const j = i - 1 - skipped;
        if (j < 0) break;
        const price = PRICES.next + skipped * PRICES.skip;
        const same = skipped === 0 && alike[i] ? (dip > 0 ? 0 : PRICES.samePitch) : price;
        consider(j * STATES + SOUNDS, same);
        consider(j * STATES + AGAIN, same);
        consider(j * STATES + WRONG, price);
        consider(j * STATES + GAP, price - PRICES.next);
        consider(j * STATES + EXTRA, price);
      }
      const elsewhere = PRICES.restart + (i === 0 ? 0 : PRICES.elsewhere);
      consider(bestGap, elsewhere);
      consider(bestAny, elsewhere + PRICES.withoutGap);
      next[own + SOUNDS] = cost + off[i];
      if (back) back[own + SOUNDS] = codeOf(by, own, bestGap);
      // A wrong note in its place.
      from = own + WRONG;
      cost = costs[from];
      by = from;
      if (i > 0) {
        consider(own - STATES + SOUNDS, PRICES.wrong);
        consider(own - STATES + GAP, PRICES.wrong);
        consider(own - STATES + WRONG, PRICES.wrong);
        consider(own - STATES + AGAIN, PRICES.wrong);
      }
      next[own + WRONG] = cost + wrongFrame;
      if (back) back[own + WRONG] = codeOf(by, own, bestGap);
      // Silence, or a slide, after it.
      from = own + GAP;
      cost = costs[from];
      by = from;
      consider(own + SOUNDS, PRICES.gap);
      consider(own + AGAIN, PRICES.gap);
      consider(own + WRONG, PRICES.gap);
      consider(own + EXTRA, PRICES.gap);
      next[own + GAP] = cost + gapFrame;
      if (back) back[own + GAP] = codeOf(by, own, bestGap);
      // A note that is not in the plan.
      from = own + EXTRA;
      cost = costs[from];
      by = from;
      consider(own + SOUNDS, PRICES.extra);
      consider(own + GAP, PRICES.extra);
      next[own + EXTRA] = cost + wrongFrame;
      if (back) back[own + EXTRA] = codeOf(by, own, bestGap);
      // The same once more, after a change of bow.
      from = own + AGAIN;
      cost = costs[from] + (dip > 1 ? PRICES.over : 0);
      by = from;
      if (dip > 0) consider(own + SOUNDS, PRICES.again);
      consider(own + GAP, PRICES.again + PRICES.next);
      next[own + AGAIN] = cost + off[i];
      if (back) back[own + AGAIN] = codeOf(by, own, bestGap);
    }
    [costs, next] = [next, costs];
    // Costs only grow: what all have in common is taken away now and then.
    const least = costs[best()];
    if (least > 1e6) for (let n = 0; n < width; n++) costs[n] -= least;
  };
  const best = () => {
    let at = 0;
    for (let n = 1; n < width; n++) if (costs[n] < costs[at]) at = n;
    return at;
  };
  return {
    step,
    best,
    /** Where one would begin again from, at the frame that was last. */
    restarts: (): [gap: number, anywhere: number] => [bestGap, bestAny],
    /** The event at which the player is. */
    at: () => Math.floor(best() / STATES),
    /** Whether it sounds, and in which state. */
    state: () => best() % STATES,
  };
}
