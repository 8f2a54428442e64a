import { laidFingers, type FingerPlaces } from '../hand/finger';
import type { Finger, Plan, Step } from '../vocabulary';
import type { HandProfile } from '../instrument/record';
import { stopMm } from '../instrument/geometry';
import type { Setup } from '../instrument/setup';
/*
 * How close neighbouring fingers come: less than a fingertip apart they crowd, and one makes way; up to one and a half they touch.
 */

/** Two neighbouring fingers wanted a semitone apart where a fingertip is wider than the space between them. */
export interface CrowdedPair {
  readonly fingers: readonly [Finger, Finger];
  readonly roomMm: number;
  readonly tipMm: number;
}

export interface Crowd extends CrowdedPair {
  /** The notes that the two play, those nearest to each other; in order. */
  readonly events: readonly [number, number];
  readonly string: string;
}

/** Fingertips between two fingers that touch, at most. */
const TOUCH_TIPS = 1.5;

/** True where two fingers on one string have less room than a fingertip. */
export function isCrowded(roomMm: number, { fingertipMm }: HandProfile): boolean {
  return roomMm < fingertipMm;
}

/** True where two fingers on one string lie side by side without crowding. */
export function isTouching(roomMm: number, hand: HandProfile): boolean {
  return !isCrowded(roomMm, hand) && roomMm <= TOUCH_TIPS * hand.fingertipMm;
}

/** The neighbours among some laid fingers that have too little room between them. */
export function crowdedPairs(places: FingerPlaces, { lengthMm }: Setup, hand: HandProfile): CrowdedPair[] {
  const laid = laidFingers(places);
  return laid.slice(1).flatMap(([finger, high], at): CrowdedPair[] => {
    const [below, low] = laid[at];
    const roomMm = stopMm(lengthMm, high) - stopMm(lengthMm, low);
    if (high === low || !isCrowded(roomMm, hand)) return [];
    return [{ fingers: [below, finger], roomMm, tipMm: hand.fingertipMm }];
  });
}

/** Every pair of fingers that play within one frame with too little room between them, each once a frame. */
export function crowdsIn(plan: Plan, setup: Setup, hand: HandProfile): Crowd[] {
  return plan.frames.flatMap(({ from, to, string, fingers }) => {
    const pairs = crowdedPairs(fingers, setup, hand);
    if (pairs.length === 0) return [];
    const steps = plan.steps.filter(({ at }) => at >= from && at <= to);
    return pairs.flatMap((pair): Crowd[] => {
      const events = nearest(playedOn(steps, string, pair.fingers[0]), playedOn(steps, string, pair.fingers[1]));
      return events ? [{ ...pair, events, string }] : [];
    });
  });
}

function playedOn(steps: readonly Step[], string: string, finger: Finger): number[] {
  const plays = ({ stops }: Step) => stops.some((stop) => stop.string === string && stop.finger === finger);
  return steps.filter(plays).map(({ at }) => at);
}

/** Of two lists of events the pair that lies nearest to each other, in order; null where one is empty. */
function nearest(ones: readonly number[], others: readonly number[]): [number, number] | null {
  let best: [number, number] | null = null;
  for (const a of ones)
    for (const b of others) if (!best || Math.abs(a - b) < best[1] - best[0]) best = [Math.min(a, b), Math.max(a, b)];
  return best;
}
