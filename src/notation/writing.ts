import { bowsOf, hasBows, samePlace, type Part, type Plan } from '../core';
import { fingerSign, positionName } from '../wording/places';
import { extensionMarks, numeralOf, restezMarks, type Stay } from './marks';
import { INK, middleOf, type Drawn, type Layout, type Marks, type Score } from './score';

/*
 * What is written over and under the notes: fingers, strings, positions, bar numbers.
 */

/** Fingers are set as everywhere else in the app. */
const FONT = 'Atkinson Hyperlegible Next Variable, sans-serif';
/** Size of a finger, in the notation package's units, and the line it takes of that. */
const FINGER = 15;
const LINE_OF = 0.9;
const SVG = 'http://www.w3.org/2000/svg';
/** The thumb sign of the music font. */
const THUMB_SIGN = '\uE624';
/** Where position brackets lie, from the top. */
const BRACKET_Y = 12;
/** Bar numbers stand over all else, where neither finger nor string is in their way. */
const BAR_NUMBER_Y = 13;
/** Nothing is written smaller than so many px. */
const LEAST_TEXT = 12;

interface Context {
  readonly parts: readonly (readonly Part[])[];
  readonly drawn: readonly Drawn[];
  readonly staveBottom: number;
  readonly first: number;
  readonly last: number;
}

export function writeMarks(box: HTMLElement, score: Score, layout: Layout, marks: Marks, context: Context) {
  const pen = penOn(box, layout);
  const { steps, guides } = score;
  const byAt = new Map(steps.map((step) => [step.at, step]));
  const numerals = marks.numerals ? stringChanges(steps, score.strings) : new Map<number, string>();
  const extensions = extensionMarks(steps);
  const { events } = score.music;
  const size = marks.fingerSize ?? FINGER;
  const line = size * LINE_OF;
  const small = Math.max(11, LEAST_TEXT / layout.scale);
  for (const { at, top } of context.drawn) {
    const step = byAt.get(at);
    const event = events[at];
    const bow = 'bow' in event && event.bow;
    let y = top - 9;
    if (bow)
      pen.sign(BOW_SIGNS[bow], at, y + (step && marks.fingers ? -1 - line * (step.stops.length + 1) : 0));
    if (!step || !marks.fingers) continue;
    const fingers = step.stops.map(fingerSign);
    for (const finger of fingers) {
      pen.write(guides?.has(at) ? `(${finger})` : finger, at, y, size, 700);
      y -= line;
    }
    const numeral = numerals.get(at);
    if (numeral) {
      pen.write(numeral, at, y - 2, small, 400);
      y -= small;
    }
    if (extensions.has(at)) pen.write('ext.', at, y - 2, small, 400);
  }
  drawSlurs(pen, score, layout, context);
  const inView = ({ from, to }: Stay) => to >= context.first && from < context.last;
  if (marks.positions) {
    for (const stay of staysOf(steps).filter(inView))
      pen.bracket(positionName(stay.position, score.instrument), stay, BRACKET_Y);
  } else {
    for (const stay of restezMarks(steps).filter(inView)) pen.stay(stay, context.staveBottom + 44);
  }
  if (marks.barNumbers)
    context.parts.slice(context.first, context.last).forEach(([{ bar }], n) => {
      if (bar && bar.number > 1) pen.small(String(bar.number), layout.left(context.first + n), BAR_NUMBER_Y);
    });
}

/** Signs of the music font for the way of the bow. */
const BOW_SIGNS = { down: '\uE610', up: '\uE612' } as const;

/** A slur lies under the notes of one bow; one that goes on over the end of a line is open there. */
function drawSlurs(pen: ReturnType<typeof penOn>, score: Score, layout: Layout, context: Context) {
  const { first, last, drawn } = context;
  if (!hasBows(score.music.events)) return;
  for (const { from, to } of bowsOf(score.music.events)) {
    if (from === to || to < first || from >= last) continue;
    const under = drawn.filter(({ at }) => at >= from && at <= to);
    const y = Math.max(...under.map(({ bottom }) => bottom)) + 7;
    const start = from >= first ? middleOf(layout, from) : layout.left(first);
    const end = to < last ? middleOf(layout, to) : layout.left(last);
    pen.slur(start, end, y);
  }
}

interface Position extends Stay {
  readonly position: Plan['steps'][number]['position'];
}

/** Each position with the notes for which it holds. */
function staysOf(steps: Plan['steps']): Position[] {
  const stays: { from: number; to: number; position: Position['position'] }[] = [];
  steps.forEach((step, t) => {
    const before = steps[t - 1];
    if (before && samePlace(before, step)) stays[stays.length - 1].to = step.at;
    else stays.push({ from: step.at, to: step.at, position: step.position });
  });
  return stays;
}

/** Numeral of the string at each event where it changes; I is the highest. */
function stringChanges(steps: Plan['steps'], strings: readonly string[]): Map<number, string> {
  const changes = new Map<number, string>();
  let last = '';
  for (const { at, stops } of steps) {
    const [{ string }] = stops;
    if (string !== last) changes.set(at, numeralOf(string, strings));
    last = string;
  }
  return changes;
}

/** Writes into a drawing, in the notation package's units. */
function penOn(box: HTMLElement, layout: Layout) {
  const svg = box.querySelector('svg');
  const { scale } = layout;
  const add = (name: string, attributes: Readonly<Record<string, string | number>>, text?: string) => {
    const element = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
    if (text !== undefined) element.textContent = text;
    svg?.append(element);
  };
  const line = (d: string, dashes?: string) =>
    add('path', { d, fill: 'none', stroke: INK, ...(dashes ? { 'stroke-dasharray': dashes } : {}) });

  function write(text: string, at: number, y: number, size: number, weight: number) {
    const thumb = text === 'T';
    const place = { x: middleOf(layout, at) / scale, y, 'text-anchor': 'middle', fill: INK };
    // The music font measures its signs by the staff, not by letters.
    const font = thumb
      ? { 'font-size': size * 2.9, 'font-weight': 400, 'font-family': 'Bravura' }
      : { 'font-size': size, 'font-weight': weight, 'font-family': FONT };
    add('text', { ...place, ...font }, thumb ? THUMB_SIGN : text);
  }

  return {
    write,
    /** A sign of the music font over a note. */
    sign(sign: string, at: number, y: number) {
      const place = { x: middleOf(layout, at) / scale, y, 'text-anchor': 'middle', fill: INK };
      add('text', { ...place, 'font-size': 30, 'font-family': 'Bravura' }, sign);
    },
    /** A curve below the notes, from px to px. */
    slur(from: number, to: number, y: number) {
      const [a, b] = [from / scale, to / scale];
      const deep = Math.min(14, 6 + (b - a) / 16);
      const curve = (depth: number) => `${a + (b - a) / 4} ${y + depth} ${b - (b - a) / 4} ${y + depth}`;
      const back = (depth: number) => `${b - (b - a) / 4} ${y + depth} ${a + (b - a) / 4} ${y + depth}`;
      const d = `M${a} ${y}C${curve(deep)} ${b} ${y}C${back(deep + 2.6)} ${a} ${y}Z`;
      add('path', { d, fill: INK, stroke: 'none', 'data-slur': '' });
    },
    /** A small number at a place in px. */
    small(text: string, x: number, y: number) {
      add(
        'text',
        {
          x: x / scale + 2,
          y,
          'font-size': LEAST_TEXT / scale,
          'font-family': FONT,
          fill: INK,
          opacity: 0.75,
        },
        text,
      );
    },
    /** "restez" and a broken line as long as the hand stays up. */
    stay({ from, to }: Stay, y: number) {
      write('restez', from, y, Math.max(10.5, LEAST_TEXT / scale), 400);
      const [start, end] = [middleOf(layout, from) / scale + 20, layout.left(to + 1) / scale - 6];
      if (end > start) line(`M${start} ${y - 3}H${end}V${y - 8}`, '4 3');
    },
    /** A position over the notes for which it holds. */
    bracket(words: string, { from, to }: Stay, y: number) {
      const [start, end] = [layout.left(from) / scale + 4, layout.left(to + 1) / scale - 4];
      add('text', { x: start, y: y - 2, 'font-size': 10.5, 'font-family': FONT, fill: INK }, words);
      line(`M${start} ${y + 6}V${y + 1}H${end}V${y + 6}`);
    },
  };
}
