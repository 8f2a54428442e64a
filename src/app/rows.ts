import { useLiveQuery } from 'dexie-react-hooks';
import { answered, db, storageFault, type Binned } from '../store/db';
import { listAll, type AllRows } from '../store/rows';
import { readingTroubleWords } from '../wording/storage';

/*
 * What a view knows of all that is kept: it is never taken for empty where it could not be read.
 */

export type Rows =
  | { readonly kind: 'reading' }
  | { readonly kind: 'there'; readonly rows: AllRows; readonly bin: readonly Binned[] }
  | { readonly kind: 'trouble'; readonly message: string };

const READING: Rows = { kind: 'reading' };
const NO_STORAGE: Rows = { kind: 'trouble', message: readingTroubleWords('blocked') };

/** Everything that is kept, as it is now. */
export function useRows(): Rows {
  const rows = useLiveQuery(readRows, []) ?? READING;
  // Where the browser has no storage at all nothing is ever read.
  return globalThis.indexedDB ? rows : NO_STORAGE;
}

async function readRows(): Promise<Rows> {
  try {
    const [rows, bin] = await Promise.all([
      listAll(),
      answered(Promise.resolve(db.bin.orderBy('deletedAt').reverse().toArray())),
    ]);
    return { kind: 'there', rows, bin };
  } catch (error) {
    return { kind: 'trouble', message: readingTroubleWords(storageFault(error)) };
  }
}
