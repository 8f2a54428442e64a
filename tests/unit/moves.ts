import type { Moves } from '../../src/core/planner/graph/trellis';

/** Some shift within a position may cost as little, where no move leads to a touch. */
export const DEAREST = 1_000_000;

/** Moves out of a table, a row a touch of the earlier layer: not worked out before they are asked for, as in a real web. */
export function movesOutOf(table: Float64Array, touches: number): Moves {
  const column = (to: number) => table.filter((_, at) => at % touches === to);
  return {
    moves: new Float64Array(table.length),
    workOut: (from, to) => table[from * touches + to],
    least: Float64Array.from({ length: touches }, (_, to) => Math.min(DEAREST, ...column(to))),
  };
}
