import type { Again, heldIn } from '../graph';
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

/** How far a pair is remembered: what was seen of its model, as a node of a tree of fingerings, and how much of that has come again. */
interface Trace {
  /** The fingering of the model so far; ALIKE_NO_MORE where the two differ already. */
  readonly seen: number;
  /** The string of the first event, of the model or of the repetition, where strings are counted from it. */
  readonly base: number;
}

const ALIKE_NO_MORE = -1;

/** What is done at an event for one pair. */
interface Task {
  readonly pair: number;
  readonly kind: 'record' | 'compare';
  /** Its number among the events of the pair. */
  readonly i: number;
  readonly last: boolean;
}

/**
 * Remembers the fingers of each pair's model until its repetition is over.
 * @param events how many there are
 */
export function rememberedPairs(pairs: readonly Again[], held: ReturnType<typeof heldIn>, events: number): PathMemory {
  const tasks: Task[][] = Array.from({ length: events }, () => []);
  /** The pairs that are remembered after each event. */
  const active: number[][] = Array.from({ length: events }, () => []);
  pairs.forEach(({ model, again }, pair) => {
    model.forEach((t, i) => tasks[t].push({ pair, kind: 'record', i, last: false }));
    again.forEach((t, i) => tasks[t].push({ pair, kind: 'compare', i, last: i === again.length - 1 }));
    for (let t = model[0]; t < again[again.length - 1]; t++) active[t].push(pair);
  });
  const tree = fingeringTree();
  const states = interned<ReadonlyMap<number, Trace>>((state) =>
    [...state].map(([pair, { seen, base }]) => `${pair}:${seen}:${base}`).join(' '),
  );
  const known = new Map<string, { readonly state: number; readonly cost: number }>();
  const paid = { cost: 0 };

  function next(state: ReadonlyMap<number, Trace>, t: number, node: number) {
    const { fingers, string } = held(t, node);
    const traces = new Map(state);
    let cost = 0;
    for (const { pair, kind, i, last } of tasks[t]) {
      const { moved, cost: price } = pairs[pair];
      const before = traces.get(pair);
      if (before?.seen === ALIKE_NO_MORE) {
        if (last) traces.delete(pair);
        continue;
      }
      const base = !moved ? 0 : i === 0 ? string : (before?.base ?? 0);
      const key = fingers * 64 + (string - base) + 16;
      if (kind === 'record') traces.set(pair, { seen: tree.child(before?.seen ?? 0, key), base });
      else if (tree.keyAt(before?.seen ?? 0, i) === key)
        if (last) traces.delete(pair);
        else traces.set(pair, { seen: before?.seen ?? 0, base });
      else {
        cost += price;
        if (last) traces.delete(pair);
        else traces.set(pair, { seen: ALIKE_NO_MORE, base: 0 });
      }
    }
    return { state: states.numberOf(sorted(traces)), cost };
  }

  return {
    start: states.numberOf(new Map()),
    paid,
    after(state, t, _from, to) {
      paid.cost = 0;
      if (tasks[t].length === 0) return state;
      const tag = `${state} ${t} ${to}`;
      let found = known.get(tag);
      if (!found) {
        found = next(states.valueOf(state), t, to);
        known.set(tag, found);
      }
      paid.cost = found.cost;
      return found.cost === Infinity ? -1 : found.state;
    },
    excess(t, a, b) {
      if (a === b) return 0;
      const [own, other] = [states.valueOf(a), states.valueOf(b)];
      let most = 0;
      for (const pair of active[t]) {
        const [x, y] = [own.get(pair), other.get(pair)];
        if (x?.seen === ALIKE_NO_MORE || (x?.seen === y?.seen && x?.base === y?.base)) continue;
        most += pairs[pair].cost;
      }
      return most;
    },
    mayEnd: () => true,
  };
}

const sorted = (traces: ReadonlyMap<number, Trace>) => new Map([...traces].sort(([a], [b]) => a - b));

/** Fingerings as paths from the root of a tree, so that equal ones are one number. */
function fingeringTree() {
  const children: Map<number, number>[] = [new Map()];
  const keys: (readonly number[])[] = [[]];
  return {
    child(node: number, key: number): number {
      const known = children[node].get(key);
      if (known !== undefined) return known;
      const made = children.length;
      children.push(new Map());
      keys.push([...keys[node], key]);
      children[node].set(key, made);
      return made;
    },
    keyAt: (node: number, i: number) => keys[node][i],
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

/** Two memories as one. */
export function bothRemembered(first: PathMemory, second: PathMemory): PathMemory {
  const states = interned<readonly [number, number]>(([a, b]) => `${a} ${b}`);
  const paid = { cost: 0 };
  return {
    start: states.numberOf([first.start, second.start]),
    paid,
    after(state, t, from, to) {
      const [a, b] = states.valueOf(state);
      const own = first.after(a, t, from, to);
      if (own < 0) return -1;
      const other = second.after(b, t, from, to);
      if (other < 0) return -1;
      paid.cost = first.paid.cost + second.paid.cost;
      return states.numberOf([own, other]);
    },
    excess(t, a, b) {
      const [own, other] = [states.valueOf(a), states.valueOf(b)];
      return first.excess(t, own[0], other[0]) + second.excess(t, own[1], other[1]);
    },
    mayEnd(state) {
      const [a, b] = states.valueOf(state);
      return first.mayEnd(a) && second.mayEnd(b);
    },
  };
}
