import { secondVersionName } from '../wording/storage';
import type { SessionRecord } from '../core';
import type { Change } from './changes';
import { merged } from './merge';
import { data, keysWith, word } from './browserState';
import { storageFault } from './db';
import { fetchCheck, getRow } from './read';
import { TABLE_NAMES, tableOf, type TableName, type Tables } from './tables';
import { commit } from './write';

/*
 * An edit that was made just before its page went. A page that goes cannot wait for the database, but it can still lay a few letters into the browser's
 * plain storage; the next page that opens takes them up.
 */

/** An edit the database does not have yet, and the whole record as it was to be. */
export interface Draft {
  readonly change: Change;
  readonly record: Tables[TableName];
  /** What the page was writing as it went, which may have come through. */
  readonly underWay?: object;
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

/**
 * Writes every draft that is left, and drops it once it is written. One that cannot be read or written is set aside, and the others go on; one that the
 * storage has no room for waits for the next page.
 */
export async function recoverDrafts(): Promise<Recovered[]> {
  const recovered: Recovered[] = [];
  for (const key of keysWith('local', PLACE)) {
    const place = placeOf(key);
    try {
      const draft = place.read();
      if (draft && (await isSound(draft))) {
        recovered.push(await writeDraft(draft));
        place.clear();
      } else setAside(key);
    } catch (error) {
      if (storageFault(error) === 'unknown') setAside(key);
    }
  }
  return recovered;
}

async function isSound({ change, record }: Draft): Promise<boolean> {
  const { rowIssue } = await fetchCheck();
  return (TABLE_NAMES as string[]).includes(change.table) && rowIssue(change.table, record) === null;
}

async function writeDraft(draft: Draft): Promise<Recovered> {
  const { change, record, underWay } = draft;
  const { kind } = await commit([forStore(change)]);
  if (kind === 'written') return 'written';
  const afterThat = underWay && afterWriting(change, record, underWay);
  if (afterThat && (await commit([forStore(afterThat)])).kind === 'written') return 'written';
  await commit(await besideOrMerged(draft));
  return 'copy';
}

/** An edit as it is where what the page was writing came through. */
function afterWriting(change: Change, record: Draft['record'], underWay: object): Change | null {
  if (change.kind === 'added')
    return {
      kind: 'updated',
      table: change.table,
      id: record.id,
      from: underWay,
      to: pick(record, underWay),
    } as Change;
  return change.kind === 'updated' ? ({ ...change, from: { ...change.from, ...underWay } } as Change) : null;
}

/** The fields of a record that another object has too. */
const pick = (record: object, like: object) =>
  Object.fromEntries(Object.keys(like).map((name) => [name, (record as Record<string, unknown>)[name]]));

const ASIDE = 'dove-path-aside:';

/** A draft that no page can write lies by itself, until the user has saved or deleted it. */
function setAside(key: string) {
  const text = word('local', key);
  const found = text.read();
  if (found === null || !word('local', ASIDE + crypto.randomUUID()).write(found)) return;
  text.clear();
  listAgain();
}

/** An edit that could not be written, as it was found. */
export interface Aside {
  readonly key: string;
  readonly text: string;
}

let asides: readonly Aside[] | null = null;
const listeners = new Set<() => void>();

function listAgain() {
  asides = null;
  for (const listener of listeners) listener();
}

/** Drafts that were set aside. */
export function listAside(): readonly Aside[] {
  asides ??= keysWith('local', ASIDE).map((key) => ({ key, text: word('local', key).read() ?? '' }));
  return asides;
}

/** @returns ends the listening */
export function onAside(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function dropAside({ key }: Aside) {
  word('local', key).clear();
  listAgain();
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
