import glyphData from '#generated/glyphs.json';
import widthData from '#generated/widths.json';
import type { Anchor, FontName, GlyphName, Ink, Mark, Tone } from './ink';

/*
 * Signs of the music font and words in measured places.
 */

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

/** Labels become words in measured places; the rest stays as it is. */
export function typeset(marks: readonly Mark[]): Ink[] {
  return marks.flatMap((mark) =>
    mark.kind === 'label'
      ? words(mark.x, mark.y, mark.text, {
          size: mark.size,
          font: mark.bold ? 'bold' : 'sans',
          anchor: mark.anchor,
          tone: mark.tone,
        })
      : [mark],
  );
}
