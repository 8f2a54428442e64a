import { placesIn, type PlanRequest, type PlanResponse } from '../core';
import { listed, sentence } from './grammar';
import { barWords } from './places';
import { requestWords } from './material';
import { instrumentWords, sizeWords } from './instruments';

/*
 * What stands on paper besides the notes.
 */

/** The usual caution, at the foot of every page. */
export const CAUTION = 'Warm up, keep the thumb soft, rest often, stop at pain. The teacher decides.';

const DAYS = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** "26 November 2026". */
export const dayInWords = (day: Date) => DAYS.format(day);

/** For whom, and on what: "Wren, ¾ violin". */
export function onWhat({ instrument, size }: PlanRequest, name = ''): string {
  const on = `${size ? `${sizeWords(instrument, size)} ` : ''}${instrumentWords(instrument)}`;
  return name ? `${name}, ${on}` : on.charAt(0).toUpperCase() + on.slice(1);
}

/** Said on a page of a book whose own notes this hand cannot play. */
export function nearestWords(request: PlanRequest, other: PlanRequest | undefined): string {
  const [what] = requestWords(request).split(', ');
  if (!other) return `${what} cannot be played by this hand in the positions it knows, nor anything near it.`;
  const shown = requestWords(other).split(', ').slice(0, 2).join(', ');
  return `${what} cannot be played as asked by this hand in the positions it knows. The nearest that can: ${shown}.`;
}

/** A title as it is found by searching: signs of keys in words. */
export function titleInWords(title: string): string {
  return title.replaceAll('♭', ' flat').replaceAll('♯', ' sharp').replaceAll('♮', ' natural');
}

/** Which instruments shift at the same moment: "1: bar 2, beat 3, violins and cellos." */
export function togetherWords(
  places: readonly { readonly at: number; readonly who: readonly string[] }[],
  response: PlanResponse | undefined,
): string {
  if (!response || places.length === 0) return '';
  const place = placesIn(response);
  const told = places.map(
    ({ at, who }, n) => `${n + 1}: ${barWords(place(at))}, ${listed(who.map((name) => name.toLowerCase()))}`,
  );
  return `${sentence('shifts at the same moment, marked in the score.')} ${told.join('; ')}.`;
}
