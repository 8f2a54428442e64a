import { Download, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { ahead } from '../app/ahead';
import { fetchedPart } from '../app/serverGone';
import type { PlanRecord } from '../core';
import { RestoreProgress } from './RestoreProgress';
import * as sharedText from '../wording/rooms/shared';

/** Reading and writing backups is fetched when it is asked for. */
const loadBackups = ahead(() => import('../app/backups'));

async function withBackups(work: (backups: Awaited<ReturnType<typeof loadBackups>>) => Promise<void>) {
  const backups = await fetchedPart(loadBackups);
  if (backups) await work(backups);
}

interface Props {
  /** Called before a backup is written; a plan it returns is in the file even where the browser could not keep it. */
  readonly before?: () => Promise<PlanRecord | null>;
  /** True where only saving makes sense. */
  readonly saveOnly?: boolean;
  /** True where there is nothing to save yet. */
  readonly restoreOnly?: boolean;
}

/** Everything kept here as a file, and back. */
export function BackupButtons({ before, saveOnly = false, restoreOnly = false }: Props) {
  const file = useRef<HTMLInputElement>(null);
  /** These buttons began to restore: others on the page say nothing of it. */
  const [isOurs, setOurs] = useState(false);
  const restore = (chosen: File) => {
    setOurs(true);
    void withBackups(({ restoreBackup }) => restoreBackup(chosen)).finally(() => setOurs(false));
  };
  return (
    <div className="flex flex-wrap gap-2">
      {isOurs && <RestoreProgress />}
      {!restoreOnly && (
        <button
          type="button"
          className="button flex items-center gap-1"
          onClick={() => void withBackups(({ saveBackup }) => saveBackup(before))}
        >
          <Download size={17} aria-hidden /> {sharedText.saveABackup}
        </button>
      )}
      {!saveOnly && (
        <>
          <button type="button" className="button flex items-center gap-1" onClick={() => file.current?.click()}>
            <Upload size={17} aria-hidden /> {sharedText.restore}
          </button>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            aria-label={sharedText.backupFileToRestore}
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              const [chosen] = event.target.files ?? [];
              if (chosen) restore(chosen);
              event.target.value = '';
            }}
          />
        </>
      )}
    </div>
  );
}
