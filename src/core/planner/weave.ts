import { NO_FRAME } from '../hand/hold';
import { midiOf } from '../pitch/pitch';
import { allowedGrips, forbidden, locksAt } from './allowed';
import { blocksFor } from './blocks';
import { holdLayer, type HoldLayer } from './layers';
import { momentsOf } from './moments';
import { contentTag, type Grip, type Stage } from './scene';
import type { Moment } from './terms';
import type { Trellis } from './trellis';

/*
 * Weaves the trellis: all holds of each event that the demands leave, and the cost of every step between them. Equal events share a
 * layer and equal neighbours a block, so a long piece costs little more than its different notes do.
 */

export interface Web extends Trellis {
  readonly layers: readonly HoldLayer[];
  /** What lies between layers t and t + 1. */
  readonly moments: readonly Moment[];
}

/** Weaves the web for all events; an event that the demands leave without a hold gets an empty layer, and nothing is joined then. */
export function weave(stage: Stage): Web {
  const known = new Map<string, HoldLayer>();
  const layers: HoldLayer[] = [];
  for (const event of stage.sounding) {
    const before = layers[layers.length - 1];
    const locks = locksAt(stage, event);
    const ringing = event.pitches.some((pitch) => isOpen(stage, midiOf(pitch)));
    const tag = [
      contentTag(event),
      event.beats,
      event.octave,
      ringing ? before?.number : '',
      locks.length > 0 || forbidden(stage, event).length > 0 ? event.at : '',
    ].join('|');
    let layer = known.get(tag);
    if (!layer) {
      const grips = allowedGrips(stage, event, locks);
      layer = holdLayer(stage, event, known.size, ringing ? handStays(stage, grips, before) : grips);
      known.set(tag, layer);
    }
    layers.push(layer);
  }
  const moments = momentsOf(stage);
  const whole = layers.every(({ nodes }) => nodes > 0);
  return { layers, moments, blocks: whole ? blocksFor(stage, layers, moments) : [] };
}

function isOpen(stage: Stage, midi: number): boolean {
  const { strings, extensionSemitones } = stage.setup;
  const extended = midi < strings[0].midi && midi >= strings[0].midi - extensionSemitones;
  return extended || strings.some((open) => open.midi === midi);
}

/** An open string leaves the hand where it was before. */
function handStays(stage: Stage, grips: readonly Grip[], before: HoldLayer | undefined): Grip[] {
  const positions = before
    ? new Set(before.touchList.map(({ position }) => position))
    : firstPositions(stage);
  return grips.filter(({ hold }) => hold.frame !== NO_FRAME || positions.has(hold.position));
}

/** At the opening the hand already lies where the first pressed notes want it, for to move there later would only cost more. */
function firstPositions(stage: Stage): Set<number> {
  const positions = new Set<number>();
  for (const event of stage.sounding) {
    const grips = allowedGrips(stage, event, locksAt(stage, event));
    for (const { hold } of grips) if (hold.frame !== NO_FRAME) positions.add(hold.position);
    if (grips.every(({ hold }) => hold.frame !== NO_FRAME)) return positions;
  }
  return positions.add(stage.model.home);
}
