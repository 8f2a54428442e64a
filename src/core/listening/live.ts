import { centsOfFrames, dipsOf, gateOf, startFollowing, SOUNDS } from './align';
import { joinedBlocks } from './samples';
import type { Expected } from './expected';
import { median } from './middle';
import { pitchFrames } from './pitchFrames';
import { hearingOf } from './pitchSettings';

/*
 * Listening while somebody plays: blocks of samples in, where the player is out. What is told here is a guess for the eye; the report is made of the whole take.
 */

/** Where a player is. */
export interface LiveMoment {
  /** The event of the plan. */
  readonly at: number;
  /** Cents against its target over the last tenth of a second; left out where it does not sound, or is a double stop. */
  readonly cents?: number;
  /** Decibels, full scale 0. */
  readonly level: number;
  /** Seconds since anything sounded. */
  readonly silent: number;
  /** True once the last event has been reached. */
  readonly finished: boolean;
}

/** Frames that are read again before the new ones, so that the filter has run in. */
const MARGIN = 2;
/** A change of bow shows by what comes after it: so many seconds the place is held back. */
const HELD_BACK = 0.075;
/** Seconds over which the gate is found, and over which the needle stands. */
const GATE_SECONDS = 8;
const NEEDLE = 0.1;
/** Silence has no pitch, and is never so loud. */
const LEAST_LEVEL = -62;

/** @param rate samples a second @returns what takes the next block of one channel, and answers once something new is known */
export function startListening(expected: Expected, rate: number) {
  const { events } = expected;
  const settings = hearingOf(expected, rate);
  const held = Math.ceil(HELD_BACK / settings.hop);
  const kept = Math.ceil(GATE_SECONDS / settings.hop);
  const follower = startFollowing(events);
  /** Samples not yet done with, and how many came before them. */
  let samples = new Float32Array(0);
  let before = 0;
  let levels: number[] = [];
  let found: number[] = [];
  let done = 0;
  let followed = 0;
  let silent = 0;
  let finished = false;

  return (block: Float32Array): LiveMoment | undefined => {
    samples = joinedBlocks([samples, block]);
    const first = Math.max(0, done - MARGIN);
    const from = Math.max(0, Math.round(first * settings.hop * rate) - before);
    const frames = pitchFrames(samples.subarray(from), rate, settings);
    const fresh = first + frames.hertz.length - done;
    if (fresh <= 0) return undefined;
    for (let n = done - first; n < frames.hertz.length; n++) {
      levels.push(frames.level[n]);
      found.push(frames.hertz[n]);
    }
    done += fresh;
    const spent = Math.max(0, Math.round((done - MARGIN) * settings.hop * rate) - before);
    samples = samples.slice(Math.min(spent, samples.length));
    before += spent;
    const all = { ...frames, hertz: Float32Array.from(found), level: Float32Array.from(levels) };
    const gate = Math.max(LEAST_LEVEL, gateOf(all));
    const cents = centsOfFrames(all, gate);
    const dips = dipsOf(all);
    // Followed up to a little behind what is heard.
    for (let n = followed; n < cents.length - held; n++) {
      follower.step(cents[n], dips[n]);
      silent = Number.isNaN(cents[n]) ? silent + settings.hop : 0;
    }
    followed = Math.max(followed, cents.length - held);
    const extra = Math.max(0, levels.length - kept);
    levels = levels.slice(extra);
    found = found.slice(extra);
    followed = Math.max(0, followed - extra);
    const event = events[follower.at()];
    const sounds = follower.state() === SOUNDS && silent === 0;
    finished ||= sounds && event === events[events.length - 1];
    const now = sounds && event.stops.length === 1 ? needle(cents, event.stops[0], settings.hop) : undefined;
    return {
      at: event.at,
      ...(now === undefined ? {} : { cents: now }),
      level: levels[levels.length - 1],
      silent,
      finished,
    };
  };
}

function needle(cents: Float32Array, stop: { readonly midi: number; readonly cents: number }, hop: number) {
  const last = Array.from(cents.subarray(-Math.round(NEEDLE / hop))).filter((one) => !Number.isNaN(one));
  if (last.length < 5) return undefined;
  const away = last.map((one) => {
    const off = one - 100 * stop.midi - stop.cents;
    return off - 1200 * Math.round(off / 1200);
  });
  const middle = median(away);
  return Math.abs(middle) < 150 ? middle : undefined;
}
