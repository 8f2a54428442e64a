import { useState } from 'react';
import { dayWords } from '../../app/practice/calendar';
import {
  assignedFor,
  editLesson,
  itemsAfter,
  keepLesson,
  keepLessonDraft,
  lessonDraftOf,
  lessonToday,
  type LessonChange,
} from '../../app/practice/lessons';
import { goalsOf, type Overview } from '../../app/practice/overview';
import type { LessonRecord, StudentRecord } from '../../core';
import { Caution } from '../../ui/Caution';
import { NumberField, TextField, TypedBox } from '../../ui/fields';
import { GoalField } from '../../ui/GoalField';
import { StudentPage } from '../../ui/StudentPage';
import { PracticeUndo } from '../../ui/PracticeUndo';
import { TrendList } from '../../ui/TrendList';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import { Happened } from './Happened';
import { WeekItems } from './WeekItems';
import * as lessonViewsText from '../../wording/rooms/lessonViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** The lesson page of a student: what was assigned, what happened, and what next week is for. */
function Lesson() {
  return (
    <StudentPage here="/lesson" heading={lessonViewsText.lesson} name={lessonViewsText.theLesson}>
      {(student, overview) => <Page key={student.id} student={student} overview={overview} />}
    </StudentPage>
  );
}

const CARD = 'flex flex-col gap-2 rounded-lg border border-rule bg-sheet px-4 py-3';

function Page({ student, overview }: { readonly student: StudentRecord; readonly overview: Overview }) {
  const kept = overview.lessons.find(({ day }) => day === overview.today);
  const earlier = overview.lessons.filter(({ day }) => day < overview.today);
  // Lessons can be paged back through.
  const [back, setBack] = useState(0);
  const past = earlier[Math.min(back, earlier.length - 1)];
  const [draft, setDraft] = useState(
    () =>
      lessonDraftOf(student.id, overview.today) ??
      lessonToday(student.id, overview, new URLSearchParams(location.search).get('about')),
  );
  const lesson = kept ?? draft;
  const put = (change: LessonChange) => {
    if (kept) void editLesson(kept, change);
    else {
      const next = { ...draft, ...change(draft) };
      setDraft(next);
      keepLessonDraft(next);
    }
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)]">
      <div className="flex flex-col gap-4">
        <section aria-labelledby="happened" className={CARD}>
          <h2 id="happened" className="font-serif text-xl font-semibold">
            {past ? lessonViewsText.since(dayWords(past.day)) : lessonViewsText.whatHappened}
          </h2>
          {earlier.length > 1 && (
            <p className="flex gap-2">
              <button
                type="button"
                className="button"
                disabled={back >= earlier.length - 1}
                onClick={() => setBack(back + 1)}
              >
                {lessonViewsText.earlierLesson}
              </button>
              <button type="button" className="button" disabled={back === 0} onClick={() => setBack(back - 1)}>
                {lessonViewsText.laterLesson}
              </button>
            </p>
          )}
          {back > 0 && past && <p>{past.words}</p>}
          {overview.futureLessons.length > 0 && (
            <p role="alert" className="border-l-4 border-madder px-3">
              {lessonViewsText.lessonsInTheFuture(counted(overview.futureLessons.length, 'lesson'))}
            </p>
          )}
          <Happened overview={overview} last={past} until={earlier[back - 1]?.day} />
        </section>
        <section aria-labelledby="says" className={CARD}>
          <h2 id="says" className="font-serif text-xl font-semibold">
            {lessonViewsText.whatTheLogSays}
          </h2>
          <TrendList overview={overview} studentId={student.id} />
        </section>
      </div>
      <section aria-labelledby="next" className={CARD} data-testid="next-week">
        <div className="flex flex-wrap items-center gap-3">
          <h2 id="next" className="flex-1 font-serif text-xl font-semibold">
            {lessonViewsText.nextWeek}
          </h2>
          {kept && <PracticeUndo />}
          {kept ? (
            <>
              <span className="text-faded">{lessonViewsText.keptChangesAreSaved}</span>
              <a className="button min-h-11 px-4 no-underline" href={`/week?student=${student.id}`}>
                {lessonViewsText.printTheWeek}
              </a>
            </>
          ) : (
            <button type="button" className="button min-h-11 px-4" onClick={() => void keepLesson(draft)}>
              {lessonViewsText.keepForNextWeek}
            </button>
          )}
        </div>
        <NextWeek lesson={lesson} overview={overview} onPut={put} />
      </section>
    </div>
  );
}

/** What is wrong with a tempo to reach as it is typed; null where nothing is, or none is given. */
const tempoTrouble = (text: string) =>
  text === '' || (/^\d{2,3}$/.test(text) && Number(text) >= 20 && Number(text) <= 300)
    ? null
    : lessonViewsText.beatsFromTo(20, 300);

interface NextProps {
  readonly lesson: LessonRecord;
  readonly overview: Overview;
  readonly onPut: (change: LessonChange) => void;
}

function NextWeek({ lesson, overview, onPut }: NextProps) {
  const { plans } = overview;
  const { assigned, minutes } = lesson;
  const assign = (next: (before: LessonRecord['assigned']) => LessonRecord['assigned']) =>
    onPut((now) => {
      const after = next(now.assigned);
      return { assigned: after, items: itemsAfter(now, overview, after, now.minutes) };
    });
  const setMinutes = (day: number) =>
    onPut((now) => ({ minutes: day, items: itemsAfter(now, overview, now.assigned, day) }));
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-[auto_minmax(0,1fr)]">
        <NumberField
          label={lessonViewsText.minutesADay}
          unit="min"
          value={minutes}
          usual={20}
          least={1}
          most={300}
          onPut={(value = 20) => setMinutes(Math.round(value))}
        />
        <GoalField
          goal={lesson.goal}
          proposed={goalsOf({ ...overview, lessons: [] })}
          onPut={(goal) => onPut(() => ({ goal }))}
        />
      </div>
      <fieldset>
        <legend className="text-sm text-faded">{lessonViewsText.assignedWithTheTempo}</legend>
        {plans.map((plan) => {
          const own = assigned.find(({ planId }) => planId === plan.id);
          return (
            <div key={plan.id} className="flex min-h-10 flex-wrap items-center gap-3">
              <label className="flex min-w-56 flex-1 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={own !== undefined}
                  onChange={(event) =>
                    assign((before) =>
                      event.target.checked
                        ? [...before, assignedFor(plan)]
                        : before.filter(({ planId }) => planId !== plan.id),
                    )
                  }
                />
                {planTitle(plan)}
              </label>
              {own && (
                <label className="flex items-center gap-1">
                  <span aria-hidden>♩ =</span>
                  <TypedBox
                    label={lessonViewsText.tempoToReachIn(planTitle(plan))}
                    className="min-h-9 w-20 rounded-md border border-rule bg-paper px-2"
                    value={String(own.goalBpm ?? '')}
                    trouble={tempoTrouble}
                    onPut={(text) => {
                      const goalBpm = text === '' ? undefined : Number(text);
                      onPut((now) => ({
                        assigned: now.assigned.map((one) => (one.planId === plan.id ? { ...one, goalBpm } : one)),
                      }));
                    }}
                  />
                </label>
              )}
            </div>
          );
        })}
        {plans.length === 0 && <p className="text-faded">{lessonViewsText.thisStudentHasNo}</p>}
      </fieldset>
      <WeekItems lesson={lesson} overview={overview} onPut={onPut} />
      <TextField
        label={lessonViewsText.theTeachersWords}
        value={lesson.words}
        onPut={(words) => onPut(() => ({ words }))}
      />
      <Caution />
    </>
  );
}

export default view(sharedText.viewNames.Lesson, Lesson);
