import { glyphOf, type GlyphName, type Ink, type Page, type Paint, type Segment, type Tone } from './ink';

/*
 * A page as SVG.
 */

type Tones = Readonly<Record<Tone, string>>;

/** On white paper, and on the page, whose own colours follow light and dark. */
const PAPER: Tones = { ink: '#000', grey: '#555', light: '#ddd', paper: '#fff' };
const SCREEN: Tones = {
  ink: 'currentColor',
  grey: 'var(--color-faded)',
  light: 'var(--color-rule)',
  paper: 'var(--color-sheet)',
};
const FAMILIES = {
  sans: "'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next',sans-serif",
  bold: "'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next',sans-serif",
  serif: "'Literata Variable',Literata,serif",
  title: "'Literata Variable',Literata,serif",
} as const;

const short = (value: number) => String(Math.round(value * 100) / 100);

export const escapedXml = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

export function pathText(path: readonly Segment[]): string {
  return path.map(([letter, ...numbers]) => letter + (numbers as number[]).map(short).join(' ')).join('');
}

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
  const body = inks.map((ink) => element(ink, PAPER, sign)).join('');
  const defs = [...used].map((name) => `<path id="${prefix}-${name}" d="${glyphOf(name).d}"/>`).join('');
  const size = `width="${short(width)}pt" height="${short(height)}pt" viewBox="0 0 ${short(width)} ${short(height)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} role="img"><title>${escapedXml(title)}</title><defs>${defs}</defs>${body}</svg>`;
}

/** The same as a part of a page, in px and in the page's own colours; each sign tells what it is. */
export function screenSvg({ width, height, inks }: Page): string {
  const sign = (glyph: GlyphName) => `<path d="${glyphOf(glyph).d}" data-sign="${glyph}"`;
  const body = linesFirst(inks)
    .map((ink) => element(ink, SCREEN, sign))
    .join('');
  return `<svg width="${short(width)}" height="${short(height)}" aria-hidden="true">${body}</svg>`;
}

/** Lines that look alike as one shape, below all else: a page is laid out the sooner the fewer things are in it. */
function linesFirst(inks: readonly Ink[]): Ink[] {
  const shapes = new Map<string, { stroke: Tone; width: number; path: Segment[] }>();
  const others = inks.filter((ink) => {
    if (ink.kind !== 'line' || ink.dash) return true;
    const { tone = 'ink', width, x1, y1, x2, y2 } = ink;
    const look = `${tone} ${width}`;
    const shape = shapes.get(look) ?? { stroke: tone, width, path: [] };
    shape.path.push(['M', x1, y1], ['L', x2, y2]);
    shapes.set(look, shape);
    return false;
  });
  return [...[...shapes.values()].map((shape) => ({ kind: 'shape' as const, ...shape })), ...others];
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
    case 'text': {
      const weight = ink.font === 'bold' || ink.font === 'title' ? 700 : 400;
      return `<text x="${short(ink.x)}" y="${short(ink.y)}" font-family="${FAMILIES[ink.font]}" font-weight="${weight}" font-size="${short(ink.size)}" fill="${tones[ink.tone ?? 'ink']}" xml:space="preserve">${escapedXml(ink.text)}</text>`;
    }
    case 'box':
      return `<rect x="${short(ink.x)}" y="${short(ink.y)}" width="${short(ink.w)}" height="${short(ink.h)}" ${paint(ink, tones)}/>`;
    case 'disc':
      return `<circle cx="${short(ink.x)}" cy="${short(ink.y)}" r="${short(ink.r)}" ${paint(ink, tones)}/>`;
  }
}

function paint({ fill, stroke, width }: Paint, tones: Tones): string {
  const line = stroke
    ? ` stroke="${tones[stroke]}" stroke-width="${short(width ?? 1)}" stroke-linejoin="round" stroke-linecap="round"`
    : '';
  return `fill="${fill ? tones[fill] : 'none'}"${line}`;
}
