import { dayWords } from '../../app/practice/calendar';
import type { Overview } from '../../app/practice/overview';
import { goalOf } from '../../app/practice/weeks';
import type { LessonRecord, SessionRecord } from '../../core';
import { counted } from '../../wording/grammar';
import * as lessonViewsText from '../../wording/rooms/lessonViews';

interface Props {
  readonly overview: Overview;
  readonly last: LessonRecord | undefined;
  /** The day of the lesson after it, where that is past too. */
  readonly until?: string;
}

/** What was assigned and what came of it, in a few lines; what the student says and asks. */
export function Happened({ overview, last, until = '9999' }: Props) {
  const sessions = overview.sessions.filter(({ day }) => (!last || day >= last.day) && day < until);
  const minutes = sessions.reduce((sum, session) => sum + session.minutes, 0);
  const days = new Set(sessions.map(({ day }) => day)).size;
  const asked = last?.assigned.map(({ planId, what }) => ({ planId, what })) ?? [];
  const others = sessions.filter(({ planId }) => !asked.some((one) => one.planId === planId));
  const words = sessions.filter(({ playerWords, question }) => playerWords !== '' || question !== '');
  return (
    <>
      <p>
        {sessions.length === 0
          ? lessonViewsText.nothingIsInThe
          : lessonViewsText.onInAll(
              counted(sessions.length, 'session'),
              counted(days, 'day'),
              counted(Math.round(minutes), 'minute'),
            )}
      </p>
      {last?.goal && <p className="font-serif">{lessonViewsText.goal(last.goal)}</p>}
      <ul>
        {asked.map(({ planId, what }) => (
          <Line
            key={planId}
            what={what}
            own={sessions.filter((one) => one.planId === planId)}
            goal={goalOf(overview.lessons, planId)}
            assigned
          />
        ))}
        {grouped(others).map(([what, own]) => (
          <Line key={what} what={what} own={own} goal={undefined} assigned={false} />
        ))}
      </ul>
      {words.length > 0 && (
        <ul className="border-l-4 border-rule pl-3">
          {words.map((one) => (
            <li key={one.id}>
              <span className="text-faded">{dayWords(one.day)}:</span> {one.playerWords}
              {one.question && <strong> {lessonViewsText.asks(one.question)}</strong>}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function grouped(sessions: readonly SessionRecord[]): [string, SessionRecord[]][] {
  const groups = new Map<string, SessionRecord[]>();
  for (const one of sessions) groups.set(one.what, [...(groups.get(one.what) ?? []), one]);
  return [...groups];
}

interface LineProps {
  readonly what: string;
  readonly own: readonly SessionRecord[];
  readonly goal: number | undefined;
  readonly assigned: boolean;
}

function Line({ what, own, goal, assigned }: LineProps) {
  const minutes = own.reduce((sum, one) => sum + one.minutes, 0);
  const reached = Math.max(0, ...own.map((one) => one.reached ?? 0));
  const tempo =
    reached > 0
      ? `, ♩ = ${Math.round(reached)}${goal ? lessonViewsText.of(goal) : ''}`
      : goal
        ? lessonViewsText.toReach(goal)
        : '';
  return (
    <li className="border-t border-rule py-1 first:border-t-0">
      <strong className={assigned ? '' : 'font-normal'}>{what}</strong>:{' '}
      {own.length === 0
        ? lessonViewsText.notWorkedAt
        : `${counted(own.length, 'session')}, ${counted(Math.round(minutes), 'minute')}`}
      {tempo}
    </li>
  );
}
