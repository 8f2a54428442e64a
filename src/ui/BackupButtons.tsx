import { Download, Upload } from 'lucide-react';
import { useRef } from 'react';
import type { Kept } from '../store/db';
import { additions, commit, listKept, storageFault } from '../store/db';
import type { PlanRecord } from '../store/records';
import { say } from '../app/notices';
import { counted, listed } from '../wording/grammar';
import { storageWords } from '../wording/storage';

interface Props {
  /** Called before a backup is written; a plan it returns is in the file even where the browser could not keep it. */
  readonly before?: () => Promise<PlanRecord | null>;
}

/** Everything kept here as a file, and back. */
export function BackupButtons({ before }: Props) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <div className="flex flex-wrap gap-2">
      <button
        type="button"
        className="button flex items-center gap-1"
        onClick={() => void saveBackup(before)}
      >
        <Download size={17} aria-hidden /> Save a backup
      </button>
      <button type="button" className="button flex items-center gap-1" onClick={() => file.current?.click()}>
        <Upload size={17} aria-hidden /> Restore
      </button>
      <input
        ref={file}
        type="file"
        accept="application/json,.json"
        aria-label="Backup file to restore"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          void chosen?.text().then(restoreBackup);
          event.target.value = '';
        }}
      />
    </div>
  );
}

/** Reading and writing backups is fetched when it is asked for. */
const loadBackup = () => import('../store/backup');

async function saveBackup(before: Props['before']) {
  const stand = (await before?.()) ?? null;
  const kept = await listKept().catch((): Kept => ({ plans: [], students: [], briefs: [] }));
  const plans = stand ? [stand, ...kept.plans.filter(({ id }) => id !== stand.id)] : kept.plans;
  const { backupText } = await loadBackup();
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
async function restoreBackup(text: string) {
  const { joinKept, readBackup } = await loadBackup();
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
