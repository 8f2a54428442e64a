import type { NoteNames } from '../../core';
import { line, type Ink } from '../paper/ink';
import { brokenWords, words } from '../paper/words';
import { compose, heading, innerWidth, paragraph, type Block, type Composed } from './blocks';
import { sheetBlocks, type SheetChoices } from './sheet';
import type { SheetPlan } from './sheetParts';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * A week on paper: what is practised each day, with a box for every day; the sheets of its plans behind it.
 */

/** One line of the week. */
interface WeekLine {
  readonly minutes: string;
  readonly words: string;
  /** Why it is there, small. */
  readonly why: string;
  readonly tempo: string;
}

export interface WeekAsk {
  readonly title: string;
  readonly who: string;
  readonly date: string;
  readonly goal: string;
  readonly reminders: string;
  readonly lines: readonly WeekLine[];
  readonly nextLesson: string;
  readonly caution: string;
  readonly names: NoteNames;
  readonly choices: SheetChoices;
  /** What stands behind it, each with its title. */
  readonly plans: readonly { readonly title: string; readonly plan: SheetPlan }[];
}

const TEXT = 11;
const SMALL = 8.5;
const BOX = 15;
const STEP = 22;
const MINUTES = 46;
const TEMPO = 62;
const DAYS = 7;

/** The week first, then a sheet for each plan. */
export function weekPages(ask: WeekAsk): Composed {
  const width = innerWidth(ask.choices.paper);
  const title = heading(ask.title, 20, 0);
  const blocks: Block[] = [
    { ...title, newPage: true, mark: ask.title },
    paragraph(`${ask.who}   ${ask.date}`, width, 10, { font: 'serif', withNext: true }),
    ...(ask.goal ? [paragraph(ask.goal, width, 14, { font: 'title', before: 10 })] : []),
    ...(ask.reminders ? [paragraph(ask.reminders, width, TEXT, { font: 'serif', before: 8 })] : []),
    headRow(width),
    ...ask.lines.map((one) => row(one, width)),
    ...(ask.nextLesson ? [paragraph(ask.nextLesson, width, TEXT, { before: 18 })] : []),
    noteLines(width),
    ...ask.plans.flatMap(({ title: name, plan }) => sheetOf(ask, name, plan)),
  ];
  return compose(blocks, ask.choices.paper, { left: ask.caution, from: 1 });
}

function sheetOf(ask: WeekAsk, title: string, plan: SheetPlan): Block[] {
  const { who, date, caution, names, choices } = ask;
  return sheetBlocks({ title, who, date, caution, names, choices, goal: '', reminders: '', ladder: [], plans: [plan] });
}

const boxesAt = (width: number) => width - DAYS * STEP;

function headRow(width: number): Block {
  const from = boxesAt(width);
  const days = sheetDrawingsText.daysOfTheWeek.flatMap((day, n) =>
    words(from + n * STEP + BOX / 2, SMALL, day, { size: SMALL, tone: 'grey', anchor: 'middle' }),
  );
  const small = { size: SMALL, tone: 'grey' } as const;
  return {
    inks: [
      ...words(0, SMALL, sheetDrawingsText.minutes, small),
      ...words(MINUTES, SMALL, sheetDrawingsText.whatToPractise, small),
      ...words(from - TEMPO, SMALL, sheetDrawingsText.tempo, small),
      ...days,
      line(0, SMALL + 5, width, SMALL + 5, 0.9),
    ],
    height: SMALL + 7,
    before: 16,
    withNext: true,
  };
}

function row({ minutes, words: what, why, tempo }: WeekLine, width: number): Block {
  const from = boxesAt(width);
  const room = from - TEMPO - MINUTES - 8;
  const lines = brokenWords(what, 'sans', TEXT, room);
  const whys = why ? brokenWords(why, 'serif', SMALL, room) : [];
  const height = Math.max(BOX + 8, lines.length * TEXT * 1.3 + whys.length * SMALL * 1.35 + 8);
  const boxes = Array.from({ length: DAYS }, (_, n): Ink => ({
    kind: 'box',
    x: from + n * STEP,
    y: 3,
    w: BOX,
    h: BOX,
    width: 0.8,
    stroke: 'ink',
  }));
  return {
    inks: [
      ...words(0, TEXT + 3, minutes, { size: TEXT }),
      ...lines.flatMap((text, n) => words(MINUTES, TEXT + 3 + n * TEXT * 1.3, text, { size: TEXT })),
      ...whys.flatMap((text, n) =>
        words(MINUTES, TEXT + 3 + lines.length * TEXT * 1.3 + n * SMALL * 1.35 - 2, text, {
          size: SMALL,
          font: 'serif',
          tone: 'grey',
        }),
      ),
      ...words(from - TEMPO, TEXT + 3, tempo, { size: TEXT }),
      ...boxes,
      line(0, height - 2, width, height - 2, 0.4, { tone: 'light' }),
    ],
    height,
    before: 2,
  };
}

const NOTE_LINES = 4;
const NOTE_LEADING = 24;

/** Room for a word from home. */
function noteLines(width: number): Block {
  const inks = Array.from({ length: NOTE_LINES }, (_, n) =>
    line(0, 20 + (n + 1) * NOTE_LEADING, width, 20 + (n + 1) * NOTE_LEADING, 0.4, { tone: 'grey' }),
  );
  return {
    inks: [...words(0, TEXT, sheetDrawingsText.aWordFromHome, { size: SMALL, tone: 'grey' }), ...inks],
    height: 24 + NOTE_LINES * NOTE_LEADING,
    before: 20,
  };
}
