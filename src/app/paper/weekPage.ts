import type { LessonRecord, StudentRecord } from '../../core';
import type { SheetChoices } from '../../drawing/sheet/sheet';
import { planTitle } from '../../wording/material';
import { everyWords, weekItemWhy, weekItemWords } from '../../wording/practice';
import { CAUTION, dayInWords, onWhat } from '../../wording/sheets';
import { minutesWords, nextLessonWords, weekTitle } from '../../wording/lessons';
import { meaningOf } from '../meaning';
import type { Overview } from '../practice/overview';
import { atDesk } from './desk';
import { forSheet, useLaid, type LaidState } from './sheets';

/*
 * The week of a student on paper: what the lesson set, with the sheets of its plans behind it.
 */

export function useWeekPage(student: StudentRecord, overview: Overview, choices: SheetChoices): LaidState {
  const [lesson] = overview.lessons;
  const plans = overview.plans.map(({ id, changedAt }) => [id, changedAt]);
  const what = JSON.stringify([student, lesson ?? null, plans, choices]);
  return useLaid(what, () => layOut(student, overview, lesson, choices));
}

async function layOut(
  student: StudentRecord,
  overview: Overview,
  lesson: LessonRecord | undefined,
  choices: SheetChoices,
) {
  const { plans } = overview;
  const items = lesson?.items ?? [];
  const assigned = lesson?.assigned ?? [];
  const wanted = [
    ...new Set([...assigned.map(({ planId }) => planId), ...items.flatMap(({ planId }) => planId ?? [])]),
  ];
  const states = await Promise.all(
    wanted.flatMap((id) => plans.filter((plan) => plan.id === id)).map((plan) => meaningOf(plan)),
  );
  const behind = states.flatMap((state) => (state.kind === 'there' ? [forSheet(state.meaning)] : []));
  const title = (id: string | undefined) => {
    const plan = plans.find((one) => one.id === id);
    return plan ? planTitle(plan) : assigned.find(({ planId }) => planId === id)?.what;
  };
  const goalOf = (id: string | undefined) => assigned.find(({ planId }) => planId === id)?.goalBpm;
  const ask = {
    title: weekTitle(student.name),
    who: onWhat({ ...student.plays, material: { type: 'notes', notes: [] } }, student.name),
    date: dayInWords(new Date()),
    goal: lesson?.goal ?? '',
    reminders: lesson?.words ?? '',
    lines: items.map((item) => {
      const bpm = goalOf(item.planId);
      const words = weekItemWords(item, title(item.planId));
      return {
        minutes: minutesWords(item.minutes),
        words: item.every > 1 ? `${words} (${everyWords(item.every)})` : words,
        why: weekItemWhy(item),
        tempo: bpm ? `♩ = ${bpm}` : '',
      };
    }),
    nextLesson: nextLessonWords(student.lessonAt),
    caution: CAUTION,
    names: student.noteNames,
    choices,
  } as const;
  return atDesk(async (remote) => await remote.week(ask, behind));
}
