import type { GlyphName, Ink, Page, Paint, Segment } from './ink';
import { glyphOf } from './words';
import { PAGE_TONES, PAPER_TONES, pathText, short, type Tones } from './tones';

/*
 * A page as SVG.
 */

const FAMILIES = {
  sans: "'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next',sans-serif",
  bold: "'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next',sans-serif",
  serif: "'Literata Variable',Literata,serif",
  title: "'Literata Variable',Literata,serif",
} as const;

const escapedXml = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/**
 * @param title said to those who do not see it
 * @param prefix put before the names of signs, where several drawings stand in one document
 */
export function svgOf({ width, height, inks }: Page, title: string, prefix = 'g'): string {
  const used = new Set<GlyphName>();
  const sign = (glyph: GlyphName) => {
    used.add(glyph);
    return `<use href="#${prefix}-${glyph}"`;
  };
  const body = inks.map((ink) => element(ink, PAPER_TONES, sign)).join('');
  const defs = [...used].map((name) => `<path id="${prefix}-${name}" d="${glyphOf(name).d}"/>`).join('');
  const size = `width="${short(width)}pt" height="${short(height)}pt" viewBox="0 0 ${short(width)} ${short(height)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} role="img"><title>${escapedXml(title)}</title><defs>${defs}</defs>${body}</svg>`;
}

/**
 * The same as a part of a page, in px and in the page's own colours; each sign tells what it is. A page is laid out the
 * sooner the fewer things are in it: lines that look alike are one shape, below all else, and letters that look alike
 * are one text with a place for each.
 */
export function screenSvg({ width, height, inks }: Page): string {
  const sign = (glyph: GlyphName) => `<path d="${glyphOf(glyph).d}" data-sign="${glyph}"`;
  const lines = inks.filter(isPlainLine);
  const letters = inks.filter(isLetter);
  const others = inks.filter((ink) => !isPlainLine(ink) && !isLetter(ink));
  const alone = [...joinedLines(lines), ...others].map((ink) => element(ink, PAGE_TONES, sign));
  const body = [...alone, ...joinedLetters(letters)].join('');
  return `<svg width="${short(width)}" height="${short(height)}" aria-hidden="true">${body}</svg>`;
}

type Line = Extract<Ink, { kind: 'line' }>;
type Words = Extract<Ink, { kind: 'text' }>;

const isPlainLine = (ink: Ink): ink is Line => ink.kind === 'line' && !ink.dash;
const isLetter = (ink: Ink): ink is Words => ink.kind === 'text' && ink.text.length === 1;

/** What looks alike, together. */
function alike<T>(inks: readonly T[], look: (ink: T) => string): (readonly T[])[] {
  const rows = new Map<string, T[]>();
  for (const ink of inks) {
    const row = rows.get(look(ink));
    if (row) row.push(ink);
    else rows.set(look(ink), [ink]);
  }
  return [...rows.values()];
}

function joinedLines(lines: readonly Line[]): Ink[] {
  return alike(lines, ({ tone, width }) => `${tone} ${width}`).map((row) => ({
    kind: 'shape',
    stroke: row[0].tone ?? 'ink',
    width: row[0].width,
    path: row.flatMap(({ x1, y1, x2, y2 }): Segment[] => [
      ['M', x1, y1],
      ['L', x2, y2],
    ]),
  }));
}

function joinedLetters(letters: readonly Words[]): string[] {
  return alike(letters, ({ font, size, tone }) => `${font} ${size} ${tone}`).map((row) => {
    const places = (of: 'x' | 'y') => row.map((one) => short(one[of])).join(' ');
    return textElement(row[0], places('x'), places('y'), row.map(({ text }) => text).join(''), PAGE_TONES);
  });
}

/** @param sign the beginning of the element that draws a sign */
function element(ink: Ink, tones: Tones, sign: (glyph: GlyphName) => string): string {
  switch (ink.kind) {
    case 'glyph':
      return `${sign(ink.glyph)} transform="translate(${short(ink.x)} ${short(ink.y)}) scale(${Math.round(ink.size * 1000) / 1000})" fill="${tones[ink.tone ?? 'ink']}"/>`;
    case 'line': {
      const dash = ink.dash ? ` stroke-dasharray="${short(ink.dash[0])} ${short(ink.dash[1])}"` : '';
      return `<path d="M${short(ink.x1)} ${short(ink.y1)}L${short(ink.x2)} ${short(ink.y2)}" stroke="${tones[ink.tone ?? 'ink']}" stroke-width="${short(ink.width)}"${dash}/>`;
    }
    case 'shape':
      return `<path d="${pathText(ink.path)}" ${paint(ink, tones)}${ink.part ? ` data-part="${ink.part}"` : ''}/>`;
    case 'text':
      return textElement(ink, short(ink.x), short(ink.y), ink.text, tones);
    case 'box':
      return `<rect x="${short(ink.x)}" y="${short(ink.y)}" width="${short(ink.w)}" height="${short(ink.h)}" ${paint(ink, tones)}/>`;
    case 'disc':
      return `<circle cx="${short(ink.x)}" cy="${short(ink.y)}" r="${short(ink.r)}" ${paint(ink, tones)}/>`;
  }
}

/** @param x,y where the text begins, or a place for each of its letters */
function textElement({ font, size, tone }: Words, x: string, y: string, text: string, tones: Tones): string {
  const weight = font === 'bold' || font === 'title' ? 700 : 400;
  return `<text x="${x}" y="${y}" font-family="${FAMILIES[font]}" font-weight="${weight}" font-size="${short(size)}" fill="${tones[tone ?? 'ink']}" xml:space="preserve">${escapedXml(text)}</text>`;
}

function paint({ fill, stroke, width, opacity, dash }: Paint, tones: Tones): string {
  const line = stroke
    ? ` stroke="${tones[stroke]}" stroke-width="${short(width ?? 1)}" stroke-linejoin="round" stroke-linecap="round"`
    : '';
  const dashes = dash ? ` stroke-dasharray="${short(dash[0])} ${short(dash[1])}"` : '';
  const clear = opacity === undefined ? '' : ` fill-opacity="${opacity}"`;
  return `fill="${fill ? tones[fill] : 'none'}"${clear}${line}${dashes}`;
}
