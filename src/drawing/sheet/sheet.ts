import { resolveHand, resolveSetup, writtenBars, type NoteNames } from '../../core';
import type { HardPlace, Planned, SheetPlan } from './sheetParts';
import { line, placed, type Ink } from '../paper/ink';
import { words } from '../paper/words';
import { drawLines, type DrawnLine, type PartOnPaper } from '../paper/system';
import {
  compose,
  emptyTable,
  heading,
  innerWidth,
  paragraph,
  tickRows,
  type Block,
  type Composed,
  type Paper,
} from './blocks';
import { overOf, type MarkChoices } from './marks';
import { patternBlocks } from './patterns';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * A sheet for a student: plans with what belongs to them, from top to bottom.
 */

export interface SheetChoices extends MarkChoices {
  readonly patterns: boolean;
  readonly hard: boolean;
  readonly ladder: boolean;
  readonly log: boolean;
  /** Empty staves at the end. */
  readonly blank: number;
  readonly paper: Paper;
}

export const USUAL_CHOICES: SheetChoices = {
  fingers: 'all',
  names: false,
  large: false,
  patterns: true,
  hard: true,
  ladder: true,
  log: false,
  blank: 0,
  paper: 'a4',
};

export interface SheetAsk {
  readonly title: string;
  /** Under the title: for whom, on what, when. */
  readonly who: string;
  readonly date: string;
  readonly goal: string;
  readonly reminders: string;
  readonly plans: readonly SheetPlan[];
  /** Steps of the ladder. */
  readonly ladder: readonly string[];
  readonly names: NoteNames;
  readonly choices: SheetChoices;
  /** The usual caution, at the foot. */
  readonly caution: string;
}

/** Sizes in points. */
const SIZES = {
  usual: { space: 5, text: 9.5, title: 19, section: 12.5 },
  large: { space: 8, text: 14, title: 25, section: 17 },
} as const;
const BOXES = 5;
const LOG_ROWS = 7;

/** Lays a sheet out. */
export function sheetPages(ask: SheetAsk): Composed {
  return compose(sheetBlocks(ask), ask.choices.paper, { left: ask.caution, from: 1 });
}

/** The blocks of a sheet, to be put on pages with others. */
export function sheetBlocks(ask: SheetAsk): Block[] {
  const { choices, plans } = ask;
  const sizes = choices.large ? SIZES.large : SIZES.usual;
  const width = innerWidth(choices.paper);
  return [
    titleBlock(ask, width, sizes),
    ...(ask.goal ? [goalBlock(ask.goal, width, sizes.text)] : []),
    ...(ask.reminders ? [paragraph(ask.reminders, width, sizes.text, { font: 'serif' })] : []),
    ...plans.flatMap((plan) => planBlocks(ask, plan, width, plans.length > 1)),
    ...(choices.ladder && ask.ladder.length > 0
      ? [heading(sheetDrawingsText.stepsWithABox, sizes.section), ...tickRows(ask.ladder, BOXES, width, sizes.text)]
      : []),
    ...(choices.log
      ? [
          heading('Log', sizes.section),
          emptyTable(
            [
              ['Date', 0.16],
              ['Minutes', 0.12],
              ['Tempo', 0.14],
              [sheetDrawingsText.howItWentAnd, 0.58],
            ],
            LOG_ROWS,
            width,
            sizes.text,
          ),
        ]
      : []),
    ...blankStaves(choices.blank, width, sizes.space),
  ];
}

type Sizes = (typeof SIZES)[keyof typeof SIZES];

function titleBlock({ title, who, date }: SheetAsk, width: number, sizes: Sizes): Block {
  const lines = paragraph(title, width, sizes.title, { font: 'title' });
  const y = lines.height + sizes.text;
  return {
    inks: [
      ...lines.inks,
      ...words(0, y, who, { size: sizes.text * 1.1, font: 'serif' }),
      ...words(width, y, date, { size: sizes.text * 1.1, font: 'serif', anchor: 'end' }),
      line(0, y + sizes.text * 0.6, width, y + sizes.text * 0.6, 0.8),
    ],
    height: y + sizes.text * 0.9,
    before: 0,
    newPage: true,
    withNext: true,
    mark: title,
  };
}

function goalBlock(goal: string, width: number, size: number): Block {
  const text = paragraph(goal, width - size * 2, size * 1.25, { font: 'bold' });
  const height = text.height + size * 0.8;
  return {
    inks: [
      { kind: 'box', x: 0, y: 0, w: width, h: height, width: 0.8, stroke: 'ink' },
      ...text.inks.map((ink): Ink => ('x' in ink ? { ...ink, x: ink.x + size, y: ink.y + size * 0.5 } : ink)),
    ],
    height,
    before: size,
    withNext: true,
  };
}

function planBlocks({ choices, names }: SheetAsk, one: SheetPlan, width: number, titled: boolean): Block[] {
  const sizes = choices.large ? SIZES.large : SIZES.usual;
  const setup = resolveSetup(one.request);
  const hand = resolveHand(setup, one.request.hand);
  const hard = choices.hard ? one.hard : [];
  const part = partOnPaper(one, choices, names);
  const marked = hard.map(({ from, to }, n) => ({ from, to, text: String(n + 1) }));
  const lines = systemBlocks([{ ...part, over: { ...part.over, marked } }], width, sizes.space);
  return [
    ...(titled ? [heading(one.title, sizes.section)] : []),
    ...lines,
    legendBlock(part, sizes.text),
    ...(choices.patterns
      ? [
          heading(sheetDrawingsText.fingerPatternsInTrue, sizes.section),
          ...(one.lies.length > 0 ? [paragraph(one.lies.join('  ·  '), width, sizes.text, { withNext: true })] : []),
          ...patternBlocks(one.plan, setup, hand, one.request, width, sizes.text),
        ]
      : []),
    ...(hard.length > 0
      ? [
          heading(sheetDrawingsText.hardPlaces, sizes.section),
          ...hard.flatMap((place, n) => hardBlocks(place, n, width, choices, names)),
        ]
      : []),
  ];
}

/** A plan as a part to be engraved. */
export function partOnPaper(one: Planned, choices: MarkChoices, names?: NoteNames): PartOnPaper {
  const { request, response, clefs } = one;
  const strings = resolveSetup(request).strings.map(({ name }) => name);
  return {
    bars: writtenBars(response, request.instrument, clefs),
    instrument: request.instrument,
    over: overOf(one, choices, strings, names),
  };
}

/** Lines of music as blocks. @param space of a staff, in points */
export function systemBlocks(parts: readonly PartOnPaper[], width: number, space: number, filled = false): Block[] {
  return drawLines(parts, { width: width / space, numbers: true, filled }).map((drawn, n) =>
    lineBlock(drawn, space, n === 0),
  );
}

function lineBlock({ inks, top, bottom }: DrawnLine, space: number, first: boolean): Block {
  return {
    inks: placed(inks, space, 0, -top * space),
    height: (bottom - top) * space,
    before: space * (first ? 2 : 2.6),
  };
}

/** What the signs mean that are on this sheet. */
function legendBlock({ over }: PartOnPaper, size: number): Block {
  const told = [
    ...(over.guides.size > 0 ? [sheetDrawingsText.smallNoteGuideNote] : []),
    ...(over.rings.size > 0 ? [sheetDrawingsText.circleRingingNote] : []),
    ...(over.checks.size > 0 ? [sheetDrawingsText.tickCheckItAgainst] : []),
    ...(over.strings.length > 0 ? [sheetDrawingsText.numeralsStringsIThe] : []),
    ...(over.extensions.size > 0 ? ['ext.: extension'] : []),
  ];
  return { ...paragraph(told.join('  ·  '), Infinity, size * 0.82), before: size * 0.4 };
}

function hardBlocks(
  { words: text, drill }: HardPlace,
  n: number,
  width: number,
  choices: SheetChoices,
  names: NoteNames,
): Block[] {
  const sizes = choices.large ? SIZES.large : SIZES.usual;
  const sentence = paragraph(`${n + 1}.  ${text}`, width, sizes.text, {
    before: sizes.text * 0.8,
    withNext: drill !== undefined,
  });
  if (!drill) return [sentence];
  const part = partOnPaper({ ...drill, findings: undefined }, { ...choices, fingers: 'all' }, names);
  return [sentence, ...systemBlocks([part], width, sizes.space * 0.86)];
}

/** Staves for the student's own writing. */
function blankStaves(count: number, width: number, space: number): Block[] {
  return Array.from({ length: count }, () => ({
    inks: Array.from({ length: 5 }, (_, n) => line(0, n * space, width, n * space, space * 0.13)),
    height: 4 * space,
    before: space * 6,
  }));
}
