import type { SignatureChange, WrittenBar, WrittenNote } from '../../core';
import { KEY_SIGN, TIME, signatureChangeWidth } from '../signatureWidths';
import { glyphWidth } from './words';

/*
 * Where notes stand in a line of music: each bar has its least width, and what it would have in peace; lines are broken so that all are about equally full. Lengths in
 * staff spaces.
 */

/** A line of notes of one player, as far as spacing sees it. */
export interface Spaced {
  readonly bars: readonly WrittenBar[];
  /** More room before an event than its own signs take: for a guide note. */
  readonly before: ReadonlyMap<number, number>;
}

/** A moment at which notes begin, in all parts together. */
interface Column {
  /** In quarters from the bar's beginning. */
  readonly start: number;
  /** Room that signs take before the heads, and after them. */
  readonly left: number;
  readonly right: number;
  /** What it would have until the next in peace. */
  readonly room: number;
}

export interface BarSpace {
  readonly columns: readonly Column[];
  /** Room at the beginning for a change of key or time. */
  readonly head: number;
  readonly least: number;
  readonly natural: number;
}

const PAD = 1.1;
const QUARTER = 3.7;
/** How much longer notes are given more room than shorter ones. */
const GROWTH = 0.5;
const LEAST_GAP = 0.45;
const CLEF_CHANGE = 2.6;

/** Room of a key signature. */
export const keyWidth = (fifths: number) => (fifths === 0 ? 0 : Math.abs(fifths) * KEY_SIGN + 0.5);

/** What is written anew at the beginning of a bar. */
export function signatureChangeOf(bar: WrittenBar, last: WrittenBar): SignatureChange {
  return {
    ...(bar.newKey && { signature: { fifths: bar.fifths, before: last.fifths } }),
    ...(bar.newTime && { time: bar.time }),
  };
}

/** Room at the beginning of a line: clef, signature, and the time where it is shown. */
export function headWidthOf(fifths: number, timed: boolean): number {
  return 3.9 + keyWidth(fifths) + (timed ? TIME : 0);
}

/** @param clefBefore the clef in force at the beginning of each part */
export function barSpaces(parts: readonly Spaced[]): BarSpace[] {
  const [first] = parts;
  return first.bars.map((bar, n) => {
    const moments = new Map<number, { left: number; right: number }>();
    for (const { bars, before } of parts) {
      const own = bars[n];
      own?.notes.forEach((note, at) => {
        const key = Math.round(note.start * 5040) / 5040;
        const known = moments.get(key) ?? { left: 0, right: 0 };
        const previous = own.notes[at - 1] ?? bars[n - 1]?.notes.at(-1);
        const clef = previous && previous.clef !== note.clef ? CLEF_CHANGE : 0;
        const guide = note.first ? (before.get(note.at) ?? 0) : 0;
        moments.set(key, {
          left: Math.max(known.left, signsWidth(note) + clef + guide),
          right: Math.max(known.right, headsWidth(note)),
        });
      });
    }
    const starts = [...moments.keys()].sort((a, b) => a - b);
    const columns = starts.map((start, at): Column => {
      const { left, right } = moments.get(start) as { left: number; right: number };
      const length = Math.max((starts[at + 1] ?? bar.length) - start, 1 / 64);
      return { start, left, right, room: Math.max(QUARTER * length ** GROWTH, right + LEAST_GAP) };
    });
    const head = n === 0 ? 0 : signatureChangeWidth(signatureChangeOf(bar, first.bars[n - 1]));
    const lefts = columns.reduce((sum, { left }) => sum + left, 0);
    const least = head + PAD + lefts + columns.reduce((sum, { right }) => sum + right + LEAST_GAP, 0);
    const natural = head + PAD + lefts + columns.reduce((sum, { room }) => sum + room, 0);
    return { columns, head, least: Math.max(3, least), natural: Math.max(4, natural, least) };
  });
}

/** Accidentals, the widest column of them. */
function signsWidth({ signs }: WrittenNote): number {
  const count = signs.filter((sign) => sign !== null).length;
  const wide = signs.some((sign) => sign === 'bb') ? 1.7 : 1.05;
  return count === 0 ? 0 : count === 1 ? wide + 0.2 : wide * 2 + 0.3;
}

function headsWidth({ value, pitches, beams }: WrittenNote): number {
  const head = value.of === 1 ? glyphWidth('noteheadWhole') : 1.2;
  const flag = value.of >= 8 && beams.length === 0 && pitches.length > 0 ? 0.8 : 0;
  return head + value.dots * 0.6 + flag;
}

/** Bars first to last (exclusive) on one line. */
export interface LineOfBars {
  readonly first: number;
  readonly last: number;
}

/** A line may be this much tighter than in peace before its notes crowd, and wider before it looks empty. */
const TIGHTEST = 0.74;
const WIDEST = 1.35;

/**
 * Breaks music into lines that are about equally full; the last is no lonely bar where that can be helped.
 * @param width @param heads room of a line, and what its beginning takes, by the bar it begins with
 */
export function lineBreaksFor(bars: readonly BarSpace[], width: number, heads: (bar: number) => number): LineOfBars[] {
  const best: number[] = [0];
  const cameFrom: number[] = [0];
  for (let last = 1; last <= bars.length; last++) {
    best[last] = Infinity;
    let natural = 0;
    let least = 0;
    for (let first = last - 1; first >= 0; first--) {
      natural += bars[first].natural;
      least += bars[first].least;
      const room = width - heads(first);
      if (first < last - 1 && (least > room || natural * TIGHTEST > room)) break;
      const badness = badnessOf(room / natural, last === bars.length) + lonely(first, last, bars.length);
      if (best[first] + badness < best[last]) {
        best[last] = best[first] + badness;
        cameFrom[last] = first;
      }
    }
  }
  const lines: LineOfBars[] = [];
  for (let last = bars.length; last > 0; last = cameFrom[last]) lines.unshift({ first: cameFrom[last], last });
  return lines;
}

function badnessOf(stretch: number, isLast: boolean): number {
  // The last line ends where its music ends; how much of it stays empty counts little.
  if (isLast && stretch > 1) return Math.min(1.5, (stretch - 1) * 0.35);
  const off = Math.log(stretch);
  return 0.15 + off * off * (stretch > 1 ? 9 : 14) + (stretch > WIDEST ? 2 : 0);
}

function lonely(first: number, last: number, count: number): number {
  return last === count && last - first === 1 && first > 0 ? 1.2 : 0;
}

/** How wide a line of music is drawn: stretched to the edge, but the last no further than it would look empty. */
export function lineWidth(natural: number, room: number, isLast: boolean): number {
  return isLast && room > natural * WIDEST ? natural * 1.12 : room;
}

/** The place of each column in its bar, from the bar's left edge, and the bar's width, where a line is stretched by a factor. */
export function placesInBar({ columns, head, natural }: BarSpace, width: number): number[] {
  const fixed = head + PAD + columns.reduce((sum, { left }) => sum + left, 0);
  const loose = natural - fixed;
  const factor = loose > 0 ? Math.max(0.2, (width - fixed) / loose) : 1;
  let x = head + PAD;
  return columns.map(({ left, room }) => {
    x += left;
    const at = x;
    x += room * factor;
    return at;
  });
}

/** Bars that are wider than a line are parted, after notes; the parts after the first have no bar line before them. */
export function parted(bars: readonly WrittenBar[], most: number): WrittenBar[] {
  return bars.flatMap((bar) => {
    const [{ least }] = barSpaces([{ bars: [bar], before: new Map() }]);
    if (least <= most || bar.notes.length < 2) return [bar];
    const pieces = Math.ceil(least / (most * 0.8));
    const size = Math.ceil(bar.notes.length / pieces);
    return Array.from({ length: Math.ceil(bar.notes.length / size) }, (_, n): WrittenBar => {
      const notes = bar.notes.slice(n * size, (n + 1) * size);
      const from = notes[0].start;
      const end = bar.notes[(n + 1) * size]?.start ?? bar.length;
      return {
        ...bar,
        ...(n > 0 ? { number: -1, newKey: false, newTime: false } : {}),
        start: bar.start + from,
        length: end - from,
        notes: notes.map((note) => ({ ...note, start: note.start - from })),
      };
    });
  });
}
