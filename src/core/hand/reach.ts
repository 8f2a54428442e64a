import { stopMm } from '../instrument/geometry';
import { slotOf } from './finger';
import type { Finger } from '../vocabulary';
import { pairShare } from './profile';
import type { HandProfile } from '../instrument/record';
import type { Verdict } from '../vocabulary';

/**
 * Distance between two stops on one string length.
 * @param a @param b semitones above the open string
 * @returns mm, never negative
 */
export function spreadMm(lengthMm: number, a: number, b: number): number {
  return Math.abs(stopMm(lengthMm, a) - stopMm(lengthMm, b));
}

/**
 * A spread as a share of the fullest one this pair of fingers can take on this hand: 1 is the limit.
 * @param low @param high slots of two different fingers
 */
export function reachShare(hand: HandProfile, low: number, high: number, spread: number): number {
  return spread / (hand.fullMm * pairShare(low, high));
}

/** Easy up to the comfortable spread, a stretch up to the full one, beyond past it. */
export function reachVerdict(hand: HandProfile, share: number): Verdict {
  if (share > 1 + 1e-9) return 'beyond';
  return share > hand.relaxedMm / hand.fullMm ? 'stretch' : 'easy';
}

/** How two fingers of a hand take a spread in mm. */
export function pairVerdict(hand: HandProfile, low: Finger, high: Finger, spread: number): Verdict {
  return reachVerdict(hand, reachShare(hand, slotOf(low), slotOf(high), spread));
}
