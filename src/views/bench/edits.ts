import { INSTRUMENTS, readNoteText, type PlanRequest } from '../../core';
import { carryOn } from '../../brief/pattern';
import { forStudent } from '../../brief/student';
import type { PlanRecord, StudentRecord } from '../../store/records';
import { say } from '../../ui/notices';
import { afterEdit, redone, undone, type History, type Step } from '../../ui/history';
import { replan } from './planning';
import { saveSoon } from './saving';
import { editedOf, useBench, type Edited } from './state';

/*
 * What the user can do to the plan on the stand. Each change can be undone, is saved in a moment and planned at once.
 */

const { getState: get, setState: set } = useBench;

/** Now, but always after the change before, so that no two changes are taken for one. */
function later({ changedAt }: PlanRecord): number {
  return Math.max(Date.now(), changedAt + 1);
}

/** @param run names edits that follow each other and are undone as one */
function change(part: Partial<PlanRecord>, run: string | null = null) {
  const { record, history, response } = get();
  set({
    record: { ...record, ...part, changedAt: later(record) },
    history: afterEdit(history, editedOf(record), run),
    before: part.request ? (response?.plans[record.chosen] ?? null) : null,
    beside: null,
  });
  saveSoon();
}

export function undo() {
  step(undone);
}

export function redo() {
  step(redone);
}

function step(go: (history: History<Edited>, now: Edited) => Step<Edited> | null) {
  const { record, history } = get();
  const found = go(history, editedOf(record));
  if (!found) return;
  set({
    record: { ...record, ...found.state, changedAt: later(record) },
    history: found.history,
    before: null,
    beside: null,
  });
  saveSoon();
  void replan();
}

/** Lays another alternative beside the one on the stand, or takes it away. */
export function layBeside(beside: number | null) {
  set({ beside });
}

export function setRequest(request: PlanRequest) {
  changeRequest(request, {});
}

/** Makes the plan one for a student, on their instrument and with their hand; null leaves it to nobody in particular. */
export function setStudent(student: StudentRecord | null) {
  if (!student) change({ studentId: null });
  else changeRequest(forStudent(get().record.request, student), { studentId: student.id });
}

function changeRequest(request: PlanRequest, part: Partial<PlanRecord>) {
  const { record, response } = get();
  const old = record.request;
  const sameNotes = request.instrument === old.instrument && notesOf(request) === notesOf(old);
  const moved = request.material !== old.material || request.instrument !== old.instrument;
  change({
    ...part,
    request: moved ? withoutPlaces(request) : request,
    chosen: 0,
    typed: sameNotes ? record.typed : undefined,
  });
  // A demand at one note of a plan that was chosen is one on that plan: what comes stays near it.
  const follow = !moved && record.chosen > 0 ? (response?.plans[record.chosen] ?? null) : null;
  void replan(follow).then((followed) => followed && saveSoon());
}

/** Demands at single notes belong to the notes they were made for; undo brings them back with those. */
function withoutPlaces(request: PlanRequest): PlanRequest {
  return request.rules
    ? { ...request, rules: { ...request.rules, locks: undefined, never: undefined } }
    : request;
}

function notesOf({ material }: PlanRequest) {
  return material.type === 'notes' ? material.notes : null;
}

/** Keeps typed notes as they are, and plans them as far as every word can be read. */
export function setTyped(typed: string) {
  const { request } = get().record;
  const { notes, issues } = readNoteText(typed, INSTRUMENTS[request.instrument].writtenOctavesUp);
  const { material } = request;
  if (issues.length > 0 || notes.length === 0 || material.type !== 'notes') {
    change({ typed }, 'typed');
    return;
  }
  const planned = withoutPlaces({ ...request, material: { ...material, notes } });
  change({ typed, request: planned, chosen: 0 }, 'typed');
  void replan();
}

export function choosePlan(chosen: number) {
  change({ chosen });
}

export function rename(name: string) {
  change({ name }, 'name');
}

/** @param words tags parted by commas */
export function setTags(words: string) {
  const tags = words.split(',').map((tag) => tag.trim().slice(0, 60));
  change({ tags: [...new Set(tags)].filter((tag) => tag !== '') });
}

/** @param mark true to mark the notes from where the cursor was */
export function moveCursor(to: number, mark = false) {
  const { response, cursor: from, selection } = get();
  const cursor = Math.max(0, Math.min((response?.events.length ?? 0) - 1, to));
  if (!mark) {
    set({ cursor });
    return;
  }
  const anchor = selection ? (selection.from === from ? selection.to : selection.from) : from;
  set({ cursor, selection: { from: Math.min(anchor, cursor), to: Math.max(anchor, cursor) } });
}

/** From now on moving the cursor marks notes, beginning with the one it is on; or no longer. */
export function toggleMarking() {
  const { marking, cursor, selection } = get();
  set({ marking: !marking, selection: marking ? selection : { from: cursor, to: cursor } });
}

/** Puts the cursor on the last of some notes and marks them all. */
export function select(from: number, to: number) {
  set({ cursor: to, selection: { from, to }, marking: false });
}

export function unmark() {
  set({ selection: null, marking: false });
}

/** Carries the marked notes' fingers on to the sequence after them. */
export function carryMarked() {
  const { record, response, selection } = get();
  const plan = response?.plans[record.chosen];
  if (!response || !plan || !selection) return;
  const carried = carryOn(record.request, plan, response.events, selection.from, selection.to);
  if (carried.kind === 'trouble') {
    say(carried);
    return;
  }
  setRequest(carried.request);
  const { groups } = carried;
  say({
    kind: 'done',
    message: `The fingers were carried on to ${groups} ${groups === 1 ? 'group' : 'groups'} of notes.`,
    offer: { words: 'Undo', act: undo },
  });
}
