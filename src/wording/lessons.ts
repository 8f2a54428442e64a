import type { StudentRecord } from '../core';
import { sentence } from './grammar';

/*
 * Lessons in words: when the next one is, what a printed week is called.
 */

const WEEKDAYS = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' });
/** A Monday, by which the days of the week are named. */
const A_MONDAY = Date.UTC(2001, 0, 1);

/** "Tuesday"; 0 is Monday. */
export function weekdayWords(weekday: number): string {
  return WEEKDAYS.format(A_MONDAY + weekday * 86_400_000);
}

/** "Tuesday, 16:30"; empty where none is set. */
export function lessonAtWords(at: StudentRecord['lessonAt']): string {
  return at ? `${weekdayWords(at.weekday)}, ${at.time}` : '';
}

export function nextLessonWords(at: StudentRecord['lessonAt']): string {
  return at ? `Next lesson: ${lessonAtWords(at)}.` : '';
}

export function weekTitle(name: string): string {
  return name ? sentence(`${name}: the week`) : 'The week';
}

export const minutesWords = (minutes: number) => `${minutes} min`;
