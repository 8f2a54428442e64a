import { create } from 'zustand';
import { instrumentData, type PlanRequest } from '../core';
import {
  additions,
  commit,
  getStudent,
  listKept,
  removalOfStudent,
  removals,
  storageFault,
} from '../store/db';
import { fieldsBetween, reversed, type Change, type Fields } from '../store/changes';
import { newRecord, type PlanRecord, type StudentRecord } from '../store/records';
import { counted } from '../wording/grammar';
import { storageWords } from '../wording/storage';
import { forStudent, givenTo } from './brief/student';
import { afterEdit, NO_HISTORY, redone, undone, type History, type Step } from './history';
import { keepFingerings } from './kept';
import { say } from './notices';

/*
 * What can be done in the Studio. Each thing is saved at once; edits of students can be undone, and what was deleted comes back.
 */

/** A change of one student's fields. */
interface StudentChange extends Fields<StudentRecord> {
  readonly id: string;
}

interface StudioState {
  readonly studentId: string | null;
  readonly search: string;
  readonly history: History<StudentChange>;
}

export const useStudio = create<StudioState>(() => ({ studentId: null, search: '', history: NO_HISTORY }));

const { getState: get, setState: set } = useStudio;

/** Does a thing with the store and says so where it cannot be done. */
async function saved<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (error) {
    say({ kind: 'trouble', message: storageWords(storageFault(error)) });
    return undefined;
  }
}

/** Opens what the address asks for; with `demo` an empty studio is filled first. */
export async function open(asked: URLSearchParams) {
  if (asked.has('demo')) await saved(import('../store/demo').then(({ fillWithDemo }) => fillWithDemo()));
  const student = asked.get('student');
  if (student) showStudent(student);
  void keepFingerings().catch(() => undefined);
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
    clefs: instrumentData('violin').clefs,
    noteNames: 'letters',
    remark: '',
    createdAt: now,
    changedAt: now,
  };
  await saved(commit([{ kind: 'added', table: 'students', record: student }]));
  showStudent(student.id);
}

/**
 * Changes some of what is known of a student, from what is saved at that moment: quick changes and other pages lose nothing.
 * @param run names edits that follow each other in one box and are undone as one
 */
export async function changeStudent(
  id: string,
  change: (student: StudentRecord) => Partial<StudentRecord>,
  run: string | null = null,
) {
  const edit = editing.then(() => editStudent(id, change));
  editing = edit.then(() => undefined);
  const fields = await edit;
  if (fields) set({ history: afterEdit(get().history, { id, ...fields }, run && `${id}.${run}`) });
}

/** Edits follow one another: each begins from what the one before has saved. */
let editing: Promise<void> = Promise.resolve();

/** @returns what was changed; undefined where nothing was */
async function editStudent(
  id: string,
  change: (student: StudentRecord) => Partial<StudentRecord>,
): Promise<Fields<StudentRecord> | undefined> {
  // Where another page writes in the very same moment, the edit is made once more, from what that page has saved.
  for (let again = 0; again < 2; again++) {
    const before = await saved(getStudent(id));
    const fields = before && fieldsBetween(before, { ...before, ...change(before) });
    if (!fields) return undefined;
    const outcome = await saved(commit([{ kind: 'updated', table: 'students', id, ...fields }]));
    if (outcome?.kind !== 'conflict') return outcome && fields;
  }
  return undefined;
}

export const undo = () => step(undone);
export const redo = () => step(redone);

async function step(go: (history: History<StudentChange>) => Step<StudentChange> | null) {
  const found = go(get().history);
  if (!found) return;
  const { change, history } = found;
  const outcome = await saved(commit([{ kind: 'updated', table: 'students', ...change }]));
  if (outcome?.kind === 'written') set({ history, studentId: change.id });
}

export async function removeStudent(student: StudentRecord) {
  const changes = await saved(removalOfStudent(student));
  if (!changes || !(await saved(commit(changes)))) return;
  showStudent(null);
  const act = () => void saved(commit(takenBack(changes))).then(() => showStudent(student.id));
  const theirs = changes.length > 1 ? ' Their plans are still here, for anyone.' : '';
  say({
    kind: 'done',
    message: `${student.name || 'The student'} was deleted.${theirs}`,
    offer: { words: 'Undo', act },
  });
}

/** What takes some changes back, the last first. */
function takenBack(changes: readonly Change[]): Change[] {
  return changes.map(reversed).reverse();
}

export async function removePlan(plan: PlanRecord, words: string) {
  const changes: Change[] = [{ kind: 'removed', table: 'plans', record: plan }];
  await saved(commit(changes));
  const act = () => void saved(commit(takenBack(changes)));
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
  const outcome = await saved(commit([{ kind: 'added', table: 'plans', record: plan }]));
  if (outcome) location.assign(`/?plan=${plan.id}`);
}

/** Takes everything out of the studio; until the page is left it can be brought back. */
export async function emptyStudio() {
  const all = await saved(listKept());
  if (!all || !(await saved(commit(removals(all))))) return;
  showStudent(null);
  const act = () => void saved(commit(additions(all)));
  const out = `${counted(all.students.length, 'student')} and ${counted(all.plans.length, 'plan')}`;
  say({
    kind: 'done',
    message: `The studio is empty: ${out} were taken out.`,
    offer: { words: 'Undo', act },
  });
}
