import { stopMm } from '../instrument/geometry';
import type { Setup } from '../instrument/setup';
import type { HandProfile } from '../hand/profile';
import type { Plan } from '../planner/response';

/** Two neighbouring fingers wanted a semitone apart where a fingertip is wider than the space between them. */
export interface Crowd {
  readonly at: number;
  readonly string: string;
  readonly fingers: readonly [string, string];
  readonly roomMm: number;
  readonly tipMm: number;
}

/** Every pair of fingers that play within one frame with too little room between them, each once a frame. */
export function crowdsIn(plan: Plan, setup: Setup, hand: HandProfile): Crowd[] {
  return plan.frames.flatMap(({ from, string, fingers }) => {
    const laid = Object.entries(fingers).sort((a, b) => a[1] - b[1]);
    return laid.slice(1).flatMap(([finger, high], at) => {
      const [below, low] = laid[at];
      const roomMm = stopMm(setup.lengthMm, high) - stopMm(setup.lengthMm, low);
      if (high === low || roomMm >= hand.fingertipMm) return [];
      return [{ at: from, string, fingers: [below, finger] as const, roomMm, tipMm: hand.fingertipMm }];
    });
  });
}
