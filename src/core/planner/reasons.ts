import { inPosition } from '../hand/hold';
import type { SoundingEvent } from '../material/events';
import { pitchName } from '../pitch/pitch';
import { allowedGrips, beyondHand, takesOctave } from './allowed';
import type { Web } from './weave';
import { accountOf, lossOf } from './losses';
import type { Plan, Reason, Shift, Step } from './response';
import type { Grip, Stage } from './scene';
import type { Costs } from './togo';
import { stepCost, type Path } from './trellis';
import { comesBackAlike } from './wayback';

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
export function shiftlessSteps(web: Web, costs: Costs): Shiftless {
  const known = new Map<number, ReturnType<Shiftless>>();
  return (t) => {
    const step = known.has(t) ? known.get(t) : shiftlessStep(web, costs, t);
    known.set(t, step ?? null);
    return step ?? null;
  };
}

function shiftlessStep(web: Web, { first, soFar, toGo }: Costs, t: number): ReturnType<Shiftless> {
  const { stayStart, stayTo, stayCost } = web.blocks[t];
  const { nodes, cost: own } = web.layers[t];
  let least = Infinity;
  let [best, to] = [-1, -1];
  for (let from = 0; from < nodes; from++) {
    const spent = soFar[first[t] + from] + own[from];
    for (let stay = stayStart[from]; stay < stayStart[from + 1]; stay++) {
      const cost = spent + stayCost[stay] + toGo[first[t + 1] + stayTo[stay]];
      if (cost >= least) continue;
      least = cost;
      [best, to] = [from, stayTo[stay]];
    }
  }
  return best < 0 ? null : [best, to];
}

/** The cheapest way on whose event t is held otherwise; null where there is none. */
function withoutGrip(
  web: Web,
  costs: Costs,
  own: Path,
  t: number,
  is: (grip: Grip) => boolean,
): Detour | null {
  const { first, soFar, toGo } = costs;
  const layer = web.layers[t];
  let least = Infinity;
  let best = -1;
  for (let node = 0; node < layer.nodes; node++) {
    const cost = soFar[first[t] + node] + toGo[first[t] + node];
    if (cost < least && !is(layer.grips[node])) {
      least = cost;
      best = node;
    }
  }
  return best < 0 ? null : detour(web, costs, own, [t, best], [t, best]);
}

type Point = readonly [t: number, node: number];

/** From two points of a way, back and onward by the cheapest steps until it is on the plan's own path again. */
function detour(web: Web, costs: Costs, own: Path, start: Point, end: Point): Detour {
  const path = own.slice();
  [path[start[0]], path[end[0]]] = [start[1], end[1]];
  let first = start[0];
  while (first > 0 && path[first] !== own[first]) {
    path[first - 1] = before(web, costs, first, path[first]);
    first--;
  }
  let last = end[0];
  while (last + 1 < path.length && path[last] !== own[last]) {
    path[last + 1] = after(web, costs, last, path[last]);
    last++;
  }
  return { first, last, path };
}

function before(web: Web, { first, soFar }: Costs, t: number, node: number): number {
  const layer = web.layers[t - 1];
  const goal = soFar[first[t] + node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let from = 0; from < layer.nodes && least > goal; from++) {
    const spent = soFar[first[t - 1] + from] + layer.cost[from];
    const cost = spent < least ? spent + stepCost(web, t - 1, from, node) : Infinity;
    if (cost < least) {
      least = cost;
      best = from;
    }
  }
  return best;
}

function after(web: Web, { first, toGo }: Costs, t: number, node: number): number {
  const goal = toGo[first[t] + node] - web.layers[t].cost[node] + ROUNDING;
  let least = Infinity;
  let best = 0;
  for (let to = 0; to < web.layers[t + 1].nodes && least > goal; to++) {
    const ahead = toGo[first[t + 1] + to];
    const cost = ahead < least ? ahead + stepCost(web, t, node, to) : Infinity;
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
function lossBy(stage: Stage, web: Web, own: Own, { path, first, last }: Detour, element: string): Reason[] {
  return lossOf(
    accountOf(stage, web, own.path, first, last, own.comesBack),
    accountOf(stage, web, path, first, last, comesBackAlike(stage, web, path)),
    element,
  );
}

/** A plan's own path, and whether it comes back the way it went. */
interface Own {
  readonly path: Path;
  readonly comesBack: boolean;
}

function ownOf(stage: Stage, web: Web, path: Path): Own {
  return { path, comesBack: comesBackAlike(stage, web, path) };
}

/** Why each shift of a plan is made. */
export function shiftReasons(
  stage: Stage,
  web: Web,
  costs: Costs,
  shiftless: Shiftless,
  path: Path,
  plan: Plan,
): Plan {
  const own = ownOf(stage, web, path);
  const indexOf = new Map(stage.sounding.map((event, t) => [event.at, t]));
  const shifts = plan.shifts.map((shift, n) => {
    const t = indexOf.get(shift.from) as number;
    const until = plan.shifts[n + 1]
      ? (indexOf.get(plan.shifts[n + 1].from) as number)
      : web.layers.length - 1;
    const needed = outOfReach(stage, web, web.layers[t].grips[path[t]], t + 1, until);
    const step = shiftless(t);
    const other = step && detour(web, costs, path, [t, step[0]], [t + 1, step[1]]);
    const loss = other ? lossBy(stage, web, own, other, 'this shift') : [];
    return { ...shift, reasons: [...needed, ...loss] } satisfies Shift;
  });
  return { ...plan, shifts };
}

/** Why each extension, little finger and open string of a plan is there. */
export function stepReasons(stage: Stage, web: Web, costs: Costs, path: Path, plan: Plan): Plan {
  const own = ownOf(stage, web, path);
  const steps = plan.steps.map((step, t) => {
    const element = elementOf(step);
    if (!element) return step;
    const other = withoutGrip(web, costs, path, t, element.is);
    const reasons = other ? lossBy(stage, web, own, other, element.words) : [onlyWay(stage, t, element)];
    return { ...step, reasons };
  });
  return { ...plan, steps };
}

interface Element {
  readonly words: string;
  readonly is: (grip: Grip) => boolean;
}

function elementOf(step: Step): Element | null {
  if (step.extended) return { words: 'this extension', is: ({ hold }) => hold.extended > 0 };
  const plays = (finger: number) => step.stops.some((stop) => stop.finger === finger);
  const holds =
    (finger: number) =>
    ({ hold }: Grip) =>
      hold.stops.some((stop) => stop.finger === finger);
  if (plays(4)) return { words: 'the little finger here', is: holds(4) };
  return plays(0) ? { words: 'this open string', is: holds(0) } : null;
}

/** The first note that would have no place were the hand to stay: by the instrument and the hand, or by what was demanded. */
function outOfReach(stage: Stage, web: Web, { hold: from }: Grip, first: number, last: number): Reason[] {
  for (let t = first; t <= last; t++) {
    if (web.layers[t].grips.some(({ hold }) => hold.position === from.position)) continue;
    return [noPlace(stage, stage.sounding[t], from.position)];
  }
  return [];
}

function noPlace(stage: Stage, event: SoundingEvent, position: number): Reason {
  const note = `${event.pitches.map(pitchName).join(' and ')} (note ${event.at + 1})`;
  const where = inPosition(stage.model.label(position).name);
  if (withoutRules(stage, event).some(({ hold }) => hold.position === position))
    return { code: 'demand', message: `The rules leave ${note} no place ${where}.` };
  const there = stage
    .holdsOf(event)
    .all.filter((hold) => hold.position === position && takesOctave(event, hold));
  // A finger that would have to leave its place and still not reach does not make the note one of the position.
  const belongs = there.filter((hold) => hold.extended === 0 || !beyondHand(stage, hold));
  if (belongs.length === 0) return { code: 'range', message: `There is no ${note} ${where}.` };
  return belongs.every((hold) => beyondHand(stage, hold))
    ? { code: 'reach', message: `${note} is beyond this hand ${where}.` }
    : { code: 'height', message: `${note} lies only high up a lower string ${where}.` };
}

/** The holds of an event that the rules take away, and those they leave. */
function withoutRules(stage: Stage, event: SoundingEvent): Grip[] {
  if (!stage.request.rules) return [];
  return allowedGrips({ ...stage, request: { ...stage.request, rules: {} } }, event, []);
}

function onlyWay(stage: Stage, t: number, element: Element): Reason {
  const event = stage.sounding[t];
  const note = event.pitches.map(pitchName).join(' and ');
  const demanded = withoutRules(stage, event).some((grip) => !element.is(grip));
  return demanded
    ? { code: 'demand', message: `The rules leave ${note} no other way than ${element.words}.` }
    : { code: 'range', message: `There is no other way to play ${note} than ${element.words}.` };
}
