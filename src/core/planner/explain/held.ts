import { THUMB } from '../../hand/finger';
import type { Candidate, Context } from '../cost';
import { comesBackAlike } from '../graph';
import type { Element, Plan, Reason } from '../../vocabulary';
import { withoutHold, type Detour } from './detours';
import { lossBy, touchAt, withoutRules, type Explained } from './explained';

/*
 * Why a note is held as it is, where that is special: the hand opens, the little finger plays, the hand stays up.
 */

/** The plan with the reasons for what is special about how its notes are held. */
export function stepReasons(own: Explained, plan: Plan): Plan {
  const { context, trellis, path, costs } = own;
  const comesBack = comesBackAlike(context, trellis, path);
  const kept = keptUp(own);
  const steps = plan.steps.map((step, t) => {
    const held = heldElement(trellis.layers[t].candidates[path[t]]);
    if (!held) return kept.has(t) ? { ...step, reasons: keptReasons(own, t, comesBack) } : step;
    const { element, is } = held;
    const other = withoutHold(trellis, costs, path, t, is);
    if (!other) return { ...step, reasons: [onlyWay(context, t, held)] };
    const reason = reasonWithout(own, other, element, comesBack);
    return { ...step, reasons: reason ? [reason] : [] };
  });
  return { ...plan, steps };
}

/** What is lost by a way round without an element; null where nothing is. */
function reasonWithout(own: Explained, other: Detour, element: Element, comesBack: boolean): Reason | null {
  const lost = lossBy(own, other, comesBack);
  return lost && { ...lost.found, data: { kind: 'without', element, ...lost.worse } };
}

/** Of each stay above first position the first note that first position has too, where a later one of the stay is not there. */
function keptUp({ context, trellis, path }: Explained): ReadonlySet<number> {
  const { home } = context.model;
  const atHome = (t: number) => trellis.layers[t].touchesAt[home] !== undefined;
  const position = (t: number) => touchAt(trellis, path, t).position;
  const kept = new Set<number>();
  for (let first = 0, end = 0; first < path.length; first = end) {
    while (end < path.length && position(end) === position(first)) end++;
    if (position(first) <= home) continue;
    for (let t = first + 1, last = end - 1; t < last; t++) {
      while (last > t && atHome(last)) last--;
      if (last <= t || !atHome(t) || touchAt(trellis, path, t).finger === 0) continue;
      kept.add(t);
      break;
    }
  }
  return kept;
}

/** Why the hand stays up for a note that lies lower too: it must be there again at once; or else why the string is kept. */
function keptReasons(own: Explained, t: number, comesBack: boolean): Reason[] {
  const { trellis, path, costs } = own;
  const { hold } = trellis.layers[t].candidates[path[t]];
  const without = (element: Element, is: HeldElement['is']) => {
    const other = withoutHold(trellis, costs, path, t, is);
    return other && reasonWithout(own, other, element, comesBack);
  };
  const stay = without('stay', (other) => other.hold.position === hold.position);
  if (stay?.code === 'shifts') return [{ ...stay, code: 'stay' }];
  const string = without('string', (other) => other.hold.stops[0].string === hold.stops[0].string);
  return string && ['crossings', 'colour'].includes(string.code) ? [string] : [];
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

function onlyWay(context: Context, t: number, { element, is }: HeldElement): Reason {
  const event = context.sounding[t];
  const demanded = withoutRules(context, event).some((candidate) => !is(candidate));
  return { code: demanded ? 'demand' : 'range', data: { kind: 'only-way', at: event.at, element } };
}
