import { writtenFifths } from '../core';

/*
 * What the notation package calls things.
 */

const FLATS = ['C', 'F', 'Bb', 'Eb', 'Ab', 'Db', 'Gb', 'Cb'];
const SHARPS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];

/** The name that the notation package has for the signature of so many fifths. */
export function signatureOf(fifths: number): string {
  const written = writtenFifths(fifths);
  return written < 0 ? FLATS[-written] : SHARPS[written];
}

/** Its names for note values. */
const DURATIONS: Readonly<Record<number, string>> = { 1: 'w', 2: 'h', 4: 'q' };

/** The name of a note value. */
export function durationOf(of: number): string {
  return DURATIONS[of] ?? String(of);
}
