import { counted, listed } from './grammar';

/*
 * What is said of the browser's storage, of the bin and of backup files.
 */

/** Why something could not be read or written. */
export type StorageFault =
  | 'full'
  | 'blocked'
  /** A later version of the app made what is there. */
  | 'newer'
  /** Another page has changed it since. */
  | 'conflict'
  | 'unknown';

const SAVE_A_BACKUP = 'Save a backup file now';

const WRITE_SENTENCES: Readonly<Record<StorageFault, string>> = {
  full: `Not saved: the browser has no room left. ${SAVE_A_BACKUP}, then delete plans you no longer need.`,
  blocked: `Not saved: the browser blocks storage for this page. Planning works all the same. ${SAVE_A_BACKUP}, then allow site data and reload.`,
  newer:
    'Not saved: a newer version of Dove Path has been used in this browser. Nothing is lost. Reload this page to use the newer version.',
  conflict:
    'Not done: this was changed on another page in the meantime, and what stands there was left as it is. Look at it, then try again.',
  unknown: `Not saved: the browser could not write it. ${SAVE_A_BACKUP}, then reload the page and try again.`,
};

/** A write that failed. */
export function storageWords(fault: StorageFault): string {
  return WRITE_SENTENCES[fault];
}

const READ_SENTENCES: Readonly<Record<StorageFault, string>> = {
  full: 'The browser has no room left, so what is saved cannot be read. It is still there. Make room on this machine, then reload.',
  blocked:
    'The browser blocks storage for this page, so what is saved cannot be read. Planning works; nothing is saved. Allow site data for this address, then reload.',
  newer:
    'A newer version of Dove Path has been used in this browser. What it saved is safe. Reload this page to use the newer version.',
  conflict: 'Another page is changing what is saved. Nothing is lost. Reload this page.',
  unknown:
    'What is saved cannot be read. It may still be there. Planning works; nothing is saved. Reload the page and try again.',
};

/** A read that failed: what is so, and what still works. */
export function readingTroubleWords(fault: StorageFault): string {
  return READ_SENTENCES[fault];
}

/** What an entry of a table is called. */
export interface EntryWords {
  readonly one: string;
  readonly many: string;
  /** At the head of a line. */
  readonly head: string;
}

const entry = (one: string, many = `${one}s`, head = `A ${one}`): EntryWords => ({ one, many, head });

/** What the entries of each table are called. */
export const ENTRY_WORDS = {
  student: entry('student'),
  plan: entry('plan'),
  brief: entry('brief'),
  book: entry('book'),
  session: entry('entry of the log', 'entries of the log', 'An entry of the log'),
  repetition: entry('repetition'),
  card: entry('card'),
  answer: entry('answer to a card', 'answers to cards', 'An answer to a card'),
  lesson: entry('lesson'),
  day: entry('day'),
  memory: entry('card to come', 'cards to come'),
  choice: entry('choice'),
  binned: entry('deleted entry', 'deleted entries'),
} as const;

/** An entry of the log that was not here yet. */
export const NEW_ENTRY = entry('new entry', 'new entries', 'A new entry');

/** How much there is: ["5 students", "19 plans"]; what there is none of is left out. */
export function amountWords(amounts: readonly (readonly [number, EntryWords])[]): string[] {
  return amounts.filter(([n]) => n > 0).map(([n, { one, many }]) => counted(n, one, many));
}

/** What the storage has not answered yet, and what comes of it. */
export function waitingWords(reading: readonly EntryWords[], writing: readonly EntryWords[]): string {
  const named = (entries: readonly EntryWords[]) => listed([...new Set(entries.map(({ many }) => many))]);
  return [
    reading.length > 0 ? `Still reading ${named(reading)}. They appear by themselves.` : '',
    writing.length > 0 ? `Still saving ${named(writing)}.` : '',
    'The browser’s storage is slow to answer; another page of Dove Path may be busy with it. Nothing is lost.',
  ]
    .filter((part) => part !== '')
    .join(' ');
}

/** What came of bringing something back. */
export function takenBackWords({ copies, left }: { readonly copies: number; readonly left: number }): string | null {
  const parts = [
    copies > 0
      ? `${copies === 1 ? 'One came back as a copy' : `${copies} came back as copies`}, since something newer stands in its place.`
      : '',
    left > 0 ? 'Some of it was changed or deleted since and was left as it is.' : '',
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(' ') : null;
}

/** The files that hold what is kept. */
export type FileKind = 'backup' | 'practice';

type FileTrouble = 'broken' | 'other' | 'later' | 'missing' | 'nobody';

interface FileTroubleData {
  readonly version?: string;
  readonly most?: number;
  readonly list?: string;
}

const FILE_TROUBLES: Readonly<Record<FileKind, Readonly<Record<FileTrouble, (data: FileTroubleData) => string>>>> = {
  backup: {
    broken: () => 'This file is not a backup: it is not JSON, or it was cut off. Choose another copy of it.',
    other: () => 'This file was not written by Dove Path. Choose a file that was saved with “Save a backup”.',
    later: ({ version, most }) =>
      `This backup comes from a later version of Dove Path (${version}; this one reads up to ${most}). Update the app, then restore it.`,
    missing: ({ list }) =>
      `This backup is damaged: its list of ${list} is missing. Nothing was changed; choose another copy.`,
    nobody: () => 'This backup is damaged. Nothing was changed; choose another copy.',
  },
  practice: {
    broken: () => 'This file is not a practice file: it is not JSON, or it was cut off. Ask for it once more.',
    other: () => 'This is no practice file. Choose one that was saved with “Practice file”.',
    later: ({ version, most }) =>
      `This practice file comes from a later version of Dove Path (${version}; this one reads up to ${most}). Update the app, then open it.`,
    missing: () => 'This practice file is damaged: it does not say whose it is. Nothing was changed.',
    nobody: () => 'This practice file is damaged: it does not say whose it is. Nothing was changed.',
  },
};

/** Why a file cannot be read, with what to do. */
export function fileTroubleWords(kind: FileKind, trouble: FileTrouble, data: FileTroubleData = {}): string {
  return FILE_TROUBLES[kind][trouble](data);
}

/** Repetitions of sessions that are not in the file. */
export function damagedInFileWords(n: number): string {
  return `${counted(n, 'entry', 'entries')} of the practice log.`;
}

/** An entry that a backup holds as it was found. */
export const DAMAGED_WHEN_WRITTEN = 'An entry that was damaged when the file was written.';

/** What a record is called that came back beside a newer one. */
export const broughtBackName = (name: string) => `${name || 'Deleted'} (brought back)`;

/** What a record is called that came out of a backup beside another one here. */
export const fromBackupName = (name: string) => `${name || 'Plan'} (from backup)`;

/** What a plan is called that was changed here and at home: the one from home. */
export const fromStudentName = (name: string) => `${name || 'Plan'} (from home)`;

/** What is called in the bin what a student deleted at home. */
export const DELETED_BY_STUDENT = 'Deleted by the student';

/** What the second of two versions of a plan is called. */
export const secondVersionName = (name: string) => `${name || 'Plan'} (second version)`;

/** What came of restoring a backup. */
export function restoredWords(amounts: readonly (readonly [number, EntryWords])[], known: number): string {
  const parts = amountWords(amounts);
  const rest = known > 0 ? ` ${counted(known, 'was', 'were')} here already.` : '';
  return `${parts.length > 0 ? listed(parts) : counted(0, 'plan')} restored.${rest}`;
}

/** What was left out of a restored backup; the first of it in its own words. */
export function asideWords([first, ...others]: readonly string[]): string {
  if (!first) return '';
  const many = others.length > 0 ? `${others.length + 1} entries are` : 'One entry is';
  return ` ${many} damaged and was left out; it is still in the file. ${first}`;
}

/** What a practice file has in it. */
export function practiceFileHasWords(name: string): string {
  return `The practice file has ${name ? `${name}’s` : 'this student’s'} plans, cards, goals and log, and nothing of anybody else.`;
}

interface Came {
  readonly name: string;
  /** The student whose page it was opened on, where that is another; else null. */
  readonly expected: string | null;
  readonly newStudent: boolean;
  readonly amounts: readonly (readonly [number, EntryWords])[];
  readonly changed: number;
  readonly both: number;
  readonly deleted: number;
  readonly removed: number;
  readonly refused: number;
  readonly aside: number;
}

/** What came of a practice file that a student brought. */
export function broughtWords({ expected, newStudent, amounts, ...came }: Came): string {
  const name = came.name || 'the student';
  const parts = amountWords(amounts);
  const { changed, both, deleted, removed, refused, aside } = came;
  const some = (n: number, words: (entries: string) => string, one = 'entry', many = 'entries') =>
    n > 0 ? words(counted(n, one, many)) : '';
  return [
    expected === null ? '' : `This file is ${name}’s, not ${expected}’s; it was put to ${name}.`,
    newStudent
      ? `${name} is here now, with ${listed(parts) || 'an empty log'}.`
      : parts.length > 0
        ? `${listed(parts)} put to ${name}’s log.`
        : `Everything in this file is in ${name}’s log already; nothing was counted twice.`,
    some(changed, (plans) => `${plans} changed at home ${changed === 1 ? 'is' : 'are'} so here now.`, 'plan', 'plans'),
    some(both, (plans) => `${plans} changed here and at home: both are here, one as “from home”.`, 'plan', 'plans'),
    some(removed, (entries) => `${entries} deleted at home went to “Deleted” here.`),
    some(deleted, (entries) => `${entries} that you deleted stayed deleted.`),
    some(refused, (entries) => `${entries} left out: they belong to another student, or to nothing that is here.`),
    some(aside, (entries) => `${entries} in the file could not be read or were not ${name}’s, and were left out.`),
  ]
    .filter((part) => part !== '')
    .join(' ');
}

/** A step of undo that would overwrite what another page has written. */
export const STEP_BLOCKED =
  'This step is not taken back: the same was changed on another page since, and what stands there stays.';

/** A step of undo on something that is not there any more. */
export const STEP_GONE =
  'This step is not taken back: what it changed was deleted. “Deleted” in the Studio has it for 30 days of use.';

/** Something that was deleted on another page while it was edited here. */
export const DELETED_MEANWHILE = 'This was deleted on another page. “Deleted” in the Studio has it for 30 days of use.';
