import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { proposed, type LessonChange } from '../../app/practice/lessons';
import type { Overview } from '../../app/practice/overview';
import type { LessonRecord } from '../../core';
import { TypedBox } from '../../ui/fields';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import { everyWords, weekItemWords } from '../../wording/practice';
import * as lessonViewsText from '../../wording/rooms/lessonViews';

interface Props {
  readonly lesson: LessonRecord;
  readonly overview: Overview;
  readonly onPut: (change: LessonChange) => void;
}

/** What is wrong with a part's minutes as they are typed; null where nothing is. */
const minutesTrouble = (text: string) =>
  /^\d{1,3}$/.test(text) && Number(text) >= 1 && Number(text) <= 300 ? null : lessonViewsText.minutesFromTo(1, 300);

/** A day's work, part by part: its minutes, its words, its order. */
export function WeekItems({ lesson, overview, onPut }: Props) {
  const { items, assigned, minutes } = lesson;
  const put = (next: (items: LessonRecord['items']) => LessonRecord['items']) =>
    onPut((now) => ({ items: next(now.items) }));
  const change = (at: number, part: Partial<LessonRecord['items'][number]>) =>
    put((now) => now.map((item, n) => (n === at ? { ...item, ...part } : item)));
  const swap = (at: number, by: number) =>
    put((now) => {
      const next = [...now];
      const [item] = next.splice(at, 1);
      next.splice(at + by, 0, item);
      return next;
    });
  const title = (id: string | undefined) => {
    const plan = overview.plans.find((one) => one.id === id);
    return plan ? planTitle(plan) : undefined;
  };
  const all = items.reduce((sum, item) => sum + item.minutes / item.every, 0);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="flex-1 font-serif text-lg font-semibold">{lessonViewsText.eachDay}</h3>
        <span className={all > minutes ? 'text-madder' : 'text-faded'} data-testid="day-minutes">
          {lessonViewsText.weekItemsOf(
            counted(Math.round(all), 'minute'),
            minutes,
            all > minutes ? lessonViewsText.moreThanThereIs : '',
          )}
        </span>
        <button type="button" className="button" onClick={() => put(() => proposed(overview, assigned, minutes))}>
          {lessonViewsText.proposeAgain}
        </button>
      </div>
      <ol>
        {items.map((item, at) => {
          const words = weekItemWords({ ...item, words: undefined }, title(item.planId));
          return (
            <li
              key={at}
              className="flex min-h-11 flex-wrap items-center gap-2 border-t border-rule py-1 first:border-t-0"
            >
              <TypedBox
                label={lessonViewsText.minutesFor(words)}
                className="min-h-9 w-16 rounded-md border border-rule bg-paper px-2"
                value={String(item.minutes)}
                trouble={minutesTrouble}
                onPut={(text) => change(at, { minutes: Number(text) })}
              />
              <TypedBox
                label={lessonViewsText.wordsFor(words)}
                className="min-h-9 min-w-40 flex-1 rounded-md border border-rule bg-paper px-2"
                placeholder={words}
                value={item.words ?? ''}
                onPut={(text) => change(at, { words: text || undefined })}
              />
              {item.every > 1 && <span className="text-sm text-faded">{everyWords(item.every)}</span>}
              <button
                type="button"
                className="button"
                aria-label={lessonViewsText.earlier(words)}
                disabled={at === 0}
                onClick={() => swap(at, -1)}
              >
                <ArrowUp size={16} aria-hidden />
              </button>
              <button
                type="button"
                className="button"
                aria-label={lessonViewsText.later(words)}
                disabled={at === items.length - 1}
                onClick={() => swap(at, 1)}
              >
                <ArrowDown size={16} aria-hidden />
              </button>
              <button
                type="button"
                className="button"
                aria-label={lessonViewsText.leaveOut(words)}
                onClick={() => put((now) => now.filter((_, n) => n !== at))}
              >
                <X size={16} aria-hidden />
              </button>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
