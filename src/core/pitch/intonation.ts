import type { StringTuning, System } from '../vocabulary';
import { majorFifths } from './key';
import type { Pitch } from './pitch';

/*
 * Where a note is put, in cents against equal temperament with A at its pitch.
 */

type Class = Pick<Pitch, 'letter' | 'alteration'>;

/** Cents of a ratio. */
export function centsOf(ratio: number): number {
  return 1200 * Math.log2(ratio);
}

/** The syntonic comma 81:80, 21.51 cents: four pure fifths against two octaves and a pure third. */
export const COMMA = centsOf(81 / 80);
/** By how much a pure fifth is wider than an equal one, 1.955 cents. */
export const FIFTH_EXCESS = centsOf(3 / 2) - 700;

const A: Class = { letter: 5, alteration: 0 };

/** Fifths from one pitch class up to another on the spiral of fifths: C to G is 1, C to F is -1, C to E flat is -3. */
function fifthsBetween(from: Class, to: Class): number {
  return majorFifths(to) - majorFifths(from);
}

/** Pure fifths from A on: sharps lie high and flats low, which makes leading notes narrow. */
export function pythagoreanCents(pitch: Class): number {
  return FIFTH_EXCESS * fifthsBetween(A, pitch);
}

/**
 * Commas by which the just interval differs from the one in pure fifths, by fifths from the tonic. Pure thirds and sixths (5:4, 6:5, 8:5, 5:3) and what is
 * built from them: 15:8, 9:5, 45:32, 64:45, 16:15; augmented and diminished ones from two of them (25:24, 32:25).
 */
function commasFor(fifths: number): number {
  if (fifths >= 7) return -2;
  if (fifths >= 3) return -1;
  if (fifths >= -1) return 0;
  return fifths >= -6 ? 1 : 2;
}

/** Cents of the just interval from a tonic up to a pitch, within an octave of equal semitones: its difference from the equal interval. */
export function justCents(pitch: Class, tonic: Class): number {
  const fifths = fifthsBetween(tonic, pitch);
  return pythagoreanCents(tonic) + FIFTH_EXCESS * fifths + COMMA * commasFor(fifths);
}

/** A table of the user's own: cents against equal for each of the twelve semitones from the tonic up; null where nothing is given. */
export type OwnTable = readonly (number | null)[];

/** What is missing or wild in a table of one's own; where a number cannot be used, equal temperament is taken. */
export type TableIssue =
  | { readonly code: 'table-length'; readonly count: number }
  | { readonly code: 'table-hole'; readonly semitones: number }
  | { readonly code: 'table-wild'; readonly semitones: number; readonly cents: number };

export function tableIssues(table: OwnTable): TableIssue[] {
  const issues: TableIssue[] = [];
  if (table.length !== TABLE_LENGTH) issues.push({ code: 'table-length', count: table.length });
  table.slice(0, TABLE_LENGTH).forEach((cents, semitones) => {
    if (cents === null || Number.isNaN(cents)) issues.push({ code: 'table-hole', semitones });
    else if (Math.abs(cents) > MOST_CENTS) issues.push({ code: 'table-wild', semitones, cents });
  });
  return issues;
}

const TABLE_LENGTH = 12;
/** A note further from its equal place than this is another note. */
const MOST_CENTS = 100;

function ownCents(table: OwnTable | undefined, semitones: number): number {
  const cents = table?.[((semitones % 12) + 12) % 12] ?? 0;
  return Number.isFinite(cents) && Math.abs(cents) <= MOST_CENTS ? cents : 0;
}

/**
 * A note's target against equal temperament, in cents.
 * @param semitones from the tonic up to the note, for a table of one's own
 */
export function targetCents(system: System, pitch: Class, tonic: Class, semitones = 0, table?: OwnTable): number {
  switch (system) {
    case 'equal':
      return 0;
    case 'pythagorean':
      return pythagoreanCents(pitch);
    case 'just':
      return justCents(pitch, tonic);
    case 'own':
      return ownCents(table, semitones);
  }
}

/** How open strings are tuned from A: in pure fifths (and fourths), or as a tuner has them. */

export function openCents(open: Class, tuning: StringTuning): number {
  return tuning === 'pure' ? pythagoreanCents(open) : 0;
}
