/*
 * Bars: where they begin and which one a note lies in. Bar lines that were written win; without any, bars are as long as the time signature says.
 * A beat is the lower number of the signature: in 6/8 six of them are a bar.
 */

export interface TimeSignature {
  /** Beats in a bar. */
  readonly beats: number;
  /** The note that is a beat: 4 a quarter, 8 an eighth. */
  readonly of: number;
}

export const COMMON_TIME = '4/4';

/** Reads "3/4". */
export function readTime(time: string = COMMON_TIME): TimeSignature {
  const [beats, of] = time.split('/').map(Number);
  return { beats, of };
}

/** Quarters of the group that is felt as a beat, and stands under one beam: a dotted quarter where eighths go by threes, else a quarter. */
export function beatGroup(time: string): number {
  const { beats, of } = readTime(time);
  return of >= 8 && beats % 3 === 0 ? 1.5 : 1;
}

/** What the bars of a line follow from: a note or a rest with its length in beats. */
export interface Barred {
  readonly time: string;
  /** Beats before the first bar. */
  readonly pickup: number;
  /** The number of the first whole bar in print; 1 where left out. */
  readonly firstBar?: number;
  readonly events: readonly { readonly beats: number; readonly bar?: true; readonly bars?: readonly number[] }[];
  /** Where the time changes. A beat stays the length it had at the beginning. */
  readonly changes?: readonly { readonly at: number; readonly time?: string }[];
}

export interface Bar {
  /** As in print, from 1 where nothing is said; the beats before the first bar are the bar before it. */
  readonly number: number;
  /** Where it begins and how long it is, in beats from the start of the line. */
  readonly start: number;
  readonly length: number;
  /** The signature in force. */
  readonly time: string;
}

/** Thirds and the like add up to a whole but for the last bits. */
const EXACT = 1e-6;

/** The start of every event, in beats, and at the end the length of the whole. */
export function onsetsOf(events: Barred['events']): Float64Array {
  const onsets = new Float64Array(events.length + 1);
  events.forEach(({ beats }, at) => {
    const end = onsets[at] + beats;
    const whole = Math.round(end);
    onsets[at + 1] = Math.abs(end - whole) < EXACT ? whole : end;
  });
  return onsets;
}

/** Every bar of a line, in order. */
export function barsOf(line: Barred, onsets = onsetsOf(line.events)): Bar[] {
  const { pickup, events, firstBar = 1 } = line;
  const end = onsets[events.length];
  const marks = events.flatMap(({ bar, bars = [] }, at) => [
    ...(bar && at > 0 ? [onsets[at]] : []),
    ...bars.map((inside) => onsets[at] + inside),
  ]);
  const times = timesOf(line, onsets);
  const starts = marks.length > 0 ? [0, ...marks] : regularStarts(times, pickup, end);
  const first = pickup > 0 ? firstBar - 1 : firstBar;
  let n = 0;
  return starts.map((start, at) => {
    while (n + 1 < times.length && times[n + 1].start < start + EXACT) n++;
    const { time, beats } = times[n];
    const next = starts[at + 1] ?? (marks.length > 0 ? end : Math.max(end, start + beats));
    return { number: first + at, start, length: next - start, time };
  });
}

interface TimeInForce {
  readonly start: number;
  readonly time: string;
  /** Beats in a bar, of the length that a beat has at the beginning. */
  readonly beats: number;
}

/** The signatures of a line with where each begins. */
function timesOf({ time, changes = [] }: Barred, onsets: Float64Array): TimeInForce[] {
  const { of } = readTime(time);
  const lengthOf = (signature: string) => {
    const bar = readTime(signature);
    return (bar.beats * of) / bar.of;
  };
  const others = changes.flatMap(({ at, time: other }) =>
    other === undefined || at >= onsets.length - 1 ? [] : [{ start: onsets[at], time: other, beats: lengthOf(other) }],
  );
  return [{ start: 0, time, beats: lengthOf(time) }, ...others];
}

/** Bars as long as their signature says; where the time changes a new one begins. */
function regularStarts(times: readonly TimeInForce[], pickup: number, end: number): number[] {
  const starts = [0];
  times.forEach(({ start: from, beats }, n) => {
    const until = times[n + 1]?.start ?? end;
    const first = n === 0 ? (pickup > 0 ? pickup : beats) : from;
    for (let start = first; start < until - EXACT; start += beats) starts.push(start);
  });
  return starts;
}

/** Where an event lies: its bar, and the beat in it, from 1. Both may be given as a fraction is: beat 2.5. */
export interface BarPlace {
  readonly bar: number;
  readonly beat: number;
  /** The note that is a beat, where it is no quarter. */
  readonly of?: number;
}

/** Says of each event where it lies. Worked out once for a line, for all that is told of it. */
export function placesIn(line: Barred): (at: number) => BarPlace {
  const onsets = onsetsOf(line.events);
  const bars = barsOf(line, onsets);
  const { of } = readTime(line.time);
  const places: BarPlace[] = [];
  let at = 0;
  bars.forEach(({ number, start, length, time }, n) => {
    const end = bars[n + 1]?.start ?? Infinity;
    const own = readTime(time);
    // A pickup lies at the end of a bar that has no beginning.
    const missing = n === 0 && line.pickup > 0 ? Math.max(0, own.beats - (length * own.of) / of) : 0;
    for (; at < line.events.length && onsets[at] < end - EXACT; at++)
      places.push({
        bar: number,
        beat: ((onsets[at] - start) * own.of) / of + missing + 1,
        ...(own.of === 4 ? {} : { of: own.of }),
      });
  });
  return (event) => places[event] ?? { bar: 1, beat: 1 };
}
