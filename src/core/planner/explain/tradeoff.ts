import type { HandProfile } from '../../hand/profile';
import { reachVerdict } from '../../hand/reach';
import { chargeReturn, type Tally } from '../cost';
import type { Element, Reason } from '../response';
import type { Counted, Felt } from './codes';
import type { Candidate, Context } from '../cost';
import { tallyOf } from '../graph';
import { TERM_NAMES, type TermName, type Touch } from '../cost';
import type { Path } from '../graph';
import type { HoldTrellis } from '../graph';

/*
 * What one way of playing a stretch costs more than another, in things a teacher can count.
 */

/** A stretch of a path as it is charged and counted. */
export interface Account {
  readonly cost: number;
  readonly tally: Tally;
  /** In the order of COUNTS. */
  readonly counts: readonly number[];
}

/** One event of a stretch, as it is counted. */
interface CountedEvent {
  readonly candidate: Candidate;
  readonly touch: Touch;
  /** The event before it in the stretch. */
  readonly before: Touch | undefined;
  readonly hand: HandProfile;
  /** Said once, of the first event of a stretch: the plan comes back another way than it went. */
  readonly otherWayBack: boolean;
}

/** What can be counted, the most telling first. */
const COUNTS: readonly { readonly what: Counted; readonly is: (event: CountedEvent) => boolean }[] = [
  { what: 'shifts', is: shifted },
  { what: 'extension', is: ({ candidate }) => candidate.hold.extended > 0 },
  {
    what: 'crossings',
    is: ({ before, touch }) => before !== undefined && before.string !== touch.string,
  },
  { what: 'landing', is: (event) => shifted(event) && event.touch.finger !== 1 },
  { what: 'fourth', is: ({ candidate }) => played(candidate, 4) },
  { what: 'open', is: ({ candidate }) => played(candidate, 0) },
  { what: 'return', is: ({ otherWayBack }) => otherWayBack },
  {
    what: 'reach',
    is: ({ candidate: { widest }, hand }) => widest !== null && reachVerdict(hand, widest.share) !== 'easy',
  },
];

function shifted({ before, touch }: CountedEvent): boolean {
  return before !== undefined && before.position !== touch.position;
}

function played({ hold }: Candidate, finger: number): boolean {
  return hold.stops.some((stop) => stop.finger === finger);
}

/**
 * Charges and counts a path from event `first` to event `last`.
 * @param comesBack whether the whole path comes back the way it went
 */
export function accountOf(
  context: Context,
  trellis: HoldTrellis,
  path: Path,
  first: number,
  last: number,
  comesBack: boolean,
): Account {
  const tally = tallyOf(context, trellis, path, first, last);
  const back = chargeReturn(context, comesBack, tally);
  const { hand } = context.pricing;
  const counts = COUNTS.map(() => 0);
  let before: Touch | undefined;
  for (let t = first; t <= last; t++) {
    const layer = trellis.layers[t];
    const [candidate, touch] = [layer.candidates[path[t]], layer.touchList[layer.touchOf[path[t]]]];
    const event = { candidate, touch, before, hand, otherWayBack: t === first && back > 0 };
    for (let at = 0; at < COUNTS.length; at++) if (COUNTS[at].is(event)) counts[at]++;
    before = touch;
  }
  return { cost: tally.reduce((sum, part) => sum + part, 0), tally, counts };
}

/** What is felt where a term grew while nothing countable did. */
const FELT_BY: Readonly<Partial<Record<TermName, Felt>>> = {
  shift: 'travel',
  landing: 'landings',
  height: 'height',
  colour: 'colour',
  displace: 'slides',
  frame: 'frame',
  reach: 'reach',
};

/** What a felt loss is called where reasons are told apart by a code. */
const FELT_CODES: Readonly<Partial<Record<Felt, string>>> = { landings: 'landing', slides: 'frame' };

/** Things told at once. */
const MOST_TOLD = 3;

/** What gets worse by another way; what can be counted before what is only felt. */
export function tradeOff(own: Account, other: Account, element: Element): Reason[] {
  const loss = other.cost - own.cost;
  const worse = COUNTS.map(({ what }, at) => ({ what, more: other.counts[at] - own.counts[at] }))
    .filter(({ more }) => more > 0)
    .slice(0, MOST_TOLD);
  const felt = worse.length > 0 ? undefined : grownTerm(own, other);
  const code = worse[0]?.what ?? (felt && (FELT_CODES[felt] ?? felt)) ?? 'taste';
  return [{ code, loss, data: { kind: 'without', element, worse, ...(felt ? { felt } : {}) } }];
}

/** The term that grew most, where one did to speak of. */
function grownTerm(own: Account, other: Account): Felt | undefined {
  const grown = TERM_NAMES.map((name, at) => ({
    felt: FELT_BY[name],
    more: other.tally[at] - own.tally[at],
  }));
  return grown.filter(({ felt, more }) => felt && more > 0.01).sort((a, b) => b.more - a.more)[0]?.felt;
}
