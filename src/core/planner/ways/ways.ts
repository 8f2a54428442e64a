import { leastIndex } from 'd3-array';
import { opensBothWays } from '../../hand/positions';
import { comesBackAlike, masked, type Path } from '../graph';
import { contextAt, contextTo, eachStretch, pricedFor, rulesOver, type Context } from '../cost';
import { plansOf } from '../answer';
import { heldAlike } from '../explain';
import { passesOver, type Passes } from '../search';
import type { Demand, Plan, ResponseEvent } from '../../vocabulary';
import { bestNear, bestPath, searchedFor, withCosts, type Laid, type Searched } from '../searched';
import { demandsAfter, withDemand, type Asked } from './demands';
import { askedFirst, askedOfPhrases, differsOnlyIn, isPiece, nameOfFirst, shareOfOthers, timesOfPiece } from './pieces';
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
  /** Looks for it; where it costs more than was looked at, the demand stays open. */
  readonly find: () => Way | Open | null;
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
  if (isPiece(best.context)) return waysOfPiece(best, events, most);
  const { context, trellis, path, plan } = best;
  const dearest = WORTH.times * plan.cost + WORTH.plus;
  const own = traitsOf(plan, events);
  const [shown, seen]: [Way[], Traits[]] = [[], [own]];
  const asked = demandsAfter(context, trellis, plan, comesBackAlike(context, trellis, path));
  const closed = asked.find(({ way }) => way.code === 'no-extension');
  // A cello hand that is opened much is asked to be closed first, whatever that costs.
  const first = closed && opensBothWays(context.setup.instrument) && own.extensions >= OPENED_MUCH;
  if (first) {
    const way = foundWhatever(opened(best, closed, Infinity));
    if (way) {
      const changes = changesOf(traitsOf(way.plan, events), own);
      shown.push({ ...way, plan: { ...way.plan, changes } });
      asked.splice(asked.indexOf(closed), 1);
    }
  }
  // In the order they are asked in, which tells what a plan is called that meets two demands.
  const left: (Open | Found | null)[] = asked.map((one) => opened(best, one, dearest));
  while (shown.length < most) {
    const at = cheapest(left);
    const next = left[at];
    if (!next || next.cost > dearest) break;
    if ('find' in next) {
      const found = next.find();
      left[at] = found && 'plan' in found ? { cost: found.plan.cost, way: found } : found;
      continue;
    }
    left[at] = null;
    const { way } = next;
    // Two demands may be met by the same fingers: that is one way.
    if ([plan, ...shown.map((other) => other.plan)].some((other) => samePlay(other, way.plan))) continue;
    const traits = traitsOf(way.plan, events);
    if (!worthAsking(own, traits)) continue;
    if (shown.some((other) => sameName(other.plan, way.plan))) continue;
    if (!seen.every((cheaper) => worthBeside(traits, cheaper))) continue;
    shown.push({ ...way, plan: { ...way.plan, changes: changesOf(traits, own) } });
    seen.push(traits);
  }
  return shown;
}

/** Notes up to which one shift fewer is asked of a piece. */
const COUNTED = 120;

/**
 * The ways of a piece: what a teacher asks first, then those that play most of it otherwise for what they cost, then those priced by a style or school of
 * their own.
 */
function waysOfPiece(best: Best, events: readonly ResponseEvent[], most: number): Way[] {
  const { context, trellis, plan } = best;
  const own = traitsOf(plan, events);
  const dearest = WORTH.times * plan.cost + WORTH.plus;
  const others = (way: Way | null): way is Way => way !== null && !samePlay(plan, way.plan);
  const first = askedFirst(context)
    .map((demand) => foundWhatever(opened(best, { way: nameOfFirst(demand), demand }, Infinity)))
    .filter(others);
  const isFirst = ({ demand }: Asked) =>
    first.some((one) => JSON.stringify(one.plan.demand) === JSON.stringify(demand));
  // Of a long piece nobody counts the shifts.
  const counts = ({ demand }: Asked) => demand.rules?.mostShifts !== undefined && context.sounding.length > COUNTED;
  const whole = demandsAfter(context, trellis, plan, true).filter((one) => !isFirst(one) && !counts(one));
  const pricedApart = ({ plan: { demand } }: Way) => demand?.school !== undefined || demand?.style !== undefined;
  const found = [...whole, ...askedOfPhrases(context, trellis, plan)]
    .map((asked) => foundWhatever(opened(best, asked, dearest)))
    .filter(others)
    // The best of a long piece is proved to a hundredth: what seems cheaper by less is no way beside it.
    .filter((way) => pricedApart(way) || way.plan.cost >= plan.cost - ROUNDING)
    .filter((way) => way.plan.cost <= dearest && differsOnlyIn(plan, way.plan, way.plan.demand ?? {}));
  const worth = (way: Way) => shareOfOthers(way.plan, plan) / (way.plan.cost - plan.cost + 1);
  const ranked = found.sort(
    (a, b) => Number(pricedApart(a)) - Number(pricedApart(b)) || worth(b) - worth(a) || a.plan.cost - b.plan.cost,
  );
  const shown: Way[] = [];
  const times = timesOfPiece(context);
  for (const way of [...first, ...ranked]) {
    if (shown.length === most) break;
    if (shown.some((other) => samePlay(other.plan, way.plan) || sameName(other.plan, way.plan))) continue;
    const traits = traitsOf(way.plan, events);
    const cheaper = shown.filter((other) => other.plan.cost < way.plan.cost).map((one) => traitsOf(one.plan, events));
    const asks =
      first.includes(way) || (worthAsking(own, traits, times) && cheaper.every((one) => worthBeside(traits, one)));
    const dearer = shown.filter((other) => other.plan.cost > way.plan.cost);
    const leaves = dearer.every((other) => worthBeside(traitsOf(other.plan, events), traits));
    if (!asks || !leaves || !worthBeside(traits, own)) continue;
    shown.push({ ...way, plan: { ...way.plan, changes: changesOf(traits, own) } });
  }
  return shown;
}

/** Notes with the hand opened from which a cellist asks for a way without. */
const OPENED_MUCH = 4;

/** The way behind a demand, however dear. */
function foundWhatever(one: Open | null): Way | null {
  for (let next: Open | Way | null = one; next; next = next.find()) if ('plan' in next) return next;
  return null;
}

/** Nobody asks for so many more of these than the best plan has. */
const TOO_MANY: Partial<Traits> = { shifts: 4, stretches: 6, extensions: 6 };

function worthAsking(best: Traits, way: Traits, times = 1): boolean {
  return (Object.keys(TOO_MANY) as (keyof Traits)[]).every(
    (name) => way[name] - best[name] < times * (TOO_MANY[name] ?? Infinity),
  );
}

/** Two ways that come to shift at the same note are called the same. */
const sameName = ({ way: one }: Plan, { way: other }: Plan) =>
  one?.code === 'shift-elsewhere' && other?.code === one.code && one.instead === other.instead;

/** True where every note is held alike: the same strings, fingers and position. */
const samePlay = (one: Plan, other: Plan) => one.steps.every((step, at) => heldAlike(step, other.steps[at]));

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
  const weights = pricedFor(own, context.request, request);
  if (!mask) {
    const find = () => wayIn(best, asked, searchedFor(request, context.music, weights));
    return { cost: -Infinity, find };
  }
  if (weights !== own) {
    const priced = repriced(context, demand);
    const under = masked(trellis, { ...mask, pricedBy: priced });
    return under && { cost: plan.cost, find: () => wayIn(best, asked, withCosts(priced, under)) };
  }
  const under = masked(trellis, mask);
  if (!under) return null;
  const costs = Object.keys(mask).length === 0 ? best.costs : passesOver(under);
  const laid: Searched = { context: { ...context, request }, trellis: under, costs };
  // Where notes far apart hang together a way is searched as the request would be that asks for it.
  if (under.again.length > 0 || under.stays) return { cost: plan.cost, find: () => wayIn(best, asked, laid) };
  const along = (path: Path) => wayAlong(best, asked, laid, path);
  const bounds = boundedBy(best, costs);
  const shifts = demand.rules?.mostShifts;
  // Most often one shift fewer costs little more; where it does not, what it costs at least is worth working out.
  const upTo = (limit: number) =>
    shifts === undefined || limit - bounds.least < FAR ? bounds : boundedByShifts(best, shifts, limit);
  return near({ laid, along, dearest, bounds: upTo }, bounds.least);
}

/** What a path under a mask costs at least: no less than the best plan, from each node on what the mask leaves, and up to there what it cost without. */
function boundedBy(best: Best, { first, backward, least }: Passes): Passes {
  return { first, backward, forward: best.costs.forward, least: Math.max(least, best.plan.cost) };
}

/**
 * What a path with so many shifts at most costs at least, up to some limit: with a price on each shift that makes any path with more of them too dear,
 * less the price of as many as there may be. Where paths with far fewer shifts are not much dearer that says little, and what the best plan costs says
 * more.
 */
function boundedByShifts({ plan, trellis, costs }: Best, shifts: number, limit: number): Passes {
  const price = limit - plan.cost + FIRST_SLACK;
  const priced = masked(trellis, { shift: { adds: () => price, least: price } });
  const { first, backward, forward, least } = priced ? passesOver(priced) : costs;
  const paid = price * shifts;
  if (least - paid <= plan.cost) return costs;
  return { first, backward, ahead: costs.backward, forward: forward.map((cost) => cost - paid), least: least - paid };
}

/** How far above the least it could cost a way is looked for first: about what coming back another way costs. Then further and further, since the search takes longer the further it looks. */
const FIRST_SLACK = 0.5;
const MORE_SLACK = 2;
/** A way that costs this much more than the least is not near it. */
const FAR = 2;

/** A search under one more demand. */
interface Search {
  readonly laid: Laid;
  readonly along: (path: Path) => Way;
  readonly dearest: number;
  /** What paths up to some limit cost at least. */
  readonly bounds: (limit: number) => Passes;
}

/** @param cost what is known to be the least */
function near(search: Search, cost: number, slack = FIRST_SLACK): Open {
  const { laid, along, dearest } = search;
  const find = () => {
    const limit = Math.min(cost + slack, dearest);
    const path = bestNear(laid, search.bounds(limit), limit);
    if (path) return along(path);
    return limit < dearest ? near(search, limit, slack * MORE_SLACK) : null;
  };
  return { cost, find };
}

/** The best way in what was searched; null where there is none. */
function wayIn(best: Best, asked: Asked, searched: Searched): Way | null {
  const path = bestPath(searched);
  return path && wayAlong(best, asked, searched, path);
}

/** A way with its name, and with what it costs by the request's own prices. */
function wayAlong(best: Best, { way, demand }: Asked, laid: Laid, path: Path): Way {
  // Another style is told by its own prices; the costs of the two are not compared.
  const priced = demand.style ? laid.context : pricedAs(laid.context, best.context);
  const [plan] = plansOf(priced, laid.trellis, [path]);
  const fewer = best.plan.shifts.length - plan.shifts.length;
  const named =
    way.code === 'fewer-shifts' && fewer > 0
      ? { ...way, fewer }
      : way.code === 'shift-elsewhere'
        ? { ...way, ...insteadOf(best.plan, plan, way.at) }
        : way;
  return { ...laid, path, plan: { ...plan, way: named, demand } };
}

/** Where the nearest shift arrives that the best plan does not have; nothing where there is none. */
function insteadOf(best: Plan, plan: Plan, at: number): { readonly instead?: number } {
  const own = new Set(best.shifts.map(({ to }) => to));
  const others = plan.shifts.map(({ to }) => to).filter((to) => !own.has(to));
  const nearest = leastIndex(others, (to) => Math.abs(to - at));
  return nearest === undefined ? {} : { instead: others[nearest] };
}

/** A context with the prices that one more demand makes, of the whole and of each stretch. */
function repriced(context: Context, demand: Demand): Context {
  const asked = withDemand(context.request, demand);
  return eachStretch(context, (own, over) => {
    const request = { ...asked, style: over.style ?? asked.style, rules: rulesOver(asked.rules, over) };
    const weights = pricedFor(own.pricing.weights, own.request, request);
    return { ...own, request, pricing: { ...own.pricing, weights } };
  });
}

/** A context with the prices of another of the same music, event by event. */
function pricedAs(context: Context, other: Context): Context {
  const { stretches } = context;
  const pricedBy = (own: Context, { pricing: { weights } }: Context) => ({
    ...own,
    pricing: { ...own.pricing, weights },
  });
  const whole = pricedBy(context, other);
  if (!stretches) return whole;
  const all = stretches.all.map(({ context: own, over }, n) => {
    const [at, to] = [stretches.of.indexOf(n), stretches.stepTo.indexOf(n)];
    return { over, context: pricedBy(own, at >= 0 ? contextAt(other, at) : contextTo(other, to)) };
  });
  return { ...whole, stretches: { ...stretches, all } };
}
