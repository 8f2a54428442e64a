import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { heardPlaces } from '../../app/heardPlaces';
import { dayOf, daysFrom } from '../../app/practice/calendar';
import type { Overview } from '../../app/practice/overview';
import { median } from 'd3-array';
import { resolveSetup, TOLERANCES, type HeardTake, type StudentRecord } from '../../core';
import { heardBy } from '../../store/read';
import { Choose } from '../../ui/Choose';
import { NeckHeard } from '../../ui/NeckHeard';
import { counted, mmFine } from '../../wording/grammar';
import * as lessonViewsText from '../../wording/rooms/lessonViews';

/** Weeks that are looked back on. */
const SPANS = [
  ['2', lessonViewsText.twoWeeks],
  ['8', lessonViewsText.eightWeeks],
] as const;
const WEEK = 7;
/** Causes that were heard last, of so many takes. */
const LAST_SAID = 3;

interface Props {
  readonly student: StudentRecord;
  readonly overview: Overview;
}

/** What the microphone heard over weeks: offset and scatter on the neck. Nothing is shown of a student who was never heard. */
export function Heard({ student, overview }: Props) {
  const [span, setSpan] = useState<string>('2');
  const ids = overview.sessions.filter(({ byEar }) => byEar).map(({ id }) => id);
  const takes = useLiveQuery(() => heardBy(ids), [ids.join()], undefined);
  if (!takes || takes.length === 0) return null;
  const setup = resolveSetup(student.plays);
  const from = daysFrom(overview.today, -WEEK * Number(span));
  const shown = takes.filter(({ at }) => dayOf(at) > from);
  const tries = shown.flatMap((take) => take.tries);
  const said = [...new Set(takes.slice(-LAST_SAID).flatMap((take) => take.said))];
  return (
    <section aria-labelledby="heard" className="rounded-lg border border-rule bg-sheet px-4 py-3 lg:col-span-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="heard" className="flex-1 font-serif text-xl font-semibold">
          {lessonViewsText.heardByTheMicrophone}
        </h2>
        <Choose label={lessonViewsText.lookedBackOn} value={span} choices={SPANS} onChoose={setSpan} />
      </div>
      <p className="text-faded">
        {lessonViewsText.heardTries(counted(shown.length, 'take'), counted(tries.length, 'note'))}
      </p>
      {tries.length > 0 && (
        <div data-testid="heard-neck">
          <NeckHeard setup={setup} places={heardPlaces(setup, tries, TOLERANCES[student.level])} />
        </div>
      )}
      <Weeks takes={takes} today={overview.today} />
      {said.length > 0 && (
        <>
          <h3 className="mt-2 font-semibold">{lessonViewsText.heardLast}</h3>
          <ul>
            {said.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** Week by week: how far beside their places the fingers stood, and which way. */
function Weeks({ takes, today }: { readonly takes: readonly HeardTake[]; readonly today: string }) {
  const weeks = Array.from({ length: 8 }, (_, back) => {
    const [after, to] = [daysFrom(today, -WEEK * (back + 1)), daysFrom(today, -WEEK * back)];
    const offs = takes.filter(({ at }) => dayOf(at) > after && dayOf(at) <= to).flatMap(({ tries }) => tries);
    return { back, offs: offs.map(({ mm }) => mm) };
  }).filter(({ offs }) => offs.length > 0);
  return (
    <table className="mt-2 w-full text-left">
      <thead>
        <tr className="text-sm text-faded">
          {lessonViewsText.columnsOfHeard.map((words) => (
            <th key={words} scope="col" className="font-normal">
              {words}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {weeks.map(({ back, offs }) => (
          <tr key={back} className="border-t border-rule">
            <th scope="row" className="font-normal">
              {lessonViewsText.weeksAgo(back)}
            </th>
            <td>{offs.length}</td>
            <td>{lessonViewsText.leaning(median(offs) ?? 0)}</td>
            <td>{mmFine(median(offs, Math.abs) ?? 0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
