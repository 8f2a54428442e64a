import {
  chargeEntry,
  chargeMove,
  chargePlay,
  chargeReframe,
  chargeStay,
  newTally,
  sameFrame,
  type Tally,
} from './charges';
import type { Stage } from './scene';
import { stringsApart, type TermName } from './terms';
import type { Path } from './trellis';
import type { Web } from './weave';

export type Terms = Readonly<Partial<Record<TermName, number>>>;

/** The terms of a path from event `first` to event `last`, as if it began and ended there. */
export function tallyOf(stage: Stage, web: Web, path: Path, first: number, last: number): Tally {
  const tally = newTally();
  for (let t = first; t <= last; t++) chargeEvent(stage, web, path, t, tally, t === first);
  return tally;
}

/**
 * What playing event t and getting to it costs; at the opening the hand is set without a step.
 * @returns the sum of what was laid into the tally
 */
export function chargeEvent(
  stage: Stage,
  web: Web,
  path: Path,
  t: number,
  tally: Tally,
  opening = t === 0,
): number {
  const layer = web.layers[t];
  const grip = layer.grips[path[t]];
  const played = chargePlay(stage, grip, layer.beats, layer.lowest, tally);
  return played + (opening ? chargeEntry(stage, grip.hold, tally) : chargeStep(stage, web, path, t, tally));
}

/** The step from event t - 1 to event t. */
function chargeStep(stage: Stage, web: Web, path: Path, t: number, tally: Tally): number {
  const [before, layer] = [web.layers[t - 1], web.layers[t]];
  const from = before.touchList[before.touchOf[path[t - 1]]];
  const to = layer.touchList[layer.touchOf[path[t]]];
  const held = before.grips[path[t - 1]].hold;
  const { hold } = layer.grips[path[t]];
  const between = web.moments[t - 1];
  if (from.position !== to.position)
    return chargeMove(stage, from, to, between, tally) + chargeEntry(stage, hold, tally);
  const stay = chargeStay(stage, from, to, between, tally);
  if (sameFrame(held, hold)) return stay;
  const reframe = chargeReframe(stage, stringsApart(from, to) === 0, held, hold, to.finger, tally);
  return stay + chargeEntry(stage, hold, tally) + reframe;
}
