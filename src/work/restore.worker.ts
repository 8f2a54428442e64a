import { expose } from 'comlink';
import { readBackup } from '../store/backup';
import { storageFault } from '../store/db';
import { joinLists, type Joined } from '../store/join';
import type { StorageFault } from '../wording/storage';

/** How far a backup is restored. */
export interface Progress {
  readonly stage: 'reading' | 'writing';
  readonly done: number;
  readonly of: number;
}

/** What came of it; nothing is changed unless it is `restored`. */
export type Restored =
  | { readonly kind: 'restored'; readonly joined: Joined; readonly aside: readonly string[] }
  | { readonly kind: 'trouble'; readonly message: string }
  | { readonly kind: 'failed'; readonly fault: StorageFault }
  | { readonly kind: 'cancelled' };

class Cancelled extends Error {}

let cancelled = false;

/** Joins what a backup file holds to what is here, all or nothing. */
async function restore(file: Blob, tell: (progress: Progress) => void): Promise<Restored> {
  tell({ stage: 'reading', done: 0, of: 1 });
  const reading = readBackup(await file.text());
  if (reading.kind === 'trouble') return reading;
  const { lists, damaged, aside } = reading;
  const step = (done: number, of: number) => {
    if (cancelled) throw new Cancelled();
    tell({ stage: 'writing', done, of });
  };
  try {
    step(0, 1);
    return { kind: 'restored', joined: await joinLists(lists, { kind: 'backup', damaged }, step), aside };
  } catch (error) {
    if (cancelled) return { kind: 'cancelled' };
    return { kind: 'failed', fault: storageFault(error) };
  }
}

const restorer = { restore, cancel: () => void (cancelled = true) };
export type Restorer = typeof restorer;
expose(restorer);
