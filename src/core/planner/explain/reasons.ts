import type { SoundingEvent } from '../../material/events';
import { candidatesFor, beyondHand, takesOctave } from '../graph';
import type { HoldTrellis } from '../graph';
import { accountOf, tradeOff } from './tradeoff';
import { placeOf } from '../place';
import type { Element, Plan, Reason, Shift, Step } from '../response';
import type { Candidate, Context } from '../cost';
import type { Passes } from '../search';
import { stepCost, type Path } from '../graph';
import { comesBackAlike } from '../graph';

/*
 * Why an element of a plan is there: the cheapest way round it is worked out, and what gets worse is the reason; the plan is kept as it is
 * where the way round has come back to it. Where there is no way round, that is the strongest reason of all.
 */

/** A way round one element: another stretch of path that leaves the plan's own and comes back to it. */
interface Detour {
  /** First and last event where the two are one again, or the ends of the piece. */
  readonly first: number;
  readonly last: number;
  readonly path: Path;
}

/** Where the cheapest way of all leaves event t and reaches the next without a move of the hand between them; null where none does. */
type Shiftless = (t: number) => readonly [from: number, to: number] | null;

/** The same for every plan of a web, so each is looked for once. */
export function shiftlessSteps(trellis: HoldTrellis, costs: Passes): Shiftless {
  const known = new Map<number, ReturnType<Shiftless>>();
  return (t) => {
    const step = known.has(t) ? known.get(t) : shiftlessStep(trellis, costs, t);
    known.set(t, step ?? null);
    return step ?? null;
  };
}

function shiftlessStep(
  trellis: HoldTrellis,
  { first, forward, backward }: Passes,
  t: number,
): ReturnType<Shiftless> {
  const { stayStart, stayTo, stayCost } = trellis.blocks[t];
  const { nodes, cost: own } = trellis.layers[t];
  let least = Infinity;
  let [best, to] = [-1, -1];
  for (let from = 0; from < nodes; from++) {
    const spent = forward[first[t] + from] + own[from];
    for (let stay = stayStart[from]; stay < stayStart[from + 1]; stay++) {
      const cost = spent + stayCost[stay] + backward[first[t + 1] + stayTo[stay]];
      if (cost >= least) continue;
      least = cost;
      [best, to] = [from, stayTo[stay]];
    }
  }
  return best < 0 ? null : [best, to];
}

/** The cheapest way on whose event t is held otherwise; null where there is none. */
function withoutHold(
  trellis: HoldTrellis,
  costs: Passes,
  own: Path,
  t: number,
  is: (candidate: Candidate) => boolean,
): Detour | null {
  const { first, forward, backward } = costs;
  const layer = trellis.layers[t];
  let least = Infinity;
  let best = -1;
  for (let node = 0; node < layer.nodes; node++) {
    const cost = forward[first[t] + node] + backward[first[t] + node];
    if (cost < least && !is(layer.candidates[node])) {
      least = cost;
      best = node;
    }
  }
  return best < 0 ? null : detour(trellis, costs, own, [t, best], [t, best]);
}

type Point = readonly [t: number, node: number];

/** From two points of a way, back and onward by the cheapest steps until it is on the plan's own path again. */
function detour(trellis: HoldTrellis, costs: Passes, own: Path, start: Point, end: Point): Detour {
  const path = own.slice();
  [path[start[0]], path[end[0]]] = [start[1], end[1]];
  let first = start[0];
  while (first > 0 && path[first] !== own[first]) {
    path[first - 1] = before(trellis, costs, first, path[first]);
    first--;
  }
  let last = end[0];
  while (last + 1 < path.length && path[last] !== own[last]) {
    path[last + 1] = after(trellis, costs, last, path[last]);
    last++;
  }
  return { first, last, path };
}

function before(trellis: HoldTrellis, { first, forward }: Passes, t: number, node: number): number {
  const layer = trellis.layers[t - 1];
  const goal = forward[first[t] + node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let from = 0; from < layer.nodes && least > goal; from++) {
    const spent = forward[first[t - 1] + from] + layer.cost[from];
    const cost = spent < least ? spent + stepCost(trellis, t - 1, from, node) : Infinity;
    if (cost < least) {
      least = cost;
      best = from;
    }
  }
  return best;
}

function after(trellis: HoldTrellis, { first, backward }: Passes, t: number, node: number): number {
  const goal = backward[first[t] + node] - trellis.layers[t].cost[node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let to = 0; to < trellis.layers[t + 1].nodes && least > goal; to++) {
    const ahead = backward[first[t + 1] + to];
    const cost = ahead < least ? ahead + stepCost(trellis, t, node, to) : Infinity;
    if (cost < least) {
      least = cost;
      best = to;
    }
  }
  return best;
}

/** Sums taken in another order differ in the last bits. */
const ROUNDING = 1e-9;

/** What is lost by a detour; the plan and it are compared only where they part. */
function lossBy(
  context: Context,
  trellis: HoldTrellis,
  own: Own,
  { path, first, last }: Detour,
  element: Element,
): Reason[] {
  return tradeOff(
    accountOf(context, trellis, own.path, first, last, own.comesBack),
    accountOf(context, trellis, path, first, last, comesBackAlike(context, trellis, path)),
    element,
  );
}

/** A plan's own path, and whether it comes back the way it went. */
interface Own {
  readonly path: Path;
  readonly comesBack: boolean;
}

function ownOf(context: Context, trellis: HoldTrellis, path: Path): Own {
  return { path, comesBack: comesBackAlike(context, trellis, path) };
}

/** Why each shift of a plan is made. */
export function shiftReasons(
  context: Context,
  trellis: HoldTrellis,
  costs: Passes,
  shiftless: Shiftless,
  path: Path,
  plan: Plan,
): Plan {
  const own = ownOf(context, trellis, path);
  const indexOf = new Map(context.sounding.map((event, t) => [event.at, t]));
  const shifts = plan.shifts.map((shift, n) => {
    const t = indexOf.get(shift.from) as number;
    const until = plan.shifts[n + 1]
      ? (indexOf.get(plan.shifts[n + 1].from) as number)
      : trellis.layers.length - 1;
    const needed = outOfReach(context, trellis, trellis.layers[t].candidates[path[t]], t + 1, until);
    const step = shiftless(t);
    const other = step && detour(trellis, costs, path, [t, step[0]], [t + 1, step[1]]);
    const loss = other ? lossBy(context, trellis, own, other, 'shift') : [];
    return { ...shift, reasons: [...needed, ...loss] } satisfies Shift;
  });
  return { ...plan, shifts };
}

/** Why each extension, little finger and open string of a plan is there. */
export function stepReasons(
  context: Context,
  trellis: HoldTrellis,
  costs: Passes,
  path: Path,
  plan: Plan,
): Plan {
  const own = ownOf(context, trellis, path);
  const steps = plan.steps.map((step, t) => {
    const held = heldElement(step);
    if (!held) return step;
    const other = withoutHold(trellis, costs, path, t, held.is);
    const reasons = other ? lossBy(context, trellis, own, other, held.element) : [onlyWay(context, t, held)];
    return { ...step, reasons };
  });
  return { ...plan, steps };
}

/** What is special about how a note is held, and which candidates share it. */
interface HeldElement {
  readonly element: Element;
  readonly is: (candidate: Candidate) => boolean;
}

function heldElement(step: Step): HeldElement | null {
  if (step.extended) return { element: 'extension', is: ({ hold }) => hold.extended > 0 };
  const plays = (finger: number) => step.stops.some((stop) => stop.finger === finger);
  const holds =
    (finger: number) =>
    ({ hold }: Candidate) =>
      hold.stops.some((stop) => stop.finger === finger);
  if (plays(4)) return { element: 'little-finger', is: holds(4) };
  return plays(0) ? { element: 'open-string', is: holds(0) } : null;
}

/** The first note that would have no place were the hand to stay: by the instrument and the hand, or by what was demanded. */
function outOfReach(
  context: Context,
  trellis: HoldTrellis,
  { hold: from }: Candidate,
  first: number,
  last: number,
): Reason[] {
  for (let t = first; t <= last; t++) {
    if (trellis.layers[t].candidates.some(({ hold }) => hold.position === from.position)) continue;
    return [noPlace(context, context.sounding[t], from.position)];
  }
  return [];
}

function noPlace(context: Context, event: SoundingEvent, position: number): Reason {
  const data = { kind: 'no-place', at: event.at, ...placeOf(context.model, position) } as const;
  if (withoutRules(context, event).some(({ hold }) => hold.position === position))
    return { code: 'demand', data };
  const there = context
    .holdsOf(event)
    .all.filter((hold) => hold.position === position && takesOctave(event, hold));
  // A finger that would have to leave its place and still not reach does not make the note one of the position.
  const belongs = there.filter((hold) => hold.extended === 0 || !beyondHand(context, hold));
  if (belongs.length === 0) return { code: 'range', data };
  return { code: belongs.every((hold) => beyondHand(context, hold)) ? 'reach' : 'height', data };
}

/** The holds of an event that the rules take away, and those they leave. */
function withoutRules(context: Context, event: SoundingEvent): Candidate[] {
  if (!context.request.rules) return [];
  return candidatesFor({ ...context, request: { ...context.request, rules: {} } }, event, []);
}

function onlyWay(context: Context, t: number, { element, is }: HeldElement): Reason {
  const event = context.sounding[t];
  const demanded = withoutRules(context, event).some((candidate) => !is(candidate));
  return { code: demanded ? 'demand' : 'range', data: { kind: 'only-way', at: event.at, element } };
}
