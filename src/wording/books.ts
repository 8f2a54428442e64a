import type { InstrumentName, PositionNumber } from '../core';
import { counted, sentence } from './grammar';
import { instrumentWords } from './instruments';
import { positionWords } from './places';

/*
 * The words of a book.
 */

export const BOOK_MATERIAL_WORDS = {
  scale: 'scale (minor: melodic)',
  arpeggio: 'arpeggio',
  'broken-thirds': 'broken thirds',
  third: 'thirds together',
  sixth: 'sixths together',
  octave: 'octaves together',
} as const;

type Ask =
  | { readonly kind: 'keys'; readonly keys: readonly string[]; readonly materials: readonly string[] }
  | { readonly kind: 'position'; readonly position: PositionNumber };

/** What a book is called where nobody named it. */
export function bookName(ask: Ask, instrument: InstrumentName): string {
  if (ask.kind === 'position')
    return `${sentence(positionWords(ask.position, instrument))} on the ${instrumentWords(instrument)}`;
  const what = ask.materials.length === 1 && ask.materials[0] === 'scale' ? 'Scales' : 'Scales and arpeggios';
  return `${what} in ${counted(ask.keys.length, 'key')}, ${instrumentWords(instrument)}`;
}
