import { differenceInCalendarDays, format } from 'date-fns';

/** A day as it is said in a list: "today", "yesterday", "3 days ago", "14 Mar", "14 Mar 2025". Times in ms. */
export function dayWords(time: number, now: number): string {
  const days = differenceInCalendarDays(now, time);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 7) return `${days} days ago`;
  return format(time, new Date(time).getFullYear() === new Date(now).getFullYear() ? 'd MMM' : 'd MMM yyyy');
}
