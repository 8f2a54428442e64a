import { useLiveQuery } from 'dexie-react-hooks';
import { db, storageFault } from '../store/db';
import { reading } from '../store/waiting';
import type { Trashed } from '../core';
import { listAll, validOf, type AllRows } from '../store/read';
import { readingTroubleWords } from '../wording/storage';
import { listDamagedElsewhere, type Damaged } from '../store/read';

/*
 * What a view knows of all that is kept: it is never taken for empty where it could not be read.
 */

export type Rows =
  | { readonly kind: 'reading' }
  | { readonly kind: 'there'; readonly rows: AllRows; readonly bin: readonly Trashed[] }
  | { readonly kind: 'trouble'; readonly message: string };

const READING: Rows = { kind: 'reading' };
const NO_STORAGE: Rows = { kind: 'trouble', message: readingTroubleWords('blocked') };

/** Everything that is kept, as it is now. */
export function useRows(): Rows {
  const rows = useLiveQuery(readRows, []) ?? READING;
  // Where the browser has no storage at all nothing is ever read.
  return globalThis.indexedDB ? rows : NO_STORAGE;
}

/** Damaged entries of what is not read whole; none while that is looked for. */
export function useDamagedElsewhere(): readonly Damaged[] {
  return useLiveQuery(() => listDamagedElsewhere().catch(() => []), []) ?? [];
}

async function readRows(): Promise<Rows> {
  try {
    const deleted = reading(db.bin.orderBy('deletedAt').reverse().toArray(), 'bin');
    const [rows, bin] = await Promise.all([listAll(), deleted.then((found) => validOf('bin', found))]);
    return { kind: 'there', rows, bin };
  } catch (error) {
    return { kind: 'trouble', message: readingTroubleWords(storageFault(error)) };
  }
}
