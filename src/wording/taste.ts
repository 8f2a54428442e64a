import { PREFERENCES, type Learned, type Preference, type Preferences } from '../core';
import { listed } from './grammar';

/*
 * A teacher's taste in words.
 */

/** What each preference says below 1, and above. */
const TASTES: Readonly<Record<Preference, readonly [liked: string, disliked: string]>> = {
  'open-string': ['open strings where they are to be had', 'stopped notes rather than open strings'],
  'little-finger': ['the little finger even for open strings', 'other fingers rather than the little one'],
  shift: ['shifting rather than other trouble', 'staying rather than shifting'],
  crossing: ['crossing to the next string', 'staying on a string'],
  extension: ['opening the hand', 'a closed hand rather than an extension'],
  height: ['playing higher up', 'staying low'],
};

/** "open strings where they are to be had and staying low". */
export function tasteWords(preferences: Preferences): string {
  const named = PREFERENCES.filter((name) => (preferences[name] ?? 1) !== 1);
  return listed(named.map((name) => TASTES[name][(preferences[name] ?? 1) < 1 ? 0 : 1]));
}

/** What was noticed, with its evidence. */
export function noticedWords({ preferences, agreed, of }: Learned): string {
  return `In ${agreed} of ${of} places where you chose against the first plan your choice leaned to ${tasteWords(preferences)}.`;
}
