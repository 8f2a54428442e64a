import { KINDS, type Kind } from './kinds';
import { oftenEvidence, sideEvidence, type Beside } from './statistics';
import { added, amongIn, byKind, joinedSums, kindsIn, offOf, type Counts, type Sums } from './sums';

/*
 * Trends: what the log says by kind of place, and no more than it can bear. Two questions of every kind: are the tries that were off low (or high) more
 * than half the time, and is the place off more often than the student's other places that were judged in the same way. An answer is told once its evidence
 * stands however often one looks: for either question chance alone tells anything, ever, to one student in twenty.
 */

/** What is said of one kind of place. */
export interface Trend {
  readonly kind: Kind;
  readonly counts: Counts;
  /** Set where what is off is mostly on one side: a place to move. */
  readonly side?: 'low' | 'high';
  /** Set where it is off more often than places judged in the same way: its own counts there, and those of the others. */
  readonly often?: { readonly counts: Counts; readonly others: Counts };
  /** The logarithm of the evidence, of the surer of both. */
  readonly evidence: number;
  /** Set where it is hardly off any more: its counts before, and of late. */
  readonly mended?: { readonly before: Counts; readonly late: Counts };
}

/** Chance of any false word on one question, among all that are asked. */
const FAMILY = 0.05;
/** All kinds weigh alike: each has its share of the chance. */
const NEEDED = Math.log(KINDS.length / FAMILY);

/** The sums of one day, in the order of days. */
export interface DayOfSums {
  readonly day: string;
  readonly sums: Sums;
}

/** Tries that were made alike: on one day, among as many judged notes. */
interface Stratum {
  readonly among: number;
  readonly entries: readonly { readonly kinds: readonly Kind[]; readonly counts: Counts }[];
}

/**
 * The trends in some days, the surest first. After each its own tries are set aside, so that what it explains is not told again under another name.
 * @param lateFrom the day from which on it is of late
 */
export function trendsIn(days: readonly DayOfSums[], lateFrom = '9999'): Trend[] {
  let strata = strataOf(days);
  const told: Trend[] = [];
  for (;;) {
    const surest = answersIn(strata).reduce<Trend | null>((a, b) => (a && before(a, b) ? a : b), null);
    if (!surest) return told;
    told.push({ ...surest, ...mended(surest.kind, days, lateFrom) });
    strata = without(strata, surest.kind);
  }
}

/** Kinds of which it is too early to say anything, with what was counted so far; those that lean most first. */
export function earlyIn(days: readonly DayOfSums[], told: readonly Trend[]): { kind: Kind; counts: Counts }[] {
  const known = new Set(told.map(({ kind }) => kind));
  // What is told explains its own tries.
  const left = Object.entries(sumOf(days)).filter(([signature]) => !kindsIn(signature).some((kind) => known.has(kind)));
  return [...byKind(Object.fromEntries(left))]
    .filter(([kind, [, low, high]]) => !isTempo(kind) && low + high >= COUNTED_FROM)
    .map(([kind, counts]) => ({ kind, counts }))
    .sort((a, b) => sideEvidence(b.counts[1], b.counts[2]) - sideEvidence(a.counts[1], a.counts[2]))
    .filter(({ counts: [, low, high] }) => Math.max(low, high) / (low + high) >= LEANING);
}

/** Fewer tries that were off are not even counted up; less of them to one side is no leaning. */
const COUNTED_FROM = 8;
const LEANING = 0.65;

export function sumOf(days: readonly DayOfSums[]): Sums {
  return days.reduce<Sums>((all, { sums }) => joinedSums(all, sums), {});
}

const isTempo = (kind: Kind) => kind.startsWith('tempo');

/** True where a side stands: the tries of a kind fall to one side more than by chance, of all kinds that are asked. */
export function leansSurely([, low, high]: Counts): boolean {
  return sideEvidence(low, high) >= NEEDED;
}

function strataOf(days: readonly DayOfSums[]): Stratum[] {
  return days.flatMap(({ sums }) => {
    const found = new Map<number, Stratum['entries'][number][]>();
    for (const [signature, counts] of Object.entries(sums)) {
      const among = amongIn(signature);
      const entry = { kinds: kindsIn(signature), counts };
      found.set(among, [...(found.get(among) ?? []), entry]);
    }
    return [...found].map(([among, entries]) => ({ among, entries }));
  });
}

function without(strata: readonly Stratum[], kind: Kind): Stratum[] {
  return strata.map(({ among, entries }) => ({ among, entries: entries.filter(({ kinds }) => !kinds.includes(kind)) }));
}

const NONE: Counts = [0, 0, 0, 0];

/** What stands of each kind. */
function answersIn(strata: readonly Stratum[]): Trend[] {
  const counts = new Map<Kind, Counts>();
  const blocks = new Map<Kind, Blocks>();
  const rates = new Rates();
  for (const { among, entries } of strata) {
    const all = entries.reduce<Counts>((sum, entry) => added(sum, entry.counts), NONE);
    const here = new Map<Kind, Counts>();
    for (const entry of entries)
      for (const kind of entry.kinds) here.set(kind, added(here.get(kind) ?? NONE, entry.counts));
    const expected = rates.expected(among);
    for (const [kind, own] of here) {
      counts.set(kind, added(counts.get(kind) ?? NONE, own));
      const known = blocks.get(kind) ?? new Blocks();
      blocks.set(kind, known);
      known.add(among, own, added(all, own, -1), expected);
    }
    // A single target is one place alone: the others stand in other sessions.
    if (among === TARGET)
      for (const [kind, known] of blocks) if (!here.has(kind)) known.add(among, NONE, all, expected);
    rates.learn(among, all);
  }
  return [...counts].flatMap(([kind, own]): Trend[] => {
    const { list, own: mine, others } = blocks.get(kind) ?? new Blocks();
    const side = isTempo(kind) ? 0 : sideEvidence(own[1], own[2]);
    const often = oftenEvidence(list);
    const more = often >= NEEDED && offOf(mine) / mine[0] > offOf(others) / others[0];
    if (side < NEEDED && !more) return [];
    return [
      {
        kind,
        counts: own,
        evidence: Math.max(side, more ? often : 0),
        ...(side >= NEEDED ? { side: own[1] > own[2] ? ('low' as const) : ('high' as const) } : {}),
        ...(more ? { often: { counts: mine, others } } : {}),
      },
    ];
  });
}

/** One target is judged every time; it is compared with other targets only. */
const TARGET = 1;

/** The blocks in which a kind stands beside others. */
class Blocks {
  readonly list: Beside[] = [];
  own = NONE;
  others = NONE;
  /** Targets are gathered until both have been tried. */
  private waiting: { own: Counts; others: Counts; expected: number } = { own: NONE, others: NONE, expected: 0 };

  add(among: number, own: Counts, others: Counts, expected: number) {
    if (among !== TARGET) {
      this.close(own, others, expected);
      return;
    }
    const { waiting } = this;
    this.waiting = {
      own: added(waiting.own, own),
      others: added(waiting.others, others),
      expected: waiting.own[0] + waiting.others[0] === 0 ? expected : waiting.expected,
    };
    const now = this.waiting;
    if (now.own[0] === 0 || now.others[0] === 0) return;
    this.close(now.own, now.others, now.expected);
    this.waiting = { own: NONE, others: NONE, expected: 0 };
  }

  private close(own: Counts, others: Counts, expected: number) {
    if (own[0] === 0 || others[0] === 0) return;
    this.list.push({ tries: own[0], off: offOf(own), otherTries: others[0], otherOff: offOf(others), expected });
    this.own = added(this.own, own);
    this.others = added(this.others, others);
  }
}

/** What share is to be expected off, by the number of judged notes: learned from what came before. */
class Rates {
  private readonly known = new Map<number, Counts>();

  expected(among: number): number {
    const [tries, ...off] = this.known.get(among) ?? NONE;
    const guess = Math.min(MOST_EXPECTED, SLIPS / Math.max(1, among));
    const share = (off[0] + off[1] + off[2] + GUESSED * guess) / (tries + GUESSED);
    return Math.min(MOST_EXPECTED, Math.max(LEAST_EXPECTED, share));
  }

  learn(among: number, all: Counts) {
    this.known.set(among, added(this.known.get(among) ?? NONE, all));
  }
}

/** Before anything is known a repetition slips three times in ten, wherever; as sure as so many tries. */
const SLIPS = 0.3;
const GUESSED = 20;
const LEAST_EXPECTED = 0.002;
const MOST_EXPECTED = 0.6;

/** Of late it is off at most half as often as before, in so many tries at least. */
const MENDED_SHARE = 0.5;
const MENDED_TRIES = 20;

function mended(kind: Kind, days: readonly DayOfSums[], lateFrom: string): Pick<Trend, 'mended'> {
  const of = (list: readonly DayOfSums[]) => byKind(sumOf(list)).get(kind) ?? NONE;
  const [early, late] = [of(days.filter(({ day }) => day < lateFrom)), of(days.filter(({ day }) => day >= lateFrom))];
  if (late[0] < MENDED_TRIES || early[0] === 0) return {};
  const isMended = offOf(late) / late[0] <= (MENDED_SHARE * offOf(early)) / early[0];
  return isMended ? { mended: { before: early, late } } : {};
}

/** True where one is surer than another; of two that are as sure the narrower kind comes first: fingers and shifts before strings and tempi. */
function before(a: Trend, b: Trend): boolean {
  return a.evidence > b.evidence || (a.evidence === b.evidence && KINDS.indexOf(a.kind) <= KINDS.indexOf(b.kind));
}
