import { handMoves } from '../hand/moves';
import type { Music } from '../material/events';
import { contextFor, requestWeights, type Context } from './cost';
import type { Weights } from '../vocabulary';
import type { Hold } from '../hand/hold';
import { alikeIn, buildTrellis, sameBackIn, type HoldTrellis, type Path } from './graph';
import type { PlanRequest } from '../vocabulary';
import {
  apartIn,
  cheapestNear,
  cheapestPath,
  fewestShifts,
  passesOver,
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
  const context = { ...contextFor(request, music, weights), secure: secureStops(request, music) };
  return withCosts(context, buildTrellis(context));
}

/** Worked out once for a piece of music and a player. */
const known = new WeakMap<Music, Map<string, Int32Array | null>>();

/**
 * Where the notes of a piece that is sung are stopped when it is played securely and nothing is demanded, in semitones; -1 where nothing is known. Null
 * where nothing is sung.
 */
function secureStops(request: PlanRequest, music: Music): Int32Array | null {
  const { material, style, rules, alternatives: _, preferences: __, ...player } = request;
  const sings = style === 'singing' || (rules?.places ?? []).some((place) => place.style === 'singing');
  if (!sings || material.type !== 'notes') return null;
  const found = known.get(music) ?? new Map<string, Int32Array | null>();
  known.set(music, found);
  const tag = JSON.stringify(player);
  if (!found.has(tag)) {
    const plain: PlanRequest = { ...player, material };
    const { trellis, context, costs } = searchedFor(plain, music, requestWeights(plain));
    const path = bestPath({ trellis, context, costs });
    found.set(tag, path && Int32Array.from(path, (node, t) => stopAlone(trellis.layers[t].candidates[node].hold)));
  }
  return found.get(tag) ?? null;
}

/** The stop of a single note, in semitones; -1 where there are several. */
const stopAlone = ({ stops }: Hold) => (stops.length === 1 ? stops[0].semitones : -1);

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
  const apart = apartIn(trellis);
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
    ...(apart ? { apart } : {}),
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
