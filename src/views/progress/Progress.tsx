import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { daysFrom } from '../../app/practice/calendar';
import { OVERVIEW_DAYS, type Overview } from '../../app/practice/overview';
import { goalOf, weeksOf, type Week } from '../../app/practice/weeks';
import { Balance } from '../../drawing/board/Balance';
import { resolveSetup, type StudentRecord } from '../../core';
import { daysOf } from '../../store/read';
import { Choose } from '../../ui/Choose';
import { DayCalendar } from '../../ui/DayCalendar';
import { later } from '../../ui/later';
import { PlaceTable } from '../../ui/PlaceTable';
import { StudentPage } from '../../ui/StudentPage';
import { TrendList } from '../../ui/TrendList';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import * as lessonViewsText from '../../wording/rooms/lessonViews';
import { view } from '../../ui/View';
import { Heard } from './Heard';
import * as sharedText from '../../wording/rooms/shared';

const TempoChart = later(lessonViewsText.theTempoChart, async () => (await import('./Charts')).TempoChart);
const MinutesChart = later(lessonViewsText.theChartOfMinutes, async () => (await import('./Charts')).MinutesChart);

/** Spans that are looked back on, in weeks. */
const SPANS = [
  ['8', lessonViewsText.eightWeeks],
  ['26', 'half a year'],
  ['260', lessonViewsText.fiveYears],
] as const;

/** Progress: tempo, minutes, hits and misses by kind of place, and what of it can be relied on. */
function Progress() {
  return (
    <StudentPage here="/progress" heading={lessonViewsText.progress} name={lessonViewsText.progress}>
      {(student, overview) => <Shown student={student} overview={overview} />}
    </StudentPage>
  );
}

const CARD = 'min-w-0 rounded-lg border border-rule bg-sheet px-4 py-3';

function Shown({ student, overview }: { readonly student: StudentRecord; readonly overview: Overview }) {
  const [span, setSpan] = useState('8');
  const from = daysFrom(overview.today, -7 * Number(span));
  // The first span is known already; longer ones are read when they are asked for.
  const known = 7 * Number(span) <= OVERVIEW_DAYS;
  const days = useLiveQuery(
    () => (known ? overview.days : daysOf(student.id, from, overview.today)),
    [student.id, from, overview, known],
    known ? overview.days : undefined,
  );
  const weeks = weeksOf(days ?? [], overview.today);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <section aria-labelledby="says" className={`${CARD} lg:col-span-2`}>
        <h2 id="says" className="font-serif text-xl font-semibold">
          {lessonViewsText.whatTheLastSix}
        </h2>
        <TrendList overview={overview} studentId={student.id} />
        <p className="mt-2 text-faded">
          {lessonViewsText.due(counted(overview.sessions.length, 'session'), counted(overview.cardsDue, 'card'))}
        </p>
      </section>
      <section aria-labelledby="tempo" className={CARD}>
        <Tempo weeks={weeks} overview={overview} span={span} onSpan={setSpan} />
      </section>
      <section aria-labelledby="minutes" className={CARD}>
        <h2 id="minutes" className="font-serif text-xl font-semibold">
          {lessonViewsText.minutesByWeek}
        </h2>
        <MinutesChart weeks={weeks} />
        <h3 className="mt-3 font-semibold">{lessonViewsText.dayByDay}</h3>
        <DayCalendar days={overview.days} today={overview.today} />
      </section>
      <section aria-labelledby="leaning" className={`${CARD} lg:col-span-2`}>
        <h2 id="leaning" className="font-serif text-xl font-semibold">
          {lessonViewsText.whichWayTheFingers}
        </h2>
        <Balance setup={resolveSetup(student.plays)} sums={overview.sums} />
      </section>
      <Heard student={student} overview={overview} />
      <section aria-labelledby="places" className={`${CARD} lg:col-span-2`}>
        <h2 id="places" className="sr-only">
          {lessonViewsText.byKindOfPlace}
        </h2>
        <details>
          <summary className="cursor-pointer font-serif text-xl font-semibold">{lessonViewsText.byKindOfPlace}</summary>
          <PlaceTable sums={overview.sums} />
        </details>
      </section>
    </div>
  );
}

interface TempoProps {
  readonly weeks: readonly Week[];
  readonly overview: Overview;
  readonly span: string;
  readonly onSpan: (span: string) => void;
}

function Tempo({ weeks, overview, span, onSpan }: TempoProps) {
  const { plans, lessons } = overview;
  const counts = new Map<string, number>();
  for (const { reached } of weeks) for (const id of Object.keys(reached)) counts.set(id, (counts.get(id) ?? 0) + 1);
  const known = plans
    .filter(({ id }) => counts.has(id))
    .sort((a, b) => (counts.get(b.id) ?? 0) - (counts.get(a.id) ?? 0));
  const [chosen, setChosen] = useState<string | null>(null);
  const id = known.find((plan) => plan.id === chosen)?.id ?? known[0]?.id;
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="tempo" className="flex-1 font-serif text-xl font-semibold">
          {lessonViewsText.tempoReached}
        </h2>
        <Choose label={lessonViewsText.lookedBackOn} value={span} choices={SPANS} onChoose={onSpan} />
      </div>
      {id ? (
        <>
          <Choose
            label={lessonViewsText.plan}
            value={id}
            choices={known.map((plan) => [plan.id, planTitle(plan)] as const)}
            onChoose={setChosen}
          />
          <TempoChart weeks={weeks} planId={id} goal={goalOf(lessons, id)} />
        </>
      ) : (
        <p className="text-faded">{lessonViewsText.noTempoWasReached}</p>
      )}
    </>
  );
}

export default view(sharedText.viewNames.Progress, Progress);
