import { Ban, Lock } from 'lucide-react';
import { boardScale } from '../../board/scale';
import type { InstrumentKind, Plan, Shift, Step } from '../../core';
import { mm as mmWords } from '../../wording/grammar';
import { fingerSign, placeName } from '../../wording/places';
import { COLUMN, columnX, TRAIL_HEIGHT } from './columns';
import type { RowProps } from './rows';

const TOP = 44;
const BOTTOM = 30;
const TOKEN = 13;

/** Marks on the axis, about so many. */
const MARKS = 5;

/** Turns mm from the nut into px; the nut lies at the foot, higher up the neck is higher on the page. */
function scaleFor({ steps }: Plan) {
  const most = steps.reduce((far, { handMm }) => Math.max(far, handMm[1]), 60) * 1.06;
  return boardScale([0, most], [TRAIL_HEIGHT - BOTTOM, TOP]);
}

/** Distances along the neck, at the left of the trail. */
export function TrailAxis({ plan, width }: { readonly plan: Plan; readonly width: number }) {
  const { at: y, marks } = scaleFor(plan);
  return (
    <svg width={width} height={TRAIL_HEIGHT} aria-hidden className="block">
      <text x={12} y={18} fontSize={14} fill="var(--color-faded)">
        from the nut
      </text>
      {marks(MARKS).map((mm) => (
        <text key={mm} x={width - 12} y={y(mm) + 5} fontSize={14} textAnchor="end" fill="var(--color-faded)">
          {mm === 0 ? 'nut 0 mm' : `${mm} mm`}
        </text>
      ))}
    </svg>
  );
}

interface TrailProps extends RowProps {
  /** Where the teacher has demanded something. */
  readonly demanded: ReadonlyMap<number, 'kept' | 'never'>;
}

/**
 * The hand trail: every note where its finger stands along the neck, in real mm; the hand as a band from first to fourth finger, which
 * steps at a shift.
 */
export function HandTrail({ plan, visible, width, demanded, speech }: TrailProps) {
  const { at: y, marks } = scaleFor(plan);
  const steps = plan.steps.filter((step) => step.at >= visible.first && step.at < visible.last);
  const stretched = new Map(
    plan.reach.filter(({ verdict }) => verdict !== 'easy').map((reach) => [reach.at, reach]),
  );
  const shifts = plan.shifts.filter((shift) => shift.to >= visible.first && shift.from < visible.last);
  const byAt = new Map(plan.steps.map((step) => [step.at, step]));
  return (
    <svg
      width={width}
      height={TRAIL_HEIGHT}
      className="relative block"
      role="img"
      aria-label={`Hand trail of ${plan.steps.length} notes with ${plan.shifts.length} shifts`}
    >
      {marks(MARKS).map((mm) => (
        <line
          key={mm}
          x1={0}
          x2={width}
          y1={y(mm)}
          y2={y(mm)}
          stroke="var(--color-rule)"
          strokeWidth={mm === 0 ? 4 : 1}
        />
      ))}
      {steps.map((step) => (
        <Band key={step.at} step={step} y={y} />
      ))}
      {shifts.map((shift) => (
        <ShiftStep
          key={shift.from}
          shift={shift}
          from={byAt.get(shift.from)}
          to={byAt.get(shift.to)}
          instrument={speech.instrument}
          y={y}
        />
      ))}
      {steps.map((step) => (
        <Token key={step.at} step={step} verdict={stretched.get(step.at)?.verdict} y={y} />
      ))}
      {[...demanded]
        .filter(([at]) => at >= visible.first && at < visible.last)
        .map(([at, what]) => (
          <g key={at} data-testid={what} color="var(--color-dove)">
            <title>{what === 'kept' ? 'Kept as you put it' : 'Something is forbidden here'}</title>
            {what === 'kept' ? (
              <Lock x={columnX(at) - 9} y={TRAIL_HEIGHT - 24} size={18} strokeWidth={2.5} />
            ) : (
              <Ban x={columnX(at) - 9} y={TRAIL_HEIGHT - 24} size={18} strokeWidth={2.5} />
            )}
          </g>
        ))}
    </svg>
  );
}

type Scale = (mm: number) => number;

function Band({ step, y }: { readonly step: Step; readonly y: Scale }) {
  const [low, high] = step.handMm;
  return (
    <rect
      x={step.at * COLUMN}
      width={COLUMN}
      y={y(high)}
      height={Math.max(2, y(low) - y(high))}
      fill="var(--color-dove)"
      opacity={0.16}
    />
  );
}

function middleMm(step: Step): number {
  return (step.handMm[0] + step.handMm[1]) / 2;
}

interface ShiftProps {
  readonly shift: Shift;
  readonly from: Step | undefined;
  readonly to: Step | undefined;
  readonly instrument: InstrumentKind;
  readonly y: Scale;
}

/** A shift: a copper step between the two places of the hand, with how far it goes. */
function ShiftStep({ shift, from, to, instrument, y }: ShiftProps) {
  if (!from || !to) return null;
  const x = to.at * COLUMN;
  const [start, end] = [y(middleMm(from)), y(middleMm(to))];
  const up = end < start;
  const words = `${up ? '↑' : '↓'} ${Math.round(shift.travelMm)} mm`;
  const top = y(Math.max(from.handMm[1], to.handMm[1]));
  return (
    <g data-testid="shift">
      <title>{`Shift ${placeName(from, instrument)} to ${placeName(to, instrument)}, ${mmWords(shift.travelMm)}`}</title>
      <line
        x1={x}
        x2={x}
        y1={start}
        y2={end}
        stroke="var(--color-copper)"
        strokeWidth={4}
        strokeLinecap="round"
      />
      <circle cx={x} cy={end} r={5.5} fill="var(--color-copper)" />
      <text
        x={x}
        y={Math.max(16, top - 20)}
        fontSize={14}
        fontWeight={700}
        textAnchor="middle"
        fill="var(--color-copper)"
      >
        {words}
      </text>
    </g>
  );
}

interface TokenProps {
  readonly step: Step;
  readonly verdict: 'stretch' | 'beyond' | 'easy' | undefined;
  readonly y: Scale;
}

/** A finger on the string; an open string is a ring at the nut, a stretch is said below the token. */
function Token({ step, verdict, y }: TokenProps) {
  const x = columnX(step.at);
  const tone = verdict === 'beyond' ? 'var(--color-madder)' : 'var(--color-ochre)';
  return (
    <g>
      {step.stops.map((stop) => {
        const open = stop.finger === 0;
        const spread = stop.finger !== 0 && (verdict === 'stretch' || verdict === 'beyond');
        return (
          <g key={stop.string}>
            <circle
              cx={x}
              cy={y(stop.stopMm)}
              r={TOKEN}
              fill={open ? 'var(--color-sheet)' : 'var(--color-ink)'}
              stroke={spread ? tone : 'var(--color-ink)'}
              strokeWidth={spread ? 4 : 2}
            />
            <text
              x={x}
              y={y(stop.stopMm) + 6}
              fontSize={17}
              fontWeight={700}
              textAnchor="middle"
              fill={open ? 'var(--color-ink)' : 'var(--color-sheet)'}
            >
              {fingerSign(stop)}
            </text>
          </g>
        );
      })}
      {(verdict === 'stretch' || verdict === 'beyond') && (
        <text
          x={x}
          y={y(step.stops[0].stopMm) + 30}
          fontSize={13}
          textAnchor="middle"
          fill={tone}
          fontWeight={700}
        >
          {verdict}
        </text>
      )}
    </g>
  );
}
