import type { SheetPlan } from './sheetParts';
import type { Ink } from '../paper/ink';
import { words } from '../paper/words';
import { compose, heading, innerWidth, paragraph, PAPERS, type Block, type Composed } from './blocks';
import { sheetBlocks, type SheetAsk, type SheetChoices } from './sheet';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * A book: a title with contents, then a sheet for each plan.
 */

export interface BookPage {
  readonly plan: SheetPlan | null;
  /** Said where there is none, or the nearest is shown instead. */
  readonly warning: string;
  readonly name: string;
}

export interface BookAsk {
  readonly title: string;
  readonly who: string;
  readonly date: string;
  readonly caution: string;
  readonly names: SheetAsk['names'];
  readonly choices: SheetChoices;
  readonly pages: readonly BookPage[];
}

const LINE = 14;

/** Lays a book out: the contents are put together once it is known where everything lies. */
export function bookPages(ask: BookAsk): Composed {
  const { paper } = ask.choices;
  const blocks = ask.pages.flatMap((page) => pageBlocks(ask, page));
  const lines = ask.pages.length;
  const perPage = Math.floor((PAPERS[paper].height - 200) / LINE);
  const front = Math.max(1, Math.ceil(lines / perPage));
  const body = compose(blocks, paper, { left: ask.caution, from: front + 1 });
  const all = front + body.pages.length;
  const numbered = compose(blocks, paper, { left: ask.caution, from: front + 1, of: all });
  const contents = compose(contentBlocks(ask, numbered.marks, perPage), paper, { left: ask.caution, from: 1, of: all });
  return {
    pages: [...contents.pages, ...numbered.pages],
    marks: [{ title: sheetDrawingsText.contents, page: 1 }, ...numbered.marks],
  };
}

function pageBlocks(ask: BookAsk, { plan, warning, name }: BookPage): Block[] {
  const { who, date, caution, names, choices } = ask;
  const sheet = { who, date, caution, names, choices, title: name, goal: '', reminders: warning, ladder: [] };
  return sheetBlocks({ ...sheet, plans: plan ? [plan] : [] });
}

function contentBlocks(ask: BookAsk, marks: Composed['marks'], perPage: number): Block[] {
  const width = innerWidth(ask.choices.paper);
  const title = paragraph(ask.title, width, 24, { font: 'title' });
  const who = paragraph(`${ask.who}   ${ask.date}`, width, 11, { font: 'serif' });
  const entries = marks.map(({ title: name, page }, n): Block => {
    const dots: Ink[] = [
      ...words(0, 10, name, { size: 10 }),
      ...words(width, 10, String(page), { size: 10, anchor: 'end' }),
      { kind: 'line', x1: 0, y1: 12.5, x2: width, y2: 12.5, width: 0.3, tone: 'light' },
    ];
    return { inks: dots, height: LINE, before: 0, ...(n > 0 && n % perPage === 0 ? { newPage: true } : {}) };
  });
  return [{ ...title, newPage: true, withNext: true }, who, heading('Contents', 13), ...entries];
}
