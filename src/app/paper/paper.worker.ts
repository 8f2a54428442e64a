import { expose } from 'comlink';
import {
  asWritten,
  plan,
  planKept,
  type AsWritten,
  type KeptFingering,
  type Lock,
  type Plan,
  type PlanRequest,
} from '../../core';
import { openFile, passageOf, Unreadable, type Opened, type PassageAsk } from '../../core/formats';
import { outlined } from '../../drawing/paper/outlined';
import type { Page } from '../../drawing/paper/ink';
import { pdfOf } from '../../drawing/paper/pdf';
import { svgOf } from '../../drawing/paper/svg';
import { bookPages, type BookAsk, type BookPage } from '../../drawing/sheet/book';
import { classPages } from '../../drawing/sheet/class';
import { firstBars, pictureOf, type PictureName } from '../../drawing/sheet/pictures';
import { sheetPages, type SheetAsk, type SheetChoices } from '../../drawing/sheet/sheet';
import { weekPages, type WeekAsk } from '../../drawing/sheet/weekPage';
import { musicXmlOf, partFor, writeAs, type NoteFormat, type Writable } from '../../work/exports';
import { sheetPlan, type Planned, type Reader, type SheetPlan } from '../../drawing/sheet/sheetParts';
import { nearestWords } from '../../wording/sheets';
import { pagesFor } from './bookPages';
import { classFor, classXml, type ClassChoice, type ClassFound } from './classes';
import { fontFiles } from './fonts';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/*
 * Everything that is slow about paper and files, away from the page: laying out, PDF, reading and judging.
 */

/** A plan for a sheet, with what tells whether it is still the same. */
export interface PlanForSheet {
  readonly key: string;
  readonly planned: Omit<Planned, 'clefs' | 'findings'>;
  readonly reader: Reader;
  readonly title: string;
}

/** Pages as they are shown. */
export interface Laid {
  readonly svgs: readonly string[];
  readonly width: number;
  readonly height: number;
  readonly marks: readonly { readonly title: string; readonly page: number }[];
}

/** What was laid out last: a PDF is made of it. */
let last: { readonly pages: readonly Page[]; readonly marks: Laid['marks'] } | undefined;
const plans = new Map<string, SheetPlan>();
let opened: Opened | undefined;
let lastClass: ClassFound | undefined;

function kept({ key, planned, reader, title }: PlanForSheet): SheetPlan {
  const known = plans.get(key) ?? sheetPlan(planned, reader, title);
  plans.set(key, known);
  return known;
}

function laid(composed: NonNullable<typeof last>, title: string): Laid {
  last = composed;
  const { width, height } = composed.pages[0] ?? { width: 0, height: 0 };
  const svgs = composed.pages.map((page, n) =>
    svgOf(page, paperDeskText.pageOf(title, n + 1, composed.pages.length), `p${n}`),
  );
  return { svgs, width, height, marks: composed.marks };
}

const sheet = (ask: Omit<SheetAsk, 'plans'>, wanted: readonly PlanForSheet[]): Laid =>
  laid(sheetPages({ ...ask, plans: wanted.map(kept) }), ask.title);

/** The week of a student, with the sheets of its plans behind it. */
const week = (ask: Omit<WeekAsk, 'plans'>, behind: readonly PlanForSheet[]): Laid =>
  laid(weekPages({ ...ask, plans: behind.map((one) => ({ title: one.title, plan: kept(one) })) }), ask.title);

/** The page of a class: laid out, with what cannot be played. @param now in ms */
function forClass(
  choice: ClassChoice,
  choices: SheetChoices,
  now: number,
): Laid & Pick<ClassFound, 'troubles'> & { readonly title: string } {
  const found = classFor(choice, new Date(now));
  lastClass = found;
  const { title } = found.ask;
  return { ...laid(classPages({ ...found.ask, choices }), title), title, troubles: found.troubles };
}

/** The class page that was laid out last, for other programs. */
const classNotes = (): Uint8Array => new TextEncoder().encode(lastClass ? classXml(lastClass) : '');

/** What was laid out last, as a PDF. @param now in ms */
async function pdf(title: string, author: string, now: number): Promise<Uint8Array> {
  const { pages, marks } = last ?? { pages: [], marks: [] };
  const bookmarks = marks.length > 1 ? marks : [];
  return pdfOf(pages, { title, author, bookmarks }, await fontFiles(), new Date(now));
}

/** One picture of a plan, its words as shapes. */
async function picture(name: PictureName, planned: Planned, title: string): Promise<string> {
  return svgOf(outlined(pictureOf(name, planned), await fontFiles()), title);
}

/** What a file is, told in a few words; the file itself stays here. */
export type OpenedFile =
  | { readonly kind: 'json' | 'notes'; readonly text: string }
  | { readonly kind: 'piece'; readonly title: string; readonly parts: readonly OpenedPart[] }
  | { readonly kind: 'trouble'; readonly code: string; readonly data: Unreadable['data']; readonly path: string };

export interface OpenedPart {
  readonly name: string;
  readonly instrument: string | null;
  readonly bars: readonly string[];
  readonly voices: readonly string[];
  readonly notes: number;
}

/** Anything that is asked of a file may find that it cannot be read. */
function guarded<T>(work: () => T): T | Extract<OpenedFile, { kind: 'trouble' }> {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    return { kind: 'trouble', code: error.code, data: error.data, path: error.path };
  }
}

const open = (bytes: Uint8Array, progress: (share: number) => void): OpenedFile =>
  guarded((): OpenedFile => {
    opened = openFile(bytes, progress);
    if (opened.kind !== 'piece') return opened;
    const { title, parts } = opened.piece;
    return {
      kind: 'piece',
      title,
      parts: parts.map(({ name, id, instrument, bars, voices }) => ({
        name: name || id,
        instrument,
        bars: bars.map(({ number }) => number),
        voices: voices.map((voice) => voice.name),
        notes: voices.reduce((sum, voice) => sum + voice.notes.filter(({ heads }) => heads.length > 0).length, 0),
      })),
    };
  });

/** The bars that were chosen of the file that was opened last. */
function passage(ask: PassageAsk) {
  return guarded(() => {
    if (opened?.kind !== 'piece') throw new Unreadable('unknown-file');
    return { kind: 'passage' as const, ...passageOf(opened.piece, ask) };
  });
}

/** The bars that were chosen, with the first of them drawn. */
function preview(ask: PassageAsk, width: number) {
  const found = passage(ask);
  return found.kind === 'trouble' ? found : { ...found, svg: firstBars(found.request, width) };
}

/** A written fingering against ours, as far as it is told bar by bar. */
export type Judged = Pick<AsWritten, 'plan' | 'unplayable' | 'beyond'> & { readonly best: Plan | null };

function judge(request: PlanRequest, written: readonly Lock[]): Judged {
  const { response, plan: own, unplayable, beyond } = asWritten({ ...request, alternatives: 1 }, written);
  return { plan: own, best: response.plans[0] ?? null, unplayable, beyond };
}

const write = (format: NoteFormat, one: Writable): Uint8Array => writeAs(format, one);

/** A page of a book that is to be worked out. */
export interface PageAsk {
  readonly id: string;
  /** Told back with the answer. */
  readonly stamp: number;
  readonly name: string;
  readonly request: PlanRequest;
  readonly kept?: KeptFingering;
  /** What is tried where it cannot be played, the nearest first. */
  readonly nearest: readonly PlanRequest[];
  readonly reader: Reader;
}

export interface PageDone {
  readonly id: string;
  readonly stamp: number;
  readonly name: string;
  /** What a note costs, to sort by. */
  readonly difficulty: number;
  readonly warning: string;
  readonly shifts: number;
}

/** Pages that were worked out: they stay here, and only their ids go to and fro. */
const pagesDone = new Map<string, BookPage>();

function page({ id, stamp, name, request, kept: fingering, nearest, reader }: PageAsk): PageDone {
  const own = planned(request, fingering);
  const other = own ? undefined : nearest.find((one) => planned(one) !== null);
  const found = own ?? (other ? planned(other) : null);
  const one = found && sheetPlan(found, reader, name);
  const warning = own ? '' : nearestWords(request, other);
  pagesDone.set(id, { plan: one && withoutMost(one), warning, name });
  const cost = found?.plan.cost ?? Infinity;
  return {
    id,
    stamp,
    name,
    warning,
    difficulty: found ? cost / Math.max(1, found.plan.steps.length) : Number.MAX_VALUE,
    shifts: found?.plan.shifts.length ?? 0,
  };
}

function planned(request: PlanRequest, fingering?: KeptFingering): Omit<Planned, 'clefs' | 'findings'> | null {
  const asked = { ...request, alternatives: 1, explain: 'nothing' } as const;
  if (fingering) {
    const { response, found } = planKept(asked, fingering);
    const one = response.plans[found ?? 0];
    return one ? { request, response, plan: one } : null;
  }
  const response = plan(asked);
  const [one] = response.plans;
  return one ? { request, response, plan: one } : null;
}

/** A book has many pages: of what was found only what is heard is kept. */
function withoutMost(one: SheetPlan): SheetPlan {
  const { findings } = one;
  return {
    ...one,
    hard: [],
    ...(findings ? { findings: { ...findings, ranked: [], cues: [], traps: [], crowds: [], shifts: [] } } : {}),
  };
}

/** Lays out a book of pages that were worked out. */
function book(
  frame: Omit<BookAsk, 'pages'>,
  order: readonly string[],
): Omit<Laid, 'svgs'> & { readonly pages: number } {
  const pages = order.flatMap((id) => pagesDone.get(id) ?? []);
  last = bookPages({ ...frame, pages });
  const [{ width, height }] = last.pages;
  return { width, height, marks: last.marks, pages: last.pages.length };
}

/** One page of what was laid out last. */
const pageSvg = (number: number, title: string): string =>
  last?.pages[number - 1] ? svgOf(last.pages[number - 1], title, 'b') : '';

/** The pages as one MusicXML file. */
function bookNotes(title: string, order: readonly string[]): Uint8Array {
  const plans = order.flatMap((id) => pagesDone.get(id)?.plan ?? []);
  return new TextEncoder().encode(musicXmlOf(title, [partFor(plans)]));
}

const paper = {
  sheet,
  week,
  pagesFor,
  book,
  forClass,
  classNotes,
  pdf,
  picture,
  open,
  passage,
  preview,
  judge,
  page,
  pageSvg,
  bookNotes,
  write,
};
export type PaperInWorker = typeof paper;

expose(paper);
