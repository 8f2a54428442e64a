import type { NoteNames } from '../../core';
import type { Planned } from './sheetParts';
import type { PartOnPaper } from '../paper/system';
import { line } from '../paper/ink';
import { words } from '../paper/words';
import { compose, heading, innerWidth, paragraph, type Block, type Composed } from './blocks';
import { partOnPaper, systemBlocks, type SheetChoices } from './sheet';

/*
 * A page for a class: one scale or passage for all instruments together, as a score, and each part by itself.
 */

export interface ClassPart extends Planned {
  readonly name: string;
  readonly shortName: string;
}

export interface ClassAsk {
  readonly title: string;
  readonly date: string;
  readonly caution: string;
  readonly names: NoteNames;
  readonly choices: SheetChoices;
  readonly parts: readonly ClassPart[];
  /** Score, parts, or both. */
  readonly shows: 'score' | 'parts' | 'both';
  /** Events at which two or more shift at the same moment. */
  readonly together: readonly number[];
  readonly togetherWords: string;
}

const SCORE_SPACE = 4.3;
const PART_SPACE = 5.2;

export function classPages(ask: ClassAsk): Composed {
  if (ask.parts.length === 0) return { pages: [], marks: [] };
  const width = innerWidth(ask.choices.paper);
  const marked = ask.together.map((at) => ({ from: at, to: at, text: '↓' }));
  const drawn = ask.parts.map((part, n): PartOnPaper => {
    const own = partOnPaper(part, ask.choices, ask.names);
    return {
      ...own,
      name: part.name,
      shortName: part.shortName,
      over: {
        ...own.over,
        strings: [],
        marked: n === 0 ? marked.map((one, at) => ({ ...one, text: String(at + 1) })) : [],
      },
    };
  });
  const score: Block[] = [
    titleBlock(ask.title, ask.date, width),
    ...(ask.together.length > 0 ? [paragraph(ask.togetherWords, width, 9.5)] : []),
    ...systemBlocks(drawn, width, SCORE_SPACE),
  ];
  const parts = ask.parts.flatMap((part): Block[] => [
    titleBlock(`${ask.title}: ${part.name}`, ask.date, width),
    ...systemBlocks([partOnPaper(part, ask.choices, ask.names)], width, ask.choices.large ? 8 : PART_SPACE),
  ]);
  const blocks = ask.shows === 'score' ? score : ask.shows === 'parts' ? parts : [...score, ...parts];
  return compose(blocks, ask.choices.paper, { left: ask.caution, from: 1 });
}

function titleBlock(title: string, date: string, width: number): Block {
  const { inks, height } = heading(title, 19);
  return {
    inks: [
      ...inks,
      ...words(width, 19, date, { size: 10, font: 'serif', anchor: 'end' }),
      line(0, height + 2, width, height + 2, 0.8),
    ],
    height: height + 5,
    before: 0,
    newPage: true,
    withNext: true,
    mark: title,
  };
}
