import type { InstrumentRecord, LetterFingering, TeachingFrame } from './record';

/*
 * What violin and viola have in common.
 */

/**
 * A hand until the teacher measures, for an adult on a full-size instrument. The same hand plays violin and viola, so that a large viola is wide for it.
 * A medium one takes the fourth from 1 to 4 in first position (73 mm on a violin) at ease, and a tenth low down (108 mm) with a stretch, but just.
 */
export const UPPER_HANDS: InstrumentRecord['hands'] = {
  small: { relaxedMm: 76, fullMm: 96, fingertipMm: 10 },
  medium: { relaxedMm: 84, fullMm: 112, fingertipMm: 12 },
  large: { relaxedMm: 92, fullMm: 128, fingertipMm: 14 },
};

/** The little finger then stands at the far end of the fingerboard. */
export const LETTERS: LetterFingering = { by: 'letters', topPosition: 15 };

export const FOURTHS: readonly TeachingFrame[] = [
  { code: 'perfect-fourth-1st', first: 2, fourth: 7 },
  { code: 'augmented-fourth-1st', first: 1, fourth: 7 },
  { code: 'perfect-fourth-4th', first: 7, fourth: 12 },
];

const fingers = [1, 2, 3, 4] as const;

/** By which fingers touch: 2 and 3, 1 and 2, 3 and 4, none. */
export const UPPER_PATTERNS: InstrumentRecord['firstPatterns'] = [
  { fingers, places: [0, 2, 3, 5] },
  { fingers, places: [0, 1, 3, 5] },
  { fingers, places: [0, 2, 4, 5] },
  { fingers, places: [0, 2, 4, 6] },
];

/** Third position mostly comes before second: there the hand has the body of the instrument to lean on. Others go up in turn. */
export const UPPER_ORDERS: InstrumentRecord['positionOrders'] = [
  [1, 3, 2, 4, 5, 6, 7],
  [1, 2, 3, 4, 5, 6, 7],
];

/** On the two lowest strings, as the plan has them. */
export const UPPER_OCTAVES: InstrumentRecord['octaves'] = { strings: [0, 1], start: 1, together: true };

export const NO_CHANGES: InstrumentRecord['weights'] = { set: {}, times: {} };
