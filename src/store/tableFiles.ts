import { issueWords } from '../wording/issues';
import { damagedInFileWords, fileTroubleWords, type FileKind } from '../wording/storage';
import { fileHead } from './fileHead';
import { removedIn } from './changes';
import { rowIssue } from './valid';
import { upgradedRow } from './steps';
import { FILE_VERSIONS, tableOf, tablesOfFile, type TableName, type Tables } from './tables';

/*
 * What is common to files that hold rows of tables: a backup, and a student's practice file.
 */

/** The rows of some tables; a table that is not there has none. */
export type Lists = { readonly [Name in TableName]?: readonly Tables[Name][] };

/** What a file holds, or why it cannot be read. */
export type FileReading =
  | {
      readonly kind: 'lists';
      readonly lists: Lists;
      /** Everything of the file, as it stood there. */
      readonly file: Readonly<Record<string, unknown>>;
      /** What is damaged in the file, in a sentence each; the rest is sound. */
      readonly aside: readonly string[];
    }
  | { readonly kind: 'trouble'; readonly message: string };

const trouble = (message: string): FileReading => ({ kind: 'trouble', message });

/** The text of a file. */
export function fileText(kind: FileKind, content: object, now: Date): string {
  const head = { format: `dove-path-${kind}`, version: FILE_VERSIONS[kind], savedAt: now.toISOString() };
  return JSON.stringify({ ...head, ...content }, null, kind === 'backup' ? 2 : undefined);
}

/** Reads a file's text, of this version or an earlier one; every row is looked at for itself. Nothing is changed by reading. */
export function readLists(text: string, kind: FileKind): FileReading {
  const head = fileHead(text);
  if (head === 'broken') return trouble(fileTroubleWords(kind, 'broken'));
  if (head === 'other' || head.format !== `dove-path-${kind}`) return trouble(fileTroubleWords(kind, 'other'));
  const version = Number(head.version);
  if (!(version <= FILE_VERSIONS[kind]))
    return trouble(fileTroubleWords(kind, 'later', { version: String(head.version), most: FILE_VERSIONS[kind] }));
  const file = head as Readonly<Record<string, unknown>>;
  const missing = tablesOfFile(kind).find((name) => {
    const { join, files } = tableOf(name);
    return join === 'beside' && (files[kind] ?? Infinity) <= version && !Array.isArray(file[name]);
  });
  if (missing) return trouble(fileTroubleWords(kind, 'missing', { list: missing }));
  const aside: string[] = [];
  const lists: Record<string, readonly unknown[]> = {};
  for (const name of tablesOfFile(kind)) {
    const rows: unknown = file[name];
    lists[name] = (Array.isArray(rows) ? rows : [])
      .map((row: unknown) => upgradedRow(tableOf(name).steps, row, kind === 'backup' ? version : Infinity))
      .filter((row: unknown, at: number) => {
        const issue = rowIssue(name, row);
        if (issue) aside.push(`/${name}/${at}${issue.path}: ${issueWords(issue)}`);
        return !issue;
      });
  }
  return { kind: 'lists', lists: withTheirSessions(lists as Lists, aside), file, aside };
}

/** Repetitions of a session that is not in the file say nothing. */
function withTheirSessions(lists: Lists, aside: string[]): Lists {
  const { sessions = [], repetitions = [], bin = [] } = lists;
  const known = new Set([...sessions.map(({ id }) => id), ...removedIn(bin.flatMap(({ changes }) => changes))]);
  const theirs = repetitions.filter(({ sessionId }) => known.has(sessionId));
  if (theirs.length < repetitions.length) aside.push(damagedInFileWords(repetitions.length - theirs.length));
  return { ...lists, repetitions: theirs };
}
