import type { Path } from '../graph';

/*
 * The search's open labels: columns of numbers that grow, and a heap of label numbers over them. The least total comes first;
 * of equals the one further along, so that ties walk on instead of spreading.
 */

const FIRST_ROOM = 256;
/** Totals nearer than this are equal: sums taken in another order differ in the last bits. */
const EQUAL = 1e-9;

export function labelStore() {
  let room = FIRST_ROOM;
  let whole = new Int32Array(room * 3);
  let costs = new Float64Array(room * 2);
  let states = new Float64Array(room);
  const heap: number[] = [];
  let count = 0;

  function before(a: number, b: number): boolean {
    const gap = costs[2 * a + 1] - costs[2 * b + 1];
    return gap < -EQUAL || (gap <= EQUAL && whole[3 * a] > whole[3 * b]);
  }

  function grow() {
    room *= 2;
    whole = widened(whole, new Int32Array(room * 3));
    costs = widened(costs, new Float64Array(room * 2));
    states = widened(states, new Float64Array(room));
  }

  return {
    count: () => count,
    waiting: () => heap.length > 0,
    t: (label: number) => whole[3 * label],
    node: (label: number) => whole[3 * label + 1],
    state: (label: number) => states[label],
    /** Cost paid up to the label's node, that node's own left out. */
    spent: (label: number) => costs[2 * label],
    /** Least total of any whole path through the label. */
    least: (label: number) => costs[2 * label + 1],

    push(t: number, node: number, state: number, spent: number, least: number, parent: number) {
      if (count === room) grow();
      const label = count++;
      whole[3 * label] = t;
      whole[3 * label + 1] = node;
      whole[3 * label + 2] = parent;
      states[label] = state;
      costs[2 * label] = spent;
      costs[2 * label + 1] = least;
      let at = heap.length;
      heap.push(label);
      while (at > 0) {
        const up = (at - 1) >> 1;
        if (!before(label, heap[up])) break;
        heap[at] = heap[up];
        at = up;
      }
      heap[at] = label;
    },

    pop(): number {
      const top = heap[0];
      const last = heap.pop() as number;
      const size = heap.length;
      if (size === 0) return top;
      let at = 0;
      for (;;) {
        let down = 2 * at + 1;
        if (down >= size) break;
        if (down + 1 < size && before(heap[down + 1], heap[down])) down++;
        if (!before(heap[down], last)) break;
        heap[at] = heap[down];
        at = down;
      }
      heap[at] = last;
      return top;
    },

    /** The nodes from the first event to the label's. */
    path(label: number, length: number): Path {
      const path = new Int32Array(length);
      for (let at = label; at >= 0; at = whole[3 * at + 2]) path[whole[3 * at]] = whole[3 * at + 1];
      return path;
    },
  };
}

function widened<T extends Int32Array | Float64Array>(from: T, to: T): T {
  to.set(from);
  return to;
}
