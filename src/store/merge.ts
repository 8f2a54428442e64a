import type { LessonRecord, SessionRecord } from '../core';
import { joinedMinutes, withCorrection } from './minutes';

/*
 * One record written on two computers. Each field counts how often each of them has written it: from that it follows, without any clock, which writing knew of
 * the other. Where neither did, words are put together and nothing is lost.
 */

type Edited = SessionRecord | LessonRecord;
export type Counts = Readonly<Record<string, number>>;

const isSession = (record: Edited): record is SessionRecord => 'heard' in record;

/** How often each device has written, once more by this one. */
export const counted = (counts: Counts = {}, device: string): Counts => ({
  ...counts,
  [device]: (counts[device] ?? 0) + 1,
});

/** The change of some fields with the writing counted, so that it can be told from another's. */
export function countedEdit<T extends Edited>(record: T, to: Partial<T>, device: string): Partial<T> {
  const edits: Record<string, Counts> = { ...record.edits };
  for (const field of Object.keys(to)) edits[field] = counted(edits[field], device);
  const corrected = isSession(record) && to.minutes !== undefined ? withCorrection(record, to.minutes) : {};
  return { ...to, ...corrected, edits };
}

/** Which record it is and when it was written; what follows from the log is worked out apart. */
const NOT_WRITTEN: ReadonlySet<string> = new Set(['id', 'edits', 'createdAt', 'studentId', 'changedAt']);
/** Fields that somebody writes in their own words. */
export const WORDS: ReadonlySet<string> = new Set([
  'what',
  'goal',
  'words',
  'playerWords',
  'teacherWords',
  'question',
  'next',
  'remark',
]);
const PLAYED: ReadonlySet<string> = new Set(['minutes', 'played', 'corrected', 'reached', 'endedAt', 'heard']);

/** Two states of one record as one, the same whichever of them is here. */
export function merged<T extends Edited>(here: T, there: T): T {
  const names = [...new Set([...Object.keys(here), ...Object.keys(there)])] as (keyof T & string)[];
  const together: Record<string, unknown> = { changedAt: larger(here.changedAt, there.changedAt) };
  for (const name of names)
    if (!NOT_WRITTEN.has(name) && !(isSession(here) && PLAYED.has(name)))
      together[name] = mergedField(name, here, there);
  const played = isSession(here) && isSession(there) ? mergedPlaying(here, there) : {};
  const edits = mergedEdits(here, there);
  return { ...here, ...together, ...played, ...(Object.keys(edits).length > 0 && { edits }) };
}

/** What was played of a session on two computers: ended on one, it is ended. */
function mergedPlaying(here: SessionRecord, there: SessionRecord) {
  const count = ({ heard }: SessionRecord) => Object.values(heard).reduce((all, one) => all + one, 0);
  const corrected = later('minutes', 'corrected', here, there);
  const ends = [here.endedAt, there.endedAt].filter((end) => end !== null);
  const reached = larger(here.reached, there.reached);
  return {
    ...joinedMinutes(here, there, corrected),
    endedAt: ends.length > 0 ? Math.max(...ends) : null,
    heard: count(there) > count(here) ? there.heard : here.heard,
    ...(reached > 0 && { reached }),
  };
}

const larger = (a = 0, b = 0) => Math.max(a, b);

function mergedField<T extends Edited>(name: keyof T & string, here: T, there: T): unknown {
  if (!WORDS.has(name)) return later(name, name, here, there);
  const known = knower(name, here, there);
  return known ? known[name] : bothWords(String(here[name]), String(there[name]));
}

/** The record in which a field was written in the knowledge of the other; undefined where neither was. */
function knower<T extends Edited>(field: string, here: T, there: T): T | undefined {
  const [ours, theirs] = [here.edits?.[field] ?? {}, there.edits?.[field] ?? {}];
  if (knows(ours, theirs)) return here;
  return knows(theirs, ours) ? there : undefined;
}

/** The later of two values: of the record that knows the other, or else of the one in which it was written more often. @param field what counts the writings */
function later<T extends Edited, Name extends keyof T>(field: string, name: Name, here: T, there: T): T[Name] {
  const known = knower(field, here, there);
  if (known) return known[name];
  const times = (record: T) => Object.values(record.edits?.[field] ?? {}).reduce((all, one) => all + one, 0);
  const difference = times(here) - times(there) || (JSON.stringify(here[name]) > JSON.stringify(there[name]) ? 1 : -1);
  return (difference > 0 ? here : there)[name];
}

/** True where one writing was made in the knowledge of the other. */
export function knows(one: Counts, other: Counts): boolean {
  return Object.entries(other).every(([device, count]) => (one[device] ?? 0) >= count);
}

/** How often each device has written in either. */
export function joinedCounts(one: Counts = {}, other: Counts = {}): Counts {
  const devices = [...new Set([...Object.keys(one), ...Object.keys(other)])];
  return Object.fromEntries(devices.map((device) => [device, larger(one[device], other[device])]));
}

/** Words that were written apart, both kept. */
export function bothWords(a: string, b: string): string {
  if (a.includes(b)) return a;
  if (b.includes(a)) return b;
  // In one order whichever side is asked, so that both come out alike.
  return [a, b].sort().join(' / ');
}

function mergedEdits(here: Edited, there: Edited) {
  const edits: Record<string, Counts> = { ...here.edits };
  for (const [field, counts] of Object.entries(there.edits ?? {})) edits[field] = joinedCounts(edits[field], counts);
  return edits;
}
