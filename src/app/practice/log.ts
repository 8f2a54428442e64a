import type { SessionRecord, StudentRecord } from '../../core';
import { sessionsOf } from '../../store/read';
import { say } from '../notices';
import { remove, save } from '../writes';
import { dayOf, daysFrom, dayWords } from './calendar';
import { begin, edit } from '../editing';
import { newEntry } from './newEntry';
import { COUNTED_DAYS } from './overview';
import * as appText from '../../wording/rooms/app';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * The log as it is edited: words, minutes, the day; an entry written by hand; one deleted.
 */

/** What can be written into an entry. */
export type LogEdit = Partial<
  Pick<SessionRecord, 'day' | 'minutes' | 'what' | 'goal' | 'playerWords' | 'teacherWords' | 'question' | 'next'>
>;

export function editEntry(entry: SessionRecord, to: LogEdit): Promise<boolean> {
  return edit('sessions', entry, to);
}

/** A new entry of what was practised without the program; it is written with its first word. */
export function beginEntry(studentId: string): SessionRecord {
  const entry = newEntry({ studentId, minutes: 10 });
  begin(entry.id);
  return entry;
}

export function removeEntry(entry: SessionRecord) {
  const words = `${entry.what}, ${dayWords(entry.day)}`;
  return remove([{ kind: 'removed', table: 'sessions', record: entry }], appText.wasDeleted(words), words);
}

/** Ends a session that was left in the middle: what was judged stays in the log. */
export function endLeft(entry: SessionRecord) {
  return save([
    { kind: 'updated', table: 'sessions', id: entry.id, from: { endedAt: null }, to: { endedAt: Date.now() } },
  ]);
}

/** The log as a table for other programs. */
/** Entries from before the days that an overview reads. */
export async function earlierSessions(studentId: string): Promise<SessionRecord[]> {
  return sessionsOf(studentId, '', daysFrom(dayOf(Date.now()), -COUNTED_DAYS - 1));
}

export async function offerCsv({ id, name }: StudentRecord) {
  const entries = await sessionsOf(id);
  const [{ logCsv }, { offerFile }] = await Promise.all([import('./csv'), import('../files')]);
  if (entries.length === 0) say({ kind: 'done', message: practiceAppText.theLogIsEmpty });
  else offerFile(logCsv(entries), `practice-log-${name || 'student'}-${dayOf(Date.now())}.csv`, 'text/csv');
}
