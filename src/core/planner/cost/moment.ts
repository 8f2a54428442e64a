import type { Haste } from './weights';

/*
 * What is known of a note, and of what lies between two, before they are fingered.
 */

/** What is known of a note before it is fingered. */
export interface Sounded {
  readonly beats: number;
  /** Where the hand would lie for it were there no demands, in semitones above the nut. */
  readonly lowest: number;
  readonly accent: boolean;
  /** True of the top of a line that is long, accented or repeated. */
  readonly heldTop: boolean;
}

/** What lies between two neighbouring notes, whatever the fingering. */
export interface Transition {
  readonly haste: Haste;
  /** True where the pitches are a semitone apart. */
  readonly semitone: boolean;
  /** 1 where the line rises, -1 where it falls, 0 where it repeats. */
  readonly line: number;
  /** True where the line turns round at the first of the two. */
  readonly turn: boolean;
  readonly onBeat: boolean;
  /** Of each of the two notes the open string that sounds it, where it comes again with one note between: the figure rocks over that string. Else NO_STRING. */
  readonly rocks: readonly [from: number, to: number];
  /** True inside a second that alternates: it stays on one string, in one position. */
  readonly alternates: boolean;
  /** The bow goes on or changes here; undefined where no bow takes more than a note. */
  readonly bow: 'goes-on' | 'changes' | undefined;
  /** Notes so quick that a crossing between them is felt under one bow. */
  readonly quick: boolean;
  /** In a scale that goes on by step over three octaves the way it goes, 1 up and -1 down; 0 elsewhere. */
  readonly byStep: number;
  /** The same in a chromatic scale where the hand goes in groups of three. */
  readonly byThrees: number;
  /** True where a rest parts them. */
  readonly rest: boolean;
  /** True where the rest is so long that the hand has time to be anywhere: what went before costs nothing. */
  readonly free: boolean;
  /** True where a phrase begins with the later note. */
  readonly phrase: boolean;
  /** True inside a figure: between notes of one beat that has three or more, and inside a note, its neighbour and the note again. */
  readonly inFigure: boolean;
  /** True where the first note is cut short. */
  readonly short: boolean;
  /** True where a slide of one finger is wanted. */
  readonly glides: boolean;
  /** True where the teacher wants no shift here. */
  readonly noShift: boolean;
  /** True where the teacher wants one. */
  readonly mustShift: boolean;
}

/** The same with what it makes of costs, worked out once: the search asks at every step. */
export interface PricedTransition extends Transition {
  /** Of the different moments of a piece, in the order they come. */
  readonly number: number;
  /** What is left of a shift's bare cost, by its ease. */
  readonly shares: Float64Array;
  /** Cost of going so many strings up or down: as many of them lie before the middle as after it. */
  readonly across: Float64Array;
  /** Added to a shift out of a place the hand had come to for one note. */
  readonly stone: number;
}
