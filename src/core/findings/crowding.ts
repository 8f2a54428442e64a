import { laidFingers, type Finger, type FingerPlaces } from '../hand/finger';
import type { HandProfile } from '../hand/profile';
import { stopMm } from '../instrument/geometry';
import type { Setup } from '../instrument/setup';
import type { Plan } from '../planner/response';

/** Two neighbouring fingers wanted a semitone apart where a fingertip is wider than the space between them. */
export interface CrowdedPair {
  readonly fingers: readonly [Finger, Finger];
  readonly roomMm: number;
  readonly tipMm: number;
}

export interface Crowd extends CrowdedPair {
  readonly at: number;
  readonly string: string;
}

/** The neighbours among some laid fingers that have too little room between them. */
export function crowdedPairs(
  places: FingerPlaces,
  { lengthMm }: Setup,
  { fingertipMm }: HandProfile,
): CrowdedPair[] {
  const laid = laidFingers(places);
  return laid.slice(1).flatMap(([finger, high], at): CrowdedPair[] => {
    const [below, low] = laid[at];
    const roomMm = stopMm(lengthMm, high) - stopMm(lengthMm, low);
    if (high === low || roomMm >= fingertipMm) return [];
    return [{ fingers: [below, finger], roomMm, tipMm: fingertipMm }];
  });
}

/** Every pair of fingers that play within one frame with too little room between them, each once a frame. */
export function crowdsIn(plan: Plan, setup: Setup, hand: HandProfile): Crowd[] {
  return plan.frames.flatMap(({ from, string, fingers }) =>
    crowdedPairs(fingers, setup, hand).map((pair) => ({ ...pair, at: from, string })),
  );
}
