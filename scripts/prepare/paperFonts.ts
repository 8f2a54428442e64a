/*
 * What sheets are drawn with: signs out of the music font, as outlines, and how wide letters are in the text fonts.
 */
import fontkit from '@pdf-lib/fontkit';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** Signs by their names in the standard layout of music fonts. */
const SIGNS: Readonly<Record<string, number>> = {
  gClef: 0xe050,
  cClef: 0xe05c,
  fClef: 0xe062,
  gClefChange: 0xe07a,
  cClefChange: 0xe07b,
  fClefChange: 0xe07c,
  noteheadWhole: 0xe0a2,
  noteheadHalf: 0xe0a3,
  noteheadBlack: 0xe0a4,
  noteheadXBlack: 0xe0a9,
  accidentalFlat: 0xe260,
  accidentalNatural: 0xe261,
  accidentalSharp: 0xe262,
  accidentalDoubleSharp: 0xe263,
  accidentalDoubleFlat: 0xe264,
  rest1: 0xe4e3,
  rest2: 0xe4e4,
  rest4: 0xe4e5,
  rest8: 0xe4e6,
  rest16: 0xe4e7,
  rest32: 0xe4e8,
  rest64: 0xe4e9,
  rest128: 0xe4ea,
  flag8Up: 0xe240,
  flag8Down: 0xe241,
  flag16Up: 0xe242,
  flag16Down: 0xe243,
  flag32Up: 0xe244,
  flag32Down: 0xe245,
  flag64Up: 0xe246,
  flag64Down: 0xe247,
  flag128Up: 0xe248,
  flag128Down: 0xe249,
  dot: 0xe1e7,
  downBow: 0xe610,
  upBow: 0xe612,
  thumb: 0xe624,
  bracketTop: 0xe003,
  bracketBottom: 0xe004,
  tempo1: 0xeca2,
  tempo2: 0xeca3,
  tempo4: 0xeca5,
  tempo8: 0xeca7,
  tempo16: 0xeca9,
  tempoDot: 0xecb7,
  ...Object.fromEntries(Array.from({ length: 10 }, (_, n) => [`time${n}`, 0xe080 + n])),
  ...Object.fromEntries(Array.from({ length: 10 }, (_, n) => [`tuplet${n}`, 0xe880 + n])),
};

/** A staff space is a quarter of the font's square. */
const SPACE = 250;

interface Command {
  readonly command: string;
  readonly args: readonly number[];
}
const LETTERS: Readonly<Record<string, string>> = {
  moveTo: 'M',
  lineTo: 'L',
  quadraticCurveTo: 'Q',
  bezierCurveTo: 'C',
  closePath: 'Z',
};
const rounded = (value: number) => Math.round(value * 1000) / 1000;

/** The made files, by name. */
export function paperFontFiles(): Record<string, string> {
  return { 'glyphs.json': JSON.stringify(glyphs()), 'widths.json': JSON.stringify(widths()) };
}

function glyphs() {
  const music = fontkit.create(readFileSync(require.resolve('@vexflow-fonts/bravura/bravura.otf')));
  return Object.fromEntries(
    Object.entries(SIGNS).map(([name, code]) => {
      const glyph = music.glyphForCodePoint(code);
      const { minX, minY, maxX, maxY } = glyph.bbox;
      const d = (glyph.path as unknown as { readonly commands: readonly Command[] }).commands
        .map(
          ({ command, args }) => LETTERS[command] + args.map((n, at) => rounded((at % 2 ? -n : n) / SPACE)).join(' '),
        )
        .join('');
      const box = [minX, -maxY, maxX, -minY].map((n) => rounded(n / SPACE));
      return [name, { d, box, advance: rounded(glyph.advanceWidth / SPACE) }];
    }),
  );
}

const FACES = {
  sans: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  serif: '@fontsource/literata/files/literata-latin-400-normal.woff',
  title: '@fontsource/literata/files/literata-latin-700-normal.woff',
};
/** Width of each letter in thousandths of the size. */
function widths() {
  return Object.fromEntries(
    Object.entries(FACES).map(([name, file]) => {
      const font = fontkit.create(readFileSync(require.resolve(file)));
      const letters = (font.characterSet as number[])
        .filter((code) => code >= 32)
        .map((code) => [
          String.fromCodePoint(code),
          Math.round((font.glyphForCodePoint(code).advanceWidth * 1000) / font.unitsPerEm),
        ]);
      return [name, Object.fromEntries(letters)];
    }),
  );
}
