import { storageFault } from '../../store/db';
import { TABLES } from '../../store/tables';
import type { StudentRecord } from '../../core';
import {
  broughtWords,
  practiceFileHasWords,
  readingTroubleWords,
  NEW_ENTRY,
  type EntryWords,
} from '../../wording/storage';
import { offerFile } from '../files';
import { say } from '../notices';
import { attempt } from '../writes';
import { dayOf } from './calendar';

/*
 * The practice file, out and in. Its reading and joining are fetched when they are asked for.
 */

export async function savePracticeFile({ id, name }: StudentRecord) {
  try {
    const { practiceFileText } = await import('../../store/practiceFile');
    const text = await practiceFileText(id, new Date());
    if (text === null) return;
    offerFile(text, `practice-${name || 'student'}-${dayOf(Date.now())}.dovepath.json`);
    say({ kind: 'done', message: practiceFileHasWords(name) });
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

/** @param expected the student whose page it is opened on */
export async function openPracticeFile(text: string, expected: StudentRecord | undefined) {
  const { joinPracticeFile, readPracticeFile } = await import('../../store/practiceFile');
  const reading = readPracticeFile(text);
  if (reading.kind === 'trouble') {
    say(reading);
    return;
  }
  const { student, aside } = reading;
  const joined = await attempt(() => joinPracticeFile(reading));
  if (!joined) return;
  const other = expected !== undefined && expected.id !== student.id;
  const amounts = COUNTED.map((name) => [joined.added[name] ?? 0, COUNTED_WORDS[name] ?? TABLES[name].words] as const);
  const came = { ...joined, amounts, aside, name: student.name, expected: other ? expected.name : null };
  say({ kind: 'done', message: broughtWords(came) });
}

/** What is counted of a file that a student brings. */
const COUNTED = ['sessions', 'repetitions', 'answers', 'plans'] as const;
const COUNTED_WORDS: Readonly<Record<string, EntryWords | undefined>> = { sessions: NEW_ENTRY };
