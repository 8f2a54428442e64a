import { create } from 'zustand';
import type { LessonRecord, PlanRecord, SessionRecord, StudentRecord } from '../core';
import { fieldsBetween, fits, joined, type Change, type Fields } from '../store/changes';
import { dropDraft, keepDraft } from '../store/drafts';
import { bothWords, countedEdit, WORDS } from '../store/merge';
import { getRow } from '../store/read';
import { tableOf } from '../store/tables';
import { commit } from '../store/write';
import { DELETED_MEANWHILE, STEP_BLOCKED, STEP_GONE } from '../wording/storage';
import { deviceId } from '../store/device';
import { forgetFailed, tellFailed } from './failures';
import { say } from './notices';
import { afterEdit, NO_HISTORY, stepOf, type Direction, type History } from './undo';
import { bringBack, forgetDeleted, lastDeleted, save } from './writes';

/*
 * Edits of kept records, saved as they are typed: students, the log, lessons, the lines of a sheet. They are written one after the other, each on top of the
 * one before; each can be undone; a page that goes leaves what is not written as drafts.
 */

interface Editable {
  readonly students: StudentRecord;
  readonly sessions: SessionRecord;
  readonly lessons: LessonRecord;
  readonly plans: PlanRecord;
}
type EditableTable = keyof Editable;
type Row = Editable[EditableTable];

/** A change of one record, to be undone. */
export interface RecordChange extends Fields<Row> {
  readonly table: EditableTable;
  readonly id: string;
}

export const useEditing = create<{ readonly history: History<RecordChange> }>(() => ({ history: NO_HISTORY }));

const setHistory = (history: History<RecordChange>) => useEditing.setState({ history });

/** An edit that the store does not have yet, with the record as the store has it. */
interface Unsaved {
  readonly table: EditableTable;
  readonly record: Row;
  readonly fields: Fields<Row>;
}

const unsaved = new Map<string, Unsaved>();
/** Records as last written by this page: newer than what the page shows until it has heard of it. */
const written = new Map<string, Row>();
/** What is being written of a record: it may still come through as the page goes. */
const underWay = new Map<string, Partial<Row>>();
/** Words of another page beside which a box here is typed in: it does not show them while it has the cursor. */
const beside = new Map<string, string>();

/** Words that are typed here put to those of another page; once the box shows both, it decides. */
function withWords<T extends Row>(id: string, to: Partial<T>): Partial<T> {
  const words = Object.entries(to).flatMap(([field, typed]) => {
    const theirs = beside.get(`${id}.${field}`);
    if (theirs === undefined || typeof typed !== 'string') return [];
    if (typed.includes(theirs)) beside.delete(`${id}.${field}`);
    return [[field, bothWords(theirs, typed)]];
  });
  return { ...to, ...Object.fromEntries(words) };
}

/** Notes the words that another page has written where this one writes. */
function noteWords(now: Row, { from, to }: Fields<Row>) {
  for (const field of Object.keys(to) as (keyof Row)[]) {
    const theirs: unknown = now[field];
    if (WORDS.has(field) && typeof theirs === 'string' && theirs !== '' && theirs !== from[field])
      beside.set(`${now.id}.${field}`, theirs);
  }
}

/** Edits follow one another. */
let writing: Promise<unknown> = Promise.resolve();

/** All edits so far are in the store, or were told of. */
export async function settled(): Promise<void> {
  await writing;
}

/** A record as this page knows it: as it was last written here, where that is newer than what is shown. */
export function newest<T extends Row>(shown: T): T {
  const own = written.get(shown.id) as T | undefined;
  return own && own.changedAt > shown.changedAt ? own : shown;
}

/**
 * Changes some fields of a record.
 * @param shown as the page shows it
 * @param run names edits that follow each other in one box and are undone as one; by default those of the same fields; null for an edit of its own
 * @returns whether it is saved
 */
export function edit<Name extends EditableTable>(
  table: Name,
  shown: Editable[Name],
  change: Partial<Editable[Name]> | ((record: Editable[Name]) => Partial<Editable[Name]>),
  run?: string | null,
): Promise<boolean> {
  forgetDeleted();
  const { id } = shown;
  const record = newest(shown);
  const waiting = unsaved.get(id)?.fields as Fields<Editable[Name]> | undefined;
  const seen: Editable[Name] = { ...record, ...waiting?.to };
  const to = withWords(id, typeof change === 'function' ? change(seen) : change);
  const fields = fieldsBetween(seen, { ...seen, ...to });
  if (!fields) return Promise.resolve(true);
  unsaved.set(id, { table, record, fields: (waiting ? joined(waiting, fields) : fields) as Fields<Row> });
  const name = run === undefined ? Object.keys(fields.to).join() : run;
  const step = { table, id, ...fields } as RecordChange;
  setHistory(afterEdit(useEditing.getState().history, step, name && `${id}.${name}`));
  return writeSoon(id);
}

function writeSoon(id: string): Promise<boolean> {
  const work = writing.then(() => write(id));
  writing = work;
  return work;
}

/** Writes what is not saved yet of one record. @returns whether it is saved now */
async function write(id: string): Promise<boolean> {
  const waiting = unsaved.get(id);
  if (!waiting) return true;
  const { table, record, fields } = waiting;
  try {
    underWay.set(id, fields.to);
    const outcome = await commit([updateOf(table, record, fields)]).finally(() => underWay.delete(id));
    if (outcome.kind === 'written') {
      written.set(id, outcome.records[0] as Row);
      begun.delete(id);
      forgetFailed(id);
      putOnTop(id, waiting, outcome.records[0] as Row);
      return true;
    }
    const now = outcome.current as Row | undefined;
    if (!now) {
      unsaved.delete(id);
      say({ kind: 'trouble', message: DELETED_MEANWHILE });
      return false;
    }
    // Another page wrote the same field meanwhile: words of both are kept, anything else is put on top of that.
    const latest = unsaved.get(id) ?? waiting;
    noteWords(now, latest.fields);
    const onTop = fieldsBetween<Row>(now, { ...now, ...withWords(id, latest.fields.to) } as Row);
    if (onTop) unsaved.set(id, { table, record: now, fields: onTop });
    else unsaved.delete(id);
    return await write(id);
  } catch (error) {
    tellFailed(id, error, () => writeSoon(id));
    return false;
  }
}

/** Records that are shown and not written yet. */
const begun = new Set<string>();

/** A new record is shown: it is written with its first edit. */
export function begin(id: string) {
  begun.add(id);
}

/** Writes a new record as it stands, though nothing was typed into it. @returns whether it is written */
export async function keepBegun(table: EditableTable, record: Row): Promise<boolean> {
  if (!begun.has(record.id)) return true;
  const kept = await save([{ kind: 'added', table, record } as Change]);
  if (kept) begun.delete(record.id);
  return kept;
}

/** True of a record that is shown and not written yet. */
export const isBegun = (id: string) => begun.has(id);

/** What was typed while a record was being written is an edit of the record as it is written now. */
function putOnTop(id: string, written: Unsaved, now: Row) {
  const latest = unsaved.get(id);
  const fields = latest && latest !== written ? fieldsBetween<Row>(now, { ...now, ...latest.fields.to } as Row) : null;
  if (latest && fields) unsaved.set(id, { table: latest.table, record: now, fields });
  else {
    unsaved.delete(id);
    dropDraft(id);
  }
}

/** The change for the store; records that are written on several computers count who wrote what. */
function updateOf(table: EditableTable, record: Row, { from, to }: Fields<Row>): Change {
  if (begun.has(record.id)) return { kind: 'added', table, record: { ...record, ...to } } as Change;
  if (tableOf(table).join !== 'by-field') return { kind: 'updated', table, id: record.id, from, to } as Change;
  const log = record as SessionRecord | LessonRecord;
  const counted = countedEdit(log, to as Partial<SessionRecord>, deviceId());
  return { kind: 'updated', table, id: record.id, from: { ...from, edits: log.edits }, to: counted } as Change;
}

/** Takes the last edit back; right after something was deleted, that. */
export async function undo() {
  const bin = lastDeleted();
  if (bin) await bringBack(bin);
  else await step('back');
}

export const redo = () => step('forward');

/** Called with the id of the record that a step changed, so that it is shown. */
let shown: (id: string) => void = () => undefined;
export function onStep(show: (id: string) => void) {
  shown = show;
}

async function step(direction: Direction): Promise<void> {
  // What is taken back has to be written first.
  await settled();
  const found = stepOf(useEditing.getState().history, direction);
  if (!found) return;
  const { table, id } = found.change;
  try {
    const now = (await getRow(table, id)) as Row | undefined;
    if (!now || !fits(now, found.change)) {
      say({ kind: 'done', message: now ? STEP_BLOCKED : STEP_GONE });
      return;
    }
    const outcome = await commit([updateOf(table, now, found.change)]);
    if (outcome.kind === 'conflict') return await step(direction);
    written.set(id, outcome.records[0] as Row);
    setHistory(found.history);
    shown(id);
  } catch (error) {
    tellFailed(`step-${id}`, error, async () => {
      await step(direction);
      return true;
    });
  }
}

/** The page goes: edits the store does not have yet are kept as drafts. @returns false where something would be lost */
export function leave(): boolean {
  return [...unsaved.values()].every(({ table, record, fields }) => {
    const change = updateOf(table, record, fields);
    const once = { ...record, ...('to' in change ? change.to : fields.to) } as Row;
    // Counted once more than what is being written: the draft is newer, whether that comes through or not.
    const next = updateOf(table, once, { ...fields, to: fields.to });
    const draft = { ...once, ...('to' in next ? next.to : {}) } as Row;
    return keepDraft({ change, record: draft, underWay: underWay.get(record.id) });
  });
}
