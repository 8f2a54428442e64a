import { Check } from 'lucide-react';
import { useState } from 'react';
import type { Overview } from '../../app/practice/overview';
import { openPart, useDay } from '../../app/practice/today';
import { endTuning, tuneStrings, useTakes } from '../../app/takes';
import { Tuner } from '../../ui/Tuner';
import { loadPlayer } from '../../app/practice/sounding';
import { midiOf, resolveSetup, type DayPart, type LessonRecord, type StudentRecord } from '../../core';
import { planTitle } from '../../wording/material';
import { noteWords } from '../../wording/notes';
import { weekItemWhy, weekItemWords } from '../../wording/practice';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

interface Props {
  readonly student: StudentRecord;
  readonly overview: Overview;
  readonly lesson: LessonRecord;
}

/** The day as one: its parts in turn, what is done ticked off, one button for what comes next. */
export function Day({ student, overview, lesson }: Props) {
  const { plans, today } = overview;
  const { parts, done, next, check } = useDay(student.id, today, lesson.items);
  const [tuning, setTuning] = useState(false);
  const title = (id: string | undefined) => {
    const plan = plans.find((one) => one.id === id);
    return plan ? planTitle(plan) : lesson.assigned.find(({ planId }) => planId === id)?.what;
  };
  const open = (part: DayPart, at: number) => {
    if (part.item.kind === 'tune') setTuning(true);
    else void openPart(part, at, { studentId: student.id, plans, lesson });
  };
  return (
    <>
      {lesson.goal && <p className="font-serif text-lg">{lesson.goal}</p>}
      {lesson.words && <p>{lesson.words}</p>}
      <p className="my-2">
        {next < 0 ? (
          <strong>{practiceViewsText.theDayIsDone}</strong>
        ) : (
          <button
            type="button"
            className="button min-h-12 px-6 text-lg"
            data-testid="start-day"
            onClick={() => open(parts[next], next)}
          >
            {done.size === 0 ? practiceViewsText.startTheDay : practiceViewsText.goOnWithTheDay}
          </button>
        )}
      </p>
      {tuning && (
        <Tune
          student={student}
          onDone={() => {
            setTuning(false);
            check(next);
          }}
        />
      )}
      <ol data-testid="day">
        {parts.map((part, at) => {
          const words = weekItemWords(part.item, title(part.item.planId));
          return (
            <li
              key={at}
              className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-rule py-1 first:border-t-0"
            >
              <span className="w-14 text-faded">{practiceViewsText.min(part.minutes)}</span>
              <span className={`min-w-40 flex-1 ${done.has(at) ? 'text-faded' : ''}`}>
                {words}
                <span className="block text-sm text-faded">{weekItemWhy(part.item)}</span>
              </span>
              {done.has(at) ? (
                <span className="flex items-center gap-1 text-sage">
                  <Check size={18} aria-hidden /> {practiceViewsText.ticked}
                </span>
              ) : (
                <button
                  type="button"
                  className="min-h-11 cursor-pointer px-2 text-dove underline"
                  aria-label={practiceViewsText.practise(words)}
                  onClick={() => open(part, at)}
                >
                  {practiceViewsText.practiseLabel}
                </button>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}

/** The open strings one after the other by ear: A first, each against a drone. */
function Tune({ student, onDone }: { readonly student: StudentRecord; readonly onDone: () => void }) {
  const setup = resolveSetup(student.plays);
  const { strings } = setup;
  const { doing, problem } = useTakes();
  const [sounding, setSounding] = useState<string | null>(null);
  const from = strings.findIndex(({ name }) => name.startsWith('A'));
  const order = from < 0 ? strings : [strings[from], ...strings.filter((_, at) => at !== from).reverse()];
  const hum = (name: string | null) => {
    setSounding(name);
    const open = strings.find((one) => one.name === name);
    void loadPlayer().then((player) => player.setDrone(open ? midiOf(open.pitch) : null));
  };
  return (
    <div className="mb-2 rounded-md border-2 border-dove px-3 py-2" data-testid="tune">
      <p>{practiceViewsText.tuneEachString}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {order.map(({ name }) => (
          <button
            key={name}
            type="button"
            className="button min-h-11 min-w-14"
            aria-pressed={sounding === name}
            onClick={() => hum(sounding === name ? null : name)}
          >
            {noteWords(name)}
          </button>
        ))}
        <button
          type="button"
          className="button min-h-11"
          disabled={doing !== 'nothing'}
          onClick={() => {
            hum(null);
            void tuneStrings(student.plays);
          }}
        >
          {practiceViewsText.withTheTuner}
        </button>
        <button
          type="button"
          className="button min-h-11"
          onClick={() => {
            hum(null);
            endTuning();
            onDone();
          }}
        >
          {practiceViewsText.tuned}
        </button>
      </div>
      {problem && <p role="alert">{problem}</p>}
      {doing === 'tuning' && <Tuner setup={setup} onDone={endTuning} />}
    </div>
  );
}
