import { DAMAGED_WHEN_WRITTEN } from '../wording/storage';
import { fileText, readLists, type FileReading, type Lists } from './tableFiles';
import type { AllRows, Damaged } from './read';
import { listAll, rawRows } from './read';
import { rowIssue } from './valid';
import type { DamagedRow } from './join';
import { STUDIO, TABLE_NAMES, tablesOfFile, type TableName } from './tables';

/*
 * The backup file: everything that is kept.
 */

/** Everything that a backup has, with what is damaged apart. */
export interface Whole extends AllRows {
  readonly lists: Lists;
}

/** Everything as it is now. */
export async function readWhole(): Promise<Whole> {
  const studio = await listAll();
  const lists: Record<string, readonly unknown[]> = {};
  const damaged: Damaged[] = [...studio.damaged];
  for (const name of tablesOfFile('backup').filter((table) => !isStudio(table))) {
    const rows = await rawRows(name);
    lists[name] = rows.filter((row) => {
      const issue = rowIssue(name, row);
      if (issue) damaged.push({ table: name, key: (row as { id: IDBValidKey }).id, row, issue });
      return !issue;
    });
  }
  return { ...studio, damaged, lists: lists as Lists };
}

const isStudio = (name: TableName) => (STUDIO as readonly TableName[]).includes(name);

/** Everything as the text of a backup file; damaged rows are in it as they are. */
export function backupText({ damaged, lists = {}, ...studio }: AllRows & Partial<Whole>, now: Date): string {
  const none = Object.fromEntries(tablesOfFile('backup').map((name) => [name, []]));
  const apart = damaged.map(({ table, row }) => ({ table, row }));
  const rest = apart.length > 0 ? { damaged: apart } : {};
  return fileText('backup', { ...none, ...studio, ...lists, ...rest }, now);
}

/** What a backup file holds, or why it cannot be read. */
export type BackupReading =
  | (Extract<FileReading, { readonly kind: 'lists' }> & {
      /** Rows that were damaged when the file was written. */
      readonly damaged: readonly DamagedRow[];
    })
  | Extract<FileReading, { readonly kind: 'trouble' }>;

/** Reads a backup file's text; nothing is changed by reading. */
export function readBackup(text: string): BackupReading {
  const reading = readLists(text, 'backup');
  if (reading.kind === 'trouble') return reading;
  const found: unknown = reading.file.damaged;
  const damaged = (Array.isArray(found) ? found : []).filter(isDamagedRow);
  return { ...reading, damaged, aside: [...reading.aside, ...damaged.map(() => DAMAGED_WHEN_WRITTEN)] };
}

function isDamagedRow(one: unknown): one is DamagedRow {
  const { table, row } = (one ?? {}) as Partial<DamagedRow>;
  return (
    (TABLE_NAMES as readonly unknown[]).includes(table) && typeof (row as { id?: unknown } | null)?.id === 'string'
  );
}
