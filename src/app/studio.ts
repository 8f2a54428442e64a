import { create } from 'zustand';
import { instrumentRecord, type PlanRequest, type PlanRecord, type StudentRecord } from '../core';
import type { Change } from '../store/changes';
import { storageFault } from '../store/db';
import { newRecord } from '../store/records';
import { getStudent } from '../store/read';
import { removalOfStudent } from '../store/write';
import { listed } from '../wording/grammar';
import { readingTroubleWords } from '../wording/storage';
import { remindOfBackup } from './backupsMade';
import { forStudent, givenTo } from './brief/student';
import { goOnWithDemo, openDemo } from './demo';
import { begin, edit, isBegun, keepBegun, newest, onStep, settled } from './editing';
import { keepFingeringsLater } from './kept';
import { say } from './notices';
import { recover } from './recovery';
import { ARCHIVED, tagsFrom } from './tags';
import { inOwnTaste, withOwnTaste } from './taste';
import { remove, save } from './writes';
import { listEverything, type Everything } from '../store/read';
import * as appText from '../wording/rooms/app';

/*
 * What can be done in the Studio. Each thing is saved at once; edits of students can be undone, and what was deleted comes back.
 */

interface StudioState {
  readonly studentId: string | null;
  readonly search: string;
  /** A new student whose sheet is open: written with the first word that is known of them. */
  readonly fresh: StudentRecord | null;
  /** The made-up studio is being put in: what is there until then is not shown. */
  readonly filling: boolean;
}

export const useStudio = create<StudioState>(() => ({ studentId: null, search: '', fresh: null, filling: false }));

const { getState: get, setState: set } = useStudio;

/** Opens what the address asks for; with `demo` an empty studio is filled first. */
export async function open(asked: URLSearchParams) {
  const student = asked.get('student');
  const find = asked.get('find');
  if (student) showStudent(student);
  if (find) lookFor(find);
  try {
    if (asked.has('demo')) await fill();
    else goOnWithDemo();
    await recover();
    if (asked.has('new')) addStudent();
    if (student && !(await getStudent(student))) say({ kind: 'trouble', message: appText.theStudentInThis });
    if (!asked.has('demo')) remindOfBackup(Date.now(), async () => (await import('./backups')).saveBackup());
    keepFingeringsLater();
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

async function fill() {
  set({ filling: true });
  await openDemo().finally(() => set({ filling: false }));
}

/** The new student is in the store now, and shown from there. */
export const forgetFresh = () => set({ fresh: null });

export function showStudent(studentId: string | null) {
  set({ studentId, search: '' });
  showInAddress();
}

/** The words stay in the address: whoever comes back from a plan finds them again. */
export function lookFor(search: string) {
  set({ search });
  showInAddress();
}

function showInAddress() {
  const { studentId, search } = get();
  const asked = new URLSearchParams({
    ...(studentId ? { student: studentId } : {}),
    ...(search ? { find: search } : {}),
  });
  history.replaceState(null, '', asked.size > 0 ? `?${asked}` : location.pathname);
}

export function addStudent() {
  const now = Date.now();
  const student: StudentRecord = {
    id: crypto.randomUUID(),
    name: '',
    plays: { instrument: 'violin' },
    level: 'early',
    clefs: instrumentRecord('violin').clefs,
    noteNames: 'letters',
    remark: '',
    createdAt: now,
    changedAt: now,
  };
  begin(student.id);
  set({ fresh: student });
  showStudent(student.id);
}

/**
 * Changes some of what is known of a student.
 * @param shown as the page shows it
 * @param run names edits that follow each other in one box and are undone as one
 */
export function changeStudent(
  shown: StudentRecord,
  change: (student: StudentRecord) => Partial<StudentRecord>,
  run: string | null = null,
): Promise<boolean> {
  return edit('students', shown, change, run);
}

onStep((id) => set({ studentId: id }));

export async function removeStudent(student: StudentRecord) {
  if (isBegun(student.id)) {
    showStudent(null);
    return;
  }
  let changes: Change[];
  try {
    changes = await removalOfStudent(student);
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
    return;
  }
  const words = student.name || appText.theStudent;
  const theirs = changes.length > 1 ? appText.theirPlansAreStill : '';
  const gone = await remove(changes, appText.studioWasDeleted(words, theirs), words, () => showStudent(student.id));
  if (gone) showStudent(null);
}

export async function removePlan(plan: PlanRecord, words: string) {
  await remove([{ kind: 'removed', table: 'plans', record: plan }], appText.planWasDeleted(words), words);
}

const FIRST_SCALE: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'updown' },
};

/** A new plan for a student, opened on the Bench. */
export async function planFor(shown: StudentRecord) {
  // What was just typed of the student counts, and a plan belongs to one who is written.
  await settled();
  if (!(await keepBegun('students', shown))) return;
  const student = newest(shown);
  const request = withOwnTaste(forStudent(FIRST_SCALE, student));
  await openNew(newRecord(request, Date.now(), { studentId: student.id }));
}

/** Gives a plan to another student: a copy on their instrument, for their hand, opened on the Bench. */
export async function givePlan(plan: PlanRecord, student: StudentRecord) {
  await openNew(inOwnTaste(givenTo(plan, student, Date.now())));
}

/** Gives a plan another name and other tags. @param tags with commas between */
export async function nameAndTag({ id, name, tags }: PlanRecord, newName: string, newTags: string) {
  const to = { name: newName.trim().slice(0, 120), tags: tagsFrom(newTags) };
  await save([{ kind: 'updated', table: 'plans', id, from: { name, tags }, to }]);
}

/** Puts a plan out of the way, or back: it is a tag like any other. */
export async function archivePlan({ id, tags }: PlanRecord, away: boolean) {
  const to = away ? [...tags, ARCHIVED] : tags.filter((tag) => tag !== ARCHIVED);
  await save([{ kind: 'updated', table: 'plans', id, from: { tags }, to: { tags: to } }], () =>
    say({ kind: 'done', message: away ? appText.itIsInThe : appText.itIsInTheList }),
  );
}

async function openNew(plan: PlanRecord) {
  await save([{ kind: 'added', table: 'plans', record: plan }], () => location.assign(`/?plan=${plan.id}`));
}

/** Takes everything out of the studio, practice and books too; it can be brought back for as long as the bin keeps it. */
export async function emptyStudio({ removals, amounts }: Everything) {
  const words = listed(amounts);
  if (await remove(removals, appText.theStudioIsEmpty(words), words)) showStudent(null);
}

/** What there is to be taken out; null where it cannot be read, which has been said. */
export async function everything(): Promise<Everything | null> {
  try {
    return await listEverything();
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
    return null;
  }
}
