import type { Overview } from '../app/practice/overview';
import { workAtTrend } from '../app/practice/trendDrill';
import { earlyWords, trendMore, trendWords, trendWork } from '../wording/practice';
import * as practicePartsText from '../wording/rooms/practiceParts';

interface Props {
  readonly overview: Overview;
  readonly studentId: string;
}

/** Kinds that are only counted yet, at the most. */
const MOST_EARLY = 3;

/** What the log says, each in one fraction; the rest of its numbers behind it. Each leads to work and to next week. */
export function TrendList({ overview: { trends, early, plans }, studentId }: Props) {
  return (
    <>
      {trends.length === 0 && <p className="text-faded">{practicePartsText.nothingToReportYet}</p>}
      {trends.length > 0 && (
        <ul className="flex flex-col gap-2" data-testid="trends">
          {trends.map((trend) => (
            <li key={trend.kind} className={`border-l-4 pl-3 ${trend.mended ? 'border-sage' : 'border-dove'}`}>
              <p>
                <strong>{trendWords(trend)}</strong> {!trend.mended && trendWork(trend)}
              </p>
              {trendMore(trend) && (
                <details open={trend.mended !== undefined}>
                  <summary className="cursor-pointer text-faded">{practicePartsText.itsNumbers}</summary>
                  <p>{trendMore(trend)}</p>
                </details>
              )}
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
      )}
      {early.length > 0 && (
        <ul className="mt-2 text-faded" data-testid="early">
          {early.slice(0, MOST_EARLY).map((one) => (
            <li key={one.kind}>{earlyWords(one)}</li>
          ))}
        </ul>
      )}
    </>
  );
}
