import type { Pitch } from './pitch';

/** A key signature: fifths from C major, sharps positive (-7 to 7 are written; beyond is theoretical). */
export interface Key {
  readonly fifths: number;
  /** Words for the reader, such as "A major". */
  readonly name: string;
}

/** Place of each letter C D E F G A B on the circle of fifths. */
const LETTER_FIFTHS = [0, 2, 4, -1, 1, 3, 5] as const;
/** Order in which sharps enter a signature: F C G D A E B, as letter numbers. */
const SHARP_ORDER = [3, 0, 4, 1, 5, 2, 6] as const;

/** @returns the fifths of the major key on this tonic: A gives 3, Eb gives -3. */
export function majorFifths(tonic: Pick<Pitch, 'letter' | 'alteration'>): number {
  return LETTER_FIFTHS[tonic.letter] + 7 * tonic.alteration;
}

/** How far a scale's signature lies from the major key on its tonic, in fifths. */
const MODE_FIFTHS: ReadonlyMap<string, number> = new Map([
  ['lydian', 1],
  ['mixolydian', -1],
  ['dorian', -2],
  ['minor', -3],
  ['phrygian', -4],
  ['locrian', -5],
]);

const MINOR_FIFTHS = -3;

/**
 * The signature a scale or chord is written in: its mode's own where it has one, the minor one where its
 * third is minor, else the major one.
 */
export function keyOf(
  tonic: Pick<Pitch, 'letter' | 'alteration'>,
  mode: string,
  minorThird: boolean,
  name: string,
): Key {
  const shift = MODE_FIFTHS.get(mode) ?? (minorThird ? MINOR_FIFTHS : 0);
  return { fifths: majorFifths(tonic) + shift, name };
}

/** @returns the alteration the signature gives to a letter, in semitones. */
export function keyAlteration(key: Key, letter: number): number {
  const place = SHARP_ORDER.indexOf(letter as 0);
  return key.fifths >= 0
    ? Math.floor((key.fifths - place + 6) / 7)
    : 0 - Math.floor((-key.fifths - (6 - place) + 6) / 7);
}

/** Keys by their signature, most flats first. */
const MAJOR_KEYS = 'Cb Gb Db Ab Eb Bb F C G D A E B F# C#'.split(' ');

/** The major key of a signature, as notes are given their key: -3 is "Eb major"; beyond seven signs the last one. */
export function signatureName(fifths: number): string {
  return `${MAJOR_KEYS[Math.max(-7, Math.min(7, fifths)) + 7]} major`;
}
