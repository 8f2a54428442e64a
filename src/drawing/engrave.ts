import { writtenFifths, writtenNotes, type Clef, type NoteInBar } from '../core';
import { changeWidth, drawClef, drawKey, drawTime, drawSignatureChange } from './paper/head';
import { line, placed, type GlyphName, type Ink } from './paper/ink';
import { glyphOf } from './paper/words';
import { drawSlurs, drawTies, drawTuplets } from './paper/joins';
import { drawNotes, drawRest, setNote, type Desk, type SetNote } from './paper/notes';
import { skyline } from './paper/skyline';
import { keyWidth } from './paper/spacing';
import { BAR_LINE, drawStaffLines } from './paper/staff';
import { screenSvg } from './paper/svg';
import { middleOf, type Layout, type Marks, type Score } from './score';
import { AFTER_BAR } from './signatureWidths';
import { writeMarks } from './writing';

/*
 * Draws notes for the screen with the same pen as on paper, but each in the column that the layout gives it, so that it lines up with whatever else is
 * drawn of the same events, at any width and scale. In staff spaces; y is 0 at the top line.
 */

type Size = Pick<Layout, 'width' | 'height' | 'scale' | 'middleLine'>;

/** Px in a staff space. */
const spaceOf = ({ scale }: Pick<Layout, 'scale'>) => 10 * scale;

/** A drawing in staff spaces as markup in px. */
function markup(inks: readonly Ink[], size: Size): string {
  const space = spaceOf(size);
  const top = size.middleLine * size.scale - 2 * space;
  return screenSvg({ width: size.width, height: size.height, inks: placed(inks, space, 0, top) });
}

/** Clef, signature and, where a piece begins, the time. */
export interface Head {
  readonly clef: Clef;
  readonly fifths: number;
  readonly time?: string;
}

const HEAD = { clef: 0.7, key: 3.8 };

/** Draws what stands at the beginning of a line. @returns markup */
export function headMarkup({ clef, fifths, time }: Head, size: Size): string {
  const inks: Ink[] = [];
  drawStaffLines(inks, 0, size.width / spaceOf(size));
  drawClef(inks, clef, HEAD.clef, false);
  const written = writtenFifths(fifths);
  drawKey(inks, written, 0, clef, HEAD.key);
  if (time) drawTime(inks, time, HEAD.key + keyWidth(written));
  return markup(inks, size);
}

type Written = ReturnType<typeof writtenNotes>;

/** Scores that were written out: one that is drawn line by line is written out once. */
const known = new WeakMap<Score, Written>();

function writtenOf(score: Score): Written {
  const before = known.get(score);
  if (before) return before;
  const written = writtenNotes(score.music, score.instrument, score.clefs, score.barred);
  known.set(score, written);
  return written;
}

/** From a small clef to the bar line after it, and how far it may reach into the column of its note, with a sign there and without. */
const CLEF_BEFORE_BAR = 0.4;
const CLEF_BESIDE_SIGN = 0.6;
const CLEF_IN_COLUMN = 1.2;
/** Before the end of the drawing, so that the last bar line is seen whole. */
const END = 0.2;

/**
 * Draws the notes from first to last (exclusive) with their fingers above them.
 * @param layout of all events; what is not drawn leaves its room empty
 * @returns markup
 */
export function notesMarkup(score: Score, layout: Layout, marks: Marks, first: number, last: number): string {
  const space = spaceOf(layout);
  const left = (at: number) => layout.left(at) / space;
  const width = layout.width / space;
  const inks: Ink[] = [];
  drawStaffLines(inks, 0, width);
  const { instrument, guides: touched } = score;
  const desk: Desk = { inks, sky: skyline(width + 1, -0.1, 4.1), instrument, touched };
  const { notes: all, bars, changed } = writtenOf(score);
  const sets: SetNote[] = [];
  for (let n = all.findIndex(({ at }) => at >= first); n >= 0 && n < all.length && all[n].at < last;) {
    let end = n + 1;
    while (end < all.length && all[end].at === all[n].at) end++;
    const { at, clef } = all[n];
    const begins = (k: number) => score.barred && k > 0 && all[k].bar !== all[k - 1].bar;
    if (at > first && clef !== score.clefs[at - 1]) changeClef(inks, all[n], left(at), begins(n));
    const anew = at > first ? changed.get(at) : undefined;
    if (anew) drawSignatureChange(inks, anew, clef, left(at) + AFTER_BAR);
    const room = (left(at + 1) - left(at)) / (end - n);
    for (let k = n; k < end; k++) {
      const from = left(at) + (k - n) * room;
      if (begins(k) && from > 0) inks.push(barLine(from));
      if (all[k].pitches.length > 0) sets.push(inColumn(all[k], from + room / 2, score));
      else drawRest(desk, all[k], middleOfRest(all[k], from + room / 2), null);
    }
    n = end;
  }
  const barEnds = last === score.music.events.length || endsBar(all, last);
  if (score.barred && barEnds) inks.push(barLine(left(last) - END));
  drawNotes(desk, sets);
  drawTies(desk, sets, left(last));
  drawTuplets(desk, sets);
  drawSlurs(desk, sets, left(first), left(last));
  writeMarks(desk, score, marks, {
    first,
    last,
    space,
    left,
    middle: (at) => middleOf(layout, at) / space,
    top: 2 - layout.middleLine / 10,
    sets,
    barNumbers: barNumbersOf(all, bars, first, last),
  });
  return markup(inks, layout);
}

const barLine = (x: number): Ink => line(x, 0, x, 4, BAR_LINE);

/** A note with the middle of its heads at a place. */
function inColumn(note: NoteInBar, middle: number, { instrument }: Score): SetNote {
  const set = setNote(note, 0, instrument);
  return { ...set, x: middle - set.width / 2 };
}

function middleOfRest({ value }: NoteInBar, middle: number): number {
  const { box } = glyphOf(`rest${value.of}` as GlyphName);
  return middle - (box[0] + box[2]) / 2;
}

const endsBar = (all: readonly NoteInBar[], event: number) => {
  const n = all.findIndex(({ at }) => at === event);
  return n > 0 && all[n].bar !== all[n - 1].bar;
};

/** A change of clef stands small, just before its note, or before the bar line where a bar begins there. */
function changeClef(inks: Ink[], { clef, signs }: NoteInBar, left: number, atBar: boolean) {
  const within = signs.some((sign) => sign !== null) ? CLEF_BESIDE_SIGN : CLEF_IN_COLUMN;
  drawClef(inks, clef, left - changeWidth(clef) + (atBar ? -CLEF_BEFORE_BAR : within), true);
}

/** Numbers of the bars that begin with an event, by event. */
function barNumbersOf(
  all: readonly NoteInBar[],
  bars: Written['bars'],
  first: number,
  last: number,
): ReadonlyMap<number, number> {
  const numbers = new Map<number, number>();
  all.forEach(({ at, bar, first: begins }, n) => {
    const number = bars[bar]?.bar?.number;
    if (number && begins && at >= first && at < last && bar !== all[n - 1]?.bar) numbers.set(at, number);
  });
  return numbers;
}
