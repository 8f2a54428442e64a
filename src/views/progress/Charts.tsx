import {
  Bar,
  BarChart,
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { Week } from '../../app/practice/weeks';
import * as lessonViewsText from '../../wording/rooms/lessonViews';

const HEIGHT = 220;
const INK = 'var(--color-ink)';
const AXIS = { stroke: INK, tick: { fill: INK, fontSize: 13 } } as const;

interface TempoProps {
  readonly weeks: readonly Week[];
  readonly planId: string;
  readonly goal: number | undefined;
}

/** The fastest that was clean, week by week, with the goal. */
export function TempoChart({ weeks, planId, goal }: TempoProps) {
  const rows = weeks.map(({ words, reached }) => ({ words, bpm: reached[planId] ?? null }));
  const last = rows.findLast(({ bpm }) => bpm !== null)?.bpm ?? 0;
  const words = lessonViewsText.tempoReachedBeatsA(last, goal ? lessonViewsText.ofToReach(goal) : '');
  return (
    <figure aria-label={words} data-testid="tempo-chart">
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <LineChart data={rows} margin={{ top: 12, right: 16, bottom: 0, left: -12 }}>
          <CartesianGrid stroke="var(--color-rule)" vertical={false} />
          <XAxis dataKey="words" {...AXIS} />
          <YAxis domain={[0, (most: number) => Math.ceil(Math.max(most, goal ?? 0) / 20) * 20]} {...AXIS} />
          <Tooltip contentStyle={{ background: 'var(--color-sheet)', color: INK }} />
          {goal !== undefined && (
            <ReferenceLine
              y={goal}
              stroke="var(--color-copper)"
              strokeDasharray="6 4"
              label={{ value: lessonViewsText.chartsGoal(goal), fill: INK, position: 'insideTopLeft', fontSize: 13 }}
            />
          )}
          <Line
            dataKey="bpm"
            name={lessonViewsText.beatsAMinute}
            stroke="var(--color-dove)"
            strokeWidth={3}
            dot={{ r: 4 }}
            connectNulls
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
      <figcaption className="text-sm text-faded">{words}.</figcaption>
    </figure>
  );
}

export function MinutesChart({ weeks }: { readonly weeks: readonly Week[] }) {
  const now = weeks[weeks.length - 1]?.minutes ?? 0;
  const words = lessonViewsText.minutesPractisedThisWeek(now);
  if (weeks.length === 0) return <p className="text-faded">{lessonViewsText.nothingWasPractisedIn}</p>;
  return (
    <figure aria-label={words} data-testid="minutes-chart">
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <BarChart data={[...weeks]} margin={{ top: 12, right: 16, bottom: 0, left: -12 }}>
          <CartesianGrid stroke="var(--color-rule)" vertical={false} />
          <XAxis dataKey="words" {...AXIS} />
          <YAxis {...AXIS} />
          <Tooltip
            contentStyle={{ background: 'var(--color-sheet)', color: INK }}
            cursor={{ fill: 'var(--color-haze)' }}
          />
          <Bar dataKey="minutes" fill="var(--color-dove)" isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
      <figcaption className="text-sm text-faded">{words}.</figcaption>
    </figure>
  );
}
