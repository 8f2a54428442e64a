import {
  after,
  groupsOf,
  keepsOrder,
  missingOf,
  onlyMissing,
  standTag,
  stillMissing,
  type Group,
  type Option,
  type PathProblem,
  type Stand,
} from './options';
import { comparePrices, outlinesOf, type Leap, type Outline } from './outline';

/*
 * The best row of steps. The outline says which steps bring several things and what is learned besides; in what order and by which plans is found here, step
 * by step over everything that can be had by then: fewest steps, most of what is shaky and at work coming round, the easiest.
 */

export interface Row {
  /** The options, in order. */
  readonly steps: readonly number[];
  /** False where the steps could not be put in order of all that was to be compared. */
  readonly provedBest: boolean;
  /** Steps with more than one new thing, and things not needed, that a better row might have less, at most. */
  readonly worseByAtMost: number;
  /** False where no row brings the positions in their order, so that the order was let go. */
  readonly inOrder: boolean;
}

/** So many things to be learned in any order are tried in every order. */
const MOST_IN_ANY_ORDER = 12;
/** Of more, stands that are gone on from after each step: the row need not be the best any more. */
const MOST_STANDS = 24;

/** @returns null where no row leads to the goal */
export function bestRow(problem: PathProblem): Row | null {
  const kept = rowOf(problem);
  if (kept) return { ...kept, inOrder: true };
  const free = rowOf({ ...problem, rank: new Int16Array(problem.size).fill(-1) });
  return free && { ...free, inOrder: false };
}

function rowOf(problem: PathProblem): Omit<Row, 'inOrder'> | null {
  const { found, bound, proved, all } = outlinesOf(problem);
  let best: Ordered | null = null;
  let whole = all;
  for (const outline of found) {
    const ordered = orderedRow(problem, outline);
    if (!ordered) continue;
    whole &&= ordered.whole;
    if (!best || compareWorth(ordered.worth, best.worth) < 0) best = ordered;
  }
  if (!best) return null;
  const [several, , unneeded] = found[0].price;
  const worse = Math.max(0, several - bound[0]) + Math.max(0, unneeded - bound[2]);
  return {
    steps: best.steps,
    provedBest: proved && whole && comparePrices(found[0].price, bound) <= 0,
    worseByAtMost: proved ? 0 : worse,
  };
}

/** How a row is judged once its outline is known; less is better in each. */
interface Worth {
  readonly steps: number;
  readonly shaky: number;
  readonly atWork: number;
  readonly cost: number;
  /** How often a key is that of the step before. */
  readonly sameKey: number;
}

function compareWorth(a: Worth, b: Worth): number {
  return (
    a.steps - b.steps || a.shaky - b.shaky || a.atWork - b.atWork || costApart(a.cost, b.cost) || a.sameKey - b.sameKey
  );
}

/** Costs that differ by less are the same; sums of fractions do. */
const SAME_COST = 1e-9;
const costApart = (a: number, b: number) => (Math.abs(a - b) < SAME_COST ? 0 : a - b);

interface Ordered {
  readonly steps: readonly number[];
  readonly worth: Worth;
  /** False where not every order was looked at. */
  readonly whole: boolean;
}

interface Node {
  readonly stand: Stand;
  /** How many of the leaps are behind. */
  readonly leapt: number;
  readonly steps: readonly number[];
  readonly worth: Worth;
  readonly ended: boolean;
}

const NOTHING: Worth = { steps: 0, shaky: 0, atWork: 0, cost: 0, sameKey: 0 };

/** The best order of the steps of an outline. */
function orderedRow(problem: PathProblem, outline: Outline): Ordered | null {
  const walk = new Walk(problem, outline);
  let layer: Node[] = [walk.begun()];
  let whole = true;
  const learned = outline.has.reduce((sum, one) => sum + one, 0);
  const most = learned <= MOST_IN_ANY_ORDER ? Infinity : MOST_STANDS;
  while (layer.length > 0) {
    const ends = layer.filter(({ ended }) => ended).sort((a, b) => compareWorth(a.worth, b.worth));
    if (ends.length > 0) return { steps: ends[0].steps, worth: ends[0].worth, whole };
    const next = new Map<string, Node>();
    for (const node of layer)
      for (const one of walk.from(node)) {
        const tag = `${standTag(one.stand)}.${one.leapt}.${one.ended ? 1 : 0}`;
        const known = next.get(tag);
        if (!known || compareWorth(one.worth, known.worth) < 0) next.set(tag, one);
      }
    layer = [...next.values()].sort((a, b) => compareWorth(a.worth, b.worth));
    whole &&= layer.length <= most;
    layer = layer.slice(0, most);
  }
  return null;
}

/** Goes from stand to stand within an outline. */
class Walk {
  private readonly groups: readonly Group[];
  private readonly last: number;

  constructor(
    private readonly problem: PathProblem,
    private readonly outline: Outline,
  ) {
    this.groups = groupsOf(problem).filter(({ brings }) => brings.every((skill) => outline.has[skill] === 1));
    this.last = problem.stations.length - 1;
  }

  begun(): Node {
    const stand = { has: new Uint8Array(this.problem.size), station: 0, top: -1 };
    const ended = this.problem.stations.length === 0 && this.isWhole(stand);
    return { stand, leapt: 0, steps: [], worth: NOTHING, ended };
  }

  *from(node: Node): Generator<Node> {
    const { stand } = node;
    const leap = this.outline.leaps.at(node.leapt);
    if (leap && sameThings(stand, leap.before) && stand.station === leap.before.station) {
      yield* this.leap(node, leap);
      return;
    }
    // Up to a leap only what is had before it.
    const within = leap ? leap.before.has : this.outline.has;
    yield* this.singles(node, within);
    yield* this.station(node, within);
  }

  private *leap(node: Node, leap: Leap): Generator<Node> {
    const { stations } = this.problem;
    if (leap.isStation) {
      yield this.taken(node, stations[node.stand.station], leap.brings, { leapt: 1, stations: 1 });
      return;
    }
    const tag = leap.brings.join();
    const options = this.groups.flatMap((group) =>
      missingOf(group.brings, node.stand).join() === tag ? [group.options[0]] : [],
    );
    if (options.length > 0) yield this.taken(node, this.easiest(options), leap.brings, { leapt: 1, stations: 0 });
  }

  /** For each thing that a step can bring by itself, the best step that does. */
  private *singles(node: Node, within: Uint8Array): Generator<Node> {
    const best = new Map<number, number>();
    for (const { brings, options } of this.groups) {
      const skill = onlyMissing(brings, node.stand.has);
      if (skill < 0 || within[skill] === 0) continue;
      const other = best.get(skill);
      if (other === undefined || compareOptionsAt(this.problem.options, options[0], other) < 0)
        best.set(skill, options[0]);
    }
    for (const [skill, option] of best)
      if (keepsOrder(this.problem, [skill], node.stand)) yield this.taken(node, option, [skill]);
  }

  private *station(node: Node, within: Uint8Array): Generator<Node> {
    const { stations, options } = this.problem;
    const { station } = node.stand;
    if (station > this.last) return;
    const missing = missingOf(options[stations[station]].brings, node.stand);
    if (missing.length > 1 || missing.some((skill) => within[skill] === 0)) return;
    const isLast = station === this.last;
    const stand = after(this.problem, node.stand, missing, 1);
    if (isLast && !(this.isWhole(stand) && node.leapt === this.outline.leaps.length)) return;
    if (keepsOrder(this.problem, missing, node.stand))
      yield this.taken(node, stations[station], missing, { stations: 1 });
  }

  private taken(node: Node, at: number, brings: readonly number[], { leapt = 0, stations = 0 } = {}): Node {
    const { options } = this.problem;
    const option = options[at];
    const stand = after(this.problem, node.stand, brings, stations);
    const before = node.steps.at(-1);
    const { steps, shaky, atWork, cost, sameKey } = node.worth;
    const worth: Worth = {
      steps: steps + 1,
      shaky: shaky - option.shaky,
      atWork: atWork - option.atWork,
      cost: cost + option.cost,
      sameKey: sameKey + (before !== undefined && options[before].key === option.key ? 1 : 0),
    };
    const atEnd = this.last < 0 ? this.isWhole(stand) : stand.station > this.last;
    return { stand, leapt: node.leapt + leapt, steps: [...node.steps, at], worth, ended: atEnd };
  }

  /** True where all of the outline is had and nothing is missing. */
  private isWhole(stand: Stand): boolean {
    const all = this.outline.has.every((had, skill) => had <= stand.has[skill]);
    return all && stillMissing(this.problem, stand).length === 0;
  }

  private easiest(options: readonly number[]): number {
    return options.reduce((best, one) => (compareOptionsAt(this.problem.options, one, best) < 0 ? one : best));
  }
}

function compareOptionsAt(options: readonly Option[], a: number, b: number): number {
  const [one, other] = [options[a], options[b]];
  return (
    other.shaky - one.shaky ||
    other.atWork - one.atWork ||
    costApart(one.cost, other.cost) ||
    (one.text < other.text ? -1 : 1)
  );
}

const sameThings = (a: Stand, b: Stand) => a.has.every((had, skill) => had === b.has[skill]);
