import { DAMAGED_WHEN_WRITTEN } from '../wording/storage';
import { fileText, readLists, type FileReading, type Lists } from './tableFiles';
import type { AllRows, Damaged } from './read';
import { listAll, rawRows } from './read';
import { rowIssue } from './valid';
import { STUDIO, tablesOfFile, type TableName } from './tables';

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

/** Reads a backup file's text; nothing is changed by reading. */
export function readBackup(text: string): FileReading {
  const reading = readLists(text, 'backup');
  if (reading.kind === 'trouble') return reading;
  const { damaged } = reading.file;
  const more = Array.isArray(damaged) ? damaged.map(() => DAMAGED_WHEN_WRITTEN) : [];
  return { ...reading, aside: [...reading.aside, ...more] };
}
