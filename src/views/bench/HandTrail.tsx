import { Ban, Lock } from 'lucide-react';
import { memo } from 'react';
import { JoinedMarks, Marks } from '../../drawing/board/Marks';
import { boardScale, type BoardScale } from '../../drawing/board/scale';
import {
  bandMark,
  fingerMarks,
  raisedShifts,
  shiftMarks,
  spreadMarks,
  tokenMarks,
  type TrailLook,
  type TrailPlaces,
} from '../../drawing/board/trail';
import type { InstrumentName, Plan, Shift, Step } from '../../core';
import { mm as mmWords } from '../../wording/grammar';
import { placeName } from '../../wording/places';
import { middleOf, type Layout } from '../../drawing/score';
import { columnOf, type RowProps } from './rows';
import type { Visible } from './shape';
import { rulerMark } from '../../wording/rooms/drawings';
import * as benchPictureText from '../../wording/rooms/benchPicture';

const TOP = 34;
const BOTTOM = 26;
/** Radius of a token: as large as its column allows, 8 at least. */
const LEAST_TOKEN = 8;
const MOST_TOKEN = 13;
const PAGE_TRAIL = { edge: 1.5, stretched: 3.5, words: 12, step: 4, dot: 5.5, wordsWide: 54 };

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
        {benchPictureText.fromTheNut}
      </text>
      {marks(marksFor(height)).map((mm) => (
        <text key={mm} x={width - 5} y={y(mm) + 4} fontSize={12} textAnchor="end" fill="var(--color-faded)">
          {rulerMark(mm)}
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
  const token = Math.max(LEAST_TOKEN, Math.min(MOST_TOKEN, tokenColumn(layout, visible) * 0.32));
  const look: TrailLook = { ...PAGE_TRAIL, token, finger: Math.max(12, token * 1.3) };
  const places: TrailPlaces = { left: layout.left, y };
  const raised = raisedShifts(shifts, places, look);
  return (
    <svg
      width={layout.width}
      height={height}
      className="relative block"
      role="img"
      aria-label={benchPictureText.handTrailOfNotes(plan.steps.length, plan.shifts.length)}
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
      <Marks marks={[bandMark(steps, places)]} />
      {shifts.map((shift) => {
        const [from, to] = [byAt.get(shift.from), byAt.get(shift.to)];
        return (
          from &&
          to && (
            <g key={shift.from} data-testid="shift">
              <title>{shiftWords(shift, from, to, speech.instrument)}</title>
              <Marks marks={shiftMarks(shift, { from, to, raised: raised.has(shift.to) }, places, look)} />
            </g>
          )
        );
      })}
      <JoinedMarks marks={tokenMarks(steps, verdictAt, places, look)} />
      <Marks marks={spreadMarks(steps, verdictAt, places, look)} />
      <JoinedMarks marks={fingerMarks(steps, places, look)} />
      {[...demanded]
        .filter(([at]) => at >= visible.first && at < visible.last)
        .map(([at, what]) => (
          <g key={at} data-testid={what} color="var(--color-dove)">
            <title>{what === 'kept' ? benchPictureText.keptAsYouPut : benchPictureText.somethingIsForbiddenHere}</title>
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

/** The narrowest column in view: all tokens are of one size. */
function tokenColumn(layout: Layout, { first, last }: Visible): number {
  let least = Infinity;
  for (let at = first; at < last; at++) least = Math.min(least, columnOf(layout, at));
  return least;
}

function shiftWords({ travelMm }: Shift, from: Step, to: Step, instrument: InstrumentName): string {
  return benchPictureText.shiftTo(placeName(from, instrument), placeName(to, instrument), mmWords(travelMm));
}
