import { secondVersionName } from '../wording/storage';
import type { SessionRecord } from '../core';
import type { Change } from './changes';
import { merged } from './merge';
import { data, keysWith } from './browserState';
import { getRow } from './read';
import { tableOf, type TableName, type Tables } from './tables';
import { commit } from './write';

/*
 * An edit that was made just before its page went. A page that goes cannot wait for the database, but it can still lay a few letters into the browser's
 * plain storage; the next page that opens takes them up.
 */

/** An edit the database does not have yet, and the whole record as it was to be. */
export interface Draft {
  readonly change: Change;
  readonly record: Tables[TableName];
}

const PLACE = 'dove-path-draft:';
/** Two pages with one plan have a draft each. */
const PAGE = crypto.randomUUID();

const placeOf = (key: string) =>
  data<Draft | null>('local', key, (found) => {
    const draft = (found ?? null) as Draft | null;
    return typeof draft?.record?.id === 'string' && draft.change?.kind !== 'removed' ? draft : null;
  });
const keyOf = (id: string) => `${PLACE}${PAGE}:${id}`;

/** @returns false where the browser would not take it */
export const keepDraft = (draft: Draft): boolean => placeOf(keyOf(draft.record.id)).write(draft);

export const dropDraft = (id: string) => placeOf(keyOf(id)).clear();

/** What became of a draft: written where it was meant, or kept beside what the record was changed to in the meantime. */
export type Recovered = 'written' | 'copy';

/** Writes every draft that is left, and drops it once it is written. @throws where the database does */
export async function recoverDrafts(): Promise<Recovered[]> {
  const recovered: Recovered[] = [];
  for (const place of keysWith('local', PLACE).map(placeOf)) {
    const draft = place.read();
    if (draft) {
      const { kind } = await commit([forStore(draft.change)]);
      if (kind === 'conflict') await commit(await besideOrMerged(draft));
      recovered.push(kind === 'conflict' ? 'copy' : 'written');
    }
    place.clear();
  }
  return recovered;
}

/** Text knows no fields that are there but undefined: those that the edit took away are named by the ones it found. */
function forStore(change: Change): Change {
  if (change.kind !== 'updated') return change;
  const gone = Object.fromEntries(Object.keys(change.from).map((name) => [name, undefined]));
  const found = Object.fromEntries(Object.keys(change.to).map((name) => [name, undefined]));
  return { ...change, from: { ...found, ...change.from }, to: { ...gone, ...change.to } } as Change;
}

/** A draft of what was changed meanwhile: a plan becomes a second one; words in the log are put to those that are there. */
async function besideOrMerged({ change, record }: Draft): Promise<Change[]> {
  const { table } = change;
  if (tableOf(table).join === 'by-field') {
    const now = await getRow(table as 'sessions', record.id);
    const to = now && merged(now, record as SessionRecord);
    return to ? [{ kind: 'updated', table: table as 'sessions', id: record.id, from: {}, to }] : [];
  }
  const name = secondVersionName('name' in record ? record.name : '');
  return [{ kind: 'added', table, record: { ...record, id: crypto.randomUUID(), name } } as Change];
}
