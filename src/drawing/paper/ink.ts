import type glyphData from '#generated/glyphs.json';
import type widthData from '#generated/widths.json';

/*
 * Draw commands, before anybody knows whether they become part of a page, SVG, PDF or a picture: signs, lines, shapes and words at places. x runs to the
 * right and y down.
 */

export type GlyphName = keyof typeof glyphData;
export type FontName = keyof typeof widthData;

/** Black, or a grey that still prints; told apart by weight too, never by the grey alone. The colours are the page's; on paper they are black. */
export type Tone = 'ink' | 'grey' | 'light' | 'paper' | Colour;
type Colour = 'dove' | 'copper' | 'sage' | 'ochre' | 'madder';

export type Segment =
  | readonly ['M' | 'L', number, number]
  | readonly ['C', number, number, number, number, number, number]
  | readonly ['Z'];

/** How a shape, a box or a disc is filled and edged. */
export interface Paint {
  readonly fill?: Tone;
  readonly stroke?: Tone;
  readonly width?: number;
  /** Of the filling, 0 to 1; solid where left out. */
  readonly opacity?: number;
  readonly dash?: readonly [number, number];
}

export type Anchor = 'start' | 'middle' | 'end';

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
  | (Paint & {
      readonly kind: 'shape';
      readonly path: readonly Segment[];
      /** What it is of the music, where somebody may look for it. */
      readonly part?: 'slur';
    })
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly font: FontName;
      readonly tone?: Tone;
    }
  | (Paint & {
      readonly kind: 'box';
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      readonly width: number;
    })
  | (Paint & {
      readonly kind: 'disc';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly fill: Tone;
      /** What it tells of, where somebody may look for it. */
      readonly part?: string;
    });

/** Words whose edges are not known yet: the page sets them, for paper they are measured (typeset). */
export interface Label {
  readonly kind: 'label';
  readonly x: number;
  /** Their base line. */
  readonly y: number;
  readonly text: string;
  readonly size: number;
  readonly bold?: boolean;
  readonly anchor?: Anchor;
  readonly tone?: Tone;
}

/** What the fingerboard and the hand trail are drawn with, for screen and paper. */
export type Mark = Ink | Label;

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
