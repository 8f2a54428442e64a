import { glyphOf, type GlyphName, type Ink, type Page, type Segment, type Tone } from './ink';

/*
 * A page as SVG.
 */

/** Tones on white paper; "ink" follows the page it is shown on where that is asked for. */
const TONES: Readonly<Record<Tone, string>> = { ink: '#000', grey: '#555', light: '#ddd', paper: '#fff' };
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
  const body = inks.map((ink) => element(ink, used, prefix)).join('');
  const defs = [...used].map((name) => `<path id="${prefix}-${name}" d="${glyphOf(name).d}"/>`).join('');
  const size = `width="${short(width)}pt" height="${short(height)}pt" viewBox="0 0 ${short(width)} ${short(height)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} role="img"><title>${escapedXml(title)}</title><defs>${defs}</defs>${body}</svg>`;
}

function element(ink: Ink, used: Set<GlyphName>, prefix: string): string {
  switch (ink.kind) {
    case 'glyph':
      used.add(ink.glyph);
      return `<use href="#${prefix}-${ink.glyph}" transform="translate(${short(ink.x)} ${short(ink.y)}) scale(${Math.round(ink.size * 1000) / 1000})" fill="${TONES[ink.tone ?? 'ink']}"/>`;
    case 'line': {
      const dash = ink.dash ? ` stroke-dasharray="${short(ink.dash[0])} ${short(ink.dash[1])}"` : '';
      return `<path d="M${short(ink.x1)} ${short(ink.y1)}L${short(ink.x2)} ${short(ink.y2)}" stroke="${TONES[ink.tone ?? 'ink']}" stroke-width="${short(ink.width)}"${dash}/>`;
    }
    case 'shape':
      return `<path d="${pathText(ink.path)}" ${paint(ink)}/>`;
    case 'text': {
      const weight = ink.font === 'bold' || ink.font === 'title' ? 700 : 400;
      return `<text x="${short(ink.x)}" y="${short(ink.y)}" font-family="${FAMILIES[ink.font]}" font-weight="${weight}" font-size="${short(ink.size)}" fill="${TONES[ink.tone ?? 'ink']}" xml:space="preserve">${escapedXml(ink.text)}</text>`;
    }
    case 'box':
      return `<rect x="${short(ink.x)}" y="${short(ink.y)}" width="${short(ink.w)}" height="${short(ink.h)}" ${paint(ink)}/>`;
    case 'disc':
      return `<circle cx="${short(ink.x)}" cy="${short(ink.y)}" r="${short(ink.r)}" ${paint(ink)}/>`;
  }
}

function paint({
  fill,
  stroke,
  width,
}: {
  readonly fill?: Tone;
  readonly stroke?: Tone;
  readonly width?: number;
}): string {
  const line = stroke
    ? ` stroke="${TONES[stroke]}" stroke-width="${short(width ?? 1)}" stroke-linejoin="round" stroke-linecap="round"`
    : '';
  return `fill="${fill ? TONES[fill] : 'none'}"${line}`;
}
