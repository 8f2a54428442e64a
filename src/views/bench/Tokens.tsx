import type { BoardScale } from '../../drawing/board/scale';
import type { Plan, Step } from '../../core';
import { middleOf, type Layout } from '../../drawing/score';
import { fingerSign } from '../../wording/places';

type Scale = BoardScale['at'];

interface FingersProps {
  readonly steps: Plan['steps'];
  /** Whether those of open strings are written, or the others. */
  readonly open: boolean;
  readonly layout: Layout;
  readonly radius: number;
  readonly y: Scale;
}

/** The fingers in their tokens, as one text with a place for each letter: many texts are slow to lay out. */
export function Fingers({ steps, open, layout, radius, y }: FingersProps) {
  const letters = steps.flatMap(({ at, stops }) =>
    stops
      .filter(({ finger }) => (finger === 0) === open)
      .flatMap((stop) =>
        [...fingerSign(stop)].map((letter, n) => ({
          letter,
          x: middleOf(layout, at) + n * radius * 0.7,
          y: y(stop.stopMm) + radius * 0.5,
        })),
      ),
  );
  if (letters.length === 0) return null;
  return (
    <text
      x={letters.map((one) => one.x).join(' ')}
      y={letters.map((one) => one.y).join(' ')}
      fontSize={Math.max(12, radius * 1.3)}
      fontWeight={700}
      textAnchor="middle"
      fill={open ? 'var(--color-ink)' : 'var(--color-sheet)'}
    >
      {letters.map(({ letter }) => letter).join('')}
    </text>
  );
}

export type Verdict = Plan['reach'][number]['verdict'] | undefined;
type Spread = 'stretch' | 'beyond';

export const isSpread = (verdict: Verdict): verdict is Spread => verdict === 'stretch' || verdict === 'beyond';

/** How tokens look: an open string is a ring at the nut, a finger that is stretched has an edge of its own. */
export const TOKENS = [
  { of: 'open', fill: 'var(--color-sheet)', stroke: 'var(--color-ink)', width: 1.5 },
  { of: 'easy', fill: 'var(--color-ink)', stroke: 'var(--color-ink)', width: 1.5 },
  { of: 'stretch', fill: 'var(--color-ink)', stroke: 'var(--color-ochre)', width: 3.5 },
  { of: 'beyond', fill: 'var(--color-ink)', stroke: 'var(--color-madder)', width: 3.5 },
] as const;

function lookOf({ finger }: Step['stops'][number], verdict: Verdict): (typeof TOKENS)[number]['of'] {
  if (finger === 0) return 'open';
  return isSpread(verdict) ? verdict : 'easy';
}

interface TokensProps {
  readonly look: (typeof TOKENS)[number];
  readonly steps: Plan['steps'];
  readonly verdictAt: (at: number) => Verdict;
  readonly layout: Layout;
  readonly radius: number;
  readonly y: Scale;
}

/** Fingers on their strings, those of one look as one shape: many shapes are slow to lay out. */
export function Tokens({ look, steps, verdictAt, layout, radius, y }: TokensProps) {
  const rings = steps.flatMap(({ at, stops }) =>
    stops
      .filter((stop) => lookOf(stop, verdictAt(at)) === look.of)
      .map(({ stopMm }) => ring(middleOf(layout, at), y(stopMm), radius)),
  );
  if (rings.length === 0) return null;
  const { of, fill, stroke, width } = look;
  return <path data-tokens={of} d={rings.join('')} fill={fill} stroke={stroke} strokeWidth={width} />;
}

/** A circle as part of a path. */
function ring(x: number, y: number, radius: number): string {
  const half = (across: number) => `a${radius} ${radius} 0 0 0 ${across} 0`;
  return `M${x - radius} ${y}${half(2 * radius)}${half(-2 * radius)}z`;
}

interface SpreadProps {
  readonly step: Step;
  readonly verdict: Spread;
  /** True where the word stands over the token: it lies higher than the notes beside it. */
  readonly over: boolean;
  readonly layout: Layout;
  readonly radius: number;
  readonly y: Scale;
}

/** What a run of stretched fingers is called, at the first of them. */
export function SpreadWord({ step, verdict, over, layout, radius, y }: SpreadProps) {
  const lies = y(step.stops[0].stopMm);
  return (
    <text
      x={middleOf(layout, step.at)}
      y={over ? lies - radius - 4 : lies + radius + 13}
      fontSize={12}
      fontWeight={700}
      textAnchor="middle"
      fill={verdict === 'beyond' ? 'var(--color-madder)' : 'var(--color-ochre)'}
    >
      {verdict}
    </text>
  );
}
