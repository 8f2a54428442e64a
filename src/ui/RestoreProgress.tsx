import { useEffect, useRef } from 'react';
import { useRestoring } from '../app/restoring';
import * as backupsText from '../wording/rooms/backups';

/** How far a backup is restored, over the page: nothing else is done meanwhile. */
export function RestoreProgress() {
  const { restoring } = useRestoring();
  const dialog = useRef<HTMLDialogElement>(null);
  const isOpen = restoring !== null;
  useEffect(() => {
    if (isOpen) dialog.current?.showModal();
    else dialog.current?.close();
  }, [isOpen]);
  const words =
    restoring?.stage === 'writing'
      ? backupsText.writingEntries(restoring.done, restoring.of)
      : backupsText.readingTheFile;
  return (
    <dialog
      ref={dialog}
      aria-labelledby="restoring"
      className="m-auto max-w-lg rounded-lg border-2 border-dove bg-sheet p-5 text-ink shadow-lg backdrop:bg-ink/30"
      onCancel={(event) => {
        event.preventDefault();
        restoring?.cancel();
      }}
    >
      <h2 id="restoring" className="font-serif text-xl font-semibold">
        {backupsText.restoringABackup}
      </h2>
      <p className="mt-2">{backupsText.keepThisPageOpen}</p>
      <progress
        aria-label={backupsText.restoringABackup}
        className="progress mt-3 h-3 w-full"
        max={restoring?.of ?? 1}
        value={restoring?.stage === 'writing' ? restoring.done : undefined}
      />
      <p role="status" className="mt-1 text-sm text-faded">
        {words}
      </p>
      <div className="mt-3 flex justify-end">
        <button type="button" className="button" onClick={() => restoring?.cancel()}>
          {backupsText.cancel}
        </button>
      </div>
    </dialog>
  );
}
