import { instrumentData, type InstrumentKind } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
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
 * Starting values until the teacher measures, for an adult on a full-size instrument. The same hand plays violin and viola, so that a large viola is wide
 * for it. A medium one takes the fourth from 1 to 4 in first position (73 mm on a violin) at ease, and a tenth low down (108 mm) with a stretch, but just. A
 * medium cello hand takes the minor third in first position (98 mm) at ease and the extended major third (127 mm) with a stretch. A medium bass hand takes
 * the whole tone in half position (108 mm) at ease and the four-finger minor third (150 to 158 mm) with a stretch. The other sizes of the low instruments
 * lie about a tenth to either side; there the square hand opens wider.
 */
const UPPER_HANDS: Readonly<Record<HandSize, HandProfile>> = {
  small: { relaxedMm: 76, fullMm: 96, fingertipMm: 10 },
  medium: { relaxedMm: 84, fullMm: 112, fingertipMm: 12 },
  large: { relaxedMm: 92, fullMm: 128, fingertipMm: 14 },
};

export const HAND_DEFAULTS: Readonly<Record<InstrumentKind, Readonly<Record<HandSize, HandProfile>>>> = {
  violin: UPPER_HANDS,
  viola: UPPER_HANDS,
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
  [1, 2, 0.6],
  [2, 3, 0.47],
  [3, 4, 0.45],
  [1, 3, 0.78],
  [2, 4, 0.75],
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

/** No child's fingertip is narrower, in mm. */
const LEAST_FINGERTIP = 9;

/** A hand in mm. One told only by a word is scaled down with the strings of a child's instrument, and never up; measures stay as they are. */
export function resolveHand(
  { kind, lengthMm }: Pick<Setup, 'kind' | 'lengthMm'>,
  choice: HandChoice | undefined,
): HandProfile {
  if (typeof choice === 'object') return choice;
  const adult = HAND_DEFAULTS[kind][choice ?? 'medium'];
  const share = childShare(kind, lengthMm);
  if (share === 1) return adult;
  return {
    relaxedMm: Math.round(share * adult.relaxedMm),
    fullMm: Math.round(share * adult.fullMm),
    fingertipMm: Math.max(LEAST_FINGERTIP, Math.round(share * adult.fingertipMm)),
  };
}

/** How much smaller the hand is taken to be on strings of some length: 1 for those that adults play. */
export function childShare(kind: InstrumentKind, lengthMm: number): number {
  const { fullMm, adultFromMm } = instrumentData(kind);
  return lengthMm < adultFromMm ? lengthMm / fullMm : 1;
}

/** A five-year-old opens the hand at least so far, and hardly anybody further than this; a fingertip likewise. In mm, between which measures are believed. */
const BELIEVED = { fullMm: [50, 190], fingertipMm: [7, 22] } as const;

export type OddMeasure = 'small-spread' | 'wide-spread' | 'small-fingertip' | 'wide-fingertip';

/** Measures smaller than a small child's or larger than a giant's; they are taken as they are, but the ruler may have been misread. */
export function oddMeasures({ fullMm, fingertipMm }: HandProfile): OddMeasure[] {
  const odd: OddMeasure[] = [];
  if (fullMm < BELIEVED.fullMm[0]) odd.push('small-spread');
  if (fullMm > BELIEVED.fullMm[1]) odd.push('wide-spread');
  if (fingertipMm < BELIEVED.fingertipMm[0]) odd.push('small-fingertip');
  if (fingertipMm > BELIEVED.fingertipMm[1]) odd.push('wide-fingertip');
  return odd;
}
