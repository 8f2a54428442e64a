import { NO_FRAME } from '../../hand/hold';
import { midiOf } from '../../pitch/pitch';
import { isTouchedAtLast, candidatesFor, forbidden, locksAt } from './candidates';
import { blocksFor } from './blocks';
import { holdLayer, openingLayer, OWN_LAYERS, type HoldLayer } from './layers';
import { againIn, type Again } from './again';
import { staysIn, type Stays } from './stays';
import { heldTops, transitionsOf } from './transitions';
import { contentTag, contextAt, overOf, type Over, type Candidate, type Context, type Tables } from '../cost';
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
  /** What a place says of an event. */
  readonly overAt: (t: number) => Over;
  /** Notes that are wanted with the fingers of earlier ones. */
  readonly again: readonly Again[];
  /** In singing what a climb is held against; else null. */
  readonly stays: Stays | null;
}

/** Weaves the trellis for all events; an event that the demands leave without a hold gets an empty layer, and nothing is joined then. */
export function buildTrellis(context: Context): HoldTrellis {
  /** What a lock or a forbidden thing touches belongs to this request alone. */
  const demandedLayers = new Map<string, HoldLayer>();
  const tops = heldTops(context);
  const layers = context.sounding.map((event, t): HoldLayer => {
    const own = contextAt(context, t);
    const kept = own.tables.layers as Tables<HoldLayer, Block>['layers'];
    const opening = t === 0 || context.parts.has(t);
    const locks = locksAt(context, event);
    const demanded = locks.length + forbidden(context, event).length > 0;
    const ringing = opening && event.pitches.some((pitch) => isOpen(context, midiOf(pitch)));
    const places = ringing ? firstPositions(context, t) : null;
    const tag = [
      contentTag(event),
      event.beats,
      event.octave,
      event.accent ? 'accent' : '',
      tops[t] ? 'top' : '',
      opening ? `^${[...(places ?? [])].join()}` : '',
      demanded ? event.at : '',
      isTouchedAtLast(context, event) ? 'touched' : '',
    ].join('|');
    const known = demanded ? demandedLayers : kept;
    let layer = known.get(tag);
    if (!layer) {
      const candidates = candidatesFor(own, event, locks);
      const number = demanded ? OWN_LAYERS + known.size : known.size;
      layer = opening
        ? openingLayer(own, event, number, places ? handBegins(candidates, places) : candidates, tops[t])
        : holdLayer(own, event, number, candidates, tops[t]);
      known.set(tag, layer);
    }
    return layer;
  });
  const transitions = transitionsOf(context);
  const whole = layers.every(({ nodes }) => nodes > 0);
  return {
    layers,
    transitions,
    blocks: whole ? blocksFor(context, layers, transitions) : [],
    overAt: (t) => overOf(context, t),
    again: againIn(context),
    stays: staysIn(context, layers),
  };
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

/** At the opening of the piece or of a part the hand may already lie where the first pressed notes want it. */
function firstPositions(context: Context, from: number): Set<number> {
  const positions = new Set<number>();
  for (let t = from; t < context.sounding.length && (t === from || !context.parts.has(t)); t++) {
    const event = context.sounding[t];
    const candidates = candidatesFor(contextAt(context, t), event, locksAt(context, event));
    for (const { hold } of candidates) if (hold.frame !== NO_FRAME) positions.add(hold.position);
    if (candidates.every(({ hold }) => hold.frame !== NO_FRAME)) return positions;
  }
  return positions.add(context.model.home);
}
