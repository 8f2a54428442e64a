import type { LessonRecord, SessionRecord } from '../core';

/*
 * One record written on two computers. Each field counts how often each of them has written it: from that it follows, without any clock, which writing knew of
 * the other. Where neither did, words are put together and nothing is lost.
 */

type Edited = SessionRecord | LessonRecord;
type Counts = Readonly<Record<string, number>>;

/** The change of some fields with the writing counted, so that it can be told from another's. */
export function countedEdit<T extends Edited>(record: T, to: Partial<T>, device: string): Partial<T> {
  const edits: Record<string, Counts> = { ...record.edits };
  for (const field of Object.keys(to)) {
    const own = edits[field] ?? {};
    edits[field] = { ...own, [device]: (own[device] ?? 0) + 1 };
  }
  return { ...to, edits };
}

/** What grows as a session is played, and follows from the log: the larger is the later. */
const GROWING: ReadonlySet<string> = new Set(['minutes', 'reached', 'changedAt']);
const NOT_WRITTEN: ReadonlySet<string> = new Set([
  'id',
  'edits',
  'createdAt',
  'studentId',
  'endedAt',
  'heard',
  ...GROWING,
]);

/** Two states of one record as one. */
export function merged<T extends Edited>(here: T, there: T): T {
  const names = [...new Set([...Object.keys(here), ...Object.keys(there)])] as (keyof T & string)[];
  const together: Record<string, unknown> = {};
  for (const name of names) {
    if (GROWING.has(name)) together[name] = larger(here[name], there[name]);
    else if (!NOT_WRITTEN.has(name)) together[name] = mergedField(name, here, there);
  }
  return { ...here, ...ended(here, there), ...together, edits: mergedEdits(here, there) };
}

/** A session that was ended on one of them is ended, and heard what the longer one heard. */
function ended(here: Edited, there: Edited) {
  if (!('heard' in here) || !('heard' in there)) return {};
  const { endedAt, heard } = there.minutes > here.minutes ? there : here;
  return { heard, endedAt: endedAt ?? here.endedAt ?? there.endedAt };
}

const larger = (a: unknown, b: unknown) => (Number(b ?? 0) > Number(a ?? 0) ? b : a);

function mergedField<T extends Edited>(name: keyof T & string, here: T, there: T): unknown {
  const [a, b] = [here[name], there[name]];
  if (JSON.stringify(a) === JSON.stringify(b)) return a;
  const [ours, theirs] = [here.edits?.[name] ?? {}, there.edits?.[name] ?? {}];
  if (knows(ours, theirs)) return a;
  if (knows(theirs, ours)) return b;
  return typeof a === 'string' && typeof b === 'string' ? bothWords(a, b) : a;
}

/** True where one writing was made in the knowledge of the other. */
function knows(one: Counts, other: Counts): boolean {
  return Object.entries(other).every(([device, count]) => (one[device] ?? 0) >= count);
}

function bothWords(a: string, b: string): string {
  if (a.includes(b)) return a;
  if (b.includes(a)) return b;
  // In one order whichever side is asked, so that both come out alike.
  return [a, b].sort().join(' / ');
}

function mergedEdits(here: Edited, there: Edited) {
  const edits: Record<string, Counts> = { ...here.edits };
  for (const [field, counts] of Object.entries(there.edits ?? {})) {
    const own = edits[field] ?? {};
    const devices = [...new Set([...Object.keys(own), ...Object.keys(counts)])];
    edits[field] = Object.fromEntries(
      devices.map((device) => [device, Math.max(own[device] ?? 0, counts[device] ?? 0)]),
    );
  }
  return edits;
}
