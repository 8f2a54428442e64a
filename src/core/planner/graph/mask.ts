import { handMoves } from '../../hand/moves';
import { chargePlay, contextAt, type Candidate, type Context, type Over, type Touch } from '../cost';
import type { HoldTrellis } from './build';
import type { HoldLayer } from './layers';
import { moveCost, type Block, type InPlace } from './trellis';

/*
 * One more demand laid on a trellis that is there already: what it forbids costs Infinity, what it prices otherwise is charged anew. The same plan
 * comes out as by building the trellis under the demand, in a fraction of the time.
 */

export interface Mask {
  /** The holds that may stay; all where left out. What a place says of its own notes is told with them. */
  readonly allows?: (candidate: Candidate, over: Over) => boolean;
  /** No shift arrives at this event, by its number among the sounding ones. */
  readonly noShiftTo?: number;
  /** What each shift costs more than before, Infinity where it may not be, and what is added at least. */
  readonly shift?: { readonly adds: (from: Touch, to: Touch) => number; readonly least: number };
  /** Other prices for playing a note. */
  readonly pricedBy?: Context;
}

/** @returns null where some event is left without a hold */
export function masked(trellis: HoldTrellis, { allows, noShiftTo, shift, pricedBy }: Mask): HoldTrellis | null {
  const mayBe = (t: number) => (candidate: Candidate) => !allows || allows(candidate, trellis.overAt(t));
  if (allows && !trellis.layers.every(({ candidates }, t) => candidates.some(mayBe(t)))) return null;
  const layers = new Map<HoldLayer, HoldLayer>();
  const layerFor = (layer: HoldLayer, t: number): HoldLayer => {
    const known = layers.get(layer);
    if (known) return known;
    const priced = pricedBy && contextAt(pricedBy, t);
    const stays = mayBe(t);
    const cost = layer.cost.map((own, node) => {
      const candidate = layer.candidates[node];
      if (!stays(candidate)) return Infinity;
      return priced ? chargePlay(priced, candidate, layer) : own;
    });
    const made = { ...layer, cost };
    layers.set(layer, made);
    return made;
  };
  const blocks = new Map<Block, Block>();
  const blockFor = (block: Block, t: number): Block => {
    const [before, after] = [trellis.layers[t], trellis.layers[t + 1]];
    const { free } = trellis.transitions[t];
    const moves = (a: number, b: number) => handMoves(before.candidates[a].hold, after.candidates[b].hold);
    if (noShiftTo === t + 1)
      return {
        ...block,
        moves: block.moves.map(() => Infinity),
        inPlace: null,
        ...(free ? staysDearer(block, (a, b) => (moves(a, b) ? Infinity : 0)) : {}),
      };
    if (!shift) return block;
    const known = blocks.get(block);
    if (known) return known;
    const [from, to] = [before.touchList, after.touchList];
    const [early, late] = [before.touchOf, after.touchOf];
    const added = (a: number, b: number) => shift.adds(from[early[a]], to[late[b]]);
    const made: Block = {
      ...block,
      moves: new Float64Array(block.moves.length),
      inPlace: block.inPlace && dearer(block.inPlace, added),
      ...(free ? staysDearer(block, (a, b) => (moves(a, b) ? added(a, b) : 0)) : {}),
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

/** The stays of a block at other prices: over a long rest shifts are among them. */
function staysDearer(
  { stayStart: start, stayTo: to, stayCost: cost }: Block,
  adds: (from: number, to: number) => number,
) {
  return { stayCost: dearer({ start, to, cost }, adds).cost };
}

/** @param adds is told the two nodes */
function dearer({ start, to, cost }: InPlace, adds: (from: number, to: number) => number): InPlace {
  const more = cost.slice();
  for (let from = 0; from + 1 < start.length; from++)
    for (let at = start[from]; at < start[from + 1]; at++) more[at] += adds(from, to[at]);
  return { start, to, cost: more };
}
