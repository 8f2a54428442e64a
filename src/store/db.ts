import { Dexie, type Table, type Transaction } from 'dexie';
import type { StorageFault } from '../wording/storage';
import type { Trashed } from '../core';
import { writing } from './waiting';
import { DATABASE_VERSION, TABLE_NAMES, tableOf, type TableName, type Tables } from './tables';

/** The browser's own database; nothing of it leaves the machine but by a file. */
export const db = new Dexie('dove-path') as Dexie & { [Name in TableName]: Table<Tables[Name], string> };

for (let version = 1; version <= DATABASE_VERSION; version++) {
  const indexes = TABLE_NAMES.flatMap((name) => {
    const text = tableOf(name).indexes[version];
    return text === undefined ? [] : [[name, text] as const];
  });
  db.version(version)
    .stores(Object.fromEntries(indexes))
    .upgrade((upgrade) => Promise.all(TABLE_NAMES.map((name) => upgradeTable(upgrade, name, version))));
}

const [BIN_SINCE] = Object.keys(tableOf('bin').indexes).map(Number);

/** Takes the rows of a table to the shape of a version, those in the bin too. */
async function upgradeTable(upgrade: Transaction, name: TableName, version: number): Promise<void> {
  for (const { become } of tableOf(name).steps.filter(({ database }) => database === version)) {
    await upgrade
      .table<object>(name)
      .toCollection()
      .modify((row, place) => {
        place.value = become(row, 'browser');
      });
    if (version > BIN_SINCE)
      await upgrade
        .table<Trashed>('bin')
        .toCollection()
        .modify((binned, place) => {
          const changes = binned.changes.map((change) =>
            'record' in change && 'table' in change && change.table === name
              ? { ...change, record: become(change.record as object, 'browser') }
              : change,
          );
          place.value = { ...binned, changes };
        });
  }
}

/** What went wrong with the storage, and nothing else. */
export class StorageTrouble extends Error {
  constructor(readonly fault: StorageFault) {
    super(fault);
  }
}

/**
 * Opens the database for writing.
 * @throws StorageTrouble 'newer' where a later version of the app made it: it is read only then
 */
export async function openForWriting(): Promise<void> {
  await writing(db.open());
  if (db.backendDB().version / 10 > DATABASE_VERSION) throw new StorageTrouble('newer');
}

/** Why a read or a write failed. */
export function storageFault(error: unknown): StorageFault {
  if (error instanceof StorageTrouble) return error.fault;
  const { name = '', message = '' } = error instanceof Error ? error : {};
  if (name === 'QuotaExceededError' || /quota/i.test(message)) return 'full';
  if (name === 'VersionError') return 'newer';
  return BLOCKED.has(name) ? 'blocked' : 'unknown';
}

const BLOCKED: ReadonlySet<string> = new Set([
  'MissingAPIError',
  'SecurityError',
  'InvalidStateError',
  'OpenFailedError',
  'NotAllowedError',
  'DatabaseClosedError',
  'UnknownError',
]);
