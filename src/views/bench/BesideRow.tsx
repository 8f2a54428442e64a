import { memo } from 'react';
import { heldAlike, type Plan, type Step } from '../../core';
import { middleOf } from '../../drawing/score';
import { columnOf, type RowProps } from './rows';
import { printed } from '../../wording/notes';
import { positionName } from '../../wording/places';

/** A column as wide has room for the position beside the string. */
const ROOM_FOR_POSITION = 50;

/** The other plan's strings and fingers under the same columns; where the two part, it is boxed. */
export const BesideRow = memo(function BesideRow({
  plan,
  other,
  visible,
  layout,
  height,
  speech,
}: RowProps & { readonly other: Plan }) {
  const pairs = plan.steps
    .map((step, t) => [step, other.steps[t]] as const)
    .filter(([step]) => step.at >= visible.first && step.at < visible.last);
  return (
    <svg width={layout.width} height={height} className="relative block border-b border-rule" aria-hidden>
      {pairs.map(([step, theirs]) => (
        <g key={step.at} data-testid={heldAlike(step, theirs) ? undefined : 'parts'}>
          {!heldAlike(step, theirs) && (
            <rect
              x={layout.left(step.at) + 1}
              y={3}
              width={columnOf(layout, step.at) - 2}
              height={height - 6}
              rx={5}
              fill="var(--color-haze)"
              stroke="var(--color-dove)"
              strokeWidth={2}
            />
          )}
          <text
            x={middleOf(layout, step.at)}
            y={20}
            fontSize={16}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-ink)"
          >
            {fingersOf(theirs)}
          </text>
          <text x={middleOf(layout, step.at)} y={37} fontSize={12} textAnchor="middle" fill="var(--color-faded)">
            {theirs.stops.map((stop) => printed(stop.string)).join('+')}
            {columnOf(layout, step.at) >= ROOM_FOR_POSITION &&
              ` ${theirs.position === 'thumb' ? 'T' : positionName(theirs.position, speech.instrument)}`}
          </text>
        </g>
      ))}
    </svg>
  );
});

export function fingersOf(step: Step): string {
  return step.stops.map((stop) => stop.finger).join('-');
}
