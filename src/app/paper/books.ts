import { create } from 'zustand';
import { levelOf } from '../brief/words';
import { fingerNamesOf } from '../../wording/plans';
import { openedPages, getPlan } from '../../store/read';
import { storageFault } from '../../store/db';
import { newRecord } from '../../store/records';
import type { BookRecord, PlanRecord, StudentRecord } from '../../core';
import { readingTroubleWords } from '../../wording/storage';
import { CAUTION, dayInWords, onWhat } from '../../wording/sheets';
import type { PlanRequest } from '../../core';
import type { SheetChoices } from '../../drawing/sheet/sheet';
import { offerFile } from '../files';
import { say } from '../notices';
import { remove, save } from '../writes';
import { nearestRequests, type BookAsk } from './bookPages';
import { atDesk, CalledOff } from './desk';
import type { PageDone } from './paper.worker';
import { fileName } from './sheets';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/*
 * A book while it is made: pages are worked out one after the other, with the time that is left; it can be stopped, and gone on with.
 */

export interface BookState {
  readonly bookId: string | null;
  readonly working: boolean;
  readonly done: readonly PageDone[];
  /** Seconds that are left, once that can be told. */
  readonly left: number | null;
  /** Counts up whenever a page was worked out anew. */
  readonly version: number;
}

const NO_BOOK: BookState = { bookId: null, working: false, done: [], left: null, version: 0 };
export const useBook = create<BookState>(() => NO_BOOK);
const { getState: get, setState: set } = useBook;

/** Makes a book's record and begins to work it out. */
export async function makeBook(ask: BookAsk, name: string, student: StudentRecord | undefined): Promise<string | null> {
  const player = { plays: student?.plays ?? { instrument: 'violin' as const }, positions: student?.positions };
  const made = await atDesk(async (remote) => await remote.pagesFor(ask, player));
  const pages = made.map((page) => ({ id: crypto.randomUUID(), ...page }));
  if (pages.length === 0) {
    say({ kind: 'trouble', message: paperDeskText.nothingOfThisCan });
    return null;
  }
  const now = Date.now();
  const record: BookRecord = {
    id: crypto.randomUUID(),
    studentId: student?.id ?? '',
    name,
    ask,
    pages,
    createdAt: now,
    changedAt: now,
  };
  const kept = await save([{ kind: 'added', table: 'books', record }]);
  return kept ? record.id : null;
}

export async function removeBook(book: BookRecord) {
  await remove(
    [{ kind: 'removed', table: 'books', record: book }],
    paperDeskText.wasDeletedPagesThat(book.name),
    book.name,
  );
}

/** Which run of work counts: a newer one, or a stop, ends an older. */
let run = 0;

/** Works out the pages that are still missing. */
export async function workOn(book: BookRecord, student: StudentRecord | undefined) {
  const mine = ++run;
  const fresh = get().bookId !== book.id;
  set({ ...(fresh ? { ...NO_BOOK, bookId: book.id } : {}), working: true, left: null });
  const begun = performance.now();
  try {
    const opened = await openedPages(book);
    const before = get().done.length;
    for (const page of book.pages) {
      if (run !== mine) return;
      const own = opened.get(page.id);
      const stamp = own?.changedAt ?? 0;
      const known = get().done.find(({ id }) => id === page.id);
      if (known && known.stamp === stamp) continue;
      const one = await workOut(page.id, own, page.request, student, page.name, stamp);
      if (run !== mine) return;
      const done = [...get().done.filter(({ id }) => id !== page.id), one];
      const each = (performance.now() - begun) / 1000 / Math.max(1, done.length - before);
      set({ done, left: Math.ceil(each * (book.pages.length - done.length)), version: get().version + 1 });
    }
  } catch (error) {
    if (!(error instanceof CalledOff)) say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  } finally {
    if (run === mine) set({ working: false, left: null });
  }
}

/** Stops after the page that is worked at; what is done stays. */
export function stopWork() {
  run++;
  set({ working: false, left: null });
}

function workOut(
  id: string,
  own: PlanRecord | undefined,
  request: PlanRequest,
  student: StudentRecord | undefined,
  name: string,
  stamp: number,
): Promise<PageDone> {
  const asked = own?.request ?? request;
  const kept = own && 'fingering' in own.choice ? own.choice.fingering : undefined;
  const level = levelOf(asked, student);
  const reader = {
    level,
    names: student?.noteNames ?? ('letters' as const),
    fingers: fingerNamesOf(student, level),
    ...(student?.plays.instrument === asked.instrument ? { clefs: student.clefs } : {}),
  };
  return atDesk(
    async (remote) =>
      await remote.page({
        id,
        stamp,
        name: own?.name || name,
        request: asked,
        kept,
        nearest: nearestRequests(asked),
        reader,
      }),
  );
}

/** The order of a book's pages as they are printed. */
export function inOrder(book: BookRecord, done: readonly PageDone[]): PageDone[] {
  const found = book.pages.flatMap(({ id }) => done.find((one) => one.id === id) ?? []);
  const byDifficulty = book.ask.kind === 'keys' && book.ask.order === 'difficulty';
  return byDifficulty ? [...found].sort((a, b) => a.difficulty - b.difficulty) : found;
}

export function bookFrame(book: BookRecord, student: StudentRecord | undefined, choices: SheetChoices) {
  return {
    title: book.name,
    who: student ? onWhat(student.plays as PlanRequest, student.name) : '',
    date: dayInWords(new Date()),
    caution: CAUTION,
    names: student?.noteNames ?? ('letters' as const),
    choices: { ...choices, hard: false, ladder: false, log: false, blank: 0 },
  };
}

/** Opens a page as a plan of its own, on the Bench. */
export async function openPage(book: BookRecord, id: string) {
  const page = book.pages.find((one) => one.id === id);
  if (!page) return;
  try {
    const own = await getPlan(id);
    const open = () => location.assign(`/?plan=${id}`);
    if (own) return open();
    const record = newRecord(page.request, Date.now(), {
      id,
      name: page.name,
      studentId: book.studentId || null,
      tags: ['book'],
    });
    await save([{ kind: 'added', table: 'plans', record }], open);
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

/** The whole book as one MusicXML file. */
export async function saveBookNotes(book: BookRecord, order: readonly string[]) {
  try {
    const bytes = await atDesk(async (remote) => await remote.bookNotes(book.name, order));
    offerFile(bytes, `${fileName(book.name)}.musicxml`, 'application/vnd.recordare.musicxml+xml');
  } catch (error) {
    if (!(error instanceof CalledOff)) say({ kind: 'trouble', message: paperDeskText.theFileCouldNot });
  }
}
