import assert from 'node:assert/strict';
import type { HeardAs, Judged, SessionRecord } from '../../src/core';
import { practiceFileText, readPracticeFile, type PracticeReading } from '../../src/store/practiceFile';

/** A session in the log, for tests. */
export function sessionFor(studentId: string, day: string, part: Partial<SessionRecord> = {}): SessionRecord {
  const startedAt = Date.parse(`${day}T16:00:00Z`);
  return {
    ...{ id: crypto.randomUUID(), studentId, day, startedAt, endedAt: null, minutes: 0, what: 'A major scale' },
    ...{ heard: { low: 0, in: 0, high: 0, missed: 0 }, goal: '', playerWords: '', teacherWords: '' },
    ...{ question: '', next: '', createdAt: startedAt, changedAt: startedAt },
    places: [
      { at: 0, kinds: ['finger-1-1', 'string-2'] },
      { at: 1, kinds: ['finger-3-3', 'string-2', 'up-2'] },
    ],
    task: {
      ...{ from: 0, to: 1, bpm: 60, times: 3, beatsEach: 1, clicks: 1, hearFirst: false, reminders: [] },
      ladder: { kind: 'tempo', from: 60, to: 100, by: { steps: 4 } },
    },
    ...part,
  };
}

/** A judged repetition of a session. */
export function judged(session: SessionRecord, number: number, heard: HeardAs, part: Partial<Judged> = {}): Judged {
  return {
    ...{ kind: 'judged', id: crypto.randomUUID(), sessionId: session.id, number, at: session.startedAt + number },
    ...{ step: 0, from: 0, to: 1, bpm: 60, heard, place: heard === 'in' ? null : 1 },
    ...part,
  };
}

/** A student's practice file, as it is read back. */
export async function fileOf(studentId: string): Promise<Extract<PracticeReading, { kind: 'practice' }>> {
  const reading = readPracticeFile((await practiceFileText(studentId, new Date(0))) ?? '');
  assert.ok(reading.kind === 'practice');
  return reading;
}
