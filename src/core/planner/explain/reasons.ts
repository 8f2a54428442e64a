import { fingerAt, THUMB } from '../../hand/finger';
import type { SoundingEvent } from '../../material/events';
import { guideOf, type Candidate, type Context, type Touch } from '../cost';
import {
  beyondHand,
  candidatesFor,
  comesBackAlike,
  locksAt,
  takesOctave,
  type HoldTrellis,
  type Path,
} from '../graph';
import { placeOf } from '../place';
import type { Element, Plan, Reason, Shift } from '../response';
import type { Passes } from '../search';
import type { Counted, Moment } from './codes';
import { stayingUntil, withoutHold, withoutShift, type Detour } from './detours';
import { accountOf, lossOf, type Worse } from './tradeoff';

/*
 * Why an element of a plan is there. Each reason is found by planning again without the element, and said only where something is lost by it that a
 * player counts or feels. Of a shift two things are told: why the hand shifts at all, and why here.
 */

/** A plan with what it was found in. */
export interface Explained {
  readonly context: Context;
  readonly trellis: HoldTrellis;
  readonly costs: Passes;
  readonly path: Path;
}

/** The plan with its reasons for each shift. */
export function shiftReasons(own: Explained, plan: Plan): Plan {
  const { context, trellis } = own;
  const indexOf = new Map(context.sounding.map((event, t) => [event.at, t]));
  const comesBack = comesBackAlike(context, trellis, own.path);
  const shifts = plan.shifts.map((shift, n): Shift => {
    const t = indexOf.get(shift.from) as number;
    const next = plan.shifts[n + 1];
    const until = next ? (indexOf.get(next.from) as number) : trellis.layers.length - 1;
    const why = whyAtAll(own, shift, t, until, comesBack);
    const here = whyHere(own, t, comesBack);
    return {
      ...shift,
      reasons: [
        ...(why ? [{ question: 'why' as const, ...why }] : []),
        ...(here ? [{ question: 'why-here' as const, ...here }] : []),
      ],
    };
  });
  return { ...plan, shifts };
}

/** Why the hand does not stay where it is: the teacher asks, the line goes on to where it cannot reach, or staying takes more. */
function whyAtAll(own: Explained, shift: Shift, t: number, until: number, comesBack: boolean): Reason | null {
  const { context, trellis, path } = own;
  const { rules } = context.request;
  const event = context.sounding[t + 1];
  if (locksAt(context, event).some((lock) => lock.shift) || rules?.visit?.includes(shift.toPosition))
    return { code: 'demand', data: { kind: 'asked' } };
  const { hold } = trellis.layers[t].candidates[path[t]];
  for (let at = t + 1; at <= until; at++)
    if (!trellis.layers[at].candidates.some((other) => other.hold.position === hold.position))
      return goesOn(context, context.sounding[at], hold.position);
  const staying = stayingUntil(trellis, own.costs, path, t, until);
  const lost = staying && lossBy(own, staying, comesBack, ['shifts']);
  return (
    lost && {
      ...lost.found,
      data: { kind: 'staying', ...placeOf(context.model, hold.position), ...lost.worse },
    }
  );
}

/** Why the hand shifts at this moment and at no other near it. */
function whyHere(own: Explained, t: number, comesBack: boolean): Reason | null {
  const { trellis, path } = own;
  const other = withoutShift(trellis, own.costs, path, t);
  if (!other) return { code: 'range', data: { kind: 'only-here' } };
  const instead = nearestShift(trellis, other, t);
  // Without any other shift it is no question of the moment.
  if (instead === null) return null;
  const [good, otherGood] = [momentsOf(own, path, t), momentsOf(own, other.path, instead)];
  const better = good.filter((moment) => !otherGood.includes(moment));
  if (!better.includes('semitone') && nearer(own, other.path, t, instead)) better.push('nearer');
  if (better.length > 0) {
    const { finger } = touchAt(trellis, other.path, instead + 1);
    const { at } = own.context.sounding[instead + 1];
    return {
      code: better[0] === 'nearer' ? 'travel' : better[0],
      loss: lossOfCost(own, other, comesBack),
      data: { kind: 'moment', good: better.slice(0, 2), other: { at, finger: fingerAt(finger) } },
    };
  }
  const lost = lossBy(own, other, comesBack, ['shifts']);
  return lost && { ...lost.found, data: { kind: 'elsewhere', ...lost.worse } };
}

/** The event before the shift of a way round that lies nearest to event t, where it makes one that the plan does not; null where it makes none. */
function nearestShift(trellis: HoldTrellis, { path, first, last }: Detour, t: number): number | null {
  let nearest: number | null = null;
  for (let at = first; at < last; at++) {
    if (touchAt(trellis, path, at).position === touchAt(trellis, path, at + 1).position) continue;
    if (nearest === null || Math.abs(at - t) < Math.abs(nearest - t)) nearest = at;
  }
  return nearest;
}

/** What is good about shifting from event t to the next. */
function momentsOf({ trellis, context }: Explained, path: Path, t: number): Moment[] {
  const [from, to] = [touchAt(trellis, path, t), touchAt(trellis, path, t + 1)];
  const { turn, onBeat, rest } = trellis.transitions[t];
  const { start, end } = guideOf(context.pricing, from, to);
  const list: (Moment | false)[] = [
    (from.finger === 0 || rest) && 'during-open',
    Math.abs(start - end) === 1 && 'semitone',
    to.finger === 1 && 'first-finger',
    turn && 'turning-point',
    onBeat && 'on-the-beat',
  ];
  return list.filter((moment) => moment !== false);
}

/** A way is felt as shorter by a finger's breadth. */
const NEARER_MM = 10;

function nearer({ trellis, context, path }: Explained, other: Path, t: number, instead: number): boolean {
  const { stops } = context.pricing;
  const travel = (along: Path, at: number) => {
    const { start, end } = guideOf(
      context.pricing,
      touchAt(trellis, along, at),
      touchAt(trellis, along, at + 1),
    );
    return Math.abs(stops[end] - stops[start]);
  };
  return travel(other, instead) - travel(path, t) >= NEARER_MM;
}

function touchAt({ layers }: HoldTrellis, path: Path, t: number): Touch {
  return layers[t].touchList[layers[t].touchOf[path[t]]];
}

/** What is lost by a way round, with the code of the first thing and the price; null where nothing is. */
function lossBy(
  own: Explained,
  other: Detour,
  comesBack: boolean,
  leave: readonly Counted[] = [],
): { readonly found: Pick<Reason, 'code' | 'loss'>; readonly worse: Worse } | null {
  const { context, trellis, path } = own;
  const mine = accountOf(context, trellis, path, other.first, other.last, comesBack);
  const otherBack = comesBackAlike(context, trellis, other.path);
  const theirs = accountOf(context, trellis, other.path, other.first, other.last, otherBack);
  const worse = lossOf(mine, theirs, leave);
  const loss = theirs.cost - mine.cost;
  // What costs less argues for another plan, whatever it takes more of.
  if (!worse || loss < 0) return null;
  return { found: { code: worse.worse[0]?.what ?? worse.felt ?? '', loss }, worse };
}

function lossOfCost(own: Explained, { path, first, last }: Detour, comesBack: boolean): number {
  const { context, trellis } = own;
  const back = comesBackAlike(context, trellis, path);
  return (
    accountOf(context, trellis, path, first, last, back).cost -
    accountOf(context, trellis, own.path, first, last, comesBack).cost
  );
}

/** The plan with the reasons for what is special about how its notes are held. */
export function stepReasons(own: Explained, plan: Plan): Plan {
  const { context, trellis, path, costs } = own;
  const comesBack = comesBackAlike(context, trellis, path);
  const steps = plan.steps.map((step, t) => {
    const held = heldElement(trellis.layers[t].candidates[path[t]]);
    if (!held) return step;
    const { element, is } = held;
    const other = withoutHold(trellis, costs, path, t, is);
    if (!other) return { ...step, reasons: [onlyWay(context, t, held)] };
    const lost = lossBy(own, other, comesBack);
    const reasons = lost
      ? [{ ...lost.found, data: { kind: 'without' as const, element, ...lost.worse } }]
      : [];
    return { ...step, reasons };
  });
  return { ...plan, steps };
}

/** What is special about how a note is held, and which candidates share it. */
interface HeldElement {
  readonly element: Element;
  readonly is: (candidate: Candidate) => boolean;
}

function heldElement({ hold }: Candidate): HeldElement | null {
  if (hold.extended > 0) return { element: 'extension', is: (other) => other.hold.extended > 0 };
  if (hold.contracted > 0) return { element: 'contraction', is: (other) => other.hold.contracted > 0 };
  const played = (finger: number, element: Element): HeldElement | null => {
    const plays = ({ hold: { stops } }: Candidate) => stops.some((stop) => stop.finger === finger);
    return hold.stops.some((stop) => stop.finger === finger) ? { element, is: plays } : null;
  };
  return played(4, 'little-finger') ?? played(0, 'open-string') ?? played(THUMB, 'thumb');
}

/** The note that the place the hand leaves does not have: by the instrument and the hand, or by what was demanded. */
function goesOn(context: Context, event: SoundingEvent, position: number): Reason {
  const data = { kind: 'goes-on', at: event.at, ...placeOf(context.model, position) } as const;
  if (withoutRules(context, event).some(({ hold }) => hold.position === position))
    return { code: 'demand', data };
  const there = context
    .holdsOf(event)
    .all.filter((hold) => hold.position === position && takesOctave(event, hold));
  // A finger that would have to leave its place and still not reach does not make the note one of the position.
  const belongs = there.filter((hold) => hold.extended === 0 || !beyondHand(context, hold));
  if (belongs.length === 0) return { code: 'range', data };
  return { code: belongs.every((hold) => beyondHand(context, hold)) ? 'stretch' : 'height', data };
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
