import { handMoves } from '../../hand/moves';
import { reachVerdict } from '../../hand/reach';
import { COUNTED, type Counted, type Felt, type TermName, TERM_NAMES } from '../../vocabulary';
import { chargeAgain, chargeReturn, chargeStays, type Candidate, type Context, type Touch } from '../cost';
import { paidAgain, paidStays, tallyOf, type HoldTrellis, type Path } from '../graph';

/*
 * What one way of playing a stretch takes more of than another, in things a teacher can count or a player feels.
 */

/** A stretch of a path as it is charged and counted. */
export interface Account {
  readonly cost: number;
  readonly terms: ReadonlyMap<TermName, number>;
  readonly counts: Readonly<Record<Counted, number>>;
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
  chargeReturn(context, comesBack, tally);
  chargeAgain(paidAgain(trellis, trellis.again, path), tally);
  if (trellis.stays) chargeStays(paidStays(trellis.stays, path), tally);
  const counts = { shifts: 0, extension: 0, stretch: 0, crossings: 0, fourth: 0, slides: 0 };
  let before: { readonly touch: Touch; readonly candidate: Candidate } | undefined;
  for (let t = first; t <= last; t++) {
    const layer = trellis.layers[t];
    const [candidate, touch] = [layer.candidates[path[t]], layer.touchList[layer.touchOf[path[t]]]];
    const { hold, widest } = candidate;
    const moved = before && handMoves(before.candidate.hold, hold);
    if (moved) counts.shifts++;
    if (hold.extended > 0) counts.extension++;
    if (widest && reachVerdict(context.pricing.hand, widest.share) !== 'easy') counts.stretch++;
    if (before && before.touch.string !== touch.string) counts.crossings++;
    if (hold.stops.some(({ finger }) => finger === 4)) counts.fourth++;
    if (before && !moved && slid(before.touch, touch)) counts.slides++;
    before = { touch, candidate };
  }
  return {
    cost: tally.reduce((sum, part) => sum + part, 0),
    terms: new Map(TERM_NAMES.map((name, at) => [name, tally[at]])),
    counts,
  };
}

/** True where the playing finger goes on to another stop of its string while the hand stays. */
function slid(from: Touch, to: Touch): boolean {
  return (
    from.finger > 0 && from.finger === to.finger && from.leadString === to.leadString && from.semitones !== to.semitones
  );
}

/** What is felt where a term grew while nothing countable did. */
const FELT_BY: Readonly<Partial<Record<TermName, Felt>>> = {
  height: 'height',
  colour: 'colour',
  frame: 'frame',
  reach: 'reach',
};
/** A term must grow by so much to be felt: a tenth of a shift's bare price. */
const FELT_FROM = 0.1;

/** Things told at once. */
const MOST_TOLD = 3;

export interface Worse {
  readonly worse: readonly { readonly what: Counted; readonly more: number }[];
  readonly felt?: Felt;
}

/**
 * What the other way takes more of: what can be counted before what is only felt; null where nothing is lost by it.
 * @param leave what is not told
 */
export function lossOf(own: Account, other: Account, leave: readonly Counted[] = []): Worse | null {
  const worse = COUNTED.filter((what) => !leave.includes(what))
    .map((what) => ({ what, more: other.counts[what] - own.counts[what] }))
    .filter(({ more }) => more > 0)
    .slice(0, MOST_TOLD);
  if (worse.length > 0) return { worse };
  const felt = grownTerm(own, other);
  return felt ? { worse, felt } : null;
}

/** The term that grew most, where one did to be felt. */
function grownTerm(own: Account, other: Account): Felt | undefined {
  const grown = (Object.entries(FELT_BY) as [TermName, Felt][]).map(([name, felt]) => ({
    felt,
    more: (other.terms.get(name) ?? 0) - (own.terms.get(name) ?? 0),
  }));
  return grown.filter(({ more }) => more > FELT_FROM).sort((a, b) => b.more - a.more)[0]?.felt;
}
