import { useSyncExternalStore } from 'react';
import { onSlowWork, slowWork } from '../store/waiting';
import { TABLE_NAMES, tableOf } from '../store/tables';
import { waitingWords } from '../wording/storage';

const NOTHING: ReturnType<typeof slowWork> = [];

/** What the storage has not answered for long enough to be told; null while it answers. */
export function useStorageWait(): string | null {
  const slow = useSyncExternalStore(onSlowWork, slowWork, () => NOTHING);
  if (slow.length === 0) return null;
  const wordsOf = (doing: 'reading' | 'writing') => {
    const tables = new Set(slow.filter((waiting) => waiting.doing === doing).flatMap((waiting) => waiting.tables));
    return TABLE_NAMES.filter((name) => tables.has(name)).map((name) => tableOf(name).words);
  };
  return waitingWords(wordsOf('reading'), wordsOf('writing'));
}
