import { create } from 'zustand';
import { backupsMade, daysSinceBackup, isBackupDue, type BackupsMade, type RemindAfter } from '../store/backupsMade';
import * as backupsText from '../wording/rooms/backups';
import { say } from './notices';

/* When a backup was saved in this browser, as the page shows it. */

const useMade = create<{ readonly made: BackupsMade }>(() => ({ made: backupsMade.read() }));

function put(part: Partial<BackupsMade>) {
  const made = { ...backupsMade.read(), ...part };
  backupsMade.write(made);
  useMade.setState({ made });
}

export const backupWasMade = (now: number) => put({ last: now });

export function useMadeBackups() {
  return [useMade(({ made }) => made), (remindAfter: RemindAfter | null) => put({ remindAfter })] as const;
}

/** Says that a backup is due, where the teacher wants to hear of it. @param act saves one */
export function remindOfBackup(now: number, act: () => Promise<void>) {
  const { made } = useMade.getState();
  const words = backupsText.backupIsDue(daysSinceBackup(made, now));
  if (isBackupDue(made, now)) say({ kind: 'done', message: words, offer: { words: backupsText.saveOne, act } });
}
