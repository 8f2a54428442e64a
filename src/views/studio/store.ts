import { create } from 'zustand';
import { forStudent, givenTo } from '../../brief/student';
import { INSTRUMENTS, type PlanRequest } from '../../core';
import {
  addKept,
  clearKept,
  deletePlan,
  deleteStudent,
  editStudent,
  returnStudent,
  savePlan,
  saveStudent,
  storageTrouble,
} from '../../store/db';
import { fillWithDemo } from '../../store/demo';
import { newRecord, type PlanRecord, type StudentRecord } from '../../store/records';
import { afterEdit, NO_HISTORY, redone, undone, type History, type Step } from '../../ui/history';
import { say } from '../../ui/notices';

/*
 * What can be done in the Studio. Each thing is kept at once; edits of students can be undone, and what was deleted comes back.
 */

interface StudioState {
  readonly studentId: string | null;
  readonly search: string;
  readonly history: History<StudentRecord>;
}

export const useStudio = create<StudioState>(() => ({ studentId: null, search: '', history: NO_HISTORY }));

const { getState: get, setState: set } = useStudio;

/** Does a thing with the store and says so where it cannot be done. */
async function kept<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (error) {
    say({ kind: 'trouble', message: storageTrouble(error) });
    return undefined;
  }
}

/** Opens what the address asks for; with `demo` an empty studio is filled first. */
export async function open(asked: URLSearchParams) {
  if (asked.has('demo')) await kept(fillWithDemo());
  const student = asked.get('student');
  if (student) showStudent(student);
}

export function showStudent(studentId: string | null) {
  set({ studentId, search: '' });
  history.replaceState(null, '', studentId ? `?student=${studentId}` : location.pathname);
}

export function lookFor(search: string) {
  set({ search });
}

export async function addStudent() {
  const now = Date.now();
  const student: StudentRecord = {
    id: crypto.randomUUID(),
    name: '',
    plays: { instrument: 'violin' },
    level: 'early',
    clefs: INSTRUMENTS.violin.clefs,
    noteNames: 'letters',
    remark: '',
    createdAt: now,
    changedAt: now,
  };
  await kept(saveStudent(student));
  showStudent(student.id);
}

/** @param run names edits that follow each other in one box and are undone as one */
export async function changeStudent(
  id: string,
  change: (student: StudentRecord) => Partial<StudentRecord>,
  run: string | null = null,
) {
  const before = await kept(editStudent(id, change));
  if (before) set({ history: afterEdit(get().history, before, run && `${id}.${run}`) });
}

export const undo = () => step(undone);
export const redo = () => step(redone);

async function step(go: (history: History<StudentRecord>, now: StudentRecord) => Step<StudentRecord> | null) {
  const { history } = get();
  const found = (go === redone ? history.future : history.past).at(-1);
  if (!found) return;
  const now = await kept(editStudent(found.id, () => found));
  if (!now) return;
  const after = go(history, now);
  if (after) set({ history: after.history, studentId: found.id });
}

export async function removeStudent(student: StudentRecord) {
  const plans = await kept(deleteStudent(student.id));
  if (!plans) return;
  showStudent(null);
  const act = () => void kept(returnStudent(student, plans)).then(() => showStudent(student.id));
  const theirs = plans.length > 0 ? ' Their plans are kept, for anyone.' : '';
  say({
    kind: 'done',
    message: `${student.name || 'The student'} was deleted.${theirs}`,
    offer: { words: 'Undo', act },
  });
}

export async function removePlan(plan: PlanRecord, words: string) {
  await kept(deletePlan(plan.id));
  const act = () => void kept(savePlan(plan));
  say({ kind: 'done', message: `“${words}” was deleted.`, offer: { words: 'Undo', act } });
}

const FIRST_SCALE: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'updown' },
};

/** A new plan for a student, opened on the Bench. */
export async function planFor(student: StudentRecord) {
  await openNew(newRecord(forStudent(FIRST_SCALE, student), Date.now(), { studentId: student.id }));
}

/** Gives a plan to another student: a copy on their instrument, for their hand, opened on the Bench. */
export async function givePlan(plan: PlanRecord, student: StudentRecord) {
  await openNew(givenTo(plan, student, Date.now()));
}

async function openNew(plan: PlanRecord) {
  const id = await kept(savePlan(plan).then(() => plan.id));
  if (id) location.assign(`/?plan=${id}`);
}

/** Takes everything out of the studio; until the page is left it can be brought back. */
export async function emptyStudio() {
  const all = await kept(clearKept());
  if (!all) return;
  showStudent(null);
  const act = () => void kept(addKept(all));
  say({
    kind: 'done',
    message: `The studio is empty: ${all.students.length} students and ${all.plans.length} plans were taken out.`,
    offer: { words: 'Undo', act },
  });
}
