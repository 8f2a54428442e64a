import type { Hold } from '../hand/hold';
import { buildMusic } from '../material/build';
import { plansOf, responseEvent } from './answer';
import { comparePlans } from './explain';
import { traitsOf } from './explain';
import { alikeIn } from './graph';
import { shiftlessSteps, shiftReasons, stepReasons } from './explain';
import { problemsOf } from './explain';
import type { PlanRequest } from './request';
import type { Plan, PlanResponse, ResponseEvent } from './response';
import { contextFor, type Context } from './cost';
import { differentPaths, type Found, type Wanted } from './search';
import { passesOver, type Passes } from './search';
import { buildTrellis, type HoldTrellis } from './graph';
import { requestWeights, type Weights } from './cost';

const DEFAULT_ALTERNATIVES = 3;

/** In how many events two plans must differ to count as different ideas, for a number of events. */
export function apartFor(events: number): number {
  return Math.min(3, Math.ceil(events / 6));
}

/**
 * Plans the left hand for one request: the cheapest plans that a teacher would call different, cheapest first, or the problem that leaves
 * none. The request must have passed requestIssues.
 * @param weights other prices than the usual ones, to try how much hangs on them
 */
export function plan(request: PlanRequest, weights: Weights = requestWeights(request)): PlanResponse {
  const music = buildMusic(request.material);
  const events = music.events.map(responseEvent);
  const context = contextFor(request, music, weights);
  const trellis = buildTrellis(context);
  const costs = trellis.layers.every((layer) => layer.nodes > 0) ? passesOver(trellis) : null;
  const paths = costs ? distinct(trellis, differentPaths(trellis, wantedOf(context, trellis), costs)) : [];
  const plans = costs ? explained(context, trellis, costs, events, paths) : [];
  return {
    contract: 1,
    events,
    key: music.key,
    time: music.time,
    pickup: music.pickup,
    plans,
    ...comparison(plans, request.compare),
    problems: paths.length === 0 ? problemsOf(context, trellis) : [],
  };
}

/** The paths without those that lay every finger where a cheaper one does: another name for the same hand is no other way. */
function distinct({ layers }: HoldTrellis, paths: readonly Found[]): Found[] {
  const seen = new Set<string>();
  return paths.filter(({ path }) => {
    const laid = Array.from(path, (node, t) => laidOut(layers[t].candidates[node].hold)).join(' ');
    if (seen.has(laid)) return false;
    seen.add(laid);
    return true;
  });
}

/** Where a hold lays every finger. */
function laidOut({ stops, frame }: Hold): string {
  const touched = stops.map(({ string, finger, semitones }) => `${string}.${finger}.${semitones}`);
  return `${touched.join('+')}/${frame.join('.')}`;
}

function comparison(plans: readonly Plan[], pair: PlanRequest['compare']): Partial<PlanResponse> {
  const [first, second] = (pair ?? []).map((at) => plans[at]);
  return first && second ? { comparison: comparePlans(first, second) } : {};
}

/** How many plans the request wants and how they differ. */
export function wantedOf({ request, music, sounding, pricing }: Context, trellis: HoldTrellis): Wanted {
  return {
    count: request.alternatives ?? DEFAULT_ALTERNATIVES,
    apart: apartFor(sounding.length),
    back: music.returns ? { otherWay: pricing.weights.otherWayBack, alike: alikeIn(trellis) } : undefined,
  };
}

/** The plans with what sets each apart and why its elements are there. */
function explained(
  context: Context,
  trellis: HoldTrellis,
  costs: Passes,
  events: readonly ResponseEvent[],
  paths: readonly Found[],
): Plan[] {
  const plans = plansOf(
    context,
    trellis,
    paths.map(({ path }) => path),
  );
  const { explain = 'shifts' } = context.request;
  if (explain === 'nothing' || plans.length === 0) return plans;
  const traits = traitsOf(plans, events);
  const shiftless = shiftlessSteps(trellis, costs);
  return plans.map((one, at) => {
    const { path } = paths[at];
    const reasoned = shiftReasons(context, trellis, costs, shiftless, path, { ...one, traits: traits[at] });
    return explain === 'all' ? stepReasons(context, trellis, costs, path, reasoned) : reasoned;
  });
}
