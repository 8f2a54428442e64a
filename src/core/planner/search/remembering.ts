import { width, type Lattice } from '../graph';
import type { PathMemory } from './memory';

/*
 * The cheapest path of a lattice where what is paid at a note hangs on notes long before: a dynamic program in which each node stands once for each
 * state of the memory. A label that could not win back what it is dearer than another at its node goes. Where there are too many labels the least
 * promising go too, and with them the proof: then it is known how much better a path might be at most.
 */

/** Labels of a node that another is held against: the cheapest. */
const MOST_COMPARED = 48;
/** How many times as many labels are looked at before those go that cannot win. */
const ROOM = 4;

export interface Remembering {
  /** Null where no path costs less than the limit. */
  readonly found: { readonly path: Int32Array; readonly cost: number } | null;
  /** No path costs less than this; the cost itself where the path is proved best. */
  readonly bound: number;
}

interface Label {
  readonly node: number;
  /** Paid so far, the node's own cost included. */
  readonly cost: number;
  readonly state: number;
  readonly before: Label | null;
}

/**
 * The cheapest path with its memory's prices, where it costs less than the limit.
 * @param ahead what finishing costs from each node on, without what memory adds
 * @param nodeAt a lattice's node as the memory knows it
 * @param most labels kept at one event
 */
export function cheapestRemembering(
  lattice: Lattice,
  ahead: Float64Array,
  memory: PathMemory,
  nodeAt: (t: number, node: number) => number,
  limit: number,
  most: number,
): Remembering {
  const { first, cost, steps, stepsAt } = lattice;
  const events = first.length - 1;
  let bound = Infinity;
  const rest = (t: number, node: number) => ahead[first[t] + node] - cost[first[t] + node];

  /** The labels of an event that are worth going on from. */
  const worth = (t: number, labels: readonly Label[][]): Label[][] =>
    fewest(
      t,
      fewest(t, labels, ROOM * most).map((own) => undominated(own, t)),
      most,
    );

  /** The most promising labels of an event, where there are too many. */
  function fewest(t: number, labels: readonly Label[][], few: number): Label[][] {
    const count = labels.reduce((sum, { length }) => sum + length, 0);
    if (count <= few) return labels.map((own) => [...own]);
    const totals = labels.flatMap((own, node) => own.map((label) => label.cost + rest(t, node))).sort((x, y) => x - y);
    const worst = totals[few];
    bound = Math.min(bound, worst);
    return labels.map((own, node) => own.filter((label) => label.cost + rest(t, node) < worst));
  }

  /** Those that may still win back what they are dearer than another of the same node. */
  function undominated(labels: readonly Label[], t: number): Label[] {
    if (labels.length < 2) return [...labels];
    const kept: Label[] = [];
    for (const label of [...labels].sort((x, y) => x.cost - y.cost)) {
      const against = Math.min(kept.length, MOST_COMPARED);
      let wins = true;
      for (let n = 0; n < against && wins; n++)
        wins = kept[n].cost + memory.excess(t, kept[n].state, label.state) > label.cost;
      if (wins) kept.push(label);
    }
    return kept;
  }

  let here: Label[][] = Array.from({ length: width(lattice, 0) }, (_, node): Label[] => {
    const state = memory.after(memory.start, 0, -1, nodeAt(0, node));
    const own = cost[first[0] + node] + memory.paid.cost;
    return state < 0 || !(own + rest(0, node) < limit) ? [] : [{ node, cost: own, state, before: null }];
  });
  for (let t = 1; t < events; t++) {
    const [before, nodes] = [width(lattice, t - 1), width(lattice, t)];
    const next: Map<number, Label>[] = Array.from({ length: nodes }, () => new Map());
    for (let u = 0; u < before; u++) {
      if (here[u].length === 0) continue;
      const row = stepsAt[t - 1] + u * nodes;
      const from = nodeAt(t - 1, u);
      for (let v = 0; v < nodes; v++) {
        const step = steps[row + v] + cost[first[t] + v];
        if (step === Infinity) continue;
        const [to, onward] = [nodeAt(t, v), rest(t, v)];
        for (const label of here[u]) {
          const spent = label.cost + step;
          if (!(spent + onward < limit)) continue;
          const state = memory.after(label.state, t, from, to);
          if (state < 0) continue;
          const total = spent + memory.paid.cost;
          if (!(total + onward < limit) || total >= (next[v].get(state)?.cost ?? Infinity)) continue;
          next[v].set(state, { node: v, cost: total, state, before: label });
        }
      }
    }
    here = worth(
      t,
      next.map((labels) => [...labels.values()]),
    );
  }
  let best: Label | null = null;
  for (const label of here.flat()) if (memory.mayEnd(label.state) && label.cost < (best?.cost ?? limit)) best = label;
  if (!best) return { found: null, bound: Math.min(bound, limit) };
  const path = new Int32Array(events);
  for (let [label, t]: [Label | null, number] = [best, events - 1]; label; label = label.before, t--)
    path[t] = label.node;
  return { found: { path, cost: best.cost }, bound: Math.min(bound, best.cost) };
}
