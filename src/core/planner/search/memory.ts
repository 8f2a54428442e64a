import { NO_STAY, stayAfter, type Again, type heldIn, type Stays } from '../graph';
import type { Counted } from './counted';

/*
 * What a path has to remember, as a small state: how the earlier of two notes that are wanted alike is held, until the later one is reached; how many
 * shifts were made and which positions visited. A dynamic program over notes and states sees what one over notes alone cannot.
 */

/** States are numbers; equal states have equal numbers. */
export interface PathMemory {
  readonly start: number;
  /** The state after event t, held at a node come to from another (-1 at the first event); its price is left in `paid`. -1 where it may not be. */
  readonly after: (state: number, t: number, from: number, to: number) => number;
  readonly paid: { cost: number };
  /** How much more than out of state `b` may still have to be paid out of state `a`, at most, after event t. */
  readonly excess: (t: number, a: number, b: number) => number;
  /** True where a path may end in a state. */
  readonly mayEnd: (state: number) => boolean;
}

/*
 * How far a pair is remembered is two numbers: what was seen of its model, as a node of a tree of fingerings, and the string of its first event, of the
 * model or of the repetition, where strings are counted from it.
 */

/** In place of what was seen: the two differ already, and it is paid. */
const DIFFERS = -1;
const PER_PAIR = 2;

/** What is done at an event for one pair. */
interface Task {
  readonly pair: number;
  readonly kind: 'record' | 'compare' | 'keep';
  /** Its number among the events of the pair. */
  readonly i: number;
  /** Where it was remembered before the event, and is after; -1 where it is not. */
  readonly before: number;
  readonly after: number;
}

/**
 * Remembers the fingers of each pair's model until its repetition is over.
 * @param events how many there are
 */
export function rememberedPairs(pairs: readonly Again[], held: ReturnType<typeof heldIn>, events: number): PathMemory {
  const { tasks, active } = tasksFor(pairs, events);
  const tree = fingeringTree();
  const states = interned<Int32Array>((state) => state.join(' '));
  /** The state after an event and its price, by the state before and the node. */
  const known = tasks.map(() => new Map<number, { readonly state: number; readonly cost: number }>());
  const paid = { cost: 0 };

  function next(before: Int32Array, t: number, node: number) {
    const { fingers, string } = held(t, node);
    const after = new Int32Array(PER_PAIR * active[t].length);
    let cost = 0;
    for (const task of tasks[t]) {
      const { pair, kind, i } = task;
      let [seen, base] = task.before < 0 ? [0, 0] : [before[task.before], before[task.before + 1]];
      if (kind !== 'keep' && seen !== DIFFERS) {
        const { moved, cost: price } = pairs[pair];
        if (i === 0) base = moved ? string : 0;
        const key = fingers * 64 + (string - base) + 16;
        if (kind === 'record') seen = tree.child(seen, key);
        else if (tree.keyAt(seen, i) !== key) {
          cost += price;
          [seen, base] = [DIFFERS, 0];
        }
      }
      if (task.after >= 0) [after[task.after], after[task.after + 1]] = [seen, base];
    }
    return { state: states.numberOf(after), cost };
  }

  return {
    start: states.numberOf(new Int32Array(0)),
    paid,
    after(state, t, _from, to) {
      paid.cost = 0;
      if (tasks[t].length === 0) return state;
      const tag = state * MOST_NODES + to;
      let found = known[t].get(tag);
      if (!found) {
        found = next(states.valueOf(state), t, to);
        known[t].set(tag, found);
      }
      paid.cost = found.cost;
      return found.cost === Infinity ? -1 : found.state;
    },
    excess(t, a, b) {
      if (a === b) return 0;
      const [own, other] = [states.valueOf(a), states.valueOf(b)];
      let most = 0;
      for (let n = 0, at = 0; n < active[t].length; n++, at += PER_PAIR) {
        const differs = own[at] !== other[at] || own[at + 1] !== other[at + 1];
        if (differs && own[at] !== DIFFERS) most += pairs[active[t][n]].cost;
      }
      return most;
    },
    mayEnd: () => true,
  };
}

/** An event has fewer nodes. */
const MOST_NODES = 1 << 20;

/** What is done at each event, and which pairs are remembered after it. */
function tasksFor(pairs: readonly Again[], events: number) {
  const active: number[][] = Array.from({ length: events }, () => []);
  pairs.forEach(({ model, again }, pair) => {
    for (let t = model[0]; t < again[again.length - 1]; t++) active[t].push(pair);
  });
  const placeIn = active.map((own) => new Map(own.map((pair, n) => [pair, PER_PAIR * n])));
  const at = (t: number, pair: number) => placeIn[t]?.get(pair) ?? -1;
  const tasks: Task[][] = active.map((own, t) =>
    own.map((pair) => ({ pair, kind: 'keep', i: 0, before: at(t - 1, pair), after: at(t, pair) })),
  );
  const put = (t: number, pair: number, kind: 'record' | 'compare', i: number) => {
    const task: Task = { pair, kind, i, before: at(t - 1, pair), after: at(t, pair) };
    const own = tasks[t].findIndex((other) => other.pair === pair);
    if (own < 0) tasks[t].push(task);
    else tasks[t][own] = task;
  };
  pairs.forEach(({ model, again }, pair) => {
    model.forEach((t, i) => put(t, pair, 'record', i));
    again.forEach((t, i) => put(t, pair, 'compare', i));
  });
  return { tasks, active };
}

/** Fingerings as paths from the root of a tree, so that equal ones are one number. */
function fingeringTree() {
  const children: (Map<number, number> | undefined)[] = [];
  const parents: number[] = [0];
  const keys: number[] = [0];
  /** Whole fingerings by their last node, written out when they are first compared with. */
  const whole = new Map<number, number[]>();
  const writtenOut = (node: number): number[] => {
    const found: number[] = [];
    for (let at = node; at !== 0; at = parents[at]) found.push(keys[at]);
    return found.reverse();
  };
  return {
    child(node: number, key: number): number {
      const own = (children[node] ??= new Map());
      const known = own.get(key);
      if (known !== undefined) return known;
      const made = keys.length;
      parents.push(node);
      keys.push(key);
      own.set(key, made);
      return made;
    },
    keyAt(node: number, i: number): number {
      let found = whole.get(node);
      if (!found) whole.set(node, (found = writtenOut(node)));
      return found[i];
    },
  };
}

function interned<T>(tagOf: (value: T) => string) {
  const numbers = new Map<string, number>();
  const values: T[] = [];
  return {
    numberOf(value: T): number {
      const tag = tagOf(value);
      const known = numbers.get(tag);
      if (known !== undefined) return known;
      numbers.set(tag, values.length);
      values.push(value);
      return values.length - 1;
    },
    valueOf: (number: number) => values[number],
  };
}

/** Remembers how many shifts were made and which positions were visited. */
export function rememberedCounts({ most, visits, isShift, visited }: Counted): PathMemory {
  const sets = 2 ** visits;
  const shiftsIn = (state: number) => Math.floor(state / sets);
  return {
    start: 0,
    paid: { cost: 0 },
    after(state, t, from, to) {
      if (from < 0) return state;
      const shifts = most === Infinity ? 0 : shiftsIn(state) + (isShift(t - 1, from, to) ? 1 : 0);
      return shifts > most ? -1 : shifts * sets + ((state % sets) | visited(t - 1, from, to));
    },
    excess: (_t, a, b) => (shiftsIn(a) <= shiftsIn(b) && ((a % sets) & (b % sets)) === b % sets ? 0 : Infinity),
    mayEnd: (state) => state % sets === sets - 1,
  };
}

/** Remembers how long the stay on a string is that has climbed it. */
export function rememberedStays(stays: Stays): PathMemory {
  const paid = { cost: 0 };
  return {
    start: NO_STAY,
    paid,
    after(state, t, from, to) {
      const { state: next, cost } = stayAfter(stays, state, t, from, to);
      paid.cost = cost;
      return next;
    },
    excess: (_t, a, b) => (a === b || mayNotCostMore(a, b) ? 0 : stays.price),
    mayEnd: () => true,
  };
}

/** True where a stay is at least as long as another and has climbed only where that has too. */
function mayNotCostMore(a: number, b: number): boolean {
  const [climbed, other] = [a % 2, b % 2];
  return climbed <= other && a >> 1 >= b >> 1;
}

/** Nothing is remembered. */
export const NO_MEMORY: PathMemory = {
  start: 0,
  paid: { cost: 0 },
  after: () => 0,
  excess: () => 0,
  mayEnd: () => true,
};

/** Two memories as one. */
export function bothRemembered(first: PathMemory, second: PathMemory): PathMemory {
  const numbers = new Map<number, number>();
  const states: (readonly [number, number])[] = [];
  const numberOf = (a: number, b: number): number => {
    const tag = a * MOST_NODES + b;
    const known = numbers.get(tag);
    if (known !== undefined) return known;
    numbers.set(tag, states.length);
    return states.push([a, b]) - 1;
  };
  const paid = { cost: 0 };
  return {
    start: numberOf(first.start, second.start),
    paid,
    after(state, t, from, to) {
      const [a, b] = states[state];
      const own = first.after(a, t, from, to);
      if (own < 0) return -1;
      const other = second.after(b, t, from, to);
      if (other < 0) return -1;
      paid.cost = first.paid.cost + second.paid.cost;
      return numberOf(own, other);
    },
    excess(t, a, b) {
      const [own, other] = [states[a], states[b]];
      return first.excess(t, own[0], other[0]) + second.excess(t, own[1], other[1]);
    },
    mayEnd(state) {
      const [a, b] = states[state];
      return first.mayEnd(a) && second.mayEnd(b);
    },
  };
}
