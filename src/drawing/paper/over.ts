import type { Pitch } from '../../core';
import { line, type Ink } from './ink';
import { glyphOf, textWidth, words } from './words';
import type { Desk, SetNote } from './notes';
import * as drawingsText from '../../wording/rooms/drawings';

/*
 * What is written over and under a staff: fingers, bows, strings, positions, ringing notes, checks and names.
 */

/** Events from one to another, both in it, and what is written over them. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Where there is no room for it. */
  readonly short?: string;
}

/** What is to be written, by event. */
export interface Over {
  /** Fingers low to high; "T" is the thumb. */
  readonly fingers: ReadonlyMap<number, readonly string[]>;
  readonly strings: readonly Stretch[];
  readonly positions: readonly Stretch[];
  /** The guide note on the way to an event. */
  readonly guides: ReadonlyMap<number, Pitch>;
  readonly extensions: ReadonlySet<number>;
  readonly rings: ReadonlySet<number>;
  readonly checks: ReadonlySet<number>;
  /** Under each note, where names are asked for. */
  readonly names: ReadonlyMap<number, string>;
  /** Places that are worked at by themselves, each with its letter or number. */
  readonly marked: readonly Stretch[];
  /** Height of a finger in staff spaces. */
  readonly fingerSize: number;
}

export const NOTHING_OVER: Over = {
  fingers: new Map(),
  strings: [],
  positions: [],
  guides: new Map(),
  extensions: new Set(),
  rings: new Set(),
  checks: new Set(),
  names: new Map(),
  marked: [],
  fingerSize: 2,
};

const CAP = 0.7;
const GAP = 0.5;

/** Fingers over each note, the bow over them. */
export function writeFingers({ inks, sky }: Desk, over: Over, sets: readonly SetNote[]) {
  const { fingerSize: size } = over;
  for (const { note, x, width } of sets) {
    if (!note.first) continue;
    const middle = x + width / 2;
    const [from, to] = [middle - 0.7, middle + 0.7];
    let y = Math.min(sky.top(from, to), -0.3) - GAP;
    for (const finger of over.fingers.get(note.at) ?? []) {
      y -= writeFinger(inks, finger, middle, y, size) + 0.28;
      sky.put(from, to, y + 0.28, 4);
    }
    if (note.bow) {
      const glyph = note.bow === 'down' ? 'downBow' : 'upBow';
      const { box } = glyphOf(glyph);
      inks.push({ kind: 'glyph', glyph, x: middle - (box[0] + box[2]) / 2, y, size: 1 });
      y += box[1] - 0.3;
      sky.put(from, to, y, 4);
    }
    if (over.extensions.has(note.at)) {
      const extension = drawingsText.ext;
      inks.push(...words(middle, y, extension, { size: 1.25, anchor: 'middle' }));
      const half = textWidth(extension, 'sans', 1.25) / 2;
      sky.put(middle - half, middle + half, y - 1, 4);
    }
  }
}

/** @returns its height */
export function writeFinger(inks: Ink[], finger: string, x: number, y: number, size: number): number {
  if (finger !== 'T') {
    inks.push(...words(x, y, finger, { size, font: 'bold', anchor: 'middle' }));
    return size * CAP;
  }
  const scale = (size * CAP) / 1.1;
  inks.push({ kind: 'glyph', glyph: 'thumb', x: x - 0.34 * scale, y, size: scale });
  return size * CAP;
}

/** Where a line of music begins and ends for what goes on over its end. */
export interface Edges {
  readonly left: number;
  readonly right: number;
  /** First and last event on it. */
  readonly first: number;
  readonly last: number;
}

interface Placed {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly short: string;
  /** True where it began on this line, and ends on it. */
  readonly begins: boolean;
  readonly ends: boolean;
}

function placedOn(
  stretches: readonly Stretch[],
  sets: readonly SetNote[],
  { left, right, first, last }: Edges,
): Placed[] {
  const xOf = new Map<number, { from: number; to: number }>();
  for (const { note, x, width } of sets) {
    const known = xOf.get(note.at);
    xOf.set(note.at, { from: known?.from ?? x, to: x + width });
  }
  return stretches
    .filter(({ from, to }) => to >= first && from <= last)
    .map(({ from, to, text, short = text }) => ({
      text,
      short,
      begins: from >= first,
      ends: to <= last,
      from: from >= first ? (xOf.get(from)?.from ?? left) : left,
      to: to <= last ? (xOf.get(to)?.to ?? right) : right,
    }));
}

/** String numerals in a row of their own, each with a line as long as it holds. */
export function writeStrings(desk: Desk, over: Over, sets: readonly SetNote[], edges: Edges) {
  const all = placedOn(over.strings, sets, edges);
  if (all.length === 0) return;
  const { inks, sky } = desk;
  const y = rowOver(desk, all);
  const size = 1.45;
  for (const { from, to, text, begins, ends } of all) {
    const shown = begins ? text : `(${text})`;
    inks.push(...words(from - 0.1, y, shown, { size, font: 'serif' }));
    const start = from + textWidth(shown, 'serif', size) + 0.35;
    if (to - start > 0.8) {
      inks.push(line(start, y - 0.45, to, y - 0.45, 0.09, { tone: 'grey' }));
      if (ends) inks.push(line(to, y - 0.45, to, y + 0.1, 0.09, { tone: 'grey' }));
    }
    sky.put(from - 0.2, Math.max(to, start), y - 1.2, 4);
  }
}

/** Positions as brackets over the notes for which they hold. */
export function writePositions(desk: Desk, over: Over, sets: readonly SetNote[], edges: Edges) {
  const all = placedOn(over.positions, sets, edges);
  if (all.length === 0) return;
  const { inks, sky } = desk;
  const y = rowOver(desk, all) - 0.25;
  const size = 1.4;
  all.forEach(({ from, to, text, short, begins, ends }, n) => {
    // The end of a bracket keeps clear of the next one's words.
    const next = all[n + 1];
    const end = next ? Math.min(Math.max(to, from + 1), next.from - 0.5) : Math.max(to, from + 1);
    const [a, b] = [from - 0.15, Math.max(end, from + 0.8)];
    if (begins) inks.push(line(a, y, a, y - 0.6, 0.11));
    inks.push(line(a, y - 0.6, b, y - 0.6, 0.11));
    if (ends) inks.push(line(b, y - 0.6, b, y, 0.11));
    const room = (next?.from ?? edges.right + 3) - from - 0.4;
    const shown = (words: string) => (begins ? words : `(${words})`);
    const fits = textWidth(shown(text), 'sans', size) < room;
    inks.push(...words(from, y - 0.95, shown(fits ? text : short), { size }));
    sky.put(a, b, y - 2.3, 4);
  });
}

/** Places that are worked at by themselves: a bracket with its number in a box. */
export function writeMarked(desk: Desk, over: Over, sets: readonly SetNote[], edges: Edges) {
  const all = placedOn(over.marked, sets, edges);
  if (all.length === 0) return;
  const { inks, sky } = desk;
  const y = rowOver(desk, all) - 0.2;
  for (const { from, to, text } of all) {
    inks.push({ kind: 'box', x: from - 0.2, y: y - 1.75, w: 1.75, h: 1.75, width: 0.14, stroke: 'ink', fill: 'paper' });
    inks.push(...words(from + 0.675, y - 0.4, text, { size: 1.5, font: 'bold', anchor: 'middle' }));
    if (to > from + 1.9) inks.push(line(from + 1.55, y - 0.1, to, y - 0.1, 0.2));
    sky.put(from - 0.2, Math.max(to, from + 1.6), y - 2, 4);
  }
}

/** The base line of a row over everything that stands below it. */
function rowOver({ sky }: Desk, all: readonly Placed[]): number {
  const top = Math.min(...all.map(({ from, to }) => sky.top(from - 0.3, Math.max(to, from + 1.8))));
  return Math.min(top, -0.4) - 0.55;
}

/** Ringing notes and checks under the staff, names under them. */
export function writeUnder({ inks, sky }: Desk, over: Over, sets: readonly SetNote[]) {
  const first = sets.filter(({ note }) => note.first);
  const heard = first.filter(({ note }) => over.rings.has(note.at) || over.checks.has(note.at));
  const middleOf = ({ x, width }: SetNote) => x + width / 2;
  const row = Math.max(...heard.map((set) => sky.bottom(middleOf(set) - 0.6, middleOf(set) + 0.6)), 4.2) + 0.75;
  for (const set of heard) {
    const middle = middleOf(set);
    if (over.rings.has(set.note.at))
      inks.push({ kind: 'disc', x: middle, y: row, r: 0.33, fill: 'paper', stroke: 'ink', width: 0.13 });
    else
      inks.push({
        kind: 'shape',
        stroke: 'ink',
        width: 0.17,
        path: CHECK.map(([letter, dx, dy]) => [letter, middle + dx, row + dy]),
      });
    sky.put(middle - 0.5, middle + 0.5, 0, row + 0.45);
  }
  const named = first.filter(({ note }) => over.names.has(note.at));
  if (named.length === 0) return;
  const y = Math.max(...named.map(({ x, width }) => sky.bottom(x - 0.4, x + width + 0.4)), 4.3) + 1.6;
  for (const { note, x, width } of named) {
    inks.push(...words(x + width / 2, y, over.names.get(note.at) ?? '', { size: 1.5, anchor: 'middle' }));
    sky.put(x - 0.4, x + width + 0.4, 0, y + 0.4);
  }
}

/** The sign for a check, around its place. */
const CHECK: readonly (readonly ['M' | 'L', number, number])[] = [
  ['M', -0.4, 0],
  ['L', -0.12, 0.32],
  ['L', 0.42, -0.42],
];
