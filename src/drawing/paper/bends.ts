import type { Ink } from './ink';

/*
 * Ties and slurs.
 */

type Shape = Extract<Ink, { kind: 'shape' }>;

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A curve that is thick in the middle, between two places; depth is how far it bends down, or up where it is negative. */
export function bend(from: Point, to: Point, depth: number, thick = 0.22): Shape {
  const along = to.x - from.x;
  const [a, b] = [from.x + along * 0.22, to.x - along * 0.22];
  const rise = (to.y - from.y) * 0.22;
  // The middle of such a curve lies at three quarters of what its handles are pulled by.
  const pull = (depth * 4) / 3;
  const inner = pull - (Math.sign(depth) * (thick * 4)) / 3;
  return {
    kind: 'shape',
    fill: 'ink',
    stroke: 'ink',
    width: 0.06,
    path: [
      ['M', from.x, from.y],
      ['C', a, from.y + rise + pull, b, to.y - rise + pull, to.x, to.y],
      ['C', b, to.y - rise + inner, a, from.y + rise + inner, from.x, from.y],
      ['Z'],
    ],
  };
}

/** What a slur must keep clear of: the lower edge of what stands at a place. */
export interface Hurdle {
  readonly x: number;
  readonly y: number;
}

const CLEAR = 0.55;
const SHALLOW = 0.9;
const DEEPEST = 3.2;

/**
 * A slur below notes that touches none of them.
 * @param hurdles what stands between, from left to right
 */
export function slurBelow(
  from: Point,
  to: Point,
  hurdles: readonly Hurdle[],
): { readonly ink: Ink; readonly lowest: number } {
  const along = Math.max(0.1, to.x - from.x);
  const usual = Math.min(2, SHALLOW + along / 24);
  const needed = hurdles.map(({ x, y }) => {
    const t = Math.max(0.08, Math.min(0.92, (x - from.x) / along));
    const straight = from.y + (to.y - from.y) * t;
    // The bend at a place, as a share of the bend in the middle.
    return (y + CLEAR - straight) / (4 * t * (1 - t));
  });
  const depth = Math.max(usual, ...needed);
  const down = Math.max(0, depth - DEEPEST);
  const [a, b] = [
    { x: from.x, y: from.y + down },
    { x: to.x, y: to.y + down },
  ];
  const bent = Math.min(depth, DEEPEST);
  return { ink: { ...bend(a, b, bent), part: 'slur' }, lowest: Math.max(a.y, b.y) + bent + 0.2 };
}
