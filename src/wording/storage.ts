/*
 * What is said of the browser's storage and of backup files.
 */

/** Why something could not be read or written. */
export type StorageFault = 'full' | 'blocked' | 'newer' | 'unknown';

const SAVE_A_BACKUP = 'Save a backup file now';

const FAULT_SENTENCES: Readonly<Record<StorageFault, string>> = {
  full: `Not saved: the browser has no room left. ${SAVE_A_BACKUP}, then delete plans you no longer need.`,
  blocked: `Not saved: the browser blocks storage for this page. ${SAVE_A_BACKUP}, then allow site data and reload.`,
  newer:
    'Not saved: a newer version of Dove Path is open in this browser. Reload this page to use the newer version.',
  unknown: `Not saved: the browser could not write it. ${SAVE_A_BACKUP}, then reload the page and try again.`,
};

export function storageWords(fault: StorageFault): string {
  return FAULT_SENTENCES[fault];
}
