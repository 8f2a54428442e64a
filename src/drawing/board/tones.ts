import type { Verdict } from '../../core';

/** The colours of easy, stretch and beyond; always with the word beside them. */
export const VERDICT_TONES: Readonly<Record<Verdict, string>> = {
  easy: 'var(--color-sage)',
  stretch: 'var(--color-ochre)',
  beyond: 'var(--color-madder)',
};

/** The same as classes of text. */
export const VERDICT_TEXT: Readonly<Record<Verdict, string>> = {
  easy: 'text-sage',
  stretch: 'text-ochre',
  beyond: 'text-madder',
};
