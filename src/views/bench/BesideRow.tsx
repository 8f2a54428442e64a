import { heldAlike, type Plan, type Step } from '../../core';
import { COLUMN } from './columns';
import type { RowProps } from './rows';
import { printed } from '../../wording/notes';
import { positionName } from '../../wording/places';

export const BESIDE_HEIGHT = 52;

/** The other plan's strings and fingers under the same columns; where the two part, it is boxed. */
export function BesideRow({ plan, other, visible, width, speech }: RowProps & { readonly other: Plan }) {
  const pairs = plan.steps
    .map((step, t) => [step, other.steps[t]] as const)
    .filter(([step]) => step.at >= visible.first && step.at < visible.last);
  return (
    <svg width={width} height={BESIDE_HEIGHT} className="relative block border-b border-rule" aria-hidden>
      {pairs.map(([step, theirs]) => (
        <g key={step.at} data-testid={heldAlike(step, theirs) ? undefined : 'parts'}>
          {!heldAlike(step, theirs) && (
            <rect
              x={step.at * COLUMN + 4}
              y={3}
              width={COLUMN - 8}
              height={BESIDE_HEIGHT - 6}
              rx={5}
              fill="var(--color-haze)"
              stroke="var(--color-dove)"
              strokeWidth={2}
            />
          )}
          <text
            x={step.at * COLUMN + COLUMN / 2}
            y={22}
            fontSize={16}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-ink)"
          >
            {fingersOf(theirs)}
          </text>
          <text
            x={step.at * COLUMN + COLUMN / 2}
            y={41}
            fontSize={13}
            textAnchor="middle"
            fill="var(--color-faded)"
          >
            {theirs.stops.map((stop) => printed(stop.string)).join('+')}{' '}
            {theirs.position === 'thumb' ? 'T' : positionName(theirs.position, speech.instrument)}
          </text>
        </g>
      ))}
    </svg>
  );
}

export function fingersOf(step: Step): string {
  return step.stops.map((stop) => stop.finger).join('-');
}
