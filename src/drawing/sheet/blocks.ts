import { line, placed, type FontName, type Ink, type Page } from '../paper/ink';
import { brokenWords, words } from '../paper/words';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * What a page is made of, from top to bottom: blocks that are never parted. In points; y is 0 at a block's top.
 */

export const PAPERS = { a4: { width: 595.28, height: 841.89 }, letter: { width: 612, height: 792 } } as const;
export type Paper = keyof typeof PAPERS;

export interface Block {
  readonly inks: readonly Ink[];
  readonly height: number;
  /** Room before it, but not at the top of a page. */
  readonly before: number;
  /** Stays on a page with the next. */
  readonly withNext?: boolean;
  /** Begins a page. */
  readonly newPage?: boolean;
  /** Listed in the contents and the bookmarks. */
  readonly mark?: string;
}

export const MARGIN = 42;
/** Room for the foot of a page. */
const FOOT = 30;

export interface Composed {
  readonly pages: readonly Page[];
  /** On which page, from 1, each marked block lies. */
  readonly marks: readonly { readonly title: string; readonly page: number }[];
}

interface Foot {
  readonly left: string;
  /** Number of the first page. */
  readonly from: number;
  /** How many there are in all; these where left out. */
  readonly of?: number;
}

/** Puts blocks on pages; what belongs together stays together where a page has room for it. */
export function compose(blocks: readonly Block[], paper: Paper, foot: Foot): Composed {
  const { width, height } = PAPERS[paper];
  const room = height - 2 * MARGIN - FOOT;
  const pages: Ink[][] = [];
  const marks: { title: string; page: number }[] = [];
  let y = Infinity;
  for (let n = 0; n < blocks.length;) {
    let last = n;
    while (blocks[last].withNext && last + 1 < blocks.length && !blocks[last + 1].newPage) last++;
    const group = blocks.slice(n, last + 1);
    const needed = group.reduce((sum, block, at) => sum + block.height + (at === 0 && y === 0 ? 0 : block.before), 0);
    if (blocks[n].newPage || y + needed > room) {
      pages.push([]);
      y = 0;
    }
    for (const block of group) {
      if (y > 0 && y + block.before + block.height > room) {
        pages.push([]);
        y = 0;
      }
      if (y > 0) y += block.before;
      if (block.mark) marks.push({ title: block.mark, page: pages.length + foot.from - 1 });
      pages[pages.length - 1].push(...at(block.inks, MARGIN, MARGIN + y));
      y += block.height;
    }
    n = last + 1;
  }
  const of = foot.of ?? pages.length;
  return {
    marks,
    pages: pages.map((inks, n) => ({
      width,
      height,
      inks: [...inks, ...footInks(foot.left, n + foot.from, of, width, height)],
    })),
  };
}

function footInks(left: string, page: number, of: number, width: number, height: number): Ink[] {
  const y = height - MARGIN + 4;
  const size = 7.5;
  return [
    ...words(MARGIN, y, left, { size, tone: 'grey' }),
    ...(of > 1
      ? words(width - MARGIN, y, sheetDrawingsText.blocksOf(page, of), { size, tone: 'grey', anchor: 'end' })
      : []),
  ];
}

/** A drawing moved to a place. */
export const at = (inks: readonly Ink[], dx: number, dy: number): Ink[] => placed(inks, 1, dx, dy);

export const innerWidth = (paper: Paper) => PAPERS[paper].width - 2 * MARGIN;

/** Words that fill the width in as many lines as they need. */
export function paragraph(
  text: string,
  width: number,
  size: number,
  options: { readonly font?: FontName; readonly before?: number; readonly withNext?: boolean } = {},
): Block {
  const { font = 'sans', before = size * 0.5, withNext } = options;
  const lines = brokenWords(text, font, size, width);
  const leading = size * 1.35;
  return {
    inks: lines.flatMap((one, n) => words(0, size + n * leading, one, { size, font })),
    height: size * 0.25 + lines.length * leading,
    before,
    withNext,
  };
}

export function heading(text: string, size: number, before = size): Block {
  return { inks: words(0, size, text, { size, font: 'title' }), height: size * 1.35, before, withNext: true };
}

/** Boxes to tick, a row for each label. */
export function tickRows(labels: readonly string[], boxes: number, width: number, size: number): Block[] {
  const step = size * 2;
  const label = Math.max(64, size * 7);
  const columns = Math.max(1, Math.min(3, Math.floor(width / (label + boxes * step + size * 2))));
  const rows = Math.ceil(labels.length / columns);
  return Array.from({ length: rows }, (_, row): Block => {
    const inks: Ink[] = [];
    for (let column = 0; column < columns; column++) {
      const text = labels[column * rows + row];
      if (text === undefined) continue;
      const x = (column * width) / columns;
      inks.push(...words(x, size * 1.05, text, { size }));
      for (let box = 0; box < boxes; box++)
        inks.push({
          kind: 'box',
          x: x + label + box * step,
          y: 0,
          w: size * 1.3,
          h: size * 1.3,
          width: 0.8,
          stroke: 'ink',
        });
    }
    return { inks, height: size * 1.4, before: size * 0.6, withNext: row + 1 < rows };
  });
}

/** A table to write into, with a heading row. */
export function emptyTable(
  columns: readonly (readonly [label: string, share: number])[],
  rows: number,
  width: number,
  size: number,
): Block {
  const tall = size * 2.3;
  const head = size * 1.8;
  const height = head + rows * tall;
  const inks: Ink[] = [];
  let x = 0;
  columns.forEach(([label, share], n) => {
    inks.push(...words(x + (n === 0 ? 0 : 5), size * 1.1, label, { size: size * 0.95, tone: 'grey' }));
    if (n > 0) inks.push(line(x, 0, x, height, 0.5, { tone: 'grey' }));
    x += share * width;
  });
  for (let row = 0; row <= rows; row++)
    inks.push(
      line(0, head + row * tall, width, head + row * tall, row === 0 ? 0.9 : 0.5, { tone: row === 0 ? 'ink' : 'grey' }),
    );
  return { inks, height, before: size * 0.4 };
}
