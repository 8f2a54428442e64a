import {
  instrumentRecord,
  notesFollowed,
  readNoteText,
  sameMusic,
  withDemand,
  writeNoteText,
  writtenOut,
  type NoteSpec,
  type Plan,
  type PlanRequest,
  type PlanRecord,
  type StudentRecord,
} from '../core';
import { counted } from '../wording/grammar';
import { session } from './bench';
import { carryOn } from './brief/pattern';
import type { Brief } from './brief/offers';
import { forStudent, playingOf } from './brief/student';
import { say } from './notices';
import { tagsFrom } from './tags';
import { withOwnTaste } from './taste';
import { bringBack, lastDeleted } from './writes';
import type { Beside, Edited } from './session/state';
import { planOf, responseOf } from './session/state';
import * as appText from '../wording/rooms/app';

/*
 * What the user can do to the plan on the stand.
 */

const { getState: get, setState: set } = session.store;

export const { redo, choose: choosePlan } = session;

/** Takes the last edit back; right after something was deleted, that. */
export function undo() {
  const bin = lastDeleted();
  if (bin) void bringBack(bin);
  else session.undo();
}

/** Lays another way or another plan beside the one on the stand, or takes it away. */
export function layBeside(beside: number | Beside | null) {
  set({ beside });
}

/** Lays a way of the answer beside the plan on the stand; one of a list that is out of date is no way any more. */
export function layWayBeside(plan: Plan | null) {
  const at = plan ? (responseOf(get())?.plans.indexOf(plan) ?? -1) : -1;
  set({ beside: at >= 0 ? at : null });
}

export function setRequest(request: PlanRequest) {
  changeRequest(request, {});
}

/** The same where the way on the stand is not what is wanted any more: the best plan of it is put there. */
export function setRequestAnew(request: PlanRequest) {
  session.changeRequest(request, {});
}

/** Puts a way's demand into the brief, so that it becomes the best plan of it. */
export function demandWay({ demand }: Plan) {
  if (demand) setRequest(withDemand(get().record.request, demand));
}

/** Makes the plan one for a student, on their instrument and with their hand; null leaves it to nobody in particular. */
export function setStudent(student: StudentRecord | null) {
  if (!student) session.change({ studentId: null });
  else changeRequest(withOwnTaste(forStudent(get().record.request, student)), { studentId: student.id });
}

/** Puts a typed brief on the stand, with the student it names. One that names its music is another plan than a saved one. */
export function setBrief({ request, student, whole }: Brief) {
  if (student) changeRequest(withOwnTaste(request), { studentId: student.id }, whole);
  else changeRequest(request, {}, whole);
}

/** What a brief that names its music begins from: on a saved plan the player alone, without the wishes of that plan. */
export function cleanBase(record: PlanRecord, kept: boolean, students: readonly StudentRecord[]): PlanRequest {
  const { request } = record;
  if (!kept) return request;
  const clean: PlanRequest = { ...playingOf(request), preferences: request.preferences, material: request.material };
  const student = students.find(({ id }) => id === record.studentId);
  return student ? forStudent(clean, student) : clean;
}

function changeRequest(request: PlanRequest, part: Partial<Edited>, anew = false) {
  const { record, chosen } = get();
  const old = record.request;
  const sameNotes = request.instrument === old.instrument && notesOf(request) === notesOf(old);
  // A phrase mark is no other note: what is asked of the notes stays.
  const marked = !sameNotes && request.instrument === old.instrument && sameSound(request, old);
  const moved = !marked && (request.material !== old.material || request.instrument !== old.instrument || anew);
  // A demand at one note of a plan that was chosen is one on that plan: what comes stays near it.
  const follow = !moved && chosen > 0 ? (planOf(get()) ?? null) : null;
  const toRun = request.material.type !== 'notes';
  const typed = toRun ? ownNotes(record) : sameNotes || marked ? record.typed : undefined;
  const left = moved ? { written: undefined } : {};
  session.changeRequest(moved ? withoutPlaces(request) : request, { ...part, ...left, typed }, { follow, anew });
}

/** True where two lists of notes sound the same: they differ in marks alone. */
function sameSound({ material: a }: PlanRequest, { material: b }: PlanRequest): boolean {
  if (a.type !== 'notes' || b.type !== 'notes' || a.notes.length !== b.notes.length || a.key !== b.key) return false;
  return notesFollowed(a.notes, b.notes).every((to, at) => to === at);
}

/** Demands at single notes, and what was found written there, belong to the notes they were made for; undo brings them back with those. */
function withoutPlaces(request: PlanRequest): PlanRequest {
  if (!request.rules) return request;
  const gone = { locks: undefined, never: undefined, places: undefined, same: undefined, prepare: undefined };
  return { ...request, rules: { ...request.rules, ...gone } };
}

/** Demands follow their notes where music was edited; those of notes that are gone go with them. */
function withPlacesMoved(request: PlanRequest, before: readonly NoteSpec[], after: readonly NoteSpec[]): PlanRequest {
  if (!request.rules) return request;
  const { locks, never, places, same, prepare } = request.rules;
  const to = notesFollowed(before, after);
  /** A stretch goes with its notes, as far as they are left; one that has changed inside is let go where it must be whole. */
  const stretch = (from: number, end: number) => {
    const kept = to.slice(from, end + 1).flatMap((at) => at ?? []);
    return kept.length > 0 ? { from: kept[0], to: kept[kept.length - 1], whole: kept.length === end - from + 1 } : null;
  };
  const some = <T>(list: readonly T[]) => (list.length > 0 ? [...list] : undefined);
  const moved = <T extends { readonly at: number }>(places: readonly T[] | undefined) => {
    const left = places?.flatMap((place) => {
      const at = to[place.at];
      return typeof at === 'number' ? [{ ...place, at }] : [];
    });
    return left && left.length > 0 ? left : undefined;
  };
  return {
    ...request,
    rules: {
      ...request.rules,
      locks: moved(locks),
      never: moved(never),
      places: some(
        (places ?? []).flatMap((place) => {
          const own = stretch(place.from, place.to);
          return own ? [{ ...place, from: own.from, to: own.to }] : [];
        }),
      ),
      same: some(
        (same ?? []).flatMap((one) => {
          const [own, model] = [stretch(one.from, one.to), stretch(one.as, one.as + one.to - one.from)];
          const whole = own?.whole && model?.whole && own.to - own.from === model.to - model.from;
          return whole ? [{ from: own.from, to: own.to, as: model.from }] : [];
        }),
      ),
      prepare: some(
        (prepare ?? []).flatMap((one) => {
          const [from, goal] = [to[one.from], to[one.for]];
          return typeof from === 'number' && typeof goal === 'number' ? [{ from, for: goal }] : [];
        }),
      ),
    },
  };
}

/** The notes of one's own as they were typed; they stay with the plan while it is a scale. */
function ownNotes({ typed, request: { material, instrument } }: PlanRecord): string | undefined {
  if (typed !== undefined || material.type !== 'notes') return typed;
  return writeNoteText(material.notes, instrumentRecord(instrument).writtenOctavesUp);
}

/** Notes of one's own: those given, those that were typed in this plan before, or an empty box. The key stays. */
export function takeOwnNotes(given?: string) {
  const { record } = get();
  const { request } = record;
  const { material, instrument } = request;
  if (material.type === 'notes') {
    if (given) setTyped(given);
    return;
  }
  const { key } = writtenOut(material);
  const up = instrumentRecord(instrument).writtenOctavesUp;
  const text = given ?? record.typed ?? '';
  const { notes, issues } = readNoteText(text, up);
  const known = notes.length > 0 && issues.length === 0;
  const own = { type: 'notes', key, notes: known ? notes : [{ pitches: [material.tonic], beats: 1 }] } as const;
  const moved = withoutPlaces({ ...request, material: own });
  session.changeRequest(moved, { typed: known ? text : '', written: undefined }, { follow: null });
}

function notesOf({ material }: PlanRequest) {
  return material.type === 'notes' ? material.notes : null;
}

/** Keeps typed notes as they are, and plans them as far as every word can be read. */
export function setTyped(typed: string) {
  const { request } = get().record;
  const { notes, issues } = readNoteText(typed, instrumentRecord(request.instrument).writtenOctavesUp);
  const { material } = request;
  if (issues.length > 0 || notes.length === 0 || material.type !== 'notes') {
    session.change({ typed }, 'typed');
    return;
  }
  const edited = { ...request, material: { ...material, notes: withMarks(material.notes, notes) } };
  const planned = sameMusic(request, edited) ? withPlacesMoved(edited, material.notes, notes) : withoutPlaces(edited);
  // Where another plan begins, this one is left with the text of its own notes.
  const left = { typed: writeNoteText(material.notes, instrumentRecord(request.instrument).writtenOctavesUp) };
  session.changeRequest(planned, { typed, written: undefined }, { run: 'typed', left });
}

/** Typed notes have no phrases or accents: those of notes that are still there stay with them. */
function withMarks(before: readonly NoteSpec[], after: readonly NoteSpec[]): NoteSpec[] {
  const from = new Map(notesFollowed(before, after).map((to, at) => [to, at]));
  return after.map((note, at) => {
    const old = before[from.get(at) ?? -1];
    if (!old) return note;
    const { phrase, doubleBar } = old;
    const shared = { ...(phrase === undefined ? {} : { phrase }), ...(doubleBar ? { doubleBar } : {}) };
    if ('rest' in old || 'rest' in note) return { ...note, ...shared };
    const { bow, accent, short, divisi } = old;
    return {
      ...note,
      ...shared,
      ...(bow ? { bow } : {}),
      ...(accent ? { accent } : {}),
      ...(short ? { short } : {}),
      ...(divisi ? { divisi } : {}),
    };
  });
}

export function rename(name: string) {
  session.change({ name }, 'name');
}

/** @param words tags, with commas between */
export function setTags(words: string) {
  session.change({ tags: tagsFrom(words) });
}

/** @param mark true to mark the notes from where the cursor was */
export function moveCursor(to: number, mark = false) {
  const { cursor: from, selection } = get();
  const events = responseOf(get())?.events.length ?? 0;
  const cursor = Math.max(0, Math.min(events - 1, to));
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
  const { record, selection } = get();
  const [response, plan] = [responseOf(get()), planOf(get())];
  if (!response || !plan || !selection) return;
  const carried = carryOn(record.request, plan, response.events, selection.from, selection.to);
  if (carried.kind === 'trouble') {
    say(carried);
    return;
  }
  setRequest(carried.request);
  const { groups } = carried;
  // Said once it is known whether the fingers can be had there.
  const unwatch = session.store.subscribe((state) => {
    if (state.planning.kind === 'working') return;
    unwatch();
    const fits = planOf(state) !== undefined;
    say({
      kind: fits ? 'done' : 'trouble',
      message: fits
        ? appText.theFingeringWasRepeated(counted(groups, 'group'))
        : appText.theFingeringCantBe(counted(groups, 'group')),
      offer: { words: appText.undo, act: session.undo },
    });
  });
}
