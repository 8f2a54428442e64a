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

/** What the bars of a line follow from; a note or a rest with its length in beats. */
export interface Barred {
  readonly time: string;
  /** Beats before the first bar. */
  readonly pickup: number;
  readonly events: readonly { readonly beats: number; readonly bar?: true }[];
}

export interface Bar {
  /** From 1; the beats before the first bar are bar 0. */
  readonly number: number;
  /** Where it begins and how long it is, in beats from the start of the line. */
  readonly start: number;
  readonly length: number;
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
export function barsOf({ time, pickup, events }: Barred, onsets = onsetsOf(events)): Bar[] {
  const end = onsets[events.length];
  const marks = events.flatMap(({ bar }, at) => (bar && at > 0 ? [onsets[at]] : []));
  const { beats } = readTime(time);
  const starts = marks.length > 0 ? [0, ...marks] : [0];
  if (marks.length === 0)
    for (let start = pickup > 0 ? pickup : beats; start < end - EXACT; start += beats) starts.push(start);
  const first = pickup > 0 ? 0 : 1;
  return starts.map((start, at) => ({
    number: first + at,
    start,
    length: (starts[at + 1] ?? (marks.length > 0 ? end : Math.max(end, start + beats))) - start,
  }));
}

/** Where an event lies: its bar, and the beat in it, from 1. Both may be given as a fraction is: beat 2.5. */
export interface BarPlace {
  readonly bar: number;
  readonly beat: number;
}

/** Says of each event where it lies. Worked out once for a line, for all that is told of it. */
export function placesIn(line: Barred): (at: number) => BarPlace {
  const onsets = onsetsOf(line.events);
  const bars = barsOf(line, onsets);
  const { beats } = readTime(line.time);
  const places: BarPlace[] = [];
  let at = 0;
  bars.forEach(({ number, start, length }, n) => {
    const end = bars[n + 1]?.start ?? Infinity;
    // A pickup lies at the end of a bar that has no beginning.
    const missing = number === 0 ? Math.max(0, beats - length) : 0;
    for (; at < line.events.length && onsets[at] < end - EXACT; at++)
      places.push({ bar: number, beat: onsets[at] - start + missing + 1 });
  });
  return (event) => places[event] ?? { bar: 1, beat: 1 };
}
