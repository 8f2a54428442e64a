/*
 * The web of possibilities in numbers only, laid out for the search. A layer is one event: its nodes are holds, gathered into touches
 * (nodes of one touch stand side by side). A block is what lies between two layers: moves change the hand's position and depend on the
 * touches alone; stays keep it and join node to node. This split is what keeps the search fast: idle fingers multiply the
 * nodes, but never the moves.
 */

export interface Layer {
  readonly nodes: number;
  readonly touches: number;
  /** Nodes of touch t are touchStart[t] to touchStart[t + 1] - 1. */
  readonly touchStart: Int32Array;
  readonly touchOf: Int32Array;
  /** What a node costs for being played. */
  readonly cost: Float64Array;
  /** What it costs to set the hand into a node's frame, on arrival. */
  readonly entry: Float64Array;
  /** Place of a touch, by which plans are told apart. */
  readonly place: Int32Array;
}

export interface Block extends Moves {
  /** Stays out of node u are stayStart[u] to stayStart[u + 1] - 1. */
  readonly stayStart: Int32Array;
  readonly stayTo: Int32Array;
  /** Cost of the stay, all included but the later node's own cost. */
  readonly stayCost: Float64Array;
  /** Shifts within a position, from node to node; null where there are none. */
  readonly inPlace: InPlace | null;
  /** What a move costs more out of a node that a move led to: a place for one note only. */
  readonly stone: number;
}

/** Shifts of the hand within its position: those out of node u are start[u] to start[u + 1] - 1. */
export interface InPlace {
  readonly start: Int32Array;
  readonly to: Int32Array;
  /** All included but the later node's own cost. No less than what a move to its touch and its entry cost at least. */
  readonly cost: Float64Array;
}

/** Moves between two layers. They are worked out when first asked for: most lie too far from any good path to be asked for at all. */
export interface Moves {
  /** Cost from touch a to touch b at [a * later.touches + b], the later node's entry left out; Infinity where there is no move, 0 where it has not been asked for. */
  readonly moves: Float64Array;
  /** Works out what has not been asked for. */
  readonly workOut: (from: number, to: number) => number;
  /** No move to a touch of the later layer costs less than this. */
  readonly least: Float64Array;
}

/** What a move costs. */
export function moveCost({ moves, least, workOut }: Moves, from: number, to: number): number {
  const at = from * least.length + to;
  const known = moves[at];
  return known === 0 ? (moves[at] = workOut(from, to)) : known;
}

export interface Trellis {
  readonly layers: readonly Layer[];
  /** blocks[t] lies between layers t and t + 1. */
  readonly blocks: readonly Block[];
}

/** One node a layer. */
export type Path = Int32Array;

/** Cost of staying between two given nodes of neighbouring layers; Infinity where the hand does not stay. */
export function stayCostBetween({ blocks }: Trellis, t: number, from: number, to: number): number {
  const { stayStart, stayTo, stayCost } = blocks[t];
  for (let at = stayStart[from]; at < stayStart[from + 1]; at++) if (stayTo[at] === to) return stayCost[at];
  return Infinity;
}

/** Cost of a shift between two given nodes of neighbouring layers, the later one's entry included; Infinity where there is none. */
export function moveCostBetween({ layers, blocks }: Trellis, t: number, from: number, to: number): number {
  const [before, after] = [layers[t], layers[t + 1]];
  const move = moveCost(blocks[t], before.touchOf[from], after.touchOf[to]) + after.entry[to];
  return Math.min(move, inPlaceCost(blocks[t], from, to));
}

/** Cost of a shift within a position, the later node's entry included; Infinity where there is none. */
export function inPlaceCost({ inPlace }: Block, from: number, to: number): number {
  if (!inPlace) return Infinity;
  const { start, to: ends, cost } = inPlace;
  for (let at = start[from]; at < start[from + 1]; at++) if (ends[at] === to) return cost[at];
  return Infinity;
}

/** True where a path comes to its event t by a move of the hand. */
export function isFresh(trellis: Trellis, path: ArrayLike<number>, t: number): boolean {
  return t > 0 && stayCostBetween(trellis, t - 1, path[t - 1], path[t]) === Infinity;
}

/** The place of a node of layer t. */
export function placeAt({ layers }: Trellis, t: number, node: number): number {
  return layers[t].place[layers[t].touchOf[node]];
}
