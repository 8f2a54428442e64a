import { ZOOM_WORDS, type Lines } from '../../app/look';
import { lineBreaks, type LineOfEvents } from '../../drawing/lines';
import type { Extent } from '../../drawing/room';
import { headWidth, type Layout } from '../../drawing/score';

/*
 * How the picture is laid out in the room there is: the whole music in one line where every note keeps its least column, else in lines; from there
 * closer and closer, until one bar fills the room. All in px.
 */

/** The least column of a note: what a finger or a pointer can hit. */
export const LEAST_COLUMN = 24;
export const NECK_WIDTH = 84;
const LEAST_GUTTER = 84;
const LEAST_SCALE = 0.95;
const MOST_SCALE = 1.8;
/** Where all is shown, notes are engraved no larger than on a music stand, and stand no further apart. */
const STAND_SCALE = 1.6;
const MOST_STRETCH = 2.4;
/** Music of so many events is shown in lines, unless one line is asked for. */
const MANY = 60;

const STRING_ROW = 26;
const NAME_ROW = 22;
const BESIDE_ROW = 46;
const PHRASE_ROW = 22;
const LEAST_TRAIL = 120;
const MOST_TRAIL = 480;
/** Over the highest head: finger, string, "ext."; under the lowest: slur, "restez"; in tenths of a staff space. */
const OVER = 50;
const STEM = 37;
const UNDER = 16;
/** Between lines. */
export const BETWEEN = 10;

const CLOSEST = ZOOM_WORDS.length - 1;

export interface Wanted {
  /** What each event needs, in tenths of a staff space. */
  readonly widths: readonly number[];
  readonly bars: ReadonlySet<number>;
  readonly extent: Extent;
  readonly fifths: number;
  readonly room: { readonly width: number; readonly height: number };
  /** Which of the words for it. */
  readonly zoom: number;
  readonly lines: Lines;
  readonly names: boolean;
  /** True where phrases, or what is asked of some notes, stand over the staff. */
  readonly phrases: boolean;
  readonly beside: boolean;
  /** True where "restez" or slurs go under the staff. */
  readonly under: boolean;
}

/** Heights of the rows over one another. */
interface Rows {
  readonly phrases: number;
  readonly staff: number;
  readonly names: number;
  readonly strings: number;
  readonly beside: number;
  readonly trail: number;
}

export interface Line extends LineOfEvents {
  readonly layout: Layout;
}

export interface Shape {
  /** One, or several where the music is broken. */
  readonly lines: readonly Line[];
  readonly many: boolean;
  readonly rows: Rows;
  /** Height of the rows together. */
  readonly height: number;
  /** Width of clef, signature and time at the left of each line. */
  readonly gutter: number;
}

export function shapeOf(wanted: Wanted): Shape {
  const { bars, room, lines: choice, zoom } = wanted;
  const least = wanted.widths.map((width) => Math.max(LEAST_COLUMN, width * LEAST_SCALE));
  const all = sum(least);
  const wide = (scale: number) => room.width - gutterAt(wanted, scale) - NECK_WIDTH;
  const fits = wide(LEAST_SCALE) >= all;
  const many = choice === 'many' || (choice === 'fits' && (least.length >= MANY || (!fits && zoom === 0)));
  const whole = many || !fits ? 1 : Math.min(MOST_STRETCH, wide(LEAST_SCALE) / all);
  const close = Math.max(whole, wide(MOST_SCALE) / widestBar(least, bars));
  const stretch = whole * (close / whole) ** (zoom / CLOSEST);
  const scale = scaleFor(wanted, stretch, zoom === 0 ? STAND_SCALE : MOST_SCALE);
  const gutter = gutterAt(wanted, scale);
  const across = Math.max(LEAST_COLUMN, wide(scale));
  // The larger clef takes a little of what there was: the whole music still fits.
  const fitted = zoom === 0 && !many && fits ? Math.min(stretch, across / all) : stretch;
  const columns = least.map((width) => width * fitted);
  const broken = many ? evenBreaks(columns, bars, across) : [{ first: 0, last: columns.length }];
  const rows = rowsFor(wanted, scale, broken.length);
  const justified = many ? justify(broken, columns, across) : broken.map(() => 1);
  const lines = broken.map((line, n): Line => {
    const layout = layoutOf(line, columns, justified[n], rows.staff, scale, middleOver(wanted));
    return { ...line, layout };
  });
  return { lines, many, rows, gutter, height: sum(Object.values(rows)) };
}

const sum = (numbers: readonly number[]) => numbers.reduce((total, one) => total + one, 0);

function gutterAt({ fifths }: Wanted, scale: number): number {
  return Math.max(LEAST_GUTTER, headWidth(fifths, true, scale));
}

/** Breaks into as few lines as there must be, about equally full: no line is left with a note or two. */
function evenBreaks(columns: readonly number[], bars: ReadonlySet<number>, across: number): LineOfEvents[] {
  const fewest = lineBreaks(columns, bars, across);
  const tighter = FULLNESS.map((share) => lineBreaks(columns, bars, across * share));
  return tighter.find((lines) => lines.length === fewest.length) ?? fewest;
}

/** How full lines may be left, the emptiest first. */
const FULLNESS = [0.5, 0.6, 0.7, 0.8, 0.9];

/** The widest bar of some columns. */
function widestBar(columns: readonly number[], bars: ReadonlySet<number>): number {
  let [widest, bar] = [LEAST_COLUMN, 0];
  columns.forEach((width, at) => {
    bar = bars.has(at) ? width : bar + width;
    widest = Math.max(widest, bar);
  });
  return widest;
}

/** Notes that stand further apart are engraved larger, as far as the height allows. */
function scaleFor(wanted: Wanted, stretch: number, most: number): number {
  const others = STRING_ROW + LEAST_TRAIL + extraRows(wanted);
  const high = (wanted.room.height - others) / staffUnits(wanted);
  return Math.max(LEAST_SCALE, Math.min(most, high, LEAST_SCALE * stretch ** 0.8));
}

const extraRows = ({ names, beside, phrases }: Wanted) =>
  (names ? NAME_ROW : 0) + (beside ? BESIDE_ROW : 0) + (phrases ? PHRASE_ROW : 0);

/** From the top of the staff's drawing to its middle line. */
function middleOver({ extent }: Wanted): number {
  return Math.max(extent.above, STEM) + OVER;
}

function staffUnits(wanted: Wanted): number {
  const { extent, under } = wanted;
  return middleOver(wanted) + Math.max(extent.below, STEM) + UNDER + (under ? UNDER : 0);
}

function rowsFor(wanted: Wanted, scale: number, lines: number): Rows {
  const staff = Math.ceil(staffUnits(wanted) * scale);
  const others = staff + STRING_ROW + extraRows(wanted);
  const room = wanted.room.height / lines - (lines > 1 ? BETWEEN : 0) - others;
  return {
    phrases: wanted.phrases ? PHRASE_ROW : 0,
    staff,
    names: wanted.names ? NAME_ROW : 0,
    strings: STRING_ROW,
    beside: wanted.beside ? BESIDE_ROW : 0,
    trail: Math.floor(Math.max(LEAST_TRAIL, Math.min(MOST_TRAIL, room))),
  };
}

/** How much each line is stretched so that it ends at the edge; the last no more than the one before it. */
function justify(lines: readonly LineOfEvents[], columns: readonly number[], across: number): number[] {
  const stretched: number[] = [];
  lines.forEach(({ first, last }, n) => {
    const full = Math.min(MOST_STRETCH, across / sum(columns.slice(first, last)));
    stretched.push(n > 0 && n === lines.length - 1 ? Math.min(full, stretched[n - 1]) : full);
  });
  return stretched;
}

function layoutOf(
  { first, last }: LineOfEvents,
  columns: readonly number[],
  stretch: number,
  height: number,
  scale: number,
  middleLine: number,
): Layout {
  const lefts = [0];
  for (let at = first; at < last; at++) lefts.push(lefts[at - first] + columns[at] * stretch);
  const width = lefts[lefts.length - 1];
  return { width, height, scale, middleLine, left: (at) => lefts[at - first] ?? (at < first ? 0 : width) };
}

/** Events first to last (exclusive) that a scrolled window shows, with some to spare on either side. */
export interface Visible {
  readonly first: number;
  readonly last: number;
}
