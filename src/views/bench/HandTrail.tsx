import { Ban, Lock } from 'lucide-react';
import { memo } from 'react';
import { boardScale, type BoardScale } from '../../drawing/board/scale';
import type { InstrumentName, Plan, Shift, Step } from '../../core';
import { mm as mmWords } from '../../wording/grammar';
import { placeName } from '../../wording/places';
import { middleOf, type Layout } from '../../drawing/score';
import { columnOf, type RowProps } from './rows';
import type { Visible } from './shape';
import { Fingers, isSpread, SpreadWord, Tokens, TOKENS } from './Tokens';
import { handTrailText } from '../../wording/rooms/benchPicture';

const TOP = 34;
const BOTTOM = 26;
/** Radius of a token: as large as its column allows, 8 at least. */
const LEAST_TOKEN = 8;
const MOST_TOKEN = 13;
/** A distance in words is so wide; two that are closer stand at different heights. */
const WORDS_WIDE = 54;

/** Room that a mark on the axis takes, in px. */
const MARK_ROOM = 30;

/** How many marks there is room for. */
const marksFor = (height: number) => Math.max(2, Math.floor((height - TOP - BOTTOM) / MARK_ROOM));

/** Turns mm from the nut into px; the nut lies at the foot, higher up the neck is higher on the page. */
export function trailScale({ steps }: Plan, height: number): BoardScale {
  const most = steps.reduce((far, { handMm }) => Math.max(far, handMm[1]), 60) * 1.06;
  return boardScale([0, most], [height - BOTTOM, TOP]);
}

/** Distances along the neck, at the left of the trail. */
export function TrailAxis({
  plan,
  width,
  height,
}: {
  readonly plan: Plan;
  readonly width: number;
  readonly height: number;
}) {
  const { at: y, marks } = trailScale(plan, height);
  return (
    <svg width={width} height={height} aria-hidden className="block">
      <text x={6} y={15} fontSize={12} fill="var(--color-faded)">
        {handTrailText.fromTheNut}
      </text>
      {marks(marksFor(height)).map((mm) => (
        <text key={mm} x={width - 5} y={y(mm) + 4} fontSize={12} textAnchor="end" fill="var(--color-faded)">
          {mm === 0 ? handTrailText.nut : handTrailText.mm(mm)}
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
export const HandTrail = memo(function HandTrail({ plan, visible, layout, height, demanded, speech }: TrailProps) {
  const { at: y, marks } = trailScale(plan, height);
  const steps = plan.steps.filter((step) => step.at >= visible.first && step.at < visible.last);
  const verdicts = new Map(plan.reach.map(({ at, verdict }) => [at, verdict]));
  const verdictAt = (at: number) => verdicts.get(at);
  const shifts = plan.shifts.filter((shift) => shift.to >= visible.first && shift.from < visible.last);
  const byAt = new Map(plan.steps.map((step) => [step.at, step]));
  const raised = closeTo(shifts, layout);
  const radius = Math.max(LEAST_TOKEN, Math.min(MOST_TOKEN, tokenColumn(layout, visible) * 0.32));
  return (
    <svg
      width={layout.width}
      height={height}
      className="relative block"
      role="img"
      aria-label={handTrailText.handTrailOfNotes(plan.steps.length, plan.shifts.length)}
    >
      {marks(marksFor(height)).map((mm) => (
        <line
          key={mm}
          x1={0}
          x2={layout.width}
          y1={y(mm)}
          y2={y(mm)}
          stroke="var(--color-rule)"
          strokeWidth={mm === 0 ? 4 : 1}
        />
      ))}
      <path d={bandPath(steps, layout, y)} fill="var(--color-dove)" opacity={0.16} />
      {shifts.map((shift) => (
        <ShiftStep
          key={shift.from}
          shift={shift}
          from={byAt.get(shift.from)}
          to={byAt.get(shift.to)}
          instrument={speech.instrument}
          layout={layout}
          y={y}
          raised={raised.has(shift.to)}
        />
      ))}
      {TOKENS.map((look) => (
        <Tokens key={look.of} {...{ look, steps, verdictAt, layout, radius, y }} />
      ))}
      {steps.map((step, n) => {
        const verdict = verdictAt(step.at);
        const over = liesHigher(steps[n - 1], step, steps[n + 1]);
        return (
          isSpread(verdict) &&
          verdict !== verdictAt(step.at - 1) && (
            <SpreadWord key={step.at} {...{ step, verdict, over, layout, radius, y }} />
          )
        );
      })}
      {[false, true].map((open) => (
        <Fingers key={String(open)} {...{ steps, open, layout, radius, y }} />
      ))}
      {[...demanded]
        .filter(([at]) => at >= visible.first && at < visible.last)
        .map(([at, what]) => (
          <g key={at} data-testid={what} color="var(--color-dove)">
            <title>{what === 'kept' ? handTrailText.keptAsYouPut : handTrailText.somethingIsForbiddenHere}</title>
            {what === 'kept' ? (
              <Lock x={middleOf(layout, at) - 9} y={height - 21} size={18} strokeWidth={2.5} />
            ) : (
              <Ban x={middleOf(layout, at) - 9} y={height - 21} size={18} strokeWidth={2.5} />
            )}
          </g>
        ))}
    </svg>
  );
});

type Scale = BoardScale['at'];

/** The narrowest column in view: all tokens are of one size. */
function tokenColumn(layout: Layout, { first, last }: Visible): number {
  let least = Infinity;
  for (let at = first; at < last; at++) least = Math.min(least, columnOf(layout, at));
  return least;
}

/** Shifts whose words would run into those of the one before: they stand a line higher. */
function closeTo(shifts: readonly Shift[], { left }: Layout): ReadonlySet<number> {
  const raised = new Set<number>();
  shifts.forEach(({ to }, n) => {
    const before = shifts[n - 1];
    if (before && left(to) - left(before.to) < WORDS_WIDE && !raised.has(before.to)) raised.add(to);
  });
  return raised;
}

/** The hand as a band from first to fourth finger, note by note. */
function bandPath(steps: Plan['steps'], layout: Layout, y: Scale): string {
  return steps
    .map(({ at, handMm: [low, high] }) => {
      const tall = Math.max(2, y(low) - y(high));
      return `M${layout.left(at)} ${y(high)}h${columnOf(layout, at)}v${tall}h${-columnOf(layout, at)}z`;
    })
    .join('');
}

function middleMm(step: Step): number {
  return (step.handMm[0] + step.handMm[1]) / 2;
}

interface ShiftProps {
  readonly shift: Shift;
  readonly from: Step | undefined;
  readonly to: Step | undefined;
  readonly instrument: InstrumentName;
  readonly layout: Layout;
  readonly y: Scale;
  readonly raised: boolean;
}

/** A shift: a copper step between the two places of the hand, with how far it goes. */
function ShiftStep({ shift, from, to, instrument, layout, y, raised }: ShiftProps) {
  if (!from || !to) return null;
  const x = layout.left(to.at);
  const [start, end] = [y(middleMm(from)), y(middleMm(to))];
  const up = end < start;
  const inWords = handTrailText.millimetres(up ? '↑' : '↓', Math.round(shift.travelMm));
  const top = y(Math.max(from.handMm[1], to.handMm[1]));
  return (
    <g data-testid="shift">
      <title>
        {handTrailText.shiftTo(placeName(from, instrument), placeName(to, instrument), mmWords(shift.travelMm))}
      </title>
      <line x1={x} x2={x} y1={start} y2={end} stroke="var(--color-copper)" strokeWidth={4} strokeLinecap="round" />
      <circle cx={x} cy={end} r={5.5} fill="var(--color-copper)" />
      <text
        x={x}
        y={Math.max(raised ? 12 : 26, top - (raised ? 26 : 12))}
        fontSize={12}
        fontWeight={700}
        textAnchor="middle"
        fill="var(--color-copper)"
      >
        {inWords}
      </text>
    </g>
  );
}

/** True where a note lies higher up the neck than those beside it. */
function liesHigher(before: Step | undefined, step: Step, after: Step | undefined): boolean {
  const place = (one: Step | undefined) => one?.stops[0].stopMm ?? 0;
  return place(before) < place(step) && place(after) < place(step);
}
