import type { Clef, InstrumentName, Plan, WritableMusic } from '../core';

/*
 * What a drawing of notes is made of, and what follows from it for every note.
 */

export interface Score {
  readonly music: WritableMusic;
  /** How the notes are held; nothing is written over them where there is none. */
  readonly steps: Plan['steps'];
  /** Names of the strings, low to high. */
  readonly strings: readonly string[];
  readonly instrument: InstrumentName;
  /** The clef of each event. */
  readonly clefs: readonly Clef[];
  /** Events that are guide notes: touched on the way, not heard. */
  readonly guides?: ReadonlySet<number>;
  /** False for a few notes that are no bars. */
  readonly barred: boolean;
  /** The events whose fingers are written; all where left out. */
  readonly fingersAt?: ReadonlySet<number>;
}

/** What is written besides the notes. */
export interface Marks {
  readonly fingers: boolean;
  readonly numerals: boolean;
  readonly barNumbers: boolean;
  /** Height of a finger, in staff spaces; as usual where left out. */
  readonly fingerSize?: number;
}

export const ALL_MARKS: Marks = { fingers: true, numerals: true, barNumbers: true };

/** Where the columns of a drawing lie, in px. */
export interface Layout {
  readonly width: number;
  readonly height: number;
  /** Left edge of an event's column; for the event after the last the end of the drawing. */
  readonly left: (at: number) => number;
  /** How much the engraving is enlarged. */
  readonly scale: number;
  /** From the top of the drawing to the middle line of the staff, in tenths of a staff space. */
  readonly middleLine: number;
}

/** Where the middle line lies in a drawing with room for the usual notes, in tenths of a staff space. */
export const USUAL_MIDDLE = 100;

/** Columns that are all of one width. */
export function evenLayout(events: number, column: number, height: number, scale: number): Layout {
  return { width: events * column, height, left: (at) => at * column, scale, middleLine: USUAL_MIDDLE };
}

/** The event whose column has a place in px in it; the nearest where none has. */
export function eventAt({ left }: Layout, x: number, first: number, last: number): number {
  let [low, high] = [first, last - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (left(middle) <= x) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * How wide clef, signature and time are together, in px: with seven sharps twice as wide as with none.
 * @param scale how much the engraving is enlarged
 */
export function headWidth(fifths: number, timed: boolean, scale: number): number {
  return Math.ceil((HEAD.clef + HEAD.sign * Math.abs(fifths) + (timed ? HEAD.time : 0)) * scale);
}

/** Widths in tenths of a staff space, each with the space after it. */
const HEAD = { clef: 58, sign: 11, time: 28 };

export function middleOf({ left }: Layout, at: number): number {
  return (left(at) + left(at + 1)) / 2;
}

/** Nothing on the screen is written smaller than so many px. */
export const LEAST_TEXT = 12;
