import { heardOf, type SessionRecord } from '../../core';
import { dayOf } from './calendar';

/** A new entry of the log, begun now, with nothing said or judged yet. @param given what is known of it */
export function newEntry<T extends Partial<SessionRecord>>(given: T): SessionRecord & T {
  const now = Date.now();
  return {
    id: crypto.randomUUID(),
    studentId: '',
    day: dayOf(now),
    startedAt: now,
    endedAt: now,
    minutes: 0,
    what: '',
    places: [],
    heard: heardOf([]),
    goal: '',
    playerWords: '',
    teacherWords: '',
    question: '',
    next: '',
    createdAt: now,
    changedAt: now,
    ...given,
  };
}
