import { chargePlay, type Candidate, type Context, type Touch } from '../cost';
import type { HoldTrellis } from './build';
import type { HoldLayer } from './layers';
import { moveCost, type Block, type InPlace } from './trellis';

/*
 * One more demand laid on a trellis that is there already: what it forbids costs Infinity, what it prices otherwise is charged anew. The same plan
 * comes out as by building the trellis under the demand, in a fraction of the time.
 */

export interface Mask {
  /** The holds that may stay; all where left out. */
  readonly allows?: (candidate: Candidate) => boolean;
  /** No shift arrives at this event, by its number among the sounding ones. */
  readonly noShiftTo?: number;
  /** What each shift costs more than before, Infinity where it may not be, and what is added at least. */
  readonly shift?: { readonly adds: (from: Touch, to: Touch) => number; readonly least: number };
  /** Other prices for playing a note. */
  readonly pricedBy?: Context;
}

/** @returns null where some event is left without a hold */
export function masked(trellis: HoldTrellis, { allows, noShiftTo, shift, pricedBy }: Mask): HoldTrellis | null {
  if (allows && !trellis.layers.every(({ candidates }) => candidates.some(allows))) return null;
  const layers = new Map<HoldLayer, HoldLayer>();
  const layerFor = (layer: HoldLayer): HoldLayer => {
    const known = layers.get(layer);
    if (known) return known;
    const cost = layer.cost.map((own, node) => {
      const candidate = layer.candidates[node];
      if (allows && !allows(candidate)) return Infinity;
      return pricedBy ? chargePlay(pricedBy, candidate, layer.beats, layer.lowest) : own;
    });
    const made = { ...layer, cost };
    layers.set(layer, made);
    return made;
  };
  const blocks = new Map<Block, Block>();
  const blockFor = (block: Block, t: number): Block => {
    if (noShiftTo === t + 1) return { ...block, moves: block.moves.map(() => Infinity), inPlace: null };
    if (!shift) return block;
    const known = blocks.get(block);
    if (known) return known;
    const [from, to] = [trellis.layers[t].touchList, trellis.layers[t + 1].touchList];
    const [early, late] = [trellis.layers[t].touchOf, trellis.layers[t + 1].touchOf];
    const made: Block = {
      ...block,
      moves: new Float64Array(block.moves.length),
      inPlace: block.inPlace && dearer(block.inPlace, (a, b) => shift.adds(from[early[a]], to[late[b]])),
      workOut: (a, b) => shift.adds(from[a], to[b]) + moveCost(block, a, b),
      least: block.least.map((cost) => cost + shift.least),
    };
    blocks.set(block, made);
    return made;
  };
  return {
    ...trellis,
    layers: allows || pricedBy ? trellis.layers.map(layerFor) : trellis.layers,
    blocks: shift || noShiftTo !== undefined ? trellis.blocks.map(blockFor) : trellis.blocks,
  };
}

/** @param adds is told the two nodes */
function dearer({ start, to, cost }: InPlace, adds: (from: number, to: number) => number): InPlace {
  const more = cost.slice();
  for (let from = 0; from + 1 < start.length; from++)
    for (let at = start[from]; at < start[from + 1]; at++) more[at] += adds(from, to[at]);
  return { start, to, cost: more };
}
