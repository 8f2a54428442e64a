import type { System } from '../core';

/*
 * Systems of intonation and ways to tune the strings, by name.
 */

export const SYSTEM_WORDS: Readonly<Record<System, string>> = {
  equal: 'equal temperament',
  pythagorean: 'pure fifths (melody)',
  just: 'just, against the tonic',
  own: 'a table of your own',
};

export const STRING_TUNING_CHOICES = [
  ['pure', 'open strings tuned pure'],
  ['equal', 'open strings as a tuner has them'],
] as const;
