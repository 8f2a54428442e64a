import { backupText, joinKept, readBackup } from '../store/backup';
import { additions, commit, listKept, storageFault, type Kept } from '../store/db';
import type { PlanRecord } from '../store/records';
import { counted, listed } from '../wording/grammar';
import { storageWords } from '../wording/storage';
import { say } from './notices';

/* Everything kept here as a file, and back. */

/**
 * Offers everything kept here as a file.
 * @param before called first; a plan it returns is in the file even where the browser could not keep it
 */
export async function saveBackup(before?: () => Promise<PlanRecord | null>) {
  const stand = (await before?.()) ?? null;
  const kept = await listKept().catch((): Kept => ({ plans: [], students: [], briefs: [] }));
  const plans = stand ? [stand, ...kept.plans.filter(({ id }) => id !== stand.id)] : kept.plans;
  offerFile(backupText({ ...kept, plans }, new Date()));
}

function offerFile(text: string) {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `dove-path-${new Date().toISOString().slice(0, 10)}.json`;
  link.click();
  URL.revokeObjectURL(url);
}

/** Joins what a backup file holds to what is here; a file that cannot be read changes nothing. */
export async function restoreBackup(text: string) {
  const reading = readBackup(text);
  if (reading.kind === 'trouble') {
    say({ kind: 'trouble', message: reading.message });
    return;
  }
  try {
    const { added, known } = joinKept(await listKept(), reading.kept);
    await commit(additions(added));
    say({ kind: 'done', message: restoredWords(added, known) });
  } catch (error) {
    say({ kind: 'trouble', message: storageWords(storageFault(error)) });
  }
}

function restoredWords({ plans, students, briefs }: Kept, known: number) {
  const parts = [
    counted(plans.length, 'plan'),
    ...(students.length > 0 ? [counted(students.length, 'student')] : []),
    ...(briefs.length > 0 ? [counted(briefs.length, 'brief')] : []),
  ];
  const rest = known > 0 ? ` ${known} ${known === 1 ? 'was' : 'were'} here already.` : '';
  return `${listed(parts)} restored.${rest}`;
}
