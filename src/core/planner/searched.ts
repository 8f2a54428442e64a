import { handMoves } from '../hand/moves';
import type { Music } from '../material/events';
import { contextFor, type Context } from './cost';
import type { Weights } from '../vocabulary';
import { alikeIn, buildTrellis, heldIn, paidAgain, sameBackIn, type HoldTrellis, type Path } from './graph';
import type { PlanRequest } from '../vocabulary';
import {
  cheapestNear,
  cheapestPath,
  fewestShifts,
  passesOver,
  rememberedPairs,
  type Counted,
  type Passes,
  type Wanted,
} from './search';

/*
 * A request laid out for the search, and the best plan in it.
 */

export interface Laid {
  readonly context: Context;
  readonly trellis: HoldTrellis;
}

export interface Searched extends Laid {
  /** Null where some note has no place at all. */
  readonly costs: Passes | null;
}

export function searchedFor(request: PlanRequest, music: Music, weights: Weights): Searched {
  const context = contextFor(request, music, weights);
  return withCosts(context, buildTrellis(context));
}

/** A trellis with its costs worked out. */
export function withCosts(context: Context, trellis: HoldTrellis): Searched {
  const whole = trellis.layers.every(({ nodes }) => nodes > 0);
  return { context, trellis, costs: whole ? passesOver(trellis) : null };
}

/** The best path of a request; null where the demands leave none. */
export function bestPath({ context, trellis, costs }: Searched): Path | null {
  const { mostShifts = Infinity } = context.request.rules ?? {};
  if (!costs || (mostShifts < Infinity && mostShifts < fewestShifts(trellis))) return null;
  return cheapestPath(trellis, wantedOf(context, trellis), costs)?.path ?? null;
}

/**
 * The best path where it costs no more than some limit; null where none does.
 * @param atLeast what arriving at each node, and finishing from it, costs at least on a path that is as wanted
 */
export function bestNear({ context, trellis }: Laid, atLeast: Passes, limit: number): Path | null {
  return cheapestNear(trellis, wantedOf(context, trellis), atLeast, limit)?.path ?? null;
}

/** What is asked of the whole path. */
function wantedOf(context: Context, trellis: HoldTrellis): Wanted {
  const { request, music, pricing } = context;
  const sameBack = request.rules?.sameBack ?? false;
  return {
    ...(music.returns
      ? {
          back: {
            otherWay: pricing.weights.otherWayBack,
            alike: alikeIn(trellis),
            ...(sameBack ? { only: sameBackIn(trellis, context) } : {}),
          },
        }
      : {}),
    counted: countedOf(context, trellis),
    ...(trellis.again.length > 0 ? { again: againOf(trellis) } : {}),
  };
}

function againOf(trellis: HoldTrellis): Wanted['again'] {
  const { again, layers } = trellis;
  return {
    paid: (path) => paidAgain(trellis, again, path),
    memory: () => rememberedPairs(again, heldIn(trellis), layers.length),
  };
}

function countedOf({ request, model }: Context, { layers }: HoldTrellis): Counted | undefined {
  const { mostShifts = Infinity, visit = [] } = request.rules ?? {};
  if (mostShifts === Infinity && visit.length === 0) return undefined;
  const holdAt = (t: number, node: number) => layers[t].candidates[node].hold;
  return {
    most: mostShifts,
    visits: visit.length,
    isShift: (t, from, to) => handMoves(holdAt(t, from), holdAt(t + 1, to)),
    visited: (t, from, to) => {
      const [a, b] = [holdAt(t, from), holdAt(t + 1, to)];
      const stopped = [a, b].every(({ stops }) => stops.every(({ finger }) => finger > 0));
      if (!stopped || a.position !== b.position) return 0;
      const label = model.label(a.position);
      return visit.reduce<number>((bits, wanted, at) => (wanted === label ? bits | (1 << at) : bits), 0);
    },
  };
}
