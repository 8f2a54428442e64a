import { comesBackAlike, masked, type Path } from '../graph';
import { requestWeights, type Weights } from '../cost';
import { plansOf } from '../answer';
import { passesOver, type Passes } from '../search';
import type { PlanRequest } from '../request';
import type { Plan, ResponseEvent } from '../response';
import { bestNear, bestPath, searchedFor, withCosts, type Laid, type Searched } from '../searched';
import { demandsAfter, withDemand, type Asked } from './demands';
import { changesOf, traitsOf, worthBeside, type Traits } from './traits';

/*
 * The other ways to play it: after the best plan, the best under one more demand each. A way is shown only if it differs from each cheaper one in
 * something a player feels and is better in something.
 *
 * The demands are laid on what was laid out for the best plan. Of each first only what its plan costs at least is worked out; the plan itself only
 * where no cheaper one is left and there are not ways enough.
 */

/** A plan with what it was found in, for whoever asks why. */
export interface Way extends Laid {
  readonly plan: Plan;
  readonly path: Path;
  /** Where they are worked out already. */
  readonly costs?: Passes | null;
}

/** The best plan, from which the ways set out. */
export type Best = Way & { readonly costs: Passes };

/** What a way may cost, so that nobody is shown what no one would play: a quarter more than the best, and four plain shifts. */
const WORTH = { times: 1.25, plus: 4 };

/** A demand with what its best plan costs at least, by the prices of the request. */
interface Open {
  readonly cost: number;
  readonly find: () => Way | null;
}

/** A demand whose best plan is found. */
interface Found {
  readonly cost: number;
  readonly way: Way;
}

/**
 * The ways beside the best plan, cheapest first by the prices of the request.
 * @param most how many are wanted
 */
export function waysBeside(best: Best, events: readonly ResponseEvent[], most: number): Way[] {
  const { context, trellis, path, plan } = best;
  const dearest = WORTH.times * plan.cost + WORTH.plus;
  const own = traitsOf(plan, events);
  const [shown, seen]: [Way[], Traits[]] = [[], [own]];
  const asked = demandsAfter(context, trellis, plan, comesBackAlike(context, trellis, path));
  // In the order they are asked in, which tells what a plan is called that meets two demands.
  const left: (Open | Found | null)[] = asked.map((one) => opened(best, one, dearest));
  while (shown.length < most) {
    const at = cheapest(left);
    const next = left[at];
    if (!next || next.cost > dearest) break;
    if ('find' in next) {
      const way = next.find();
      left[at] = way && { cost: way.plan.cost, way };
      continue;
    }
    left[at] = null;
    const { way } = next;
    const traits = traitsOf(way.plan, events);
    if (!seen.every((cheaper) => worthBeside(traits, cheaper))) continue;
    shown.push({ ...way, plan: { ...way.plan, changes: changesOf(traits, own) } });
    seen.push(traits);
  }
  return shown;
}

/** Where the cheapest lies: of those that cost the same one that is not worked out yet, or else the first. */
function cheapest(list: readonly (Open | Found | null)[]): number {
  let least = -1;
  list.forEach((one, at) => {
    const best = list[least];
    if (!one || (best && one.cost > best.cost + ROUNDING)) return;
    if (!best || one.cost < best.cost - ROUNDING || ('find' in one && !('find' in best))) least = at;
  });
  return least;
}

/** Sums taken in another order differ in the last bits. */
const ROUNDING = 1e-9;

/** @returns null where the demand leaves some note without a hold */
function opened(best: Best, asked: Asked, dearest: number): Open | null {
  const { context, trellis, plan } = best;
  const { mask, demand } = asked;
  const request = withDemand(context.request, demand);
  const own = context.pricing.weights;
  const weights = repriced(own, context.request, request);
  if (!mask) {
    const find = () => wayIn(best, asked, searchedFor(request, context.music, weights ?? own));
    return { cost: -Infinity, find };
  }
  if (weights) {
    const priced = { ...context, request, pricing: { ...context.pricing, weights } };
    const under = masked(trellis, { ...mask, pricedBy: priced });
    return under && { cost: plan.cost, find: () => wayIn(best, asked, withCosts(priced, under)) };
  }
  const under = masked(trellis, mask);
  if (!under) return null;
  const costs = Object.keys(mask).length === 0 ? best.costs : passesOver(under);
  const laid: Searched = { context: { ...context, request }, trellis: under, costs };
  const shifts = demand.rules?.mostShifts;
  const bounds = boundedBy(best, costs);
  const find = (): Path | null => {
    if (shifts === undefined) return pathNear(laid, bounds, FIRST_SLACK, dearest);
    // Most often one shift fewer costs little more; where it does not, what it costs at least is worth working out.
    const near = pathNear(laid, bounds, FIRST_SLACK, plan.cost + LITTLE);
    return near ?? pathNear(laid, boundedByShifts(best, shifts, dearest), MORE_SLACK * LITTLE, dearest);
  };
  return {
    cost: bounds.least,
    find: () => {
      const path = find();
      return path && wayAlong(best, asked, laid, path);
    },
  };
}

/** What a path under a mask costs at least: no less than the best plan, from each node on what the mask leaves, and up to there what it cost without. */
function boundedBy(best: Best, { first, backward, least }: Passes): Passes {
  return { first, backward, forward: best.costs.forward, least: Math.max(least, best.plan.cost) };
}

/**
 * What a path with so many shifts at most costs at least, as long as it costs no more than the dearest: with a price on each shift that makes any
 * path with more of them too dear, less the price of as many as there may be. Where paths with far fewer shifts are not much dearer that says little,
 * and what the best plan costs says more.
 */
function boundedByShifts({ plan, trellis, costs }: Best, shifts: number, dearest: number): Passes {
  const price = dearest - plan.cost + LITTLE;
  const priced = masked(trellis, { shift: { adds: () => price, least: price } });
  const { first, backward, forward, least } = priced ? passesOver(priced) : costs;
  const paid = price * shifts;
  if (least - paid <= plan.cost) return costs;
  return { first, backward, forward: forward.map((cost) => cost - paid), least: least - paid };
}

/** How far above the least it could cost a way is looked for first, how much further each next time, and what is little more. */
const FIRST_SLACK = 0.25;
const MORE_SLACK = 4;
const LITTLE = 1;

/** The best path, where it costs no more than some limit; looked for nearby first, since the search takes longer the further it looks. */
function pathNear(laid: Laid, bounds: Passes, first: number, most: number): Path | null {
  if (bounds.least > most) return null;
  for (let slack = first; ; slack *= MORE_SLACK) {
    const limit = Math.min(bounds.least + slack, most);
    const path = bestNear(laid, bounds, limit);
    if (path || limit === most) return path;
  }
}

/** The best way in what was searched; null where there is none. */
function wayIn(best: Best, asked: Asked, searched: Searched): Way | null {
  const path = bestPath(searched);
  return path && wayAlong(best, asked, searched, path);
}

/** A way with its name, and with what it costs by the request's own prices. */
function wayAlong(best: Best, { way, demand }: Asked, laid: Laid, path: Path): Way {
  const { weights } = best.context.pricing;
  const priced = { ...laid.context, pricing: { ...laid.context.pricing, weights } };
  const [plan] = plansOf(priced, laid.trellis, [path]);
  const fewer = best.plan.shifts.length - plan.shifts.length;
  const named = way.code === 'fewer-shifts' && fewer > 0 ? { ...way, fewer } : way;
  return { ...laid, path, plan: { ...plan, way: named, demand } };
}

/** The weights in force, with what the demand prices otherwise; null where it prices nothing otherwise. */
function repriced(weights: Weights, before: PlanRequest, after: PlanRequest): Weights | null {
  const [was, is] = [requestWeights(before), requestWeights(after)];
  const changed = (Object.keys(is) as (keyof Weights)[]).filter(
    (name) => JSON.stringify(was[name]) !== JSON.stringify(is[name]),
  );
  if (changed.length === 0) return null;
  return { ...weights, ...Object.fromEntries(changed.map((name) => [name, is[name]])) };
}
