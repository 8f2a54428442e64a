import type { TableName } from './tables';

/*
 * What the storage has not answered yet. It may be slow for a minute, while another page restores a backup: that is told, and never taken for an answer.
 */

interface Waiting {
  readonly doing: 'reading' | 'writing';
  readonly tables: readonly TableName[];
}

/** Milliseconds after which it is told that the storage has not answered. */
const SLOW_MS = 1500;

let slow: readonly Waiting[] = [];
const listeners = new Set<() => void>();

function setSlow(next: readonly Waiting[]) {
  slow = next;
  for (const listener of listeners) listener();
}

/** What has been waited for long enough to be told, the first asked first. */
export const slowWork = () => slow;

/** @returns ends the listening */
export function onSlowWork(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Waits for what is read, however long it takes, and tells where that is long. */
export const reading = <T>(work: PromiseLike<T>, ...tables: TableName[]) => watched(work, { doing: 'reading', tables });

/** Waits for what is written, in the same way. */
export const writing = <T>(work: PromiseLike<T>, ...tables: TableName[]) => watched(work, { doing: 'writing', tables });

function watched<T>(work: PromiseLike<T>, waiting: Waiting): Promise<T> {
  const timer = setTimeout(() => setSlow([...slow, waiting]), SLOW_MS);
  return Promise.resolve(work).finally(() => {
    clearTimeout(timer);
    if (slow.includes(waiting)) setSlow(slow.filter((other) => other !== waiting));
  });
}
