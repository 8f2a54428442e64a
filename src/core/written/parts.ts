import { barsOf, onsetsOf, readTime, type Bar } from '../material/bars';
import { keysAt } from '../material/keys';
import type { PlanResponse } from '../vocabulary';
import { writtenFifths } from './signature';

/*
 * Events as the bars part them: a note that is held over a bar line is written as two, tied.
 */

/** The notes with their signature and bars; of an answer, or of a few notes by themselves. */
export type WritableMusic = Pick<PlanResponse, 'events' | 'key' | 'time' | 'pickup' | 'firstBar' | 'changes'>;

/** A stretch of an event that lies within one bar. */
export interface Part {
  readonly quarters: number;
  /** In quarters from its bar's beginning. */
  readonly start: number;
  /** The bar that begins with it. */
  readonly bar: Bar | null;
  /** Time signature in force. */
  readonly time: string;
}

const EXACT = 1e-6;

/**
 * For each event its parts.
 * @param barred false for a few notes that are no bars: each has one part then
 */
export function partsOf({ music, barred }: { readonly music: WritableMusic; readonly barred: boolean }): Part[][] {
  const { of } = readTime(music.time);
  const quarters = (beats: number) => (beats * 4) / of;
  const onsets = onsetsOf(music.events);
  if (!barred)
    return music.events.map(({ beats }, at) => [
      { quarters: quarters(beats), start: quarters(onsets[at]), bar: null, time: music.time },
    ]);
  const bars = barsOf(music, onsets);
  let next = 0;
  let within: Bar | null = null;
  return music.events.map((_, at) => {
    const end = onsets[at + 1];
    const parts: Part[] = [];
    let from = onsets[at];
    let bar: Bar | null = null;
    const put = (until: number) =>
      parts.push({
        quarters: quarters(until - from),
        start: quarters(from - (within?.start ?? 0)),
        bar,
        time: within?.time ?? music.time,
      });
    while (next < bars.length && bars[next].start < end - EXACT) {
      const begins = bars[next];
      if (begins.start > from + EXACT) {
        put(begins.start);
        from = begins.start;
      }
      bar = begins;
      within = begins;
      next++;
    }
    put(end);
    return parts;
  });
}

/** Events at whose beginning a bar begins: there a line of music may break. */
export function barStarts(parts: readonly (readonly Part[])[]): ReadonlySet<number> {
  return new Set(parts.flatMap(([first], at) => (first.bar ? [at] : [])));
}

/** What is written anew before an event, where a bar begins or the key changes with it. */
export interface SignatureChange {
  /** The signature, and the one that it follows: where no sign is left, that one is taken back. */
  readonly signature?: { readonly fifths: number; readonly before: number };
  readonly time?: string;
}

/** Where signature or time change, by event; never at the first, which has both anyway. */
export function signatureChangesIn(
  music: WritableMusic,
  parts: readonly (readonly Part[])[],
): ReadonlyMap<number, SignatureChange> {
  const turns = new Map<number, SignatureChange>();
  if (!music.changes?.length) return turns;
  const keyAt = keysAt(music);
  const fifthsAt = (at: number) => writtenFifths(keyAt(at).fifths);
  for (let at = 1; at < parts.length; at++) {
    const [fifths, before] = [fifthsAt(at), fifthsAt(at - 1)];
    const [{ time, bar }] = parts[at];
    const turn: SignatureChange = {
      ...(fifths !== before && { signature: { fifths, before } }),
      ...(bar && time !== parts[at - 1][parts[at - 1].length - 1].time && { time }),
    };
    if (turn.signature || turn.time) turns.set(at, turn);
  }
  return turns;
}
