import { signTestAttained, signTest, fisherExactAttained, fisherExact } from './statistics';
import { KINDS, type Kind } from './kinds';
import { added, byKind, kindsIn, offOf, totalOf, type Counts, type Sums } from './sums';

/*
 * Trends: what the log says by kind of place, and no more than it can bear. Two questions of every kind: are the tries that were off low (or high) more
 * than half the time, and is the place off more often than the student's other places. Both are held against chance for all that was asked together:
 * an answer is told where chance alone would give one as sure, to any of the questions, no more than once in twenty.
 */

/** What is said of one kind of place. */
export interface Trend {
  readonly kind: Kind;
  readonly counts: Counts;
  /** Set where what is off is mostly on one side: a place to move. */
  readonly side?: 'low' | 'high';
  /** Set where it is off more often than the other places: how those came out. */
  readonly others?: Counts;
  /** The chance of it by luck, the smaller of the two. */
  readonly chance: number;
}

/** Chance of any false word among all that are asked. */
const FAMILY = 0.05;

/** "Off more often" only says where to look; "always low" says what to do. More is asked of the first, so that the second is heard sooner. */
const OFTEN_STRICTNESS = 3;

interface Answer {
  readonly kind: Kind;
  readonly counts: Counts;
  readonly others: Counts;
  readonly chance: number;
  /** How much more is asked of it than of an answer about the side. */
  readonly strictness: number;
  /** How likely chance alone gives an answer as sure as a level, or surer: less than the level, since tries are whole. */
  readonly byLuck: (level: number) => number;
}

type Question = (kind: Kind, counts: Counts, all: Counts) => Answer | null;

/**
 * The trends in some sums, the surest first; each kind once, with what both questions say of it. After each its own tries are set aside, so that what it explains is not told
 * again under another name.
 */
export function trendsIn(sums: Sums): Trend[] {
  const all = QUESTIONS.flatMap((question) => asked(sums, question));
  const bears = ({ chance, strictness }: Answer) => {
    const level = chance * strictness;
    return all.reduce((sum, other) => sum + other.byLuck(level / other.strictness), 0) <= FAMILY;
  };
  const told: Trend[] = [];
  let left = sums;
  for (;;) {
    const [sides, often] = QUESTIONS.map((question) => asked(left, question));
    const surest = [...sides, ...often].reduce<Answer | null>((a, b) => (a && before(a, b) ? a : b), null);
    // Where the surest does not hold, nothing less sure does.
    if (!surest || !bears(surest)) return told;
    const { kind, counts, chance } = surest;
    const holds = (one: Answer) => one.kind === kind && (one === surest || bears(one));
    const side = sides.find(holds);
    const more = often.find(holds);
    told.push({
      kind,
      counts,
      chance,
      ...(side ? { side: counts[1] > counts[2] ? ('low' as const) : ('high' as const) } : {}),
      ...(more ? { others: more.others } : {}),
    });
    left = Object.fromEntries(Object.entries(left).filter(([signature]) => !kindsIn(signature).includes(kind)));
  }
}

/** Of the tries that were off, low against high. */
const sideAnswer: Question = (kind, counts, all) => {
  const [, low, high] = counts;
  const n = low + high;
  // A tempo is no place that could be moved.
  if (n === 0 || kind.startsWith('tempo')) return null;
  const others = added(all, counts, -1);
  return {
    kind,
    counts,
    others,
    strictness: 1,
    chance: signTest(low, n),
    byLuck: (level) => signTestAttained(n, level),
  };
};

/** Off here against off elsewhere. */
const oftenAnswer: Question = (kind, counts, all) => {
  const others = added(all, counts, -1);
  const [tries, off, allOff] = [counts[0], offOf(counts), offOf(all)];
  if (others[0] === 0 || allOff === 0) return null;
  return {
    kind,
    counts,
    others,
    strictness: OFTEN_STRICTNESS,
    chance: fisherExact(off, tries, allOff, all[0]),
    byLuck: (level) => fisherExactAttained(tries, allOff, all[0], level),
  };
};

const QUESTIONS: readonly Question[] = [sideAnswer, oftenAnswer];

function asked(sums: Sums, question: Question): Answer[] {
  const all = totalOf(sums);
  return [...byKind(sums)].flatMap(([kind, counts]) => question(kind, counts, all) ?? []);
}

/** True where one is surer than another; of two that are as sure the narrower kind comes first: fingers and shifts before strings and tempi. */
function before(a: Answer, b: Answer): boolean {
  const by = a.chance * a.strictness - b.chance * b.strictness;
  return by < 0 || (by === 0 && order(a) <= order(b));
}

/** Kinds from the narrowest on. */
function order({ kind }: Answer): number {
  return KINDS.indexOf(kind);
}
