import { fieldsBetween, type Change } from '../../store/changes';
import { storageFault } from '../../store/db';
import { countedEdit } from '../../store/merging';
import type { LessonRecord, SessionRecord } from '../../store/records';
import { commit } from '../../store/writes';
import { storageWords } from '../../wording/storage';
import { deviceId } from '../device';
import { say } from '../notices';

/*
 * Edits of what practice leaves. They are written one after the other, each on top of the one before, however fast they are typed.
 */

interface Edited {
  readonly sessions: SessionRecord;
  readonly lessons: LessonRecord;
}

/** Records as last written by this page: newer than what it shows until it has heard of it. */
const written = new Map<string, SessionRecord | LessonRecord>();
let writing: Promise<unknown> = Promise.resolve();

/** Changes some fields of a record. @param shown as the page shows it @returns whether they are kept */
export function editRecord<Name extends keyof Edited>(
  table: Name,
  shown: Edited[Name],
  to: Partial<Edited[Name]>,
): Promise<boolean> {
  const work = writing.then(() => write(table, newest(shown), to));
  writing = work;
  return work;
}

function newest<T extends SessionRecord | LessonRecord>(shown: T): T {
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
  const edit = countedEdit(record, fields.to, deviceId());
  const from = { ...fields.from, edits: record.edits };
  const change = { kind: 'updated', table, id: record.id, from, to: edit } as unknown as Change;
  try {
    const outcome = await commit([change]);
    if (outcome.kind === 'written') {
      written.set(record.id, outcome.records[0] as SessionRecord | LessonRecord);
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
    const offer = { words: 'Try again', act: () => editRecord(table, record, to) };
    say({ kind: 'trouble', message: storageWords(storageFault(error)), offer });
    return false;
  }
}
