import { addDays, differenceInCalendarDays, format, isValid, parseISO } from 'date-fns';

/*
 * Days as the player has them.
 */

/** The day of a moment, such as "2026-11-26". */
export function dayOf(time: number): string {
  return format(time, 'yyyy-MM-dd');
}

/** A day some days later, or earlier. */
export function daysFrom(day: string, count: number): string {
  return dayOf(addDays(parseISO(day), count).getTime());
}

/** Days from one to the other. */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}

/** "Thu 26 Nov". */
export function dayWords(day: string): string {
  const date = parseISO(day);
  return isValid(date) ? format(date, 'EEE d MMM') : day;
}

export function isDay(day: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(day) && isValid(parseISO(day));
}

/** Days that count: what is dated later than tomorrow comes from a clock that went wrong, or from a slip of the pen. */
export function isFuture(day: string, today: string): boolean {
  return day > daysFrom(today, 1);
}

/** A day as a number that goes up by one from each to the next. */
export function dayNumber(day: string): number {
  return daysBetween('2000-01-03', day);
}
