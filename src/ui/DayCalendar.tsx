import { daysFrom, dayNumber, dayWords } from '../app/practice/calendar';
import type { DaySum } from '../core';
import { weekdayWords } from '../wording/lessons';
import * as lessonViewsText from '../wording/rooms/lessonViews';

interface Props {
  readonly days: readonly DaySum[];
  readonly today: string;
}

const WEEKS = 8;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** The days of the last weeks, plain: how many minutes on each. */
export function DayCalendar({ days, today }: Props) {
  const minutes = new Map(days.map((one) => [one.day, Math.round(one.minutes)]));
  const monday = daysFrom(today, -(dayNumber(today) % 7) - 7 * (WEEKS - 1));
  return (
    <table className="border-collapse text-center text-sm" data-testid="calendar">
      <thead>
        <tr className="text-faded">
          <th className="pr-3 text-left font-normal">{lessonViewsText.weekFrom}</th>
          {DAYS.map((day) => (
            <th key={day} className="w-11 font-normal">
              <abbr title={weekdayWords(day)} className="no-underline">
                {weekdayWords(day).slice(0, 2)}
              </abbr>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: WEEKS }, (_, week) => (
          <tr key={week}>
            <th scope="row" className="pr-3 text-left font-normal text-faded">
              {dayWords(daysFrom(monday, 7 * week))}
            </th>
            {DAYS.map((day) => {
              const date = daysFrom(monday, 7 * week + day);
              const played = minutes.get(date) ?? 0;
              return (
                <td key={day} className={`h-7 border border-rule ${played > 0 ? 'bg-haze font-semibold' : ''}`}>
                  {date > today ? '' : played > 0 ? played : '·'}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
