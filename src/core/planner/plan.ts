import type { Music } from '../material/events';
import { plansOf, responseEvents } from './answer';
import { plannedMusic } from './begins';
import { preferencesOf, requestWeights } from './cost';
import type { Weights } from '../vocabulary';
import { comparePlans, heldAlike, problemsOf, shiftReasons, stepReasons } from './explain';
import type { PlanRequest, Plan, PlanResponse } from '../vocabulary';
import { withInstead } from './instead';
import { bestPath, searchedFor } from './searched';
import { passesOver } from './search';
import { locksAtOdds } from './graph';
import { waysBeside, type Best, type Way } from './ways';

const DEFAULT_ALTERNATIVES = 3;

/**
 * Plans the left hand for one request: the best plan and the ways beside it, or the problem that leaves none. The request must have passed
 * requestIssues.
 * @param weights other prices than the usual ones, to try how much hangs on them
 */
export function plan(request: PlanRequest, weights: Weights = requestWeights(request)): PlanResponse {
  const { music, missing, divided } = plannedMusic(request);
  const searched = searchedFor(request, music, weights);
  const { context, trellis, costs } = searched;
  const events = responseEvents(context);
  const path = bestPath(searched);
  const plans: Plan[] = [];
  if (path && costs) {
    const best: Best = { plan: plansOf(context, trellis, [path])[0], context, trellis, costs, path };
    const more = (request.alternatives ?? DEFAULT_ALTERNATIVES) - 1;
    const ways = more > 0 ? waysBeside(best, events, more) : [];
    plans.push(
      explained(request, best),
      ...ways.map((way) => (request.ways === 'brief' ? way.plan : explained(request, way))),
    );
  }
  return {
    ...answerOf(music, events, plans),
    ...comparison(plans, request.compare),
    problems: [
      ...(path ? [] : withInstead(problemsOf(context, trellis), request)),
      ...(missing > 0 ? [{ code: 'begins-later' as const, at: 0, missing }] : []),
      ...locksAtOdds(context).map(({ at, as }) => ({
        code: 'lock-over-same' as const,
        at,
        locks: [at, as] as [number, number],
      })),
      ...divided.map((at) => ({ code: 'divisi' as const, at })),
    ],
    ...(request.preferences ? { taste: tasteOf(request, music, plans[0]) } : {}),
  };
}

/**
 * The best plan alone, without reasons, and without a word of what would help where there is none: many times quicker where only the fingering is asked for.
 * The request must have passed requestIssues.
 * @returns null where no fingering fits
 */
export function bestAlone(request: PlanRequest): PlanResponse | null {
  const { music } = plannedMusic(request);
  const searched = searchedFor(request, music, requestWeights(request));
  const path = bestPath(searched);
  if (!path) return null;
  const { context, trellis } = searched;
  return answerOf(music, responseEvents(context), plansOf(context, trellis, [path]));
}

function answerOf(music: Music, events: PlanResponse['events'], plans: Plan[]): PlanResponse {
  return {
    contract: 1,
    events,
    key: music.key,
    time: music.time,
    pickup: music.pickup,
    ...(music.firstBar === undefined ? {} : { firstBar: music.firstBar }),
    ...(music.changes.length > 0 ? { changes: [...music.changes] } : {}),
    plans,
    problems: [],
  };
}

/** What the preferences of a request did to its best plan. */
function tasteOf(request: PlanRequest, music: Music, best: Plan | undefined): PlanResponse['taste'] {
  const { inForce, overruled } = preferencesOf(request);
  const decided = inForce.filter((name) => {
    const without = { ...request, preferences: { ...request.preferences, [name]: undefined } };
    const searched = searchedFor(without, music, requestWeights(without));
    const path = bestPath(searched);
    const other = path && plansOf(searched.context, searched.trellis, [path])[0];
    return Boolean(best && other && !best.steps.every((step, t) => heldAlike(step, other.steps[t])));
  });
  return { decided, overruled: [...overruled] };
}

function comparison(plans: readonly Plan[], pair: PlanRequest['compare']): Partial<PlanResponse> {
  const [first, second] = (pair ?? []).map((at) => plans[at]);
  return first && second ? { comparison: comparePlans(first, second) } : {};
}

/** A plan with why its elements are there. */
function explained({ explain = 'shifts' }: PlanRequest, { plan: one, ...found }: Way): Plan {
  if (explain === 'nothing') return one;
  const own = { ...found, costs: found.costs ?? passesOver(found.trellis) };
  const reasoned = shiftReasons(own, one);
  return explain === 'all' ? stepReasons(own, reasoned) : reasoned;
}
