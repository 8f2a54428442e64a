import type { Finger, InstrumentName } from '../vocabulary';
import type { IssueData } from '../issue';
import type { Pitch } from '../pitch/pitch';
import type { Fraction } from './fraction';

/*
 * A piece as it was read from a file, whatever the format: parts, bars, and notes at their places. All times are in quarters from the beginning.
 */

/** Something that was left out or changed while reading; the words are found above the core. */
export interface FileNotice {
  readonly code: string;
  readonly data?: IssueData;
}

/** What is left out of a part, by what it is, with where each stands. */
type LeftOut = ReadonlyMap<string, readonly Fraction[]>;

export interface PieceNote {
  readonly start: Fraction;
  readonly length: Fraction;
  /** Sounding pitches, low to high, each with what is written of how it is held. */
  readonly heads: readonly PieceHead[];
  readonly tied: boolean;
  /** True where it is joined to the next note under one bow. */
  readonly slur: boolean;
  readonly bow?: 'down' | 'up';
  readonly accent?: true;
  /** A dot: it is cut short. */
  readonly short?: true;
}

export interface PieceHead {
  readonly pitch: Pitch;
  readonly finger?: Finger;
  /** 1 is the highest. */
  readonly string?: number;
}

export interface PieceBar {
  /** As it is printed. */
  readonly number: string;
  readonly start: Fraction;
  readonly length: Fraction;
}

export interface PieceVoice {
  /** As the file numbers it. */
  readonly name: string;
  readonly staff: string;
  readonly notes: readonly PieceNote[];
}

export interface PiecePart {
  readonly id: string;
  readonly name: string;
  /** What it is for, where that can be told; null for what is no bowed string. */
  readonly instrument: InstrumentName | null;
  readonly bars: readonly PieceBar[];
  /** The fullest first. */
  readonly voices: readonly PieceVoice[];
  readonly keys: readonly { readonly start: Fraction; readonly fifths: number; readonly mode: string }[];
  readonly times: readonly { readonly start: Fraction; readonly time: string }[];
  /** Quarters a minute. */
  readonly tempos: readonly { readonly start: Fraction; readonly bpm: number }[];
  /** Where a double bar stands. */
  readonly doubleBars: readonly Fraction[];
  readonly notices: readonly FileNotice[];
  readonly left: LeftOut;
}

export interface Piece {
  readonly title: string;
  readonly parts: readonly PiecePart[];
  readonly notices: readonly FileNotice[];
}

/** A file that cannot be read: what is wrong, and where. */
export class Unreadable extends Error {
  constructor(
    readonly code: string,
    readonly data: IssueData = {},
    /** As in "/part/P1/bar/12". */
    readonly path = '',
  ) {
    super(code);
  }
}

/** Limits: what is larger is refused with what to do, never half read. */
export const MOST_FILE_BYTES = 64_000_000;
export const MOST_FILE_PARTS = 200;
export const MOST_FILE_NOTES = 400_000;
