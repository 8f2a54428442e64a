import { memo } from 'react';
import { laidFingers, stopMm, type HandProfile, type Plan, type Setup, type Step } from '../../core';
import { printed } from '../../wording/notes';
import { trailScale } from './HandTrail';
import { NECK_WIDTH } from './shape';

const SIDE = 16;
/** A finger is drawn so wide at most: across the neck there is more room than along it. */
const MOST_WIDE = 8;

interface Props {
  readonly plan: Plan;
  /** How the note at the cursor is held; none where it is on another line, or a rest. */
  readonly step: Step | undefined;
  readonly setup: Setup;
  readonly hand: HandProfile;
  /** Height of the rows over the trail, in px. */
  readonly above: number;
  readonly height: number;
}

/** The neck beside the trail, on the same axis: true along the string, wider across it. */
export const TrailNeck = memo(function TrailNeck({ plan, step, setup, hand, above, height }: Props) {
  const { at: y, perMm } = trailScale(plan, height);
  const names = setup.strings.map(({ name }) => name);
  const gap = (NECK_WIDTH - 2 * SIDE) / (names.length - 1);
  const x = (string: string) => SIDE + names.indexOf(string) * gap;
  const high = Math.max(4, (hand.fingertipMm / 2) * perMm);
  const wide = Math.min(MOST_WIDE, gap / 2);
  const held = step?.stops ?? [];
  const idle = step ? laidFingers(step.hand).filter(([finger]) => !held.some((stop) => stop.finger === finger)) : [];
  const on = held.find(({ finger }) => finger !== 0)?.string ?? held[0]?.string;
  return (
    <svg
      width={NECK_WIDTH}
      height={height}
      className="block shrink-0 border-l border-rule bg-sheet"
      style={{ marginTop: above }}
      aria-hidden
      data-testid="trail-neck"
    >
      {names.map((name, at) => (
        <g key={name}>
          <line
            x1={x(name)}
            x2={x(name)}
            y1={4}
            y2={y(0)}
            stroke="var(--color-faded)"
            strokeWidth={1 + 0.7 * (names.length - 1 - at)}
          />
          <text x={x(name)} y={height - 7} fontSize={13} fontWeight={700} textAnchor="middle" fill="currentColor">
            {printed(name)}
          </text>
        </g>
      ))}
      <line x1={6} x2={NECK_WIDTH - 6} y1={y(0)} y2={y(0)} stroke="var(--color-ink)" strokeWidth={4} />
      {on &&
        idle.map(([finger, semitones]) => (
          <ellipse
            key={finger}
            cx={x(on)}
            cy={y(stopMm(setup.lengthMm, semitones))}
            rx={wide}
            ry={high}
            fill="var(--color-sheet)"
            fillOpacity={0.6}
            stroke="var(--color-ink)"
            strokeDasharray="3 3"
          />
        ))}
      {held.map((stop) => (
        <g key={stop.string}>
          <ellipse
            cx={x(stop.string)}
            cy={y(stop.stopMm)}
            rx={Math.max(7, wide)}
            ry={stop.finger === 0 ? 7 : Math.max(7, high)}
            fill={stop.finger === 0 ? 'var(--color-sheet)' : 'var(--color-ink)'}
            stroke="var(--color-ink)"
            strokeWidth={1.5}
            data-testid="trail-neck-finger"
          />
          <text
            x={x(stop.string)}
            y={y(stop.stopMm) + 4.5}
            fontSize={12}
            fontWeight={700}
            textAnchor="middle"
            fill={stop.finger === 0 ? 'var(--color-ink)' : 'var(--color-sheet)'}
          >
            {stop.finger}
          </text>
        </g>
      ))}
    </svg>
  );
});
