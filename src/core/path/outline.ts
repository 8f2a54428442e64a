import {
  after,
  groupsOf,
  keepsOrder,
  missingOf,
  onlyMissing,
  standTag,
  stillMissing,
  type Group,
  type PathProblem,
  type Stand,
} from './options';

/*
 * The outline of the best row: which steps have to bring more than one thing at once, and which things have to be learned that the goal does not need.
 * Between them every step brings one thing, in any order that can be.
 *
 * A step that brings one thing which the goal needs costs nothing and closes no way (whoever knows more needs less), so all of them are taken at once;
 * what is searched is the rest, the best first. It is a search with a lower bound: what could be had if all that is not needed were free.
 */

/** How a row is judged first: steps with more than one new thing, what was missing at each of them, things that are not needed. */
export type Price = readonly [several: number, early: number, unneeded: number];

/** A step that brings several things at once. */
export interface Leap {
  /** What is had just before. */
  readonly before: Stand;
  readonly brings: readonly number[];
  /** True where it is the next station. */
  readonly isStation: boolean;
}

export interface Outline {
  readonly price: Price;
  /** Everything that is had at the end. */
  readonly has: Uint8Array;
  readonly leaps: readonly Leap[];
}

export interface Outlines {
  /** All of the best price; several where they learn other things on the way. */
  readonly found: readonly Outline[];
  /** A price that no row can be below. */
  readonly bound: Price;
  /** True where the search came to its end: no row has a better price. */
  readonly proved: boolean;
  /** True where every outline of that price is among them. */
  readonly all: boolean;
}

/** What a node is looked into for: its steps that bring one thing, those that bring several, or nothing more, as it is an end. */
type Look = 'singles' | 'leaps' | 'end';

interface Node {
  readonly stand: Stand;
  readonly price: Price;
  readonly leaps: readonly Leap[];
  readonly look: Look;
  readonly bound: Price;
}
type Step = Pick<Node, 'stand' | 'price' | 'leaps'>;

/** Stands that are looked into at most; with more the row may be worse than the best by what is told. */
const MOST_STANDS = 1500;
/** Outlines of the same price that are compared. */
const MOST_OUTLINES = 12;
/** Things not needed that a row is thought to take at most; a step that brings more of them is left out. */
const MOST_UNNEEDED = 3;

const plus = (a: Price, b: Price): Price => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const comparePrices = (a: Price, b: Price) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/**
 * The outlines of the best rows.
 * @returns none found where no row keeps to the order of positions
 */
export function outlinesOf(problem: PathProblem): Outlines {
  return new OutlineSearch(problem).run();
}

class OutlineSearch {
  private readonly groups: readonly Group[];
  /** The groups that have each skill. */
  private readonly having: readonly (readonly number[])[];
  private readonly last: number;
  /** What is still to be looked into, the best last. */
  private readonly open: Node[] = [];
  private readonly cheapest = new Map<string, Price>();
  private readonly seen = new Set<string>();

  constructor(private readonly problem: PathProblem) {
    this.groups = relevant(problem, groupsOf(problem));
    const having: number[][] = Array.from({ length: problem.size }, () => []);
    this.groups.forEach(({ brings }, at) => brings.forEach((skill) => having[skill].push(at)));
    this.having = having;
    this.last = problem.stations.length - 1;
  }

  run(): Outlines {
    const begun = this.closed({ has: new Uint8Array(this.problem.size), station: 0, top: -1 });
    const found: Outline[] = [];
    this.put({ stand: begun, price: [0, 0, 0], leaps: [] });
    let rest: Node | null = null;
    let all = false;
    for (let looked = 0; looked < MOST_STANDS && found.length < MOST_OUTLINES; looked++) {
      const node = this.open.pop();
      all = !node || (found.length > 0 && comparePrices(node.bound, found[0].price) > 0);
      if (!node || all) break;
      if (node.look === 'end') {
        found.push({ price: node.price, has: node.stand.has, leaps: node.leaps });
        continue;
      }
      for (const next of node.look === 'leaps' ? this.leaps(node) : this.singles(node)) this.put(next);
      if (node.look === 'leaps') continue;
      insert(this.open, { ...node, look: 'leaps', bound: this.boundOfLeaps(node) });
      const end = this.end(node);
      if (end) insert(this.open, end);
      if (end && (!rest || comparePrices(end.price, rest.price) < 0)) rest = end;
    }
    if (found.length > 0) return { found, bound: found[0].price, proved: true, all };
    const bound = this.open.at(-1)?.bound ?? [0, 0, 0];
    return {
      found: rest ? [{ price: rest.price, has: rest.stand.has, leaps: rest.leaps }] : [],
      bound,
      proved: all && !rest,
      all,
    };
  }

  private put(step: Step) {
    const tag = standTag(step.stand);
    const known = this.cheapest.get(tag);
    if (known && comparePrices(known, step.price) < 0) return;
    this.cheapest.set(tag, step.price);
    // The same stand by other leaps at the same price is another outline.
    const way = `${tag} ${step.leaps.map(({ before, brings }) => `${standTag(before)}+${brings.join()}`).join(' ')}`;
    if (this.seen.has(way)) return;
    this.seen.add(way);
    insert(this.open, { ...step, look: 'singles', bound: plus(step.price, this.boundFrom(step.stand)) });
  }

  /** Takes every step that brings one thing which the goal needs, as long as there is one; places in the order of positions are a choice and left. */
  private closed(from: Stand, free = false): Stand {
    const { needed, rank, stations, options } = this.problem;
    const has = from.has.slice();
    const short = this.groups.map(({ brings }) => brings.reduce((sum, skill) => sum + 1 - has[skill], 0));
    let { station } = from;
    const queue = [...short.keys()].filter((at) => short[at] === 1);
    const mayBring = (skill: number) => (free ? true : needed[skill] === 1 && rank[skill] < 0);
    const bring = (skill: number) => {
      has[skill] = 1;
      for (const at of this.having[skill]) if (--short[at] === 1) queue.push(at);
    };
    for (;;) {
      for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
        const skill = this.groups[at].brings.find((one) => has[one] === 0);
        if (skill !== undefined && mayBring(skill)) bring(skill);
      }
      if (station >= this.last) break;
      const missing = options[stations[station]].brings.filter((skill) => has[skill] === 0);
      if (missing.length > 1 || !missing.every(mayBring)) break;
      missing.forEach(bring);
      station++;
    }
    return { has, station, top: from.top };
  }

  /** The end of the row from here, where the last step may be taken now. */
  private end({ stand, price, leaps }: Node): Node | null {
    const { stations, options } = this.problem;
    const missing = stillMissing(this.problem, stand);
    const ended = (own: Step): Node => ({ ...own, look: 'end', bound: own.price });
    if (stations.length === 0) return missing.length === 0 ? ended({ stand, price, leaps }) : null;
    if (stand.station < this.last) return null;
    const brings = options[stations[this.last]].brings;
    if (!missing.every((skill) => brings.includes(skill)) || !keepsOrder(this.problem, missing, stand)) return null;
    const all = after(this.problem, stand, missing);
    if (missing.length <= 1) return ended({ stand: all, price, leaps });
    const leap: Leap = { before: stand, brings: missing, isStation: true };
    return ended({ stand: all, price: plus(price, [1, missing.length, 0]), leaps: [...leaps, leap] });
  }

  /** Steps that bring one thing: one that is not needed, or a position whose turn it is. */
  private *singles({ stand, price, leaps }: Node): Generator<Step> {
    const { needed, options, stations } = this.problem;
    const skills = new Set<number>();
    for (const { brings } of this.groups) {
      const skill = onlyMissing(brings, stand.has);
      if (skill >= 0) skills.add(skill);
    }
    for (const skill of [...skills].sort((a, b) => a - b)) {
      if (!keepsOrder(this.problem, [skill], stand)) continue;
      const next = this.closed(after(this.problem, stand, [skill]));
      yield { stand: next, price: plus(price, [0, 0, 1 - needed[skill]]), leaps };
    }
    if (stand.station < this.last) {
      const missing = missingOf(options[stations[stand.station]].brings, stand);
      if (missing.length === 1 && keepsOrder(this.problem, missing, stand))
        yield { stand: this.closed(after(this.problem, stand, missing, 1)), price, leaps };
    }
  }

  /** Steps that bring several things. */
  private *leaps({ stand, price, leaps }: Node): Generator<Step> {
    const { needed, options, stations } = this.problem;
    const early = stillMissing(this.problem, stand).length;
    const seen = new Set<string>();
    const leapt = (missing: readonly number[], isStation: boolean): Step[] => {
      const tag = `${missing.join()}${isStation ? '!' : ''}`;
      if (missing.length < 2 || seen.has(tag) || !keepsOrder(this.problem, missing, stand)) return [];
      seen.add(tag);
      const unneeded = missing.filter((skill) => needed[skill] === 0).length;
      const next = this.closed(after(this.problem, stand, missing, isStation ? 1 : 0));
      const leap: Leap = { before: stand, brings: missing, isStation };
      return [{ stand: next, price: plus(price, [1, early, unneeded]), leaps: [...leaps, leap] }];
    };
    if (stand.station < this.last) yield* leapt(missingOf(options[stations[stand.station]].brings, stand), true);
    for (const { brings } of this.groups) yield* leapt(missingOf(brings, stand), false);
  }

  private boundOfLeaps({ stand, price }: Node): Price {
    return plus(price, [1, stillMissing(this.problem, stand).length, 0]);
  }

  /** What any row from here costs at least. */
  private boundFrom(stand: Stand): Price {
    const reached = this.closed(stand, true);
    const missing = stillMissing(this.problem, reached);
    const { stations, options } = this.problem;
    const isEnd = stations.length > 0 && reached.station >= this.last;
    const ends = isEnd
      ? missing.length <= 1 && missing.every((skill) => options[stations[this.last]].brings.includes(skill))
      : stations.length === 0 && missing.length === 0;
    if (!ends) return [1, Math.max(1, missing.length), 0];
    return [0, 0, this.unneededFrom(stand)];
  }

  /** Things not needed that are learned at least: as many as the cheapest step has for the thing that is dearest, stations set aside. */
  private unneededFrom(stand: Stand): number {
    const { needed, stations } = this.problem;
    const least = stillMissing(this.problem, stand).map((skill) =>
      this.having[skill].reduce(
        (best, at) =>
          Math.min(best, missingOf(this.groups[at].brings, stand).filter((one) => needed[one] === 0).length),
        MOST_UNNEEDED + 1,
      ),
    );
    least.sort((a, b) => b - a);
    const bySteps = least.at(stations.length - stand.station) ?? 0;
    return Math.min(bySteps, MOST_UNNEEDED);
  }
}

/** Puts a node where it belongs; the best is the last. Of equals the one that was put in last is looked into first. */
function insert(open: Node[], node: Node) {
  let [low, high] = [0, open.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (comparePrices(open[middle].bound, node.bound) >= 0) low = middle + 1;
    else high = middle;
  }
  open.splice(low, 0, node);
}

/** The steps that can matter: those that bring what is needed, or bring what such a step has besides, and so on. */
function relevant({ needed }: PathProblem, groups: readonly Group[]): readonly Group[] {
  const unneeded = groups.map(({ brings }) => brings.filter((skill) => needed[skill] === 0));
  const wanted = new Set<number>([...needed.keys()].filter((skill) => needed[skill] === 1));
  const taken = new Set<number>();
  for (let grown = true; grown;) {
    grown = false;
    groups.forEach(({ brings }, at) => {
      if (taken.has(at) || unneeded[at].length > MOST_UNNEEDED || !brings.some((skill) => wanted.has(skill))) return;
      taken.add(at);
      grown = true;
      for (const skill of unneeded[at]) wanted.add(skill);
    });
  }
  return groups.filter((_, at) => taken.has(at));
}
