import { counted, number } from '../grammar';

export const restoringWasCancelled = 'Restoring was cancelled. Nothing was changed.';
export const lastBackup = (days: number | null) =>
  days === null
    ? 'No backup saved here yet.'
    : days === 0
      ? 'Last backup today.'
      : `Last backup ${counted(days, 'day')} ago.`;
export const remindMe = 'Remind me of the next';
export const remindNever = 'never';
export const remindAfter = (days: number) => `after ${days} days`;
export const backupIsDue = (days: number | null) =>
  days === null ? 'No backup was saved here yet.' : `The last backup is ${counted(days, 'day')} old.`;
export const restoringABackup = 'Restoring a backup';
export const readingTheFile = 'Reading the file …';
export const writingEntries = (done: number, of: number) =>
  `${number(done)} of ${counted(of, 'entry', 'entries')} written.`;
export const keepThisPageOpen =
  'Keep this page open. All of it is restored, or nothing: if the page is closed or you cancel, nothing is changed.';
export const saveOne = 'Save one now';
export const cancel = 'Cancel';
