import { keyAlteration, SIGNS, type Clef, type InstrumentName, type Pitch, type WrittenBar } from '../../core';
import { AFTER_BAR } from '../signatureWidths';
import { drawClef, drawKey, drawTime, drawSignatureChange } from './head';
import { line, placed, type Ink } from './ink';
import { textWidth, words } from './words';
import { drawSlurs, drawTies, drawTuplets } from './joins';
import { drawGuide, drawNotes, drawRest, GUIDE_ROOM, setNote, type Desk, type SetNote } from './notes';
import { writeFingers, writeMarked, writePositions, writeStrings, writeUnder, type Edges, type Over } from './over';
import { skyline } from './skyline';
import { BAR_LINE, drawStaffLines } from './staff';
import {
  barSpaces,
  headWidthOf,
  keyWidth,
  signatureChangeOf,
  lineBreaksFor,
  lineWidth,
  parted,
  placesInBar,
  type BarSpace,
  type LineOfBars,
} from './spacing';

/*
 * Lines of music: one staff, or several played together, each drawn once and measured, to be put on a page. In staff spaces; y is 0 at the top line of the first staff.
 */

/** What one player plays. */
export interface PartOnPaper {
  readonly bars: readonly WrittenBar[];
  readonly instrument: InstrumentName;
  readonly over: Over;
  /** Stands before the first line where there are several, and short before the others. */
  readonly name?: string;
  readonly shortName?: string;
}

export interface DrawnLine {
  readonly inks: readonly Ink[];
  /** The highest and the lowest of it. */
  readonly top: number;
  readonly bottom: number;
  /** Of each part: the left edge of each event on this line. */
  readonly places: readonly ReadonlyMap<number, number>[];
}

export interface LineOptions {
  readonly width: number;
  /** Shows bar numbers at the beginning of lines. */
  readonly numbers: boolean;
  /** Of the last line too: stretched to the edge. */
  readonly filled?: boolean;
}

/** Breaks music into lines and draws each. All parts have the same bars. */
export function drawLines(written: readonly PartOnPaper[], options: LineOptions): DrawnLine[] {
  const named = written.some(({ name }) => name !== undefined);
  const indents = named ? nameWidths(written) : [0, 0];
  const inner = options.width - headWidthOf(7, true) - indents[0];
  const parts = written.map((part) => ({ ...part, bars: written.length === 1 ? parted(part.bars, inner) : part.bars }));
  const spaces = barSpaces(
    parts.map(({ bars, over }) => ({ bars, before: new Map([...over.guides.keys()].map((at) => [at, GUIDE_ROOM])) })),
  );
  const widest = (bar: number) => Math.max(...parts.map(({ bars }) => Math.abs(bars[bar].fifths)));
  const headOf = (bar: number) =>
    headWidthOf(widest(bar), bar === 0 || parts[0].bars[bar].newTime) + (bar === 0 ? indents[0] : indents[1]);
  const lines = lineBreaksFor(spaces, options.width, headOf);
  return lines.map((own, n) =>
    drawLine(parts, spaces, own, {
      ...options,
      indent: own.first === 0 ? indents[0] : indents[1],
      headOf,
      isLast: n === lines.length - 1,
    }),
  );
}

function nameWidths(parts: readonly PartOnPaper[]): [number, number] {
  const widest = (names: readonly string[]) =>
    Math.max(...names.map((name) => textWidth(name, 'serif', NAME_SIZE))) + 1.8;
  return [widest(parts.map(({ name = '' }) => name)), widest(parts.map(({ shortName = '' }) => shortName))];
}

const NAME_SIZE = 1.9;
const THICK_LINE = 0.5;
/** From the bottom line of a staff to the top line of the next, at least. */
const STAFF_GAP = 4.5;

interface OneLine extends LineOptions {
  readonly indent: number;
  readonly headOf: (bar: number) => number;
  readonly isLast: boolean;
}

function drawLine(
  parts: readonly PartOnPaper[],
  spaces: readonly BarSpace[],
  { first, last }: LineOfBars,
  options: OneLine,
): DrawnLine {
  const own = spaces.slice(first, last).map((bar, n) => (n === 0 ? withoutHead(bar) : bar));
  const natural = own.reduce((sum, bar) => sum + bar.natural, 0);
  const room = options.width - options.headOf(first);
  const width = options.filled ? room : lineWidth(natural, room, options.isLast);
  const factor = width / natural;
  const starts: number[] = [];
  let x = options.headOf(first);
  for (const bar of own) {
    starts.push(x);
    x += bar.natural * factor;
  }
  const end = x;
  const staves = parts.map((part, n) =>
    drawStaff(part, {
      first,
      starts,
      end,
      spaces: own,
      options: n === 0 ? options : { ...options, numbers: false },
      columns: own.map((bar) => placesInBar(bar, bar.natural * factor)),
    }),
  );
  const inks: Ink[] = [];
  let y = 0;
  let bottom = 0;
  const tops: number[] = [];
  staves.forEach((staff, n) => {
    if (n > 0) y = Math.max(y + 4 + STAFF_GAP, bottom + 1 - staff.top);
    tops.push(y);
    inks.push(...placed(staff.inks, 1, 0, y));
    bottom = y + staff.bottom;
  });
  if (staves.length > 1) drawBrace(inks, parts, tops, options);
  const barXs = [...starts.slice(1), end];
  barXs.forEach((at, n) => {
    const bar = parts[0].bars[first + n + 1];
    // A bar that was parted goes on without a line.
    if (bar?.number === -1) return;
    const final = first + n + 1 === parts[0].bars.length;
    if (final) {
      inks.push(line(at - 0.75, tops[0], at - 0.75, tops[tops.length - 1] + 4, BAR_LINE));
      inks.push(line(at - THICK_LINE / 2, tops[0], at - THICK_LINE / 2, tops[tops.length - 1] + 4, THICK_LINE));
    } else inks.push(line(at, tops[0], at, tops[tops.length - 1] + 4, BAR_LINE));
  });
  return { inks, top: staves[0].top, bottom, places: staves.map(({ places }) => places) };
}

/** At the beginning of a line the signature stands in its head. */
const withoutHead = (bar: BarSpace): BarSpace => ({ ...bar, head: 0, natural: bar.natural - bar.head });

function drawBrace(inks: Ink[], parts: readonly PartOnPaper[], tops: readonly number[], { indent }: OneLine) {
  const [from, to] = [tops[0], tops[tops.length - 1] + 4];
  const x = indent - 0.3;
  inks.push(line(indent, from, indent, to, BAR_LINE), line(x - 0.4, from - 0.3, x - 0.4, to + 0.3, 0.45));
  inks.push({ kind: 'glyph', glyph: 'bracketTop', x: x - 0.62, y: from - 0.2, size: 1 });
  inks.push({ kind: 'glyph', glyph: 'bracketBottom', x: x - 0.62, y: to + 0.2, size: 1 });
  const first = inks.length > 0 && indent > 0;
  if (first)
    parts.forEach(({ name = '', shortName = '' }, n) => {
      const fits = textWidth(name, 'serif', NAME_SIZE) + 1.2 < indent;
      inks.push(
        ...words(indent - 1.3, tops[n] + 2.65, fits ? name : shortName, {
          size: NAME_SIZE,
          font: 'serif',
          anchor: 'end',
        }),
      );
    });
}

interface StaffLine {
  readonly first: number;
  readonly starts: readonly number[];
  readonly end: number;
  readonly spaces: readonly BarSpace[];
  readonly columns: readonly (readonly number[])[];
  readonly options: OneLine;
}

interface DrawnStaff {
  readonly inks: Ink[];
  readonly top: number;
  readonly bottom: number;
  readonly places: ReadonlyMap<number, number>;
}

function drawStaff(part: PartOnPaper, { first, starts, end, spaces, columns, options }: StaffLine): DrawnStaff {
  const { bars, instrument, over } = part;
  const inks: Ink[] = [];
  const sky = skyline(end + 2, -0.1, 4.1);
  const desk: Desk = { inks, sky, instrument };
  const left = options.indent;
  drawStaffLines(inks, left, end);
  const opening = bars[first];
  let clef = opening.notes[0]?.clef ?? clefBefore(bars, first);
  let x = left + 0.7;
  drawClef(inks, clef, x, false);
  sky.put(x, x + 2.7, clef === 'treble' ? -1.4 : -0.1, clef === 'treble' ? 5.4 : 4.1);
  x += 3;
  drawKey(inks, opening.fifths, 0, clef, x);
  x += keyWidth(opening.fifths);
  const timed = first === 0 || opening.newTime;
  if (timed) drawTime(inks, opening.time, x);
  if (options.numbers && opening.number > 1)
    inks.push(...words(left, Math.min(sky.top(left, left + 2), -0.3) - 0.5, String(opening.number), { size: 1.4 }));

  const sets: SetNote[] = [];
  const places = new Map<number, number>();
  let fifths = opening.fifths;
  starts.forEach((barX, n) => {
    const bar = bars[first + n];
    const space = spaces[n];
    if (n > 0) drawSignatureChange(inks, signatureChangeOf(bar, bars[first + n - 1]), clef, barX + AFTER_BAR);
    fifths = bar.fifths;
    const middle = (barX + (starts[n + 1] ?? end)) / 2;
    for (const note of bar.notes) {
      const column = space.columns.findIndex(({ start }) => Math.abs(start - note.start) < 1e-3);
      const at = barX + (columns[n][column] ?? 0);
      if (note.first) places.set(note.at, at);
      if (note.pitches.length === 0) {
        drawRest(desk, note, at, bar.restBar ? middle : null);
        continue;
      }
      if (note.clef !== clef) {
        clef = note.clef;
        drawClef(inks, clef, at - space.columns[column].left - 0.1, true);
      }
      const guide = note.first ? over.guides.get(note.at) : undefined;
      if (guide) drawGuide(desk, guide, clef, at - signRoom(note.signs), guideSign(guide, fifths));
      sets.push(setNote(note, at, instrument));
    }
  });
  drawNotes(desk, sets);
  drawTies(desk, sets, end);
  drawTuplets(desk, sets);
  writeFingers(desk, over, sets);
  drawSlurs(desk, sets, left + 3.5, end);
  const edges = edgesOf(bars, first, starts.length, left + headWidthOf(opening.fifths, timed), end);
  writeStrings(desk, over, sets, edges);
  writePositions(desk, over, sets, edges);
  writeMarked(desk, over, sets, edges);
  writeUnder(desk, over, sets);
  return { inks, top: sky.top(0, end), bottom: sky.bottom(0, end), places };
}

const signRoom = (signs: readonly (string | null)[]) => (signs.some((sign) => sign !== null) ? 1.2 : 0);

function clefBefore(bars: readonly WrittenBar[], first: number): Clef {
  for (let n = first; n >= 0; n--) {
    const last = bars[n].notes.at(-1);
    if (last) return last.clef;
  }
  return 'treble';
}

function edgesOf(bars: readonly WrittenBar[], first: number, count: number, left: number, right: number): Edges {
  const events = bars.slice(first, first + count).flatMap(({ notes }) => notes.map(({ at }) => at));
  return { left, right: right - 0.6, first: Math.min(...events), last: Math.max(...events) };
}

function guideSign(pitch: Pitch, fifths: number): string | null {
  const inKey = keyAlteration({ fifths, name: '' }, pitch.letter) === pitch.alteration;
  return inKey ? null : SIGNS[pitch.alteration];
}
