import { chargeReframe, leastMove, moveSum, sameFrame, staySum } from './charges';
import type { HoldLayer } from './layers';
import type { Stage } from './scene';
import { stringsApart, type Moment, type Touch } from './terms';
import type { Block } from './trellis';

/*
 * What lies between two layers: the cost of every step from hold to hold.
 */

/** One block for each different pair of layers and moment. */
export function blocksFor(stage: Stage, layers: readonly HoldLayer[], moments: readonly Moment[]): Block[] {
  const known = new Map<number, Block>();
  const most = layers.length;
  return moments.map((moment, t) => {
    const [from, to] = [layers[t], layers[t + 1]];
    const tag = (from.number * most + to.number) * most + moment.number;
    let block = known.get(tag);
    if (!block) {
      block = blockBetween(stage, from, to, moment);
      known.set(tag, block);
    }
    return block;
  });
}

function blockBetween(stage: Stage, from: HoldLayer, to: HoldLayer, moment: Moment): Block {
  const { stayStart, stayTo, stayCost } = staysBetween(stage, from, to, moment);
  return {
    moves: new Float64Array(from.touches * to.touches),
    workOut(row, column) {
      const [a, b] = [from.touchList[row], to.touchList[column]];
      return moment.noShift || !mayMove(stage, a, b) ? Infinity : moveSum(stage, a, b, moment);
    },
    least: leastMoves(stage, from, to, moment),
    stayStart,
    stayTo,
    stayCost,
  };
}

function leastMoves(stage: Stage, from: HoldLayer, to: HoldLayer, moment: Moment): Float64Array {
  const open = from.touchList.some(({ finger }) => finger === 0);
  const least = new Float64Array(to.touches);
  for (let column = 0; column < to.touches; column++)
    least[column] = leastMove(stage, open, to.touchList[column], moment);
  return least;
}

/** What goes on in one position: every hold of a touch joined to every hold of each touch there. */
function staysBetween(
  stage: Stage,
  from: HoldLayer,
  to: HoldLayer,
  moment: Moment,
): Pick<Block, 'stayStart' | 'stayTo' | 'stayCost'> {
  const stayStart = new Int32Array(from.nodes + 1);
  const room = countStays(from, to);
  const stayTo = new Int32Array(room);
  const stayCost = new Float64Array(room);
  let at = 0;
  for (let row = 0; row < from.touches; row++) {
    const a = from.touchList[row];
    const columns = to.touchesAt[a.position];
    for (let u = from.touchStart[row]; u < from.touchStart[row + 1]; u++) {
      const { hold } = from.grips[u];
      for (const column of columns ?? []) {
        const b = to.touchList[column];
        const shared = staySum(stage, a, b, moment);
        const oneString = stringsApart(a, b) === 0;
        for (let v = to.touchStart[column]; v < to.touchStart[column + 1]; v++) {
          const next = to.grips[v].hold;
          stayTo[at] = v;
          stayCost[at++] = sameFrame(hold, next)
            ? shared
            : shared + to.entry[v] + chargeReframe(stage, oneString, hold, next, b.finger);
        }
      }
      stayStart[u + 1] = at;
    }
  }
  return { stayStart, stayTo, stayCost };
}

function countStays(from: HoldLayer, to: HoldLayer): number {
  let count = 0;
  from.touchList.forEach(({ position }, row) => {
    for (const column of to.touchesAt[position] ?? []) count += sizeOf(from, row) * sizeOf(to, column);
  });
  return count;
}

const sizeOf = ({ touchStart }: HoldLayer, touch: number) => touchStart[touch + 1] - touchStart[touch];

/** The hand travels to press a note, not to let an open string ring; a weak little finger may be kept out of it. */
function mayMove(stage: Stage, from: Touch, to: Touch): boolean {
  if (from.position === to.position || to.finger === 0) return false;
  return stage.request.rules?.fourthFinger !== 'no-shift' || !(from.fourth || to.fourth);
}
