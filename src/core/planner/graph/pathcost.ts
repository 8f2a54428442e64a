import {
  chargeEntry,
  chargeInPlace,
  chargeMove,
  chargeOpening,
  chargePlay,
  chargeReframe,
  chargeStay,
  chargeStone,
  contextAt,
  contextTo,
  guideOf,
  newTally,
  sameFrame,
  type Tally,
} from '../cost';
import { handMoves, movesInPlace } from '../../hand/moves';
import type { Context } from '../cost';
import { stringsUp } from '../cost';
import { isFresh, type Path } from './trellis';
import type { HoldTrellis } from './build';

/** The terms of a path from event `first` to event `last`, as if it began and ended there. */
export function tallyOf(context: Context, trellis: HoldTrellis, path: Path, first: number, last: number): Tally {
  const tally = newTally();
  for (let t = first; t <= last; t++) chargeEvent(context, trellis, path, t, tally, t === first);
  return tally;
}

/**
 * What playing event t and getting to it costs; at the opening the hand is set without a step.
 * @returns the sum of what was laid into the tally
 */
export function chargeEvent(
  context: Context,
  trellis: HoldTrellis,
  path: Path,
  t: number,
  tally: Tally,
  opening = t === 0,
): number {
  const layer = trellis.layers[t];
  const candidate = layer.candidates[path[t]];
  const own = contextAt(context, t);
  const played = chargePlay(own, candidate, layer, tally);
  const begins = t === 0 || trellis.transitions[t - 1].free;
  if (!opening && !begins) return played + chargeStep(contextTo(context, t), own, trellis, path, t, tally);
  const first = begins ? chargeOpening(own, candidate.hold, tally) : 0;
  return played + first + chargeEntry(own, candidate.hold, tally);
}

/**
 * The step from event t - 1 to event t.
 * @param there the context of the later event, by which the hand is set
 */
function chargeStep(
  context: Context,
  there: Context,
  trellis: HoldTrellis,
  path: Path,
  t: number,
  tally: Tally,
): number {
  const [before, layer] = [trellis.layers[t - 1], trellis.layers[t]];
  const from = before.touchList[before.touchOf[path[t - 1]]];
  const to = layer.touchList[layer.touchOf[path[t]]];
  const held = before.candidates[path[t - 1]].hold;
  const { hold } = layer.candidates[path[t]];
  const transition = trellis.transitions[t - 1];
  const stone = handMoves(held, hold) && isFresh(trellis, path, t - 1) ? chargeStone(transition, tally) : 0;
  if (from.position !== to.position) {
    const slide = guideOf(context.pricing, from, to);
    return stone + chargeMove(context, from, to, transition, slide, tally) + chargeEntry(there, hold, tally);
  }
  if (movesInPlace(held, hold)) {
    const moved = chargeInPlace(context, { touch: from, hold: held }, { touch: to, hold }, transition, tally);
    return stone + moved + chargeEntry(there, hold, tally);
  }
  const stay = chargeStay(context, from, to, transition, tally);
  if (sameFrame(held, hold)) return stay;
  const reframe = chargeReframe(context, stringsUp(from, to) === 0, held, hold, to.finger, tally);
  return stay + chargeEntry(there, hold, tally) + reframe;
}

/** True where the hand moves from event t to the next: to another position or within its own. */
export function shiftsFrom({ layers }: HoldTrellis, path: ArrayLike<number>, t: number): boolean {
  return handMoves(layers[t].candidates[path[t]].hold, layers[t + 1].candidates[path[t + 1]].hold);
}
