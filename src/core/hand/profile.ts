import type { InstrumentKind } from '../instrument/instruments';
import { FINGER_SLOTS, slotOf, type Finger } from './finger';

/** What a teacher can measure of a hand, all in mm. */
export interface HandProfile {
  /** Comfortable spread from the first to the fourth finger. */
  readonly relaxedMm: number;
  /** Widest spread from the first to the fourth finger that does no harm. */
  readonly fullMm: number;
  /** Width of a fingertip pressing the string. */
  readonly fingertipMm: number;
}

export const HAND_SIZES = ['small', 'medium', 'large'] as const;
export type HandSize = (typeof HAND_SIZES)[number];

/**
 * Starting values until the teacher measures. A medium violin hand takes the fourth from 1 to 4 in first position
 * (73 to 78 mm) at ease, the augmented one (91 mm) with a stretch, and no more. A medium cello hand takes the minor third
 * in first position (98 mm) at ease and the extended major third (127 mm) with a stretch. A medium bass hand takes
 * the whole tone in half position (108 mm) at ease and the four-finger minor third (150 to 158 mm) with a stretch.
 * The other sizes lie about a tenth to either side. On the low instruments the square hand opens wider.
 */
export const HAND_DEFAULTS: Readonly<Record<InstrumentKind, Readonly<Record<HandSize, HandProfile>>>> = {
  violin: {
    small: { relaxedMm: 66, fullMm: 82, fingertipMm: 10 },
    medium: { relaxedMm: 80, fullMm: 95, fingertipMm: 12 },
    large: { relaxedMm: 90, fullMm: 110, fingertipMm: 14 },
  },
  viola: {
    small: { relaxedMm: 72, fullMm: 88, fingertipMm: 10 },
    medium: { relaxedMm: 89, fullMm: 106, fingertipMm: 12 },
    large: { relaxedMm: 98, fullMm: 120, fingertipMm: 14 },
  },
  cello: {
    small: { relaxedMm: 108, fullMm: 132, fingertipMm: 12 },
    medium: { relaxedMm: 120, fullMm: 144, fingertipMm: 15 },
    large: { relaxedMm: 132, fullMm: 160, fingertipMm: 17 },
  },
  bass: {
    small: { relaxedMm: 104, fullMm: 148, fingertipMm: 14 },
    medium: { relaxedMm: 118, fullMm: 165, fingertipMm: 17 },
    large: { relaxedMm: 132, fullMm: 182, fingertipMm: 19 },
  },
};

/**
 * Share of the 1–4 spread that a pair of fingers can take. The index opens furthest from its neighbour; the
 * ring finger is tied to both of its neighbours and opens least. In thumb position the thumb lies beside the hand and swings wide of it.
 */
const PAIR_SHARES: readonly (readonly [Finger, Finger, number])[] = [
  [1, 2, 0.55],
  [2, 3, 0.42],
  [3, 4, 0.44],
  [1, 3, 0.84],
  [2, 4, 0.8],
  [1, 4, 1],
  ['T', 1, 0.75],
  ['T', 2, 1],
  ['T', 3, 1.2],
  ['T', 4, 1.35],
];

/** The shares by slot, either finger first: read for every hold there is. */
const SHARES = new Float64Array(FINGER_SLOTS * FINGER_SLOTS).fill(NaN);
for (const [one, other, share] of PAIR_SHARES) {
  const [a, b] = [slotOf(one), slotOf(other)];
  SHARES[a * FINGER_SLOTS + b] = share;
  SHARES[b * FINGER_SLOTS + a] = share;
}

/** @returns the share of the 1–4 spread for the slots of two different fingers. */
export function pairShare(a: number, b: number): number {
  return SHARES[a * FINGER_SLOTS + b];
}

/** A hand given by name or by measure. */
export type HandChoice = HandSize | HandProfile;

export function resolveHand(kind: InstrumentKind, choice: HandChoice | undefined): HandProfile {
  return typeof choice === 'object' ? choice : HAND_DEFAULTS[kind][choice ?? 'medium'];
}
