import glyphData from '#generated/glyphs.json';
import widthData from '#generated/widths.json';

/*
 * What is drawn on paper, before anybody knows whether it becomes SVG, PDF or a picture: signs, lines, shapes and words at places. x runs to the right and y down.
 */

export type GlyphName = keyof typeof glyphData;
export type FontName = keyof typeof widthData;

/** Black, or a grey that still prints; told apart by weight too, never by the grey alone. */
export type Tone = 'ink' | 'grey' | 'light' | 'paper';

export type Segment =
  | readonly ['M' | 'L', number, number]
  | readonly ['C', number, number, number, number, number, number]
  | readonly ['Z'];

/** How a shape, a box or a disc is filled and edged. */
export interface Paint {
  readonly fill?: Tone;
  readonly stroke?: Tone;
  readonly width?: number;
}

export type Ink =
  | {
      readonly kind: 'glyph';
      readonly glyph: GlyphName;
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly tone?: Tone;
    }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
      readonly dash?: readonly [number, number];
      readonly tone?: Tone;
    }
  | {
      readonly kind: 'shape';
      readonly path: readonly Segment[];
      /** What it is of the music, where somebody may look for it. */
      readonly part?: 'slur';
      readonly fill?: Tone;
      readonly stroke?: Tone;
      readonly width?: number;
    }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly font: FontName;
      readonly tone?: Tone;
    }
  | {
      readonly kind: 'box';
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      readonly width: number;
      readonly fill?: Tone;
      readonly stroke?: Tone;
    }
  | {
      readonly kind: 'disc';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly fill: Tone;
      readonly stroke?: Tone;
      readonly width?: number;
    };

interface Glyph {
  readonly d: string;
  /** left, top, right, bottom. */
  readonly box: readonly number[];
  readonly advance: number;
}

/** A sign of the music font, in staff spaces around the place it is set at. */
export const glyphOf = (name: GlyphName): Glyph => glyphData[name];

export const glyphWidth = (name: GlyphName) => glyphData[name].box[2];

const WIDTHS: Readonly<Record<FontName, Readonly<Record<string, number>>>> = widthData;
/** A letter that the font has not is drawn as wide as a usual one. */
const USUAL = 550;

/** Signs of keys inside words are drawn with the music font. */
const IN_WORDS: Readonly<Record<string, GlyphName>> = {
  '♭': 'accidentalFlat',
  '♯': 'accidentalSharp',
  '♮': 'accidentalNatural',
};
/** How large a sign of the music font is beside letters, and the room it takes. */
const SIGN_SIZE = 0.26;
const SIGN_ROOM = 0.34;

/** How wide some words are. */
export function textWidth(text: string, font: FontName, size: number): number {
  let width = 0;
  for (const letter of text)
    width += IN_WORDS[letter] ? SIGN_ROOM * size : ((WIDTHS[font][letter] ?? USUAL) * size) / 1000;
  return width;
}

export type Anchor = 'start' | 'middle' | 'end';

/** Words at a place; y is their base line. */
export function words(
  x: number,
  y: number,
  text: string,
  {
    size,
    font = 'sans',
    anchor = 'start',
    tone,
  }: { readonly size: number; readonly font?: FontName; readonly anchor?: Anchor; readonly tone?: Tone },
): Ink[] {
  const inks: Ink[] = [];
  const width = anchor === 'start' ? 0 : textWidth(text, font, size);
  let at = x - (anchor === 'middle' ? width / 2 : width);
  for (const run of text.split(/([♭♯♮])/)) {
    const glyph = IN_WORDS[run];
    if (glyph) {
      const own = glyphWidth(glyph) * SIGN_SIZE * size;
      inks.push({
        kind: 'glyph',
        glyph,
        x: at + (SIGN_ROOM * size - own) / 2,
        y: y - size * 0.3,
        size: SIGN_SIZE * size,
        tone,
      });
    } else if (run !== '') inks.push({ kind: 'text', x: at, y, text: run, size, font, tone });
    at += textWidth(run, font, size);
  }
  return inks;
}

/** Words broken into lines that fit a width. */
export function brokenWords(text: string, font: FontName, size: number, width: number): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split('\n')) {
    let line = '';
    for (const word of paragraph.split(/\s+/)) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && textWidth(longer, font, size) > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    lines.push(line);
  }
  return lines;
}

/** The same drawing enlarged and moved. */
export function placed(inks: readonly Ink[], scale: number, dx: number, dy: number): Ink[] {
  const x = (value: number) => value * scale + dx;
  const y = (value: number) => value * scale + dy;
  return inks.map((ink): Ink => {
    switch (ink.kind) {
      case 'glyph':
      case 'text':
        return { ...ink, x: x(ink.x), y: y(ink.y), size: ink.size * scale };
      case 'line': {
        const ends = { x1: x(ink.x1), y1: y(ink.y1), x2: x(ink.x2), y2: y(ink.y2) };
        return {
          ...ink,
          ...ends,
          width: ink.width * scale,
          ...(ink.dash ? { dash: [ink.dash[0] * scale, ink.dash[1] * scale] } : {}),
        };
      }
      case 'shape':
        return {
          ...ink,
          path: ink.path.map((one) => moved(one, x, y)),
          ...(ink.width ? { width: ink.width * scale } : {}),
        };
      case 'box':
        return { ...ink, x: x(ink.x), y: y(ink.y), w: ink.w * scale, h: ink.h * scale, width: ink.width * scale };
      case 'disc':
        return {
          ...ink,
          x: x(ink.x),
          y: y(ink.y),
          r: ink.r * scale,
          ...(ink.width ? { width: ink.width * scale } : {}),
        };
    }
  });
}

function moved(segment: Segment, x: (value: number) => number, y: (value: number) => number): Segment {
  const [letter, ...numbers] = segment;
  return [letter, ...numbers.map((n, at) => (at % 2 === 0 ? x(n) : y(n)))] as unknown as Segment;
}

/** A page of paper with what is drawn on it; in points. */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly inks: readonly Ink[];
}

/** A line. */
export function line(
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  width: number,
  more: { readonly dash?: readonly [number, number]; readonly tone?: Tone } = {},
): Ink {
  return { kind: 'line', x1, y1, x2, y2, width, ...more };
}
