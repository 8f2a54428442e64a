import { expose } from 'comlink';
import { asWritten, plan, type AsWritten, type Lock, type Plan, type PlanRequest } from '../../core';
import { openFile, passageOf, Unreadable, type Opened, type PassageAsk } from '../../core/formats';
import { outlined } from '../../notation/paper/outlined';
import type { Page } from '../../notation/paper/ink';
import { pdfOf } from '../../notation/paper/pdf';
import { svgOf } from '../../notation/paper/svg';
import { bookPages, type BookAsk } from '../../notation/sheet/book';
import { classPages, type ClassAsk } from '../../notation/sheet/class';
import { firstBars, pictureOf, type PictureName } from '../../notation/sheet/pictures';
import { sheetPages, type SheetAsk } from '../../notation/sheet/sheet';
import { writeAs, type NoteFormat, type Writable } from '../../work/exports';
import { sheetPlan, type Planned, type Reader, type SheetPlan } from '../../work/sheets';
import { fontFiles } from './fonts';

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

function kept({ key, planned, reader, title }: PlanForSheet): SheetPlan {
  const known = plans.get(key) ?? sheetPlan(planned, reader, title);
  plans.set(key, known);
  return known;
}

function laid(composed: NonNullable<typeof last>, title: string): Laid {
  last = composed;
  const [{ width, height }] = composed.pages;
  const svgs = composed.pages.map((page, n) =>
    svgOf(page, `${title}, page ${n + 1} of ${composed.pages.length}`, `p${n}`),
  );
  return { svgs, width, height, marks: composed.marks };
}

const sheet = (ask: Omit<SheetAsk, 'plans'>, wanted: readonly PlanForSheet[]): Laid =>
  laid(sheetPages({ ...ask, plans: wanted.map(kept) }), ask.title);

const book = (ask: BookAsk): Laid => laid(bookPages(ask), ask.title);
const forClass = (ask: ClassAsk): Laid => laid(classPages(ask), ask.title);

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
  | {
      readonly kind: 'piece';
      readonly title: string;
      readonly parts: readonly OpenedPart[];
    }
  | {
      readonly kind: 'trouble';
      readonly code: string;
      readonly data: Unreadable['data'];
      readonly path: string;
    };

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
        ...{ name: name || id, instrument, bars: bars.map(({ number }) => number) },
        voices: voices.map((voice) => voice.name),
        notes: voices.reduce(
          (sum, voice) => sum + voice.notes.filter(({ heads }) => heads.length > 0).length,
          0,
        ),
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

/** One page of a book, worked out. */
function page(request: PlanRequest, reader: Reader, title: string): SheetPlan | null {
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [one] = response.plans;
  return one ? sheetPlan({ request, response, plan: one }, reader, title) : null;
}

const paper = { sheet, book, forClass, pdf, picture, open, passage, preview, judge, page, write };
export type PaperInWorker = typeof paper;

expose(paper);
