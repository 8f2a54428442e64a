import type { Weights } from '../vocabulary';
import type { FrameSchool, Region, Shape, Touched } from './record';

/*
 * What the instruments whose hand goes in frames have in common: shapes up the neck, thumb position, harmonics, the square hand.
 */

export const shape = (places: Shape['places'], unsteady = 0, extended = 0): Shape => ({ places, unsteady, extended });

/** Numbers of positions by the stop of the first finger: on the cello, and on the bass as every school counts them. */
export const FRAME_POSITIONS: FrameSchool['positions'] = {
  1: 0.5,
  2: 1,
  3: 2,
  4: 2.5,
  5: 3,
  6: 3.5,
  7: 4,
  8: 5,
  9: 5.5,
  10: 6,
  11: 6.5,
  12: 7,
};

/** Upper positions: 1 2 3 with gaps of one or two semitones; a whole tone between 2 and 3 after another opens the hand wide. */
const UPPER_SHAPES: readonly Shape[] = [
  shape({ 1: 0, 2: 2, 3: 3 }),
  shape({ 1: 0, 2: 1, 3: 3 }),
  shape({ 1: 0, 2: 1, 3: 2 }, 0.1),
  shape({ 1: 0, 2: 2, 3: 4 }, 0.15),
];

/**
 * Thumb position. What it costs to lay the thumb up at all is in every shape: it is for where the neck hand does not reach. Major and minor
 * fourths from the thumb to the third finger are the taught ones.
 */
const THUMB_UP = 0.5;
const THUMB_SHAPES: readonly Shape[] = [
  shape({ T: 0, 1: 2, 2: 4, 3: 5 }, THUMB_UP),
  shape({ T: 0, 1: 2, 2: 3, 3: 5 }, THUMB_UP),
  shape({ T: 0, 1: 1, 2: 3, 3: 5 }, THUMB_UP + 0.05),
  shape({ T: 0, 1: 1, 2: 3, 3: 4 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 2, 2: 3, 3: 4 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 1, 2: 2, 3: 3 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 2, 2: 4, 3: 6 }, THUMB_UP + 0.2),
  shape({ T: 0, 1: 1, 2: 2, 3: 4 }, THUMB_UP + 0.2),
];

export function thumbRegion(from: number, to: number): Region {
  return { from, to, thumb: true, shapes: THUMB_SHAPES, resting: { T: 0, 1: 2, 2: 4, 3: 5 } };
}

export function upperRegion(from: number, to: number): Region {
  return { from, to, thumb: false, shapes: UPPER_SHAPES, resting: { 1: 0, 2: 2, 3: 3 } };
}

/**
 * Harmonics: the octave from the end of the neck; in thumb position the fifth above it and the double octave from a step or two too low for the
 * third finger to stop them.
 */
export function touchedFrom(neck: readonly [number, number]): readonly Touched[] {
  return [
    { node: 12, from: neck, thumb: false },
    { node: 19, from: [12, 13], thumb: true },
    { node: 24, from: [17, 18], thumb: true },
  ];
}

/** The square hand makes the fourth finger nearly as sure as the third; on bass the third stands behind it. */
export const SQUARE_HAND: Partial<Weights> = {
  fourth: 0.05,
  landing: [0, 0, 0.3, 0.4, 0.4, 0.3],
  sameFinger: [0, 0, 0.1, 0.2, 0.25, 0],
  guiding: [0, 0, 0, 0.1, 0.1, 0.1],
};
