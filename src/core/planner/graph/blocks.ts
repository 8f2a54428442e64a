import {
  chargeInPlace,
  chargeMove,
  chargeReframe,
  chargeStay,
  contextAt,
  contextTo,
  guideOf,
  leastMove,
  sameFrame,
} from '../cost';
import { handMoves, keepsSide, movesInPlace } from '../../hand/moves';
import { THUMB } from '../../hand/finger';
import { OWN_LAYERS, type HoldLayer } from './layers';
import type { Context } from '../cost';
import { stringsUp, type PricedTransition, type Touch } from '../cost';
import type { Block, InPlace } from './trellis';

/*
 * What lies between two layers: the cost of every step from hold to hold.
 */

/** One block for each different pair of layers and moment; those between layers of one stretch that are kept are kept too. */
export function blocksFor(
  context: Context,
  layers: readonly HoldLayer[],
  transitions: readonly PricedTransition[],
): Block[] {
  const own = new Map<string, Block>();
  return transitions.map((transition, t) => {
    const [from, to] = [layers[t], layers[t + 1]];
    const step = contextTo(context, t + 1);
    const apart = contextAt(context, t) !== contextAt(context, t + 1);
    if (apart) return blockBetween(step, from, to, transition);
    const demanded = from.number >= OWN_LAYERS || to.number >= OWN_LAYERS;
    const known = demanded ? own : (step.tables.blocks as Map<string, Block>);
    const stretch = demanded && context.stretches ? context.stretches.of[t] : '';
    const tag = `${from.number} ${to.number} ${transition.number} ${stretch}`;
    let block = known.get(tag);
    if (!block) {
      block = blockBetween(step, from, to, transition);
      known.set(tag, block);
    }
    return block;
  });
}

function blockBetween(context: Context, from: HoldLayer, to: HoldLayer, transition: PricedTransition): Block {
  if (transition.free) return freeBlock(context, from, to, transition);
  return {
    moves: new Float64Array(from.touches * to.touches),
    workOut(row, column) {
      const [a, b] = [from.touchList[row], to.touchList[column]];
      return !mayMove(context, a, b, transition)
        ? Infinity
        : chargeMove(context, a, b, transition, guideOf(context.pricing, a, b));
    },
    least: leastMoves(context, from, to, transition),
    stone: transition.stone,
    ...staysBetween(context, from, to, transition),
  };
}

/** Over a long rest the hand is set anew, wherever it was: every step is one that costs nothing but that. */
function freeBlock(context: Context, from: HoldLayer, to: HoldLayer, transition: PricedTransition): Block {
  const stayStart = new Int32Array(from.nodes + 1);
  const [stayTo, stayCost]: number[][] = [[], []];
  from.candidates.forEach(({ hold }, u) => {
    const a = from.touchList[from.touchOf[u]];
    to.candidates.forEach(({ hold: next }, v) => {
      const may = handMoves(hold, next)
        ? mayShift(context, a, to.touchList[to.touchOf[v]], transition)
        : !transition.mustShift;
      if (!may) return;
      stayTo.push(v);
      stayCost.push(to.entry[v]);
    });
    stayStart[u + 1] = stayTo.length;
  });
  return {
    moves: new Float64Array(from.touches * to.touches).fill(Infinity),
    workOut: () => Infinity,
    least: new Float64Array(to.touches).fill(Infinity),
    stone: 0,
    stayStart,
    stayTo: Int32Array.from(stayTo),
    stayCost: Float64Array.from(stayCost),
    inPlace: null,
  };
}

function leastMoves(context: Context, from: HoldLayer, to: HoldLayer, transition: PricedTransition): Float64Array {
  const open = from.touchList.some(({ finger }) => finger === 0);
  const least = new Float64Array(to.touches);
  for (let column = 0; column < to.touches; column++)
    least[column] = leastMove(context, open, to.touchList[column], transition);
  return least;
}

type Stays = Pick<Block, 'stayStart' | 'stayTo' | 'stayCost' | 'inPlace'>;

/** What goes on in one position: every hold of a touch joined to every hold of each touch there. */
function staysBetween(context: Context, from: HoldLayer, to: HoldLayer, transition: PricedTransition): Stays {
  const stayStart = new Int32Array(from.nodes + 1);
  const room = countStays(from, to);
  const stayTo = new Int32Array(room);
  const stayCost = new Float64Array(room);
  const slides = { start: new Int32Array(from.nodes + 1), to: [] as number[], cost: [] as number[] };
  let at = 0;
  for (let row = 0; row < from.touches; row++) {
    const a = from.touchList[row];
    const columns = to.touchesAt[a.position];
    for (let u = from.touchStart[row]; u < from.touchStart[row + 1]; u++) {
      const { hold } = from.candidates[u];
      for (const column of columns ?? []) {
        const b = to.touchList[column];
        if (fingersCross(a, b)) continue;
        const shared = chargeStay(context, a, b, transition);
        const oneString = stringsUp(a, b) === 0;
        for (let v = to.touchStart[column]; v < to.touchStart[column + 1]; v++) {
          const next = to.candidates[v].hold;
          if (!keepsSide(hold, next)) continue;
          if (movesInPlace(hold, next)) {
            if (!mayShift(context, a, b, transition)) continue;
            slides.to.push(v);
            slides.cost.push(
              to.entry[v] + chargeInPlace(context, { touch: a, hold }, { touch: b, hold: next }, transition),
            );
            continue;
          }
          if (transition.mustShift) continue;
          stayTo[at] = v;
          stayCost[at++] = sameFrame(hold, next)
            ? shared
            : shared + to.entry[v] + chargeReframe(context, oneString, hold, next, b.finger);
        }
      }
      stayStart[u + 1] = at;
      slides.start[u + 1] = slides.to.length;
    }
  }
  return { stayStart, stayTo, stayCost, inPlace: inPlaceOf(slides) };
}

function inPlaceOf({ start, to, cost }: { start: Int32Array; to: number[]; cost: number[] }): InPlace | null {
  return to.length === 0 ? null : { start, to: Int32Array.from(to), cost: Float64Array.from(cost) };
}

/** True where a hand that stays would lay a lower finger above a higher one: 4 on the eleventh semitone, then 3 on the octave's harmonic. */
function fingersCross(a: Touch, b: Touch): boolean {
  if (a.finger === 0 || b.finger === 0 || a.finger === b.finger || a.leadString !== b.leadString) return false;
  if (a.finger === THUMB || b.finger === THUMB) return false;
  return a.finger < b.finger ? a.semitones > b.semitones : a.semitones < b.semitones;
}

function countStays(from: HoldLayer, to: HoldLayer): number {
  let count = 0;
  from.touchList.forEach(({ position }, row) => {
    for (const column of to.touchesAt[position] ?? []) count += sizeOf(from, row) * sizeOf(to, column);
  });
  return count;
}

const sizeOf = ({ touchStart }: HoldLayer, touch: number) => touchStart[touch + 1] - touchStart[touch];

/** The hand travels to press a note, not to let an open string ring. */
function mayMove(context: Context, from: Touch, to: Touch, transition: PricedTransition): boolean {
  return from.position !== to.position && to.finger !== 0 && mayShift(context, from, to, transition);
}

/** The teacher may want no shift here, and may keep the little finger out of all. */
function mayShift({ request }: Context, from: Touch, to: Touch, { noShift }: PricedTransition): boolean {
  return !noShift && (request.rules?.fourthFinger !== 'no-shift' || !(from.fourth || to.fourth));
}
