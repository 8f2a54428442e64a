import type { PlanRequest } from '../core';
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
