import { create } from 'zustand';
import { instrumentRecord, type PlanRequest } from '../core';
import { fieldsBetween, joined, type Change, type Fields } from '../store/changes';
import { storageFault } from '../store/db';
import { dropDraft, keepDraft } from '../store/drafts';
import { newRecord, type PlanRecord, type StudentRecord } from '../store/records';
import { getStudent, listAll, removals } from '../store/rows';
import { commit, removalOfStudent } from '../store/writes';
import { listed } from '../wording/grammar';
import { amountWords, readingTroubleWords, storageWords } from '../wording/storage';
import { forStudent, givenTo } from './brief/student';
import { goOnWithDemo, openDemo } from './demo';
import { afterEdit, NO_HISTORY, redone, undone, type History, type Step } from './history';
import { keepFingerings } from './kept';
import { say } from './notices';
import { recover } from './recovery';
import { ARCHIVED, tagsFrom } from './tags';
import { inOwnTaste, withOwnTaste } from './taste';
import { bringBack, forgetDeleted, lastDeleted, remove, save } from './writes';

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

/** Opens what the address asks for; with `demo` an empty studio is filled first. */
export async function open(asked: URLSearchParams) {
  const student = asked.get('student');
  const find = asked.get('find');
  if (student) showStudent(student);
  if (find) lookFor(find);
  try {
    if (asked.has('demo')) await openDemo();
    else goOnWithDemo();
    await recover();
    if (asked.has('new')) await addStudent();
    if (student && !(await getStudent(student)))
      say({
        kind: 'trouble',
        message:
          'The student in this address is not in this browser: they may have been deleted, or belong to another browser.',
      });
    void keepFingerings().catch(() => undefined);
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

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

export async function addStudent() {
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
  await save([{ kind: 'added', table: 'students', record: student }], () => showStudent(student.id));
}

/** Edits that the store does not have yet, by student, with the student as the store has them. */
const unsaved = new Map<
  string,
  { readonly student: StudentRecord; readonly fields: Fields<StudentRecord> }
>();
/** Students as last written by this page: newer than what the page shows until it has heard of it. */
const written = new Map<string, StudentRecord>();

/**
 * Changes some of what is known of a student.
 * @param shown as the page shows it
 * @param run names edits that follow each other in one box and are undone as one
 */
export async function changeStudent(
  shown: StudentRecord,
  change: (student: StudentRecord) => Partial<StudentRecord>,
  run: string | null = null,
) {
  forgetDeleted();
  const { id } = shown;
  const own = written.get(id);
  const student = own && own.changedAt > shown.changedAt ? own : shown;
  const waiting = unsaved.get(id)?.fields;
  const seen = { ...student, ...waiting?.to };
  const fields = fieldsBetween(seen, { ...seen, ...change(seen) });
  if (!fields) return;
  unsaved.set(id, { student, fields: waiting ? joined(waiting, fields) : fields });
  set({ history: afterEdit(get().history, { id, ...fields }, run && `${id}.${run}`) });
  await writeStudent(id);
}

/** Edits follow one another. */
let writing: Promise<unknown> = Promise.resolve();

/** Writes what is not saved yet of one student. @returns whether it is saved now */
function writeStudent(id: string): Promise<boolean> {
  const work = writing.then(() => writeUnsaved(id));
  writing = work;
  return work;
}

async function writeUnsaved(id: string): Promise<boolean> {
  const edit = unsaved.get(id);
  if (!edit) return true;
  try {
    const outcome = await commit([{ kind: 'updated', table: 'students', id, ...edit.fields }]);
    if (outcome.kind === 'written') {
      written.set(id, outcome.records[0] as StudentRecord);
      if (unsaved.get(id) === edit) {
        unsaved.delete(id);
        dropDraft(id);
      }
      return true;
    }
    const now = outcome.current as StudentRecord | undefined;
    if (!now) {
      unsaved.delete(id);
      say({
        kind: 'trouble',
        message: 'This student was deleted on another page. “Deleted” in the Studio has them for 30 days.',
      });
      return true;
    }
    // Another page wrote the same field meanwhile: what is typed here is put on top of that.
    // So is what was typed while that was found out.
    const latest = unsaved.get(id) ?? edit;
    const fields = fieldsBetween(now, { ...now, ...latest.fields.to });
    if (fields) unsaved.set(id, { student: now, fields });
    else unsaved.delete(id);
    return await writeUnsaved(id);
  } catch (error) {
    const offer = { words: 'Try again', act: () => writeStudent(id) };
    say({ kind: 'trouble', message: storageWords(storageFault(error)), offer });
    return false;
  }
}

/** The page goes: edits the store does not have yet are kept as drafts. @returns false where something would be lost */
export function leave(): boolean {
  return [...unsaved].every(([id, { student, fields }]) =>
    keepDraft({
      change: { kind: 'updated', table: 'students', id, ...fields },
      record: { ...student, ...fields.to },
    }),
  );
}

/** Takes the last edit back; right after something was deleted, that. */
export async function undo() {
  const bin = lastDeleted();
  if (bin) await bringBack(bin);
  else await step(undone(get().history));
}

export const redo = () => step(redone(get().history));

async function step(found: Step<StudentChange> | null) {
  if (!found) return;
  const { change, history, without } = found;
  // What is taken back has to be written first.
  await writing;
  try {
    const outcome = await commit([{ kind: 'updated', table: 'students', ...change }]);
    if (outcome.kind === 'written') {
      set({ history, studentId: change.id });
      return;
    }
    set({ history: without });
    say({
      kind: 'done',
      message: outcome.current
        ? 'This step cannot be taken any more: the same was changed on another page since. It was dropped.'
        : 'This step cannot be taken any more: the student was deleted. It was dropped.',
    });
  } catch (error) {
    say({
      kind: 'trouble',
      message: storageWords(storageFault(error)),
      offer: { words: 'Try again', act: () => step(found) },
    });
  }
}

export async function removeStudent(student: StudentRecord) {
  let changes: Change[];
  try {
    changes = await removalOfStudent(student);
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
    return;
  }
  const words = student.name || 'The student';
  const theirs = changes.length > 1 ? ' Their plans are still here, for anyone.' : '';
  const gone = await remove(changes, `${words} was deleted.${theirs}`, words, () => showStudent(student.id));
  if (gone) showStudent(null);
}

export async function removePlan(plan: PlanRecord, words: string) {
  await remove([{ kind: 'removed', table: 'plans', record: plan }], `“${words}” was deleted.`, words);
}

const FIRST_SCALE: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'updown' },
};

/** A new plan for a student, opened on the Bench. */
export async function planFor(shown: StudentRecord) {
  // What was just typed of the student counts.
  await writing;
  const own = written.get(shown.id);
  const student = own && own.changedAt > shown.changedAt ? own : shown;
  const request = withOwnTaste(forStudent(FIRST_SCALE, student));
  await openNew(newRecord(request, Date.now(), { studentId: student.id }));
}

/** Gives a plan to another student: a copy on their instrument, for their hand, opened on the Bench. */
export async function givePlan(plan: PlanRecord, student: StudentRecord) {
  await openNew(inOwnTaste(givenTo(plan, student, Date.now())));
}

/** Gives a plan to several students at once: a copy for each, for their hand and instrument. */
export async function givePlanTo(plan: PlanRecord, students: readonly StudentRecord[]) {
  const now = Date.now();
  const copies = students.map((student) => inOwnTaste(givenTo(plan, student, now)));
  await save(
    copies.map((record) => ({ kind: 'added', table: 'plans', record })),
    () =>
      say({
        kind: 'done',
        message: `Given to ${listed(students.map(({ name }) => name || 'a student without a name'))}.`,
      }),
  );
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
    say({
      kind: 'done',
      message: away ? 'It is in the archive: the tag “archived” shows it.' : 'It is in the list again.',
    }),
  );
}

async function openNew(plan: PlanRecord) {
  await save([{ kind: 'added', table: 'plans', record: plan }], () => location.assign(`/?plan=${plan.id}`));
}

/** Takes everything out of the studio; it can be brought back for as long as the bin keeps it. */
export async function emptyStudio() {
  try {
    const all = await listAll();
    const amount = listed(
      amountWords({ students: all.students.length, plans: all.plans.length, briefs: all.briefs.length }),
    );
    const gone = await remove(removals(all), `The studio is empty: ${amount} were deleted.`, amount);
    if (gone) showStudent(null);
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}
