import type { Segment, Tone } from './ink';

/* Tones as colours, and shapes as path data. */

export type Tones = Readonly<Record<Tone, string>>;

/** On white paper: what is coloured on the page is told by shape and words here. */
export const PAPER_TONES: Tones = {
  ink: '#000',
  grey: '#555',
  light: '#ddd',
  paper: '#fff',
  dove: '#000',
  copper: '#000',
  sage: '#000',
  ochre: '#000',
  madder: '#000',
};

/** The page's own colours, which follow light and dark. */
export const PAGE_TONES: Tones = {
  ink: 'currentColor',
  grey: 'var(--color-faded)',
  light: 'var(--color-rule)',
  paper: 'var(--color-sheet)',
  dove: 'var(--color-dove)',
  copper: 'var(--color-copper)',
  sage: 'var(--color-sage)',
  ochre: 'var(--color-ochre)',
  madder: 'var(--color-madder)',
};

/** A number with at most two decimals. */
export const short = (value: number) => String(Math.round(value * 100) / 100);

export function pathText(path: readonly Segment[]): string {
  return path.map(([letter, ...numbers]) => letter + (numbers as number[]).map(short).join(' ')).join('');
}
