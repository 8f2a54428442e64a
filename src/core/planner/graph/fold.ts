import { width, type Lattice } from './lattice';

/*
 * A line that goes up and comes back is folded at its turning point, so that each note lies upon its own way back. A path through the fold
 * is a plan that comes back the way it went; it is searched like any other, only the lattice is another one.
 *
 * Each place of the fold is an event and its mirror image: it costs what both cost, and a step the step out and the step home. Where the two
 * innermost events are neighbours, one more place stands for the step between them.
 */

/** Takes a step of a lattice: from a node of event t to one of the next, both counted from their event's first. */
type Visit = (t: number, from: number, to: number) => void;

export interface Fold extends Lattice {
  /** The path of the lattice that a path of the fold stands for. */
  unfold(path: ArrayLike<number>): Int32Array;
  /** Visits the steps of the lattice that the step from node u of place at - 1 to node v of place at stands for. */
  behind(at: number, u: number, v: number, visit: Visit): void;
}

/** Nodes of an event and its mirror image that are one way of playing, side by side; both counted from their event's first. */
interface Pairs {
  readonly early: readonly number[];
  readonly late: readonly number[];
}

/** Says whether nodes of two events are the same way of playing, once on the way out and once on the way back. */
export type Alike = (t: number, node: number, late: number, back: number) => boolean;

/** @returns null where some event cannot be held alike both ways */
export function foldLattice(lattice: Lattice, alike: Alike): Fold | null {
  const n = lattice.first.length - 1;
  const last = n - 1;
  const pairs: Pairs[] = [];
  for (let t = 0; 2 * t <= last; t++) {
    const held = pairsOf(lattice, t, last - t, alike);
    if (held.early.length === 0) return null;
    pairs.push(held);
  }
  const inner = pairs.length - 1;
  const turns = n % 2 === 0;
  const places = turns ? [...pairs, pairs[inner]] : pairs;
  const first = new Int32Array(places.length + 1);
  const stepsAt = new Int32Array(places.length);
  places.forEach(({ early: { length } }, at) => {
    first[at + 1] = first[at] + length;
    if (at > 0) stepsAt[at] = stepsAt[at - 1] + places[at - 1].early.length * length;
  });
  const cost = new Float64Array(first[places.length]);
  const steps = new Float64Array(stepsAt[places.length - 1]);
  pairs.forEach(({ early, late }, t) => {
    for (let pair = 0; pair < early.length; pair++) {
      const back = t === last - t ? 0 : lattice.cost[lattice.first[last - t] + late[pair]];
      cost[first[t] + pair] = lattice.cost[lattice.first[t] + early[pair]] + back;
    }
    if (t > 0) layBothWays(lattice, pairs[t - 1], pairs[t], t, steps, stepsAt[t - 1]);
  });
  if (turns) layTurn(lattice, pairs[inner], inner, steps, stepsAt[inner]);
  return {
    first,
    cost,
    steps,
    stepsAt,
    unfold: (path) => {
      const whole = new Int32Array(n);
      pairs.forEach(({ early, late }, t) => {
        whole[t] = early[path[t]];
        whole[last - t] = late[path[t]];
      });
      return whole;
    },
    behind: (at, u, v, visit) => {
      if (at > inner) return visit(inner, places[at].early[u], places[at].late[v]);
      const [from, to] = [places[at - 1], places[at]];
      visit(at - 1, from.early[u], to.early[v]);
      visit(last - at, to.late[v], from.late[u]);
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

/** The step at the turning point where no note stands alone there: from each node of event t to its own other half. */
function layTurn(lattice: Lattice, { early, late }: Pairs, t: number, into: Float64Array, start: number) {
  const { steps, stepsAt } = lattice;
  const [nodes, next] = [early.length, width(lattice, t + 1)];
  into.fill(Infinity, start, start + nodes * nodes);
  for (let pair = 0; pair < nodes; pair++)
    into[start + pair * nodes + pair] = steps[stepsAt[t] + early[pair] * next + late[pair]];
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
