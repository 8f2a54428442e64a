import { NO_FRAME } from '../../hand/hold';
import { midiOf } from '../../pitch/pitch';
import { isTouchedAtLast, candidatesFor, forbidden, locksAt } from './candidates';
import { blocksFor } from './blocks';
import { holdLayer, openingLayer, OWN_LAYERS, type HoldLayer } from './layers';
import { transitionsOf } from './transitions';
import { contentTag, type Candidate, type Context, type Tables } from '../cost';
import type { PricedTransition } from '../cost';
import type { Block, Trellis } from './trellis';

/*
 * Weaves the trellis: all holds of each event that the demands leave, and the cost of every step between them. Equal events share a
 * layer and equal neighbours a block, so a long piece costs little more than its different notes do.
 */

export interface HoldTrellis extends Trellis {
  readonly layers: readonly HoldLayer[];
  /** What lies between layers t and t + 1. */
  readonly transitions: readonly PricedTransition[];
}

/** Weaves the trellis for all events; an event that the demands leave without a hold gets an empty layer, and nothing is joined then. */
export function buildTrellis(context: Context): HoldTrellis {
  const tables = context.tables as Tables<HoldLayer, Block>;
  /** What a lock or a forbidden thing touches belongs to this request alone. */
  const own = new Map<string, HoldLayer>();
  const numbers = { kept: tables.layers.size, own: OWN_LAYERS };
  const layers: HoldLayer[] = [];
  for (const event of context.sounding) {
    const opening = layers.length === 0;
    const locks = locksAt(context, event);
    const demanded = locks.length + forbidden(context, event).length > 0;
    const ringing = opening && event.pitches.some((pitch) => isOpen(context, midiOf(pitch)));
    const places = ringing ? firstPositions(context) : null;
    const tag = [
      contentTag(event),
      event.beats,
      event.octave,
      opening ? `^${[...(places ?? [])].join()}` : '',
      demanded ? event.at : '',
      isTouchedAtLast(context, event) ? 'touched' : '',
    ].join('|');
    const known = demanded ? own : tables.layers;
    let layer = known.get(tag);
    if (!layer) {
      const candidates = candidatesFor(context, event, locks);
      const number = demanded ? numbers.own++ : numbers.kept++;
      layer = opening
        ? openingLayer(context, event, number, places ? handBegins(candidates, places) : candidates)
        : holdLayer(context, event, number, candidates);
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

/** While an open string begins, the hand lies where it is wanted first. */
function handBegins(candidates: readonly Candidate[], places: ReadonlySet<number>): Candidate[] {
  return candidates.filter(({ hold }) => hold.frame !== NO_FRAME || places.has(hold.position));
}

/** At the opening the hand may already lie where the first pressed notes want it. */
function firstPositions(context: Context): Set<number> {
  const positions = new Set<number>();
  for (const event of context.sounding) {
    const candidates = candidatesFor(context, event, locksAt(context, event));
    for (const { hold } of candidates) if (hold.frame !== NO_FRAME) positions.add(hold.position);
    if (candidates.every(({ hold }) => hold.frame !== NO_FRAME)) return positions;
  }
  return positions.add(context.model.home);
}
