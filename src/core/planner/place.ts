import type { HandModel } from '../hand/hold';
import type { HandPlace } from '../vocabulary';

/** Where the hand is, as it is told: its position, and in thumb position where the thumb lies. */
export function placeOf(model: HandModel, position: number): HandPlace {
  const label = model.label(position);
  return model.thumbUp(position) ? { position: label, thumbAt: model.anchor(position) } : { position: label };
}
