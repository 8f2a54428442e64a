import { requestIssues, type PlanRequest, type StudentPath, type StudentRecord } from '../../core';
import { newRecord } from '../../store/records';
import { stepName } from '../../wording/path';
import * as pathText from '../../wording/rooms/pathViews';
import { assignedFor, editLesson, itemsAfter, keepLesson, lessonToday } from '../practice/lessons';
import type { Overview } from '../practice/overview';
import { edit } from '../editing';
import { say } from '../notices';
import { save } from '../writes';

/*
 * What a teacher does with a path: says "has it", skips a step, sets another goal, takes a step into next week, opens it.
 */

const NOTHING_SAID: StudentPath = { words: [], skipped: [] };

/** Changes what is said about a student's path; it is undone like any edit. */
export function editPath(
  student: StudentRecord,
  change: (path: StudentPath) => Partial<StudentPath>,
): Promise<boolean> {
  return edit('students', student, (now) => {
    const path = now.path ?? NOTHING_SAID;
    return { path: { ...path, ...change(path) } };
  });
}

/** The student has these, or has them not. */
export function sayHas(student: StudentRecord, skills: readonly string[], has: boolean): Promise<boolean> {
  return editPath(student, ({ words }) => ({
    words: [...words.filter(({ skill }) => !skills.includes(skill)), ...skills.map((skill) => ({ skill, has }))],
  }));
}

/** This request is not to be a step. */
export function skipStep(student: StudentRecord, request: PlanRequest): Promise<boolean> {
  return editPath(student, ({ skipped }) => ({ skipped: [...skipped, JSON.stringify(request)] }));
}

/** A plan of the student for a step: the one there is, or a new one. */
async function planFor(student: StudentRecord, { plans }: Overview, request: PlanRequest) {
  const text = JSON.stringify(request);
  const there = plans.find((one) => one.studentId === student.id && JSON.stringify(one.request) === text);
  if (there) return there;
  if (requestIssues(request).length > 0) return null;
  const record = newRecord(request, Date.now(), { studentId: student.id, name: stepName(request) });
  return (await save([{ kind: 'added', table: 'plans', record }])) ? record : null;
}

export async function openStep(student: StudentRecord, overview: Overview, request: PlanRequest): Promise<void> {
  const plan = await planFor(student, overview, request);
  if (plan) location.assign(`/?plan=${plan.id}`);
}

/** Assigns a step with today's lesson. */
export async function intoNextWeek(student: StudentRecord, overview: Overview, request: PlanRequest): Promise<void> {
  const plan = await planFor(student, overview, request);
  if (!plan) return;
  const kept = overview.lessons.find(({ day }) => day === overview.today);
  const lesson = kept ?? lessonToday(student.id, overview, null);
  if (!lesson.assigned.some(({ planId }) => planId === plan.id)) {
    const assigned = [...lesson.assigned, assignedFor(plan)];
    const items = itemsAfter(lesson, overview, assigned, lesson.minutes);
    const written = kept
      ? await editLesson(kept, () => ({ assigned, items }))
      : await keepLesson({ ...lesson, assigned, items });
    if (!written) return;
  }
  say({
    kind: 'done',
    message: pathText.isInNextWeek(stepName(request)),
    offer: { words: pathText.toTheLesson, act: () => location.assign(`/lesson?student=${student.id}`) },
  });
}
