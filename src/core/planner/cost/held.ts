import type { HandModel, Hold } from '../../hand/hold';
import { lowerFinger, type Slide, type Touch } from './terms';

/** A hand and what it touches. */
export interface Held {
  readonly touch: Touch;
  readonly hold: Hold;
}

/** The finger that carries the hand through a shift within its position, and its way. */
export function slideInPlace(
  model: HandModel,
  { touch: from, hold: old }: Held,
  { touch: to, hold: next }: Held,
): Slide {
  const [start, end] = [old, next].map((hold) => frameOf(model, hold));
  const lower = lowerFinger(from.finger, to.finger);
  // A finger that has no place of its own in one of the frames does not guide.
  const finger = Number.isNaN(start[lower] + end[lower]) ? 1 : lower;
  const string = finger === from.finger && finger !== to.finger ? from.leadString : to.leadString;
  return { finger, string, start: start[finger], end: end[finger] };
}

function frameOf(model: HandModel, { frame, side, position }: Hold): readonly number[] {
  return side === 0 ? frame : model.frameAside(position, side);
}
