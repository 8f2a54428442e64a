import type { Change, StudioTable, Tables } from './changes';
import { commit } from './writes';

/*
 * An edit that was made just before its page went. A page that goes cannot wait for the database, but it can still lay a few letters into the browser's
 * plain storage; the next page that opens takes them up.
 */

/** An edit the database does not have yet, and the whole record as it was to be. */
export interface Draft {
  readonly change: Change;
  readonly record: Tables[StudioTable];
}

const PLACE = 'dove-path-draft:';
/** Two pages with one plan have a draft each. */
const PAGE = crypto.randomUUID();

/** @returns false where the browser would not take it */
export function keepDraft(draft: Draft): boolean {
  try {
    localStorage.setItem(`${PLACE}${PAGE}:${draft.record.id}`, JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

export function dropDraft(id: string) {
  try {
    localStorage.removeItem(`${PLACE}${PAGE}:${id}`);
  } catch {
    // There is none where the storage is blocked.
  }
}

/** What became of a draft: written where it was meant, or as a copy since the record was changed or deleted in the meantime. */
export interface Recovered {
  readonly name: string;
  readonly how: 'written' | 'copy';
}

/** Writes every draft that is left, and drops it once it is written. @throws where the database does */
export async function recoverDrafts(): Promise<Recovered[]> {
  const recovered: Recovered[] = [];
  for (const place of draftPlaces()) {
    const draft = readDraft(place);
    if (draft) {
      const { kind } = await commit([forStore(draft.change)]);
      if (kind === 'conflict') await commit([copyOf(draft)]);
      recovered.push({ name: draft.record.name, how: kind === 'conflict' ? 'copy' : 'written' });
    }
    localStorage.removeItem(place);
  }
  return recovered;
}

function draftPlaces(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(PLACE));
  } catch {
    return [];
  }
}

function readDraft(place: string): Draft | null {
  try {
    const draft = JSON.parse(localStorage.getItem(place) ?? '') as Draft;
    return typeof draft.record.id === 'string' && draft.change.kind !== 'removed' ? draft : null;
  } catch {
    return null;
  }
}

/** Text knows no fields that are there but undefined: those that the edit took away are named by the ones it found. */
function forStore(change: Change): Change {
  if (change.kind !== 'updated') return change;
  const gone = Object.fromEntries(Object.keys(change.from).map((name) => [name, undefined]));
  const found = Object.fromEntries(Object.keys(change.to).map((name) => [name, undefined]));
  return { ...change, from: { ...found, ...change.from }, to: { ...gone, ...change.to } } as Change;
}

function copyOf({ change, record }: Draft): Change {
  const copy = { ...record, id: crypto.randomUUID(), name: `${record.name || 'Plan'} (second version)` };
  return { kind: 'added', table: change.table, record: copy } as Change;
}
