import type { Finger } from '../../core';
import { rulerMark } from '../../wording/rooms/drawings';
import { printed } from '../../wording/notes';
import { line, type Mark, type Tone } from '../paper/ink';

/*
 * The parts that every picture of a fingerboard is made of, for screen and paper: strings, nut, ruler and fingertips.
 */

/** How a fingerboard is drawn where it is shown; in px on the page, in points on paper. */
export interface BoardLook {
  readonly string: { readonly tone: Tone; readonly thin: number; readonly thicker: number };
  readonly nut: number;
  readonly name: { readonly size: number; readonly bold: boolean };
  readonly ruler: { readonly size: number; readonly tick: number; readonly tone: Tone };
  readonly tips: Readonly<Record<TipKind, TipLook>>;
}

/** A finger that plays, one of the hand that only lies there, one that was set down before on the same string, an open string. */
type TipKind = 'pressed' | 'resting' | 'again' | 'open';

interface TipLook {
  readonly fill: Tone;
  readonly opacity?: number;
  readonly width: number;
  readonly dash?: readonly [number, number];
}

export const ON_PAGE: BoardLook = {
  string: { tone: 'grey', thin: 1.2, thicker: 0.9 },
  nut: 5,
  name: { size: 17, bold: true },
  ruler: { size: 13, tick: 6, tone: 'grey' },
  tips: {
    pressed: { fill: 'ink', opacity: 0.92, width: 2.5 },
    resting: { fill: 'paper', opacity: 0.6, width: 1.3, dash: [4, 3] },
    again: { fill: 'paper', width: 2.5 },
    open: { fill: 'paper', opacity: 0.6, width: 2.5 },
  },
};

export const ON_PAPER: BoardLook = {
  string: { tone: 'ink', thin: 0.8, thicker: 0.2 },
  nut: 3,
  name: { size: 10, bold: false },
  ruler: { size: 7, tick: 6, tone: 'grey' },
  tips: {
    pressed: { fill: 'ink', width: 1 },
    resting: { fill: 'paper', width: 0.6, dash: [3, 2] },
    again: { fill: 'paper', width: 1 },
    open: { fill: 'paper', width: 1 },
  },
};

/** From the middle of a letter or figure down to its base line, as a part of its size. */
const HALF_LETTER = 0.35;

interface StringPlace {
  readonly name: string;
  /** How many strings are thinner. */
  readonly below: number;
  readonly y: number;
  readonly from: number;
  readonly to: number;
  readonly nameX: number;
  /** True where nothing is played on it. */
  readonly faint?: boolean;
}

/** A string with its name, as thick as it is beside the others. */
export function stringMarks({ name, below, y, from, to, nameX, faint }: StringPlace, look: BoardLook): Mark[] {
  const { tone, thin, thicker } = look.string;
  const text = printed(name);
  return [
    line(from, y, to, y, faint ? thin / 2 : thin + thicker * below, { tone: faint ? 'grey' : tone }),
    {
      kind: 'label',
      x: nameX,
      y: y + look.name.size * HALF_LETTER,
      text,
      size: look.name.size,
      bold: look.name.bold,
      tone: faint ? 'grey' : 'ink',
    },
  ];
}

/** All strings side by side, the highest on top. @param names low to high */
export function stringsMarks(
  names: readonly string[],
  { y, from, to, nameX }: Omit<StringPlace, 'name' | 'below' | 'y'> & { readonly y: (string: number) => number },
  look: BoardLook,
): Mark[] {
  return names.flatMap((name, string) =>
    stringMarks({ name, below: names.length - 1 - string, y: y(string), from, to, nameX }, look),
  );
}

export function nutMark(x: number, top: number, bottom: number, look: BoardLook): Mark {
  return line(x, top, x, bottom, look.nut);
}

/**
 * Distances from the nut.
 * @param places in mm
 * @param x from mm to the picture
 * @param y where the ticks end; @param labelY base line of the words
 */
export function rulerMarks(
  places: readonly number[],
  x: (mm: number) => number,
  { y, labelY }: { readonly y: number; readonly labelY: number },
  { ruler: { size, tick, tone } }: BoardLook,
): Mark[] {
  return places.flatMap((mm): Mark[] => [
    line(x(mm), y, x(mm), y - tick, 1, { tone }),
    { kind: 'label', x: x(mm), y: labelY, text: rulerMark(mm), size, anchor: 'middle', tone },
  ]);
}

interface TipPlace {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly kind: TipKind;
  /** Size of what is written in it. */
  readonly size: number;
}

/** A fingertip with its finger, or several fingers that come down at one place. */
export function tipMarks(finger: Finger | string, { x, y, r, kind, size }: TipPlace, look: BoardLook): Mark[] {
  const { fill, opacity, width, dash } = look.tips[kind];
  return [
    { kind: 'disc', x, y, r, fill, opacity, stroke: 'ink', width, dash },
    {
      kind: 'label',
      x,
      y: y + size * HALF_LETTER,
      text: String(finger),
      size,
      bold: true,
      anchor: 'middle',
      tone: kind === 'pressed' ? 'paper' : 'ink',
    },
  ];
}
