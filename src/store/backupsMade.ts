import { data } from './browserState';

/*
 * When a backup was saved in this browser, and after how many days the teacher wants to be reminded of the next.
 */

/** Days after which one can be reminded. */
export const REMIND_AFTER = [7, 14, 30] as const;
export type RemindAfter = (typeof REMIND_AFTER)[number];

export interface BackupsMade {
  /** In ms since 1970; null where none was saved here. */
  readonly last: number | null;
  /** Null where no reminder is wanted. */
  readonly remindAfter: RemindAfter | null;
}

export const backupsMade = data<BackupsMade>('local', 'dove-path-backups', (found) => {
  const { last, remindAfter } = (found ?? {}) as Partial<BackupsMade>;
  return {
    last: typeof last === 'number' && Number.isFinite(last) ? last : null,
    remindAfter: REMIND_AFTER.find((days) => days === remindAfter) ?? null,
  };
});

const DAY_MS = 86_400_000;

/** Whole days since the last backup, 0 for a clock that was set back; null where there was none. */
export function daysSinceBackup({ last }: BackupsMade, now: number): number | null {
  return last === null ? null : Math.max(0, Math.floor((now - last) / DAY_MS));
}

/** True where the teacher wants to hear of it: with no backup yet, as soon as they ask for reminders. */
export function isBackupDue(made: BackupsMade, now: number): boolean {
  const days = daysSinceBackup(made, now);
  return made.remindAfter !== null && (days === null || days >= made.remindAfter);
}
