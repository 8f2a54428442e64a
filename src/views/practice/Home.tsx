import { practiceAddress } from '../../app/practice/address';
import { dayWords } from '../../app/practice/calendar';
import { endLeft } from '../../app/practice/log';
import type { Overview } from '../../app/practice/overview';
import type { Player } from '../../app/practice/player';
import type { StudentRecord } from '../../core';
import { Nobody, PlayerPick } from '../../ui/PlayerPick';
import { TrendList } from '../../ui/TrendList';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import { Day } from './Day';
import { Log } from './Log';
import { Tools } from './Tools';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

interface Props {
  readonly player: Player;
  readonly overview: Overview | undefined;
}

/** What there is to do today: a session to go on with, the work of the week, cards; and the log. */
export function Home({ player, overview }: Props) {
  const { student, ready } = player;
  return (
    <>
      <PlayerPick heading={practiceViewsText.practice} player={player} />
      {ready && !student && <Nobody />}
      {student && overview && (
        <div className="grid items-start gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
          <div className="flex flex-col gap-4">
            {overview.left && <GoOn overview={overview} />}
            <Week student={student} overview={overview} />
            <Cards studentId={student.id} due={overview.cardsDue} all={overview.cards.length} />
            <Tools student={student} />
            <section aria-labelledby="trends" className="rounded-lg border border-rule bg-sheet px-4 py-3">
              <h2 id="trends" className="font-serif text-lg font-semibold">
                {practiceViewsText.whatTheLogSays}
              </h2>
              <TrendList overview={overview} studentId={student.id} />
            </section>
          </div>
          <Log student={student} overview={overview} />
        </div>
      )}
    </>
  );
}

function GoOn({ overview: { left, plans } }: { readonly overview: Overview }) {
  if (!left) return null;
  const { id, planId, what, day, heard } = left;
  const there = planId !== undefined && plans.some((plan) => plan.id === planId);
  const judged = heard.low + heard.in + heard.high + heard.missed;
  return (
    <section aria-labelledby="go-on" className="rounded-lg border-2 border-dove bg-sheet px-4 py-3">
      <h2 id="go-on" className="font-serif text-lg font-semibold">
        {practiceViewsText.aSessionWasLeft}
      </h2>
      <p>{practiceViewsText.soFar(what, dayWords(day), counted(judged, 'repetition'))}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        {there && (
          <a className="button no-underline" href={`${practiceAddress(planId)}&session=${id}`}>
            {practiceViewsText.goOn}
          </a>
        )}
        <button type="button" className="button" onClick={() => void endLeft(left)}>
          {practiceViewsText.endItHere}
        </button>
      </p>
    </section>
  );
}

/** The work of today as the lesson set it; without a lesson the plans there are. */
function Week({ student, overview }: { readonly student: StudentRecord; readonly overview: Overview }) {
  const { lessons, plans } = overview;
  const [lesson] = lessons;
  return (
    <section aria-labelledby="week" className="rounded-lg border border-rule bg-sheet px-4 py-3">
      <h2 id="week" className="font-serif text-lg font-semibold">
        {lesson ? practiceViewsText.today : practiceViewsText.thisWeek}
      </h2>
      {lesson ? (
        <Day student={student} overview={overview} lesson={lesson} />
      ) : (
        <>
          <p className="text-faded">{practiceViewsText.nothingIsAssignedYet}</p>
          <ul>
            {plans.slice(0, 6).map((plan) => (
              <li key={plan.id} className="flex min-h-10 items-center gap-3 border-t border-rule first:border-t-0">
                <span className="flex-1">{planTitle(plan)}</span>
                <a
                  className="text-dove underline"
                  href={practiceAddress(plan.id)}
                  aria-label={practiceViewsText.practise(planTitle(plan))}
                >
                  {practiceViewsText.practiseLabel}
                </a>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function Cards({ studentId, due, all }: { readonly studentId: string; readonly due: number; readonly all: number }) {
  return (
    <p className="rounded-lg border border-rule bg-sheet px-4 py-3">
      {all === 0
        ? practiceViewsText.noCardsYet
        : due === 0
          ? practiceViewsText.noCardIsDue
          : practiceViewsText.toAnswer(counted(due, 'card'))}{' '}
      <a className="text-dove underline" href={`/cards?student=${studentId}`}>
        {practiceViewsText.toTheCards}
      </a>
    </p>
  );
}
