import { AGAIN, aligned, centsOfFrames, EXTRA, gateOf, SOUNDS, WRONG, type Segment } from './align';
import type { ExpectedEvent } from './expected';
import { median, middleOf, type Middle } from './middle';
import type { Frames } from './pitchFrames';
import type { Sounding } from './stopsHeard';

/*
 * From frames to notes: what was played of the plan, in passes, each note with its middle.
 */

/** One note of the take. */
export interface HeardNote {
  /** Of the expected events. */
  readonly event: number;
  readonly start: number;
  readonly end: number;
  readonly wrong: boolean;
  /** Cents of its middle above the target of the lowest stop, A at 440 Hz; folded to the nearest octave. */
  readonly cents: number;
  readonly middle: Middle;
  /** The first settled moment, vibrato taken out; left out where the note is too short. */
  readonly landing?: number;
  /** True where it was slid into its place. */
  readonly slid: boolean;
  /** True of a double stop: its tones are measured by themselves. */
  readonly several: boolean;
  /** True where most of it sounded an octave or two off. */
  readonly folded: boolean;
}

export interface ExtraNote {
  readonly start: number;
  readonly end: number;
  /** With its part of a semitone. */
  readonly midi: number;
  /** The event after which it stood. */
  readonly after: number;
}

export interface TakeNotes {
  readonly passes: readonly (readonly HeardNote[])[];
  readonly extra: readonly ExtraNote[];
  /** Share of the sounding time that the plan explains. */
  readonly explained: number;
}

/** A shorter stretch is no note, in seconds. */
const LEAST_NOTE = 0.07;
/** Of a note at both ends so much is left out: half a window, and never more than a fifth. */
const MOST_TRIMMED = 0.2;
/** Decibels under the note's own level. */
const DIED_AWAY = 10;
/** Frames running within so many cents of the note's own median: from there on it has settled. */
const SETTLED = 60;
const SETTLED_FRAMES = 3;
/** Seconds of a landing, and of the shortest note that has one. */
const LANDING = 0.1;
const LANDING_NOTE = 0.4;
/** Notes long enough to learn the rate of the vibrato from, in seconds. */
const LONG = 0.35;
/** A pass has so many notes at least; less was a ringing string. */
const LEAST_PASS = 3;
/** What lies this far beside its place as it lands was not landed on. */
const SLID = 12;

/** The notes of a take. @param a cents by which the player's A is off from 440 Hz */
export function takeNotes(
  events: readonly ExpectedEvent[],
  frames: Frames,
  window: number,
  a = 0,
  sounding?: Sounding,
): TakeNotes {
  const segments = joined(aligned(events, frames, a, sounding), events, frames.hop);
  const gate = gateOf(frames);
  const cents = centsOfFrames(frames, gate);
  const seconds = (n: number) => frames.start + n * frames.hop;
  const rough = segments.filter(
    ({ state, from, to }) => (state === SOUNDS || state === WRONG) && (to - from + 1) * frames.hop >= LEAST_NOTE,
  );
  const tracks = rough.map((segment) => trackOf(segment, events, cents, frames, window));
  const rates = tracks.flatMap((track) => {
    const long = (track.times[track.times.length - 1] ?? 0) - (track.times[0] ?? 0) >= LONG;
    const found = long ? middleOf(track) : null;
    return found && found.hz > 0 ? [found.hz] : [];
  });
  const hz = rates.length >= 2 ? median(rates) : undefined;
  const notes = rough.flatMap((segment, n): HeardNote[] => {
    const track = tracks[n];
    if (track.times.length < 3 && events[segment.event].stops.length === 1) return [];
    const middle = middleOf(track, hz);
    const [start, end] = [seconds(segment.from), seconds(segment.to + 1)];
    const landing = end - start >= LANDING_NOTE ? landingOf(track, middle) : undefined;
    return [
      {
        event: segment.event,
        start,
        end,
        wrong: segment.state === WRONG,
        cents: middle.cents,
        middle,
        ...(landing === undefined ? {} : { landing }),
        slid: landing !== undefined && Math.abs(landing - middle.cents) >= SLID,
        several: events[segment.event].stops.length > 1,
        folded: track.folded > track.times.length / 2,
      },
    ];
  });
  const passes = passesOf(notes);
  const extra = segments
    .filter(({ state, from, to }) => (state === EXTRA || state === AGAIN) && (to - from + 1) * frames.hop >= LEAST_NOTE)
    .map((segment): ExtraNote => {
      const own = Array.from(cents.subarray(segment.from, segment.to + 1)).filter((one) => !Number.isNaN(one));
      return {
        start: seconds(segment.from),
        end: seconds(segment.to + 1),
        midi: median(own) / 100,
        after: events[segment.event].at,
      };
    });
  const voiced = cents.reduce((sum, one) => sum + (Number.isNaN(one) ? 0 : 1), 0);
  const told = passes.flat().filter(({ wrong }) => !wrong);
  const explained = told.reduce((sum, { start, end }) => sum + (end - start) / frames.hop, 0);
  return { passes, extra, explained: voiced > 0 ? Math.min(1, explained / voiced) : 0 };
}

/** A piece of a note once more that is much shorter than the note was a tremble of the bow, and no note. */
function joined(segments: readonly Segment[], events: readonly ExpectedEvent[], hop: number): Segment[] {
  const all: Segment[] = [];
  for (const segment of segments) {
    const last = all[all.length - 1];
    const isShort = ({ from, to, event }: Segment) => (to - from + 1) * hop < WHOLE_NOTE * events[event].seconds;
    const same = last && last.event === segment.event && last.state === SOUNDS;
    if (same && segment.state === AGAIN && (isShort(segment) || isShort(last)))
      all[all.length - 1] = { ...last, to: segment.to };
    else all.push(segment);
  }
  return all;
}

/** Less of a note's own time than this is none. */
const WHOLE_NOTE = 0.4;

/** A note's pitch against its target, octaves folded, from where it has settled. */
function trackOf(
  { event, from, to, state }: Segment,
  events: readonly ExpectedEvent[],
  cents: Float32Array,
  { hop, level }: Frames,
  window: number,
): { readonly times: number[]; readonly cents: number[]; readonly folded: number } {
  const stops = events[event].stops.map(({ midi, cents: own }) => 100 * midi + own);
  const frames = to - from + 1;
  const trim = Math.floor(Math.min(window / 2 / hop, MOST_TRIMMED * frames));
  const times: number[] = [];
  const found: number[] = [];
  // What has died away is the room, and no longer the finger.
  const quiet = median(Array.from(level.subarray(from, to + 1))) - DIED_AWAY;
  let folded = 0;
  for (let n = from + trim; n <= to - trim; n++) {
    if (Number.isNaN(cents[n]) || level[n] < quiet) continue;
    const away = nearest(cents[n], stops, state === WRONG);
    times.push((n - from) * hop);
    found.push(away);
    if (stops.length === 1 && Math.abs(cents[n] - stops[0]) > 600) folded++;
  }
  const around = median(found);
  let settled = 0;
  for (let n = 0; n + SETTLED_FRAMES <= found.length; n++) {
    if (found.slice(n, n + SETTLED_FRAMES).every((one) => Math.abs(one - around) <= SETTLED)) {
      settled = n;
      break;
    }
  }
  return { times: times.slice(settled), cents: found.slice(settled), folded };
}

function nearest(cents: number, stops: readonly number[], wrong: boolean): number {
  let best = Infinity;
  for (const stop of stops) {
    const away = cents - stop;
    const own = wrong ? away : away - 1200 * Math.round(away / 1200);
    if (Math.abs(own) < Math.abs(best)) best = own;
  }
  return best;
}

/** The first tenth of a second, the vibrato taken out. */
function landingOf({ times }: { readonly times: readonly number[] }, { rest }: Middle): number | undefined {
  const [first] = times;
  const own = rest.filter((_, n) => times[n] <= first + LANDING);
  return own.length >= 3 ? median(own) : undefined;
}

/** Notes in passes: a new one begins where the player goes back. */
function passesOf(notes: readonly HeardNote[]): HeardNote[][] {
  const passes: HeardNote[][] = [];
  for (const note of notes) {
    const pass = passes[passes.length - 1];
    const last = pass?.[pass.length - 1];
    if (last && note.event > last.event) pass.push(note);
    else if (last && note.event === last.event) {
      // The same note in two pieces: the longer one stands.
      if (note.end - note.start > last.end - last.start) pass[pass.length - 1] = note;
    } else passes.push([note]);
  }
  return passes.filter((pass) => pass.length >= Math.min(LEAST_PASS, notes.length));
}
