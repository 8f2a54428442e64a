import type { HandProfile, InstrumentRecord } from '../instrument/record';
import type { Setup } from '../instrument/setup';
import type { Finger, HandSize } from '../vocabulary';
import { FINGER_SLOTS, slotOf } from './finger';

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
  { instrument, lengthMm }: Pick<Setup, 'instrument' | 'lengthMm'>,
  choice: HandChoice | undefined,
): HandProfile {
  if (typeof choice === 'object') return choice;
  const adult = instrument.hands[choice ?? 'medium'];
  const share = childShare(instrument, lengthMm);
  if (share === 1) return adult;
  return {
    relaxedMm: Math.round(share * adult.relaxedMm),
    fullMm: Math.round(share * adult.fullMm),
    fingertipMm: Math.max(LEAST_FINGERTIP, Math.round(share * adult.fingertipMm)),
  };
}

/** How much smaller the hand is taken to be on strings of some length: 1 for those that adults play. */
export function childShare({ fullMm, adultFromMm }: InstrumentRecord, lengthMm: number): number {
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
