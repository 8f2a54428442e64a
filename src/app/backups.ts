import { backupText, joinKept, readBackup } from '../store/backup';
import { listBooks, restoreBooks } from '../store/books';
import { storageFault } from '../store/db';
import { allPractice, restorePractice } from '../store/practiceFile';
import type { PlanRecord } from '../store/records';
import { additions, listAll, NOTHING, type Kept } from '../store/rows';
import { counted, listed } from '../wording/grammar';
import { readingTroubleWords } from '../wording/storage';
import { offerFile } from './files';
import { say } from './notices';
import { save } from './writes';

/* Everything kept here as a file, and back. */

/**
 * Offers everything kept here as a file. One with nothing in it is not written without a question: it might take the place of a good one.
 * @param before called first; a plan it returns is in the file even where the browser could not keep it
 */
export async function saveBackup(before?: () => Promise<PlanRecord | null>) {
  const stand = (await before?.()) ?? null;
  try {
    const [all, practice] = [await listAll(), await allPractice()];
    const plans = stand ? [stand, ...all.plans.filter(({ id }) => id !== stand.id)] : all.plans;
    const whole = { ...all, ...practice, books: await listBooks(), plans };
    const amount =
      plans.length + all.students.length + all.briefs.length + all.damaged.length + practice.sessions.length;
    const write = () => writeFile(whole, 'dove-path');
    if (amount > 0) write();
    else
      say({
        kind: 'done',
        message: 'Nothing is saved here yet, so the backup would be empty.',
        offer: { words: 'Save it all the same', act: write },
      });
  } catch (error) {
    const trouble = readingTroubleWords(storageFault(error));
    if (stand) writeFile({ ...NOTHING, plans: [stand] }, 'dove-path-one-plan');
    say({
      kind: 'trouble',
      message: stand
        ? `${trouble} The file has only the plan that stands here; keep your earlier backup.`
        : `No backup was written. ${trouble}`,
    });
  }
}

function writeFile(all: Parameters<typeof backupText>[0], name: string) {
  const now = new Date();
  offerFile(backupText(all, now), `${name}-${now.toISOString().slice(0, 10)}.json`);
}

/** Joins what a backup file holds to what is here; a file that cannot be read changes nothing. */
export async function restoreBackup(text: string) {
  const reading = readBackup(text);
  if (reading.kind === 'trouble') {
    say(reading);
    return;
  }
  try {
    const { added, known } = joinKept(await listAll(), reading.kept);
    const joined = await restorePractice(reading.practice);
    const books = await restoreBooks(reading.books);
    await save(additions(added), () =>
      say({
        kind: 'done',
        message: restoredWords(added, known, joined.sessions, books) + asideWords(reading.aside),
      }),
    );
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

function asideWords([first, ...others]: readonly string[]): string {
  if (!first) return '';
  const many = others.length > 0 ? `${others.length + 1} entries are` : 'One entry is';
  return ` ${many} damaged and was left out; it is still in the file. ${first}`;
}

function restoredWords({ plans, students, briefs }: Kept, known: number, sessions: number, books: number) {
  const parts = [
    counted(plans.length, 'plan'),
    ...(students.length > 0 ? [counted(students.length, 'student')] : []),
    ...(briefs.length > 0 ? [counted(briefs.length, 'brief')] : []),
    ...(books > 0 ? [counted(books, 'book')] : []),
    ...(sessions > 0 ? [`${sessions} ${sessions === 1 ? 'entry' : 'entries'} of the log`] : []),
  ];
  const rest = known > 0 ? ` ${known} ${known === 1 ? 'was' : 'were'} here already.` : '';
  return `${listed(parts)} restored.${rest}`;
}
