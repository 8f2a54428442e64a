import { counted } from './grammar';

/*
 * What is said of the browser's storage, of the bin and of backup files.
 */

/** Why something could not be read or written. */
export type StorageFault =
  | 'full'
  | 'blocked'
  /** It does not answer. */
  | 'silent'
  /** A later version of the app made what is there. */
  | 'newer'
  /** Another page has changed it since. */
  | 'conflict'
  | 'unknown';

const SAVE_A_BACKUP = 'Save a backup file now';

const WRITE_SENTENCES: Readonly<Record<StorageFault, string>> = {
  full: `Not saved: the browser has no room left. ${SAVE_A_BACKUP}, then delete plans you no longer need.`,
  blocked: `Not saved: the browser blocks storage for this page. Planning works all the same. ${SAVE_A_BACKUP}, then allow site data and reload.`,
  silent: `Not saved: the browser’s storage does not answer. Planning works all the same. ${SAVE_A_BACKUP}, close other pages of Dove Path, then try again.`,
  newer:
    'Not saved: a newer version of Dove Path has been used in this browser. Nothing is lost. Reload this page to use the newer version.',
  conflict:
    'Not done: this was changed on another page in the meantime, and what stands there was left as it is. Look at it, then try again.',
  unknown: `Not saved: the browser could not write it. ${SAVE_A_BACKUP}, then reload the page and try again.`,
};

/** A write that failed. */
export function storageWords(fault: StorageFault): string {
  return WRITE_SENTENCES[fault];
}

const READ_SENTENCES: Readonly<Record<StorageFault, string>> = {
  full: 'The browser has no room left, so what is saved cannot be read. It is still there. Make room on this machine, then reload.',
  blocked:
    'The browser blocks storage for this page, so what is saved cannot be read. Planning works; nothing is saved. Allow site data for this address, then reload.',
  silent:
    'The browser’s storage does not answer, so what is saved cannot be read. It may still be there. Planning works; nothing is saved. Close other pages of Dove Path or restart the browser, then reload.',
  newer:
    'A newer version of Dove Path has been used in this browser. What it saved is safe. Reload this page to use the newer version.',
  conflict: 'Another page is changing what is saved. Nothing is lost. Reload this page.',
  unknown:
    'What is saved cannot be read. It may still be there. Planning works; nothing is saved. Reload the page and try again.',
};

/** A read that failed: what is so, and what still works. */
export function readingTroubleWords(fault: StorageFault): string {
  return READ_SENTENCES[fault];
}

/** How much is deleted: "5 students and 19 plans". */
export function amountWords({
  students,
  plans,
  briefs,
}: Readonly<Record<'students' | 'plans' | 'briefs', number>>) {
  const parts = [
    students > 0 ? counted(students, 'student') : '',
    plans > 0 ? counted(plans, 'plan') : '',
    briefs > 0 ? counted(briefs, 'brief') : '',
  ];
  return parts.filter((part) => part !== '');
}

/** What came of bringing something back. */
export function takenBackWords({
  copies,
  left,
}: {
  readonly copies: number;
  readonly left: number;
}): string | null {
  const parts = [
    copies > 0
      ? `${copies === 1 ? 'One came back as a copy' : `${copies} came back as copies`}, since something newer stands in its place.`
      : '',
    left > 0 ? 'Some of it was changed or deleted since and was left as it is.' : '',
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(' ') : null;
}
