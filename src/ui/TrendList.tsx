import type { Overview } from '../app/practice/overview';
import { workAtTrend } from '../app/practice/trendDrill';
import { trendWords, trendWork } from '../wording/practice';
import * as practicePartsText from '../wording/rooms/practiceParts';

interface Props {
  readonly overview: Overview;
  readonly studentId: string;
}

/** What the log says, with its numbers; each leads to work and to next week. */
export function TrendList({ overview: { trends, plans }, studentId }: Props) {
  if (trends.length === 0) return <p className="text-faded">{practicePartsText.nothingToReportYet}</p>;
  return (
    <ul className="flex flex-col gap-2" data-testid="trends">
      {trends.map((trend) => (
        <li key={trend.kind} className="border-l-4 border-dove pl-3">
          <p>
            <strong>{trendWords(trend)}</strong> {trendWork(trend)}
          </p>
          <p className="mt-1 flex flex-wrap gap-2">
            <button type="button" className="button" onClick={() => void workAtTrend(trend, plans)}>
              {practicePartsText.workAtSuchA}
            </button>
            <a className="button no-underline" href={`/lesson?student=${studentId}&about=${trend.kind}`}>
              {practicePartsText.intoNextWeek}
            </a>
          </p>
        </li>
      ))}
    </ul>
  );
}
