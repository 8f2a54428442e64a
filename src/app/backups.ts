import { backupText, readWhole } from '../store/backup';
import { StorageTrouble, storageFault } from '../store/db';
import { NOTHING } from '../store/read';
import { TABLES } from '../store/tables';
import type { PlanRecord } from '../core';
import { asideWords, readingTroubleWords, restoredWords } from '../wording/storage';
import { offerFile } from './files';
import { say } from './notices';
import { restoreInWorker, type Restored } from '../work/restoring';
import { backupWasMade } from './backupsMade';
import { useRestoring } from './restoring';
import { attempt } from './writes';
import * as appText from '../wording/rooms/app';
import * as backupsText from '../wording/rooms/backups';

/* Everything kept here as a file, and back. */

/**
 * Offers everything kept here as a file. One with nothing in it is not written without a question: it might take the place of a good one.
 * @param before called first; a plan it returns is in the file even where the browser could not keep it
 */
export async function saveBackup(before?: () => Promise<PlanRecord | null>) {
  const stand = (await before?.()) ?? null;
  try {
    const all = await readWhole();
    const plans = stand ? [stand, ...all.plans.filter(({ id }) => id !== stand.id)] : all.plans;
    const lists = [plans, all.students, all.briefs, all.damaged, ...Object.values(all.lists)];
    const write = () => {
      writeFile({ ...all, plans }, 'dove-path');
      backupWasMade(Date.now());
    };
    if (lists.some((rows) => rows.length > 0)) write();
    else say({ kind: 'done', message: appText.nothingIsSavedHere, offer: { words: appText.saveItAllThe, act: write } });
  } catch (error) {
    const trouble = readingTroubleWords(storageFault(error));
    if (stand) writeFile({ ...NOTHING, plans: [stand] }, 'dove-path-one-plan');
    say({ kind: 'trouble', message: stand ? appText.theFileHasOnly(trouble) : appText.noBackupWasWritten(trouble) });
  }
}

function writeFile(all: Parameters<typeof backupText>[0], name: string) {
  const now = new Date();
  offerFile(backupText(all, now), `${name}-${now.toISOString().slice(0, 10)}.json`);
}

/** Joins what a backup file holds to what is here, all or nothing; a file that cannot be read changes nothing. */
export async function restoreBackup(file: Blob): Promise<void> {
  if (useRestoring.getState().restoring) return;
  const restored = await attempt(() => restore(file));
  if (!restored) return;
  if (restored.kind === 'trouble') say(restored);
  else if (restored.kind === 'cancelled') say({ kind: 'done', message: backupsText.restoringWasCancelled });
  else {
    const { added, known } = restored.joined;
    const amounts = RESTORED.map((name) => [added[name] ?? 0, TABLES[name].words] as const);
    say({ kind: 'done', message: restoredWords(amounts, known) + asideWords(restored.aside) });
  }
}

/** @throws StorageTrouble where it cannot be written */
async function restore(file: Blob): Promise<Exclude<Restored, { kind: 'failed' }>> {
  window.addEventListener('beforeunload', warn);
  try {
    const { outcome, cancel } = restoreInWorker(file, (progress) =>
      useRestoring.setState({ restoring: { ...progress, cancel } }),
    );
    const restored = await outcome;
    if (restored.kind === 'failed') throw new StorageTrouble(restored.fault);
    return restored;
  } finally {
    useRestoring.setState({ restoring: null });
    window.removeEventListener('beforeunload', warn);
  }
}

const warn = (event: BeforeUnloadEvent) => event.preventDefault();

/** What is counted of a restored backup. */
const RESTORED = ['plans', 'students', 'briefs', 'books', 'sessions', 'lessons'] as const;
