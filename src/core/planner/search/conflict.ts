import { moveCost, type Trellis } from '../graph';

/*
 * Where every note has a place but no plan is left, two notes fight: however each is held, no way leads from the one to the other.
 */

/**
 * The two events nearest to each other that no path joins, the earliest such pair.
 * @returns null where a path goes all the way
 */
export function fightingEvents(trellis: Trellis): readonly [number, number] | null {
  const { layers } = trellis;
  let reached = everyNode(layers[0].nodes);
  for (let late = 1; late < layers.length; late++) {
    reached = onward(trellis, late - 1, reached);
    if (reached.includes(1)) continue;
    let leading = everyNode(layers[late].nodes);
    for (let early = late - 1; early >= 0; early--) {
      leading = backward(trellis, early, leading);
      if (!leading.includes(1)) return [early, late];
    }
  }
  return null;
}

const everyNode = (nodes: number): Uint8Array => new Uint8Array(nodes).fill(1);

/** The nodes of layer t + 1 that some of layer t lead to. */
function onward(trellis: Trellis, t: number, from: Uint8Array): Uint8Array {
  const reached = new Uint8Array(trellis.layers[t + 1].nodes);
  eachStep(trellis, t, (a, b) => {
    if (from[a]) reached[b] = 1;
  });
  return reached;
}

/** The nodes of layer t that lead to some of layer t + 1. */
function backward(trellis: Trellis, t: number, to: Uint8Array): Uint8Array {
  const leading = new Uint8Array(trellis.layers[t].nodes);
  eachStep(trellis, t, (a, b) => {
    if (to[b]) leading[a] = 1;
  });
  return leading;
}

function eachStep({ layers, blocks }: Trellis, t: number, visit: (from: number, to: number) => void) {
  const block = blocks[t];
  const { stayStart, stayTo, inPlace } = block;
  const [layer, next] = [layers[t], layers[t + 1]];
  for (let from = 0; from < layer.nodes; from++) {
    for (let at = stayStart[from]; at < stayStart[from + 1]; at++) visit(from, stayTo[at]);
    if (inPlace) for (let at = inPlace.start[from]; at < inPlace.start[from + 1]; at++) visit(from, inPlace.to[at]);
    const touch = layer.touchOf[from];
    for (let to = 0; to < next.nodes; to++) if (moveCost(block, touch, next.touchOf[to]) < Infinity) visit(from, to);
  }
}
