import { width, type Lattice } from './lattice';

/*
 * A line that goes up and comes back is folded at its turning point, so that each note lies upon its own way back. A path through the fold
 * is a plan that comes back the way it went; it is searched like any other, only the lattice is another one.
 *
 * Of each pair of events two are made, so that the search still sees one place an event: first the pair's early event with all that
 * it costs, then its late one, joined to it by steps that cost nothing.
 */

/** Takes a step of a lattice: from a node of event t to one of the next, both counted from their event's first. */
export type Visit = (t: number, from: number, to: number) => void;

export interface Fold extends Lattice {
  /** The path of the lattice that a path of the fold stands for. */
  unfold(path: ArrayLike<number>): Int32Array;
  /** Visits the steps of the lattice that the step from node u of place at - 1 to node v of place at stands for; none between the halves of a pair. */
  behind(at: number, u: number, v: number, visit: Visit): void;
}

/** Nodes of an event and its mirror image that are one way of playing, side by side; both counted from their event's first. */
interface Pairs {
  readonly early: readonly number[];
  readonly late: readonly number[];
}

/** Says whether nodes of two events are the same way of playing, once on the way out and once on the way back. */
export type Alike = (t: number, node: number, late: number, back: number) => boolean;

/** Order of events in the fold of n: 0, n-1, 1, n-2, … with the turning note last where there is one. */
function foldOrder(n: number): Int32Array {
  return new Int32Array(n).map((_, at) => (at % 2 === 0 ? at / 2 : n - 1 - (at - 1) / 2));
}

/** @returns null where some event cannot be held alike both ways */
export function foldLattice(lattice: Lattice, alike: Alike): Fold | null {
  const n = lattice.first.length - 1;
  const order = foldOrder(n);
  const pairsAt: Pairs[] = [];
  for (let t = 0; 2 * t < n; t++) {
    const pairs = pairsOf(lattice, t, n - 1 - t, alike);
    if (pairs.early.length === 0) return null;
    pairsAt.push(pairs);
  }
  const pairsOfEvent = (t: number) => pairsAt[Math.min(t, n - 1 - t)];
  const own = (t: number) => (2 * t < n ? pairsOfEvent(t).early : pairsOfEvent(t).late);

  const first = new Int32Array(n + 1);
  const stepsAt = new Int32Array(n);
  order.forEach((t, at) => {
    first[at + 1] = first[at] + own(t).length;
    if (at > 0) stepsAt[at] = stepsAt[at - 1] + own(order[at - 1]).length * own(t).length;
  });
  const cost = new Float64Array(first[n]);
  const steps = new Float64Array(stepsAt[n - 1]);
  order.forEach((t, at) => {
    own(t).forEach((node, pair) => {
      cost[first[at] + pair] = lattice.cost[lattice.first[t] + node];
    });
    if (at === 0) return;
    if (at % 2 === 1) join(steps, stepsAt[at - 1], turnCosts(lattice, pairsOfEvent(t), order[at - 1], t));
    else layBothWays(lattice, pairsOfEvent(t - 1), pairsOfEvent(t), t, steps, stepsAt[at - 1]);
  });
  return {
    first,
    cost,
    steps,
    stepsAt,
    unfold: (path) => {
      const whole = new Int32Array(n);
      order.forEach((t, at) => (whole[t] = own(t)[path[at]]));
      return whole;
    },
    behind: (at, u, v, visit) => {
      const [was, t] = [order[at - 1], order[at]];
      if (at % 2 === 1) {
        if (t === was + 1) visit(was, own(was)[u], own(t)[v]);
        return;
      }
      const [from, to] = [pairsOfEvent(t - 1), pairsOfEvent(t)];
      visit(t - 1, from.early[u], to.early[v]);
      visit(n - 1 - t, to.late[v], from.late[u]);
    },
  };
}

function pairsOf(lattice: Lattice, t: number, late: number, alike: Alike): Pairs {
  const pairs = { early: [] as number[], late: [] as number[] };
  for (let node = 0; node < width(lattice, t); node++) {
    for (let back = 0; back < width(lattice, late); back++) {
      const same = t === late ? node === back : alike(t, node, late, back);
      if (!same) continue;
      pairs.early.push(node);
      pairs.late.push(back);
    }
  }
  return pairs;
}

/** What lies between the two halves of each pair: nothing, or the step at the turning point where no note stands alone there. */
function turnCosts(lattice: Lattice, { early, late }: Pairs, t: number, back: number): number[] {
  if (back > t + 1) return early.map(() => 0);
  const next = width(lattice, back);
  return early.map((node, pair) => lattice.steps[lattice.stepsAt[t] + node * next + late[pair]]);
}

/** Steps from each node to its own other half. */
function join(steps: Float64Array, at: number, costs: readonly number[]) {
  const nodes = costs.length;
  steps.fill(Infinity, at, at + nodes * nodes);
  costs.forEach((cost, node) => (steps[at + node * nodes + node] = cost));
}

/** Each step on the way out to event t together with the same step on the way back. */
function layBothWays(lattice: Lattice, from: Pairs, to: Pairs, t: number, into: Float64Array, start: number) {
  const { steps, stepsAt } = lattice;
  const late = lattice.first.length - 2 - t;
  const [out, home] = [width(lattice, t), width(lattice, late + 1)];
  let at = start;
  for (let row = 0; row < from.early.length; row++) {
    const outward = stepsAt[t - 1] + from.early[row] * out;
    const homeward = stepsAt[late] + from.late[row];
    for (let column = 0; column < to.early.length; column++)
      into[at++] = steps[outward + to.early[column]] + steps[homeward + to.late[column] * home];
  }
}
