import { comesBackAlike, masked, type Path } from '../graph';
import { requestWeights, type Context, type Weights } from '../cost';
import { plansOf } from '../answer';
import type { PlanRequest } from '../request';
import type { Plan, ResponseEvent } from '../response';
import { bestPath, searchedFor, withCosts, type Searched } from '../searched';
import { demandsAfter, withDemand, type Asked } from './demands';
import { changesOf, traitsOf, worthBeside, type Traits } from './traits';

/*
 * The other ways to play it: after the best plan, the best under one more demand each. A way is shown only if it differs from each cheaper one in
 * something a player feels and is better in something.
 */

/** A plan with what it was found in, for whoever asks why. */
export interface Way {
  readonly plan: Plan;
  readonly searched: Searched;
  readonly path: Path;
}

interface Measured extends Way {
  readonly traits: Traits;
}

/** What a way may cost, so that nobody is shown what no one would play: a quarter more than the best, and four plain shifts. */
const WORTH = { times: 1.25, plus: 4 };

/**
 * The ways beside the best plan, cheapest first by the prices of the request.
 * @param most how many are wanted
 */
export function waysBeside(best: Way, events: readonly ResponseEvent[], most: number): Way[] {
  const { context, trellis } = best.searched;
  const comesBack = comesBackAlike(context, trellis, best.path);
  const first: Measured = { ...best, traits: traitsOf(best.plan, events) };
  const dearest = WORTH.times * best.plan.cost + WORTH.plus;
  const found = demandsAfter(context, trellis, best.plan, comesBack)
    .flatMap((asked) => wayFor(best.searched, asked, events, dearest, best.plan.shifts.length) ?? [])
    .filter(({ plan }) => plan.cost <= dearest)
    .sort((a, b) => a.plan.cost - b.plan.cost);
  const shown: Measured[] = [first];
  for (const one of found) {
    if (shown.length > most) break;
    if (shown.every(({ traits }) => worthBeside(one.traits, traits))) shown.push(one);
  }
  return shown
    .slice(1)
    .map((way) => ({ ...way, plan: { ...way.plan, changes: changesOf(way.traits, first.traits) } }));
}

/**
 * The best plan under one more demand; null where it leaves none.
 * @param most what it may cost: dearer ones need not be found
 */
function wayFor(
  own: Searched,
  { way, demand, mask }: Asked,
  events: readonly ResponseEvent[],
  most: number,
  shiftsBefore: number,
): Measured | null {
  const { context } = own;
  const request = withDemand(context.request, demand);
  const weights = repriced(context.pricing.weights, context.request, request);
  const searched = mask
    ? underMask(own, { ...context, request, pricing: { ...context.pricing, weights } }, mask)
    : searchedFor(request, context.music, weights);
  const path = searched && bestPath(searched, most);
  if (!searched || !path) return null;
  // What it costs is told by the request's own prices, on what it lies on.
  const priced: Context = {
    ...searched.context,
    pricing: { ...searched.context.pricing, weights: context.pricing.weights },
  };
  const [plan] = plansOf(priced, searched.trellis, [path]);
  const fewer = shiftsBefore - plan.shifts.length;
  const named = way.code === 'fewer-shifts' && fewer > 0 ? { ...way, fewer } : way;
  return { plan: { ...plan, way: named, demand }, searched, path, traits: traitsOf(plan, events) };
}

function underMask(own: Searched, context: Context, mask: NonNullable<Asked['mask']>): Searched | null {
  const samePrices = context.pricing.weights === own.context.pricing.weights;
  if (Object.keys(mask).length === 0 && samePrices) return { ...own, context };
  const trellis = masked(own.trellis, samePrices ? mask : { ...mask, pricedBy: context });
  return trellis && withCosts(context, trellis);
}

/** The weights in force, with what the demand prices otherwise. */
function repriced(weights: Weights, before: PlanRequest, after: PlanRequest): Weights {
  const [was, is] = [requestWeights(before), requestWeights(after)];
  const changed = (Object.keys(is) as (keyof Weights)[]).filter(
    (name) => JSON.stringify(was[name]) !== JSON.stringify(is[name]),
  );
  if (changed.length === 0) return weights;
  return { ...weights, ...Object.fromEntries(changed.map((name) => [name, is[name]])) };
}
