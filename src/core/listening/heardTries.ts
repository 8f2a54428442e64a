import type { HeardAs, HeardTry } from '../vocabulary';
import type { Expected } from './expected';
import type { Report, ReportNote } from './report';

/*
 * What of a report goes into the log: every stopped note by itself, and how a repetition was as a whole.
 */

/** The stopped single notes of a report, each with where its finger stood. Wrong and missed notes say nothing about a place. */
export function triesOf({ setup, events }: Expected, { passes }: Report): HeardTry[] {
  const byEvent = new Map(events.map((event) => [event.at, event]));
  return passes
    .flatMap(({ notes }) => notes)
    .flatMap(({ at, heard, cents, mm }): HeardTry[] => {
      const event = byEvent.get(at);
      const stop = event?.stops[0];
      if (!event || !stop || event.stops.length > 1 || stop.open) return [];
      if (cents === undefined || mm === undefined || heard === 'wrong' || heard === 'missed') return [];
      const { semitones, finger } = stop;
      return [{ at, string: setup.strings[stop.string].name, semitones, finger, position: event.position, cents, mm }];
    });
}

export interface EarVerdict {
  readonly heard: HeardAs;
  /** The first event that was off; null where all were in. */
  readonly place: number | null;
}

/**
 * How a repetition was: its target, or of a whole passage the first note that was off. Of several passes the last counts.
 * @param target the one event that is judged
 * @returns null where nothing was heard that can be judged
 */
export function judgedByEar({ passes, unheard }: Report, target?: number): EarVerdict | null {
  const notes = passes.at(-1)?.notes ?? [];
  const judged = target === undefined ? notes : notes.filter(({ at }) => at === target);
  if (unheard || judged.length === 0) return null;
  const off = judged.find(({ heard }) => heard !== 'in');
  return off ? { heard: verdictOf(off), place: off.at } : { heard: 'in', place: null };
}

const verdictOf = ({ heard }: ReportNote): HeardAs => (heard === 'wrong' ? 'missed' : heard);
