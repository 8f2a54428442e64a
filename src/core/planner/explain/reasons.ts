import { fingerAt } from '../../hand/finger';
import type { SoundingEvent } from '../../material/events';
import { guideOf, type Context } from '../cost';
import {
  beyondHand,
  comesBackAlike,
  heldIn,
  isAlike,
  locksAt,
  shiftsFrom,
  takesOctave,
  type HoldTrellis,
  type Path,
} from '../graph';
import { placeOf } from '../place';
import type { Plan, Reason, Shift, Moment } from '../../vocabulary';
import { firstUnreached, stayingUntil, withoutShift, type Detour } from './detours';
import { colourLost, lossBy, lossOfCost, touchAt, withoutRules, type Explained } from './explained';
import { figureBefore } from './figures';

/*
 * Why the hand shifts. Each reason is found by planning again without the shift, and said only where something is lost by it that a player counts or
 * feels. Two things are told: why the hand shifts at all, and why here.
 */

/** The plan with its reasons for each shift. */
export function shiftReasons(own: Explained, plan: Plan): Plan {
  const { context, trellis } = own;
  const indexOf = new Map(context.sounding.map((event, t) => [event.at, t]));
  const comesBack = comesBackAlike(context, trellis, own.path);
  const passages = passagesOf(own, plan.shifts, indexOf);
  const shifts = plan.shifts.map((shift, n): Shift => {
    const passage = passages.get(n);
    if (passage !== undefined) return { ...shift, reasons: passage === null ? [] : [{ question: 'why', ...passage }] };
    const t = indexOf.get(shift.from) as number;
    const next = plan.shifts[n + 1];
    const until = next ? (indexOf.get(next.from) as number) : trellis.layers.length - 1;
    const why = whyAtAll(own, shift, t, until, comesBack);
    const here = whyHere(own, t, comesBack, shift.semitones === 1);
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

/** Shifts running from which a passage is told as one. */
const PASSAGE = 3;

/** Shifts for each of a row of octaves, or of double stops under the thumb: by their number, the first with the reason for all, the others with none. */
function passagesOf(
  { trellis, path, context }: Explained,
  shifts: readonly Shift[],
  indexOf: ReadonlyMap<number, number>,
): ReadonlyMap<number, Reason | null> {
  const frameAt = (n: number): 'octaves' | 'thumb' | null => {
    const t = indexOf.get(shifts[n].from) as number;
    const [a, b] = [touchAt(trellis, path, t), touchAt(trellis, path, t + 1)];
    if (a.fingers !== b.fingers || a.string === a.topString) return null;
    if (a.octave === 'framed' && b.octave === 'framed') return 'octaves';
    return a.thumbUp && b.thumbUp ? 'thumb' : null;
  };
  const found = new Map<number, Reason | null>();
  for (let first = 0, end = 1; first < shifts.length; first = end, end = first + 1) {
    const frame = frameAt(first);
    while (end < shifts.length && shifts[end].from === shifts[end - 1].to && frameAt(end) === frame) end++;
    if (!frame || end - first < PASSAGE) continue;
    const { at } = context.sounding[indexOf.get(shifts[end - 1].to) as number];
    for (let n = first; n < end; n++)
      found.set(n, n === first ? { code: 'frame', data: { kind: 'passage', frame, to: at } } : null);
  }
  return found;
}

/** Why the hand does not stay where it is: the teacher asks, the line goes on to where it cannot reach, or staying takes more. */
function whyAtAll(own: Explained, shift: Shift, t: number, until: number, comesBack: boolean): Reason | null {
  const { context, trellis, path } = own;
  const { rules } = context.request;
  const event = context.sounding[t + 1];
  if (locksAt(context, event).some((lock) => lock.shift) || rules?.visit?.includes(shift.toPosition))
    return { code: 'demand', data: { kind: 'asked' } };
  if (trellis.transitions[t].free) return { code: 'rest', data: { kind: 'after-rest' } };
  const { hold } = trellis.layers[t].candidates[path[t]];
  for (let at = t + 1; at <= until; at++)
    if (!trellis.layers[at].candidates.some((other) => other.hold.position === hold.position))
      return goesOn(context, context.sounding[at], hold.position);
  const stuck = touchAt(trellis, path, t + 1).position === hold.position && inPlace(own, shift, t, until);
  if (stuck) return stuck;
  const staying = stayingUntil(trellis, own.costs, path, t, until);
  const sung = staying && sungFrom(own, staying, t, comesBack);
  if (sung) return sung;
  const lost = staying && lossBy(own, staying, comesBack, ['shifts']);
  return lost && { ...lost.found, data: { kind: 'staying', ...placeOf(context.model, hold.position), ...lost.worse } };
}

/** Share of what is lost from which colour decides. */
const DECIDES = 1 / 2;
/** Notes on one string from which a line stays there. */
const A_STAY = 4;

/** That the line stays on its string for a phrase, where that is what staying in the old place would lose most. */
function sungFrom(own: Explained, staying: Detour, t: number, comesBack: boolean): Reason | null {
  const { context, trellis, path } = own;
  const string = (at: number) => touchAt(trellis, path, at).string;
  let end = t + 1;
  while (end + 1 < path.length && string(end + 1) === string(t + 1) && !trellis.transitions[end].rest) end++;
  if (end - t < A_STAY) return null;
  const loss = lossOfCost(own, staying, comesBack);
  if (loss <= 0 || colourLost(own, staying) < DECIDES * loss) return null;
  return {
    code: 'colour',
    loss,
    data: { kind: 'sung', string: context.setup.strings[string(t + 1)].name, to: context.sounding[end].at },
  };
}

/** The music that comes again and would not have its fingers on a way round; null where there is none. */
function againAt({ context, trellis, path }: Explained, other: Detour, t: number): Reason | null {
  const held = heldIn(trellis);
  const pair = trellis.again.find(
    (one) =>
      [one.model, one.again].some((events) => events.some((at) => at >= other.first && at <= other.last)) &&
      isAlike(one, held, path) &&
      !isAlike(one, held, other.path),
  );
  if (!pair || pair.model.length === 1) return null;
  const [here, there] = pair.again.includes(t + 1) ? [pair.again, pair.model] : [pair.model, pair.again];
  const i = Math.max(0, here.indexOf(t + 1));
  return { code: 'repeat', data: { kind: 'again', at: context.sounding[there[i]].at } };
}

/** Why the hand moves within its position: opened as it is it does not have a note, or both fingers slide; null where it could do without. */
function inPlace({ context, trellis, path }: Explained, shift: Shift, t: number, until: number): Reason | null {
  const { position, side } = trellis.layers[t].candidates[path[t]].hold;
  const missed = firstUnreached(trellis, path, t, until);
  if (missed === null) return null;
  if (side === 0) return { code: 'range', data: { kind: 'both-slide' } };
  const place = { ...placeOf(context.model, position), position: shift.fromPosition };
  const frame = shift.fromFrame ?? 'forward';
  return { code: 'range', data: { kind: 'goes-on', at: context.sounding[missed].at, ...place, frame } };
}

/** Why the hand shifts at this moment and at no other near it. @param bySemitone true where the hand goes a semitone */
function whyHere(own: Explained, t: number, comesBack: boolean, bySemitone: boolean): Reason | null {
  const { trellis, path } = own;
  const other = withoutShift(trellis, own.costs, path, t);
  // Where no other moment is left there is nothing to be said of this one.
  if (!other || trellis.transitions[t].free) return null;
  const again = againAt(own, other, t);
  if (again) return { ...again, loss: lossOfCost(own, other, comesBack) };
  const figure = figureBefore(own, t);
  if (figure !== null && fingersDiffer(own, other, t + 1 - figure, t + figure))
    return {
      code: 'sequence',
      loss: lossOfCost(own, other, comesBack),
      data: { kind: 'sequence', at: own.context.sounding[t + 1 - figure].at },
    };
  const instead = nearestShift(trellis, other, t);
  // Without any other shift it is no question of the moment.
  if (instead === null) return null;
  const [good, otherGood] = [momentsOf(own, path, t), momentsOf(own, other.path, instead)];
  const better = good.filter((moment) => !otherGood.includes(moment) && (bySemitone || moment !== 'semitone'));
  const mm = [travelOf(own, path, t), travelOf(own, other.path, instead)] as const;
  const nearer = mm[1] - mm[0] >= NEARER_MM;
  if (!better.includes('semitone') && nearer) better.push('nearer');
  if (better.length > 0) {
    const { finger } = touchAt(trellis, other.path, instead + 1);
    const { at } = own.context.sounding[instead + 1];
    return {
      code: better[0] === 'nearer' ? 'travel' : better[0],
      loss: lossOfCost(own, other, comesBack),
      data: {
        kind: 'moment',
        good: better.slice(0, 2),
        other: { at, finger: fingerAt(finger) },
        ...(better.slice(0, 2).includes('nearer') ? { mm: [...mm] } : {}),
      },
    };
  }
  const lost = lossBy(own, other, comesBack, ['shifts']);
  const { at } = own.context.sounding[instead + 1];
  return lost && { ...lost.found, data: { kind: 'elsewhere', at, ...lost.worse } };
}

/** The event before the shift of a way round that lies nearest to event t, where it makes one that the plan does not; null where it makes none. */
function nearestShift(trellis: HoldTrellis, { path, first, last }: Detour, t: number): number | null {
  let nearest: number | null = null;
  for (let at = first; at < last; at++) {
    if (!shiftsFrom(trellis, path, at)) continue;
    if (nearest === null || Math.abs(at - t) < Math.abs(nearest - t)) nearest = at;
  }
  return nearest;
}

/** What is good about shifting from event t to the next. */
function momentsOf({ trellis, context }: Explained, path: Path, t: number): Moment[] {
  const [from, to] = [touchAt(trellis, path, t), touchAt(trellis, path, t + 1)];
  const { turn, onBeat, rest, bow } = trellis.transitions[t];
  const { start, end } = guideOf(context.pricing, from, to);
  const list: (Moment | false)[] = [
    (from.finger === 0 || rest) && 'during-open',
    Math.abs(start - end) === 1 && 'semitone',
    to.finger === 1 && 'first-finger',
    turn && 'turning-point',
    bow === 'changes' && 'change-of-bow',
    onBeat && 'on-the-beat',
  ];
  return list.filter((moment) => moment !== false);
}

/** A way is felt as shorter by a finger's breadth. */
const NEARER_MM = 10;

/** How far the hand goes from event t to the next, in mm. */
function travelOf({ trellis, context }: Explained, along: Path, t: number): number {
  const { stops } = context.pricing;
  const { start, end } = guideOf(context.pricing, touchAt(trellis, along, t), touchAt(trellis, along, t + 1));
  return Math.abs(stops[end] - stops[start]);
}

/** The note that the place the hand leaves does not have: by the instrument and the hand, or by what was demanded. */
function goesOn(context: Context, event: SoundingEvent, position: number): Reason {
  const data = { kind: 'goes-on', at: event.at, ...placeOf(context.model, position) } as const;
  if (withoutRules(context, event).some(({ hold }) => hold.position === position)) return { code: 'demand', data };
  const there = context.holdsOf(event).all.filter((hold) => hold.position === position && takesOctave(event, hold));
  // A finger that would have to leave its place and still not reach does not make the note one of the position.
  const belongs = there.filter((hold) => hold.extended === 0 || !beyondHand(context, hold));
  if (belongs.length === 0) return { code: 'range', data };
  return { code: belongs.every((hold) => beyondHand(context, hold)) ? 'stretch' : 'height', data };
}

function fingersDiffer({ trellis, path }: Explained, other: Detour, from: number, to: number): boolean {
  for (let at = Math.max(from, other.first); at <= Math.min(to, other.last); at++)
    if (touchAt(trellis, path, at).finger !== touchAt(trellis, other.path, at).finger) return true;
  return false;
}
