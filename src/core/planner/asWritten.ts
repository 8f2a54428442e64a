import { buildMusic } from '../material/build';
import { requestWeights } from './cost';
import type { Weights } from '../vocabulary';
import { comparePlans } from './explain';
import { plan } from './plan';
import type { Lock, PlanRequest, PlaceCompared, Plan, PlanResponse, ReachAnswer } from '../vocabulary';
import { bestPath, searchedFor } from './searched';
import { fightingEvents } from './search';

/*
 * A fingering that was found written is judged: completed where it is half written, and laid beside the best plan.
 */

/** A written finger or string that nobody can play there, alone or after the note before it. */
export interface Unplayable {
  readonly lock: Lock;
  readonly why: 'alone' | 'after';
}

export interface AsWritten {
  /** As the request asks it, without what was written. */
  readonly response: PlanResponse;
  /** The written fingering, completed; null where there is no plan at all. */
  readonly plan: Plan | null;
  /** What of it was left out, since it cannot be played. */
  readonly unplayable: readonly Unplayable[];
  /** Where the best plan goes another way, and what each pays there: first the written one. */
  readonly differences: readonly PlaceCompared[];
  /** Spreads of the written fingering that are too wide for this hand. */
  readonly beyond: readonly ReachAnswer[];
}

/**
 * Judges written fingers and strings. Whatever else the request demands holds for the best plan, and not for what was written.
 * The request must have passed requestIssues, and so must one with the written locks.
 */
export function asWritten(
  request: PlanRequest,
  written: readonly Lock[],
  weights: Weights = requestWeights(request),
): AsWritten {
  const response = plan(request, weights);
  const { plan: own, unplayable } = writtenPlan(request, written, weights);
  const [best] = response.plans;
  return {
    response,
    plan: own,
    unplayable,
    differences: own && best ? comparePlans(own, best).places : [],
    beyond: own ? own.reach.filter(({ verdict }) => verdict === 'beyond') : [],
  };
}

/** What was found written with the locks of the request over it: a finger that was put by hand is taken there. */
export function withLocksOver(written: readonly Lock[], locks: readonly Lock[]): Lock[] {
  const settled = new Set(locks.map(({ at }) => at));
  return [...written.filter(({ at }) => !settled.has(at)), ...locks].sort((a, b) => a.at - b.at);
}

/** The written fingers and strings as a plan, completed; what nobody can play of them is left out and told. */
export function writtenPlan(
  request: PlanRequest,
  written: readonly Lock[],
  weights: Weights = requestWeights(request),
): Pick<AsWritten, 'plan' | 'unplayable'> {
  const { locks, unplayable } = playableLocks(request, written, weights);
  const [own] = plan({ ...request, rules: { locks }, alternatives: 1, compare: undefined }, weights).plans;
  return { plan: own ?? null, unplayable };
}

/** Leaves out what stands in the way of any plan, until one is left. */
function playableLocks(
  request: PlanRequest,
  written: readonly Lock[],
  weights: Weights,
): { readonly locks: Lock[]; readonly unplayable: Unplayable[] } {
  const music = buildMusic(request.material);
  let locks = [...written];
  const unplayable: Unplayable[] = [];
  const drop = (events: readonly number[], why: Unplayable['why']) => {
    const dropped = locks.filter(({ at }) => events.includes(at));
    unplayable.push(...dropped.map((lock) => ({ lock, why })));
    locks = locks.filter((lock) => !dropped.includes(lock));
    return dropped.length > 0;
  };
  for (;;) {
    const searched = searchedFor({ ...request, rules: { locks } }, music, weights);
    const { context, trellis } = searched;
    const empty = context.sounding.filter((_, t) => trellis.layers[t].nodes === 0).map(({ at }) => at);
    if (empty.length > 0) {
      if (!drop(empty, 'alone')) break;
      continue;
    }
    if (bestPath(searched)) break;
    const [first, second] = (fightingEvents(trellis) ?? []).map((t) => context.sounding[t].at);
    if (second === undefined || !(drop([second], 'after') || drop([first], 'after'))) break;
  }
  return { locks, unplayable: unplayable.sort((a, b) => a.lock.at - b.lock.at) };
}
