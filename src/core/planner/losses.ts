import type { HandProfile } from '../hand/profile';
import { reachVerdict } from '../hand/reach';
import { chargeReturn, type Tally } from './charges';
import type { Reason } from './response';
import type { Grip, Stage } from './scene';
import { tallyOf } from './tally';
import { TERM_NAMES, type TermName, type Touch } from './terms';
import type { Path } from './trellis';
import type { Web } from './weave';

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

interface Stretch {
  readonly grips: readonly Grip[];
  readonly touches: readonly Touch[];
  readonly hand: HandProfile;
  readonly otherWayBack: boolean;
}

/** What can be counted, with the code of the reason it makes. */
const COUNTS: readonly {
  readonly code: string;
  readonly one: string;
  readonly many: string;
  readonly of: (stretch: Stretch) => number;
}[] = [
  { code: 'shifts', one: 'shift', many: 'shifts', of: ({ touches }) => steps(touches, shifts) },
  {
    code: 'extension',
    one: 'extended note',
    many: 'extended notes',
    of: ({ grips }) => grips.filter(({ hold }) => hold.extended > 0).length,
  },
  {
    code: 'crossings',
    one: 'string crossing',
    many: 'string crossings',
    of: ({ touches }) => steps(touches, (from, to) => from.string !== to.string),
  },
  {
    code: 'landing',
    one: 'landing off the first finger',
    many: 'landings off the first finger',
    of: ({ touches }) => steps(touches, (from, to) => shifts(from, to) && to.finger !== 1),
  },
  {
    code: 'fourth',
    one: 'note on the little finger',
    many: 'notes on the little finger',
    of: ({ grips }) => played(grips, 4),
  },
  { code: 'open', one: 'open string', many: 'open strings', of: ({ grips }) => played(grips, 0) },
  {
    code: 'return',
    one: 'way back to learn',
    many: 'ways back to learn',
    of: ({ otherWayBack }) => Number(otherWayBack),
  },
  {
    code: 'reach',
    one: 'stretch',
    many: 'stretches',
    of: ({ grips, hand }) =>
      grips.filter(({ widest }) => widest && reachVerdict(hand, widest.share) !== 'easy').length,
  },
];

function steps(touches: readonly Touch[], is: (from: Touch, to: Touch) => boolean): number {
  return touches.filter((to, at) => at > 0 && is(touches[at - 1], to)).length;
}

function shifts(from: Touch, to: Touch): boolean {
  return from.position !== to.position;
}

function played(grips: readonly Grip[], finger: number): number {
  return grips.filter(({ hold }) => hold.stops.some((stop) => stop.finger === finger)).length;
}

/**
 * Charges and counts a path from event `first` to event `last`.
 * @param comesBack whether the whole path comes back the way it went
 */
export function accountOf(
  stage: Stage,
  web: Web,
  path: Path,
  first: number,
  last: number,
  comesBack: boolean,
): Account {
  const tally = tallyOf(stage, web, path, first, last);
  const back = chargeReturn(stage, comesBack, tally);
  const layers = web.layers.slice(first, last + 1);
  const nodes = path.subarray(first, last + 1);
  const stretch: Stretch = {
    grips: layers.map((layer, t) => layer.grips[nodes[t]]),
    touches: layers.map((layer, t) => layer.touchList[layer.touchOf[nodes[t]]]),
    hand: stage.scene.hand,
    otherWayBack: back > 0,
  };
  return {
    cost: tally.reduce((sum, part) => sum + part, 0),
    tally,
    counts: COUNTS.map(({ of }) => of(stretch)),
  };
}

/** Words for a term that grew while nothing countable did. */
const TERM_REASONS: Readonly<Partial<Record<TermName, readonly [code: string, words: string]>>> = {
  shift: ['travel', 'a longer or worse placed shift'],
  landing: ['landing', 'weaker landings'],
  height: ['height', 'the hand further from home'],
  colour: ['colour', 'more changes of colour'],
  displace: ['frame', 'fingers slid by semitones'],
  frame: ['frame', 'an unsteadier frame'],
  reach: ['reach', 'wider spreads'],
};

/** What gets worse by another way, in one sentence; what can be counted before what is only felt. */
export function lossOf(own: Account, other: Account, element: string): Reason[] {
  const loss = other.cost - own.cost;
  const counted = COUNTS.map(({ code, one, many }, at) => {
    const more = other.counts[at] - own.counts[at];
    return { code, more, words: `${more} more ${more === 1 ? one : many}` };
  }).filter(({ more }) => more > 0);
  const parts = counted.length > 0 ? counted.slice(0, 3) : grownTerm(own, other);
  const words = parts.map((part) => part.words).join(' and ') || 'as good';
  const code = parts[0]?.code ?? 'taste';
  return [{ code, loss, message: `Without ${element}: ${words} (${signed(loss)}).` }];
}

/** The term that grew most, where one did to speak of. */
function grownTerm(own: Account, other: Account): { readonly code: string; readonly words: string }[] {
  const grown = TERM_NAMES.map((name, at) => ({
    reason: TERM_REASONS[name],
    more: other.tally[at] - own.tally[at],
  }));
  const [worst] = grown.filter(({ reason, more }) => reason && more > 0.01).sort((a, b) => b.more - a.more);
  return worst?.reason ? [{ code: worst.reason[0], words: worst.reason[1] }] : [];
}

function signed(loss: number): string {
  return loss >= 0 ? `costs ${loss.toFixed(1)} more` : `costs ${(-loss).toFixed(1)} less`;
}
