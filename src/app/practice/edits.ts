import { create } from 'zustand';
import { fieldsBetween, type Change, type Fields } from '../../store/changes';
import { storageFault } from '../../store/db';
import { countedEdit } from '../../store/merging';
import type { LessonRecord, PlanRecord, SessionRecord } from '../../store/records';
import { commit } from '../../store/writes';
import { storageWords } from '../../wording/storage';
import { deviceId } from '../device';
import { afterEdit, NO_HISTORY, redone, undone, type History, type Step } from '../history';
import { say } from '../notices';
import { bringBack, forgetDeleted, lastDeleted } from '../writes';

/*
 * Edits of what practice leaves. They are written one after the other, each on top of the one before, however fast they are typed.
 */

interface Edited {
  readonly sessions: SessionRecord;
  readonly lessons: LessonRecord;
  readonly plans: PlanRecord;
}

/** Records as last written by this page: newer than what it shows until it has heard of it. */
const written = new Map<string, Edited[keyof Edited]>();
let writing: Promise<unknown> = Promise.resolve();

/** A change of one record, to be undone. */
interface RecordChange extends Fields<Edited[keyof Edited]> {
  readonly table: keyof Edited;
  readonly record: Edited[keyof Edited];
}

export const usePracticeHistory = create<{ readonly history: History<RecordChange> }>(() => ({
  history: NO_HISTORY,
}));

const setHistory = (history: History<RecordChange>) => usePracticeHistory.setState({ history });

/** Changes some fields of a record; what is typed into one field is undone as one. @param shown as the page shows it @returns whether they are kept */
export function editRecord<Name extends keyof Edited>(
  table: Name,
  shown: Edited[Name],
  to: Partial<Edited[Name]>,
): Promise<boolean> {
  forgetDeleted();
  const record = newest(shown);
  const fields = fieldsBetween<Edited[Name]>(record, { ...record, ...to });
  if (!fields) return Promise.resolve(true);
  const run = `${shown.id}.${Object.keys(fields.to).join()}`;
  const change = { ...fields, table, record } as RecordChange;
  setHistory(afterEdit(usePracticeHistory.getState().history, change, run));
  return queued(table, shown, to);
}

/** Takes the last edit back; right after something was deleted, that. */
export async function undo() {
  const bin = lastDeleted();
  if (bin) await bringBack(bin);
  else await step(undone(usePracticeHistory.getState().history));
}

export const redo = () => step(redone(usePracticeHistory.getState().history));

async function step(found: Step<RecordChange> | null) {
  if (!found) return;
  const { table, record, to } = found.change;
  setHistory(found.history);
  await queued(table, record, to);
}

function queued<Name extends keyof Edited>(
  table: Name,
  shown: Edited[Name],
  to: Partial<Edited[Name]>,
): Promise<boolean> {
  const work = writing.then(() => write(table, newest(shown), to));
  writing = work;
  return work;
}

function newest<T extends Edited[keyof Edited]>(shown: T): T {
  const own = written.get(shown.id) as T | undefined;
  return own && own.changedAt > shown.changedAt ? own : shown;
}

async function write<Name extends keyof Edited>(
  table: Name,
  record: Edited[Name],
  to: Partial<Edited[Name]>,
): Promise<boolean> {
  const fields = fieldsBetween<Edited[Name]>(record, { ...record, ...to });
  if (!fields) return true;
  const change = { kind: 'updated', table, id: record.id, ...toldApart(record, fields) } as unknown as Change;
  try {
    const outcome = await commit([change]);
    if (outcome.kind === 'written') {
      written.set(record.id, outcome.records[0] as Edited[Name]);
      return true;
    }
    const now = outcome.current as Edited[Name] | undefined;
    // Another page wrote it meanwhile: what is typed here is put on top of that.
    if (now && now.changedAt !== record.changedAt) return await write(table, now, to);
    say({
      kind: 'trouble',
      message: 'This was deleted on another page. “Deleted” in the Studio has it for 30 days.',
    });
    return false;
  } catch (error) {
    const offer = { words: 'Try again', act: () => queued(table, record, to) };
    say({ kind: 'trouble', message: storageWords(storageFault(error)), offer });
    return false;
  }
}

/** Records that are written on two computers count who wrote what. */
function toldApart(record: Edited[keyof Edited], { from, to }: Fields<Edited[keyof Edited]>) {
  if (!('startedAt' in record || 'assigned' in record)) return { from, to };
  const counted = countedEdit<SessionRecord | LessonRecord>(record, to as Partial<SessionRecord>, deviceId());
  return { from: { ...from, edits: record.edits }, to: counted };
}
