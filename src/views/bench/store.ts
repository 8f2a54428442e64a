import { create } from 'zustand';
import {
  INSTRUMENTS,
  readNoteText,
  type ChoiceIssue,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../core';
import { addPlans, deletePlan, getPlan, listPlans, savePlan, storageTrouble } from '../../store/db';
import { backupText, joinPlans, readBackup } from '../../store/backup';
import { demoPlans } from '../../store/demo';
import { afterEdit, editedOf, NO_HISTORY, redone, undone, type History } from './history';
import { newRecord, type PlanRecord } from '../../store/records';
import { planInWorker } from '../../work/planner';

/** What the user last heard back; an offer is one thing they may do about it. */
export interface Notice {
  readonly kind: 'done' | 'trouble';
  readonly message: string;
  readonly offer?: { readonly words: string; readonly act: () => void };
}

export type SaveState = 'saved' | 'saving' | 'failed';

interface BenchState {
  readonly record: PlanRecord;
  readonly response: PlanResponse | null;
  readonly issues: readonly ChoiceIssue[];
  readonly cursor: number;
  readonly save: SaveState;
  readonly notice: Notice | null;
  readonly ready: boolean;
  readonly history: History;
  /** The plan that stood before the last edit of the same notes, to say what the edit changed. */
  readonly before: Plan | null;
  /** Another alternative laid beside the one on the stand. */
  readonly beside: number | null;
}

/** What the Bench opens with when nothing is kept yet. */
const FIRST_REQUEST: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

/** Alternatives the Bench asks for. */
const ALTERNATIVES = 5;
/** Quiet time in ms after a change before it is saved. */
const SAVE_AFTER = 250;
const LAST_OPEN = 'dove-path-open';

export const useBench = create<BenchState>(() => ({
  record: newRecord(FIRST_REQUEST, 0),
  response: null,
  issues: [],
  cursor: 0,
  save: 'saved',
  notice: null,
  ready: false,
  history: NO_HISTORY,
  before: null,
  beside: null,
}));

const { getState: get, setState: set } = useBench;

let asked = 0;

/** Plans the request on the stand; an answer that comes after a newer question is dropped. */
async function replan() {
  const ask = ++asked;
  const answer = await planInWorker({ ...get().record.request, alternatives: ALTERNATIVES });
  if (ask !== asked) return;
  if ('error' in answer) {
    set({ issues: answer.error.issues });
    return;
  }
  const { record, cursor } = get();
  const chosen = Math.max(0, Math.min(record.chosen, answer.plans.length - 1));
  set({
    response: answer,
    issues: [],
    cursor: Math.min(cursor, answer.events.length - 1),
    record: answer.plans.length > 0 ? { ...record, chosen } : record,
  });
}

let saveTimer: ReturnType<typeof setTimeout> | undefined;

function saveSoon() {
  set({ save: 'saving' });
  clearTimeout(saveTimer);
  saveTimer = setTimeout(saveNow, SAVE_AFTER);
}

/** Writes what is on the stand at once; also called when the page is about to go. */
export async function saveNow() {
  clearTimeout(saveTimer);
  if (get().save === 'saved') return;
  const { record } = get();
  try {
    await savePlan(record);
    if (get().record === record) set({ save: 'saved' });
  } catch (error) {
    set({ save: 'failed', notice: { kind: 'trouble', message: storageTrouble(error) } });
  }
}

/** @param run names edits that follow each other and are undone as one */
function change(part: Partial<PlanRecord>, run: string | null = null) {
  const { record, history, response } = get();
  set({
    record: { ...record, ...part, changedAt: Date.now() },
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

function step(go: typeof undone) {
  const { record, history } = get();
  const found = go(history, editedOf(record));
  if (!found) return;
  set({
    record: { ...record, ...found.state, changedAt: Date.now() },
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
  const { record } = get();
  const old = record.request;
  const sameNotes = request.instrument === old.instrument && notesOf(request) === notesOf(old);
  const moved = request.material !== old.material || request.instrument !== old.instrument;
  change({
    request: moved ? withoutPlaces(request) : request,
    chosen: 0,
    typed: sameNotes ? record.typed : undefined,
  });
  void replan();
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

export function moveCursor(to: number) {
  const events = get().response?.events.length ?? 0;
  set({ cursor: Math.max(0, Math.min(events - 1, to)) });
}

export function dismissNotice() {
  set({ notice: null });
}

function say(notice: Notice) {
  set({ notice });
}

async function putOnStand(record: PlanRecord) {
  await saveNow();
  set({ record, cursor: 0, save: 'saved', history: NO_HISTORY, before: null, beside: null });
  localStorage.setItem(LAST_OPEN, record.id);
  await replan();
}

/** Opens what was on the stand last, or the newest plan, or a first one; with `demo` an empty studio is filled first. */
export async function start(demo: boolean) {
  try {
    if (demo && (await listPlans()).length === 0) await addPlans(demoPlans(Date.now()));
    const last = localStorage.getItem(LAST_OPEN);
    const kept = (last && (await getPlan(last))) || (await listPlans())[0];
    if (kept) set({ record: kept });
    else startNew();
    localStorage.setItem(LAST_OPEN, get().record.id);
  } catch (error) {
    set({ save: 'failed', notice: { kind: 'trouble', message: storageTrouble(error) } });
  }
  await replan();
  set({ ready: true });
}

function startNew() {
  set({ record: newRecord(FIRST_REQUEST, Date.now()) });
  saveSoon();
}

/** A fresh plan beside the others, beginning from what is on the stand. */
export async function newPlan() {
  const { request } = get().record;
  const record = newRecord(request, Date.now());
  await savePlanOrSay(record);
  await putOnStand(record);
}

async function savePlanOrSay(record: PlanRecord) {
  try {
    await savePlan(record);
  } catch (error) {
    say({ kind: 'trouble', message: storageTrouble(error) });
  }
}

export async function openPlan(id: string) {
  const record = await getPlan(id);
  if (record) await putOnStand(record);
}

/** Deletes a plan and offers it back. */
export async function removePlan(listed: PlanRecord, words: string) {
  const onStand = get().record.id === listed.id;
  const record = onStand ? get().record : listed;
  if (onStand) {
    clearTimeout(saveTimer);
    set({ save: 'saved' });
  }
  await deletePlan(record.id);
  if (onStand) {
    const [next] = await listPlans();
    if (next) await putOnStand(next);
    else {
      startNew();
      await replan();
    }
  }
  const act = () => void bringBack(record);
  say({ kind: 'done', message: `“${words}” was deleted.`, offer: { words: 'Undo', act } });
}

async function bringBack(record: PlanRecord) {
  await savePlanOrSay(record);
  await putOnStand(record);
  dismissNotice();
}

/** All plans as the text of a backup file. */
export async function makeBackup(): Promise<string> {
  await saveNow();
  return backupText(await listPlans(), new Date());
}

/** Joins the plans of a backup file to those here; a file that cannot be read changes nothing. */
export async function restoreBackup(text: string) {
  const reading = readBackup(text);
  if (reading.kind === 'trouble') {
    say({ kind: 'trouble', message: reading.message });
    return;
  }
  try {
    const { added, known } = joinPlans(await listPlans(), reading.plans);
    await addPlans(added);
    const rest = known > 0 ? ` ${known} ${known === 1 ? 'was' : 'were'} here already.` : '';
    say({
      kind: 'done',
      message: `${added.length} ${added.length === 1 ? 'plan' : 'plans'} restored.${rest}`,
    });
  } catch (error) {
    say({ kind: 'trouble', message: storageTrouble(error) });
  }
}
