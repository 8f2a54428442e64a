import type { HandProfile } from '../hand/profile';
import { reachVerdict } from '../hand/reach';
import { chargeReturn, type Tally } from './charges';
import { priceWords } from './price';
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

/** One event of a stretch, as it is counted. */
interface Event {
  readonly grip: Grip;
  readonly touch: Touch;
  /** The event before it in the stretch. */
  readonly before: Touch | undefined;
  readonly hand: HandProfile;
  /** Said once, of the first event of a stretch: the plan comes back another way than it went. */
  readonly otherWayBack: boolean;
}

/** What can be counted, with the code of the reason it makes. */
const COUNTS: readonly {
  readonly code: string;
  readonly one: string;
  readonly many: string;
  readonly is: (event: Event) => boolean;
}[] = [
  { code: 'shifts', one: 'shift', many: 'shifts', is: shifted },
  {
    code: 'extension',
    one: 'extended note',
    many: 'extended notes',
    is: ({ grip }) => grip.hold.extended > 0,
  },
  {
    code: 'crossings',
    one: 'string crossing',
    many: 'string crossings',
    is: ({ before, touch }) => before !== undefined && before.string !== touch.string,
  },
  {
    code: 'landing',
    one: 'landing off the first finger',
    many: 'landings off the first finger',
    is: (event) => shifted(event) && event.touch.finger !== 1,
  },
  {
    code: 'fourth',
    one: 'note on the little finger',
    many: 'notes on the little finger',
    is: ({ grip }) => played(grip, 4),
  },
  { code: 'open', one: 'open string', many: 'open strings', is: ({ grip }) => played(grip, 0) },
  {
    code: 'return',
    one: 'way back to learn',
    many: 'ways back to learn',
    is: ({ otherWayBack }) => otherWayBack,
  },
  {
    code: 'reach',
    one: 'stretch',
    many: 'stretches',
    is: ({ grip: { widest }, hand }) => widest !== null && reachVerdict(hand, widest.share) !== 'easy',
  },
];

function shifted({ before, touch }: Event): boolean {
  return before !== undefined && before.position !== touch.position;
}

function played({ hold }: Grip, finger: number): boolean {
  return hold.stops.some((stop) => stop.finger === finger);
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
  const { hand } = stage.scene;
  const counts = COUNTS.map(() => 0);
  let before: Touch | undefined;
  for (let t = first; t <= last; t++) {
    const layer = web.layers[t];
    const [grip, touch] = [layer.grips[path[t]], layer.touchList[layer.touchOf[path[t]]]];
    const event = { grip, touch, before, hand, otherWayBack: t === first && back > 0 };
    for (let at = 0; at < COUNTS.length; at++) if (COUNTS[at].is(event)) counts[at]++;
    before = touch;
  }
  return { cost: tally.reduce((sum, part) => sum + part, 0), tally, counts };
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
  return [{ code, loss, message: `Without ${element}: ${words} (${priceWords(loss)}).` }];
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
