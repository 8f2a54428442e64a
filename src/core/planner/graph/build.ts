import { NO_FRAME } from '../../hand/hold';
import { midiOf } from '../../pitch/pitch';
import { candidatesFor, forbidden, locksAt } from './candidates';
import { blocksFor } from './blocks';
import { holdLayer, type HoldLayer } from './layers';
import { transitionsOf } from './transitions';
import { contentTag, type Candidate, type Context } from '../cost';
import type { PricedTransition } from '../cost';
import type { Trellis } from './trellis';

/*
 * Weaves the trellis: all holds of each event that the demands leave, and the cost of every step between them. Equal events share a
 * layer and equal neighbours a block, so a long piece costs little more than its different notes do.
 */

export interface HoldTrellis extends Trellis {
  readonly layers: readonly HoldLayer[];
  /** What lies between layers t and t + 1. */
  readonly transitions: readonly PricedTransition[];
}

/** Weaves the web for all events; an event that the demands leave without a hold gets an empty layer, and nothing is joined then. */
export function buildTrellis(context: Context): HoldTrellis {
  const known = new Map<string, HoldLayer>();
  const layers: HoldLayer[] = [];
  for (const event of context.sounding) {
    const before = layers[layers.length - 1];
    const locks = locksAt(context, event);
    const ringing = event.pitches.some((pitch) => isOpen(context, midiOf(pitch)));
    const tag = [
      contentTag(event),
      event.beats,
      event.octave,
      ringing ? before?.number : '',
      locks.length > 0 || forbidden(context, event).length > 0 ? event.at : '',
    ].join('|');
    let layer = known.get(tag);
    if (!layer) {
      const candidates = candidatesFor(context, event, locks);
      layer = holdLayer(
        context,
        event,
        known.size,
        ringing ? handStays(context, candidates, before) : candidates,
      );
      known.set(tag, layer);
    }
    layers.push(layer);
  }
  const transitions = transitionsOf(context);
  const whole = layers.every(({ nodes }) => nodes > 0);
  return { layers, transitions, blocks: whole ? blocksFor(context, layers, transitions) : [] };
}

function isOpen(context: Context, midi: number): boolean {
  const { strings, extensionSemitones } = context.setup;
  const extended = midi < strings[0].midi && midi >= strings[0].midi - extensionSemitones;
  return extended || strings.some((open) => open.midi === midi);
}

/** An open string leaves the hand where it was before. */
function handStays(
  context: Context,
  candidates: readonly Candidate[],
  before: HoldLayer | undefined,
): Candidate[] {
  const positions = before
    ? new Set(before.touchList.map(({ position }) => position))
    : firstPositions(context);
  return candidates.filter(({ hold }) => hold.frame !== NO_FRAME || positions.has(hold.position));
}

/** At the opening the hand already lies where the first pressed notes want it, for to move there later would only cost more. */
function firstPositions(context: Context): Set<number> {
  const positions = new Set<number>();
  for (const event of context.sounding) {
    const candidates = candidatesFor(context, event, locksAt(context, event));
    for (const { hold } of candidates) if (hold.frame !== NO_FRAME) positions.add(hold.position);
    if (candidates.every(({ hold }) => hold.frame !== NO_FRAME)) return positions;
  }
  return positions.add(context.model.home);
}
