import type { HeardTake } from '../../core';
import { triesOf, type Report } from '../../core/listening';
import { getPlan } from '../../store/read';
import { foundCauseWords, type Listener } from '../../wording/listening';
import { planTitle } from '../../wording/material';
import * as listenText from '../../wording/rooms/listenViews';
import type { Meaning } from '../meaning';
import { say } from '../notices';
import { save } from '../writes';
import { removeEntry } from './log';
import { newEntry } from './newEntry';

/*
 * What the microphone heard, in the log: marked as heard, with cents and mm by place. The sound itself is not kept.
 */

/** A row of the log for what was heard. @param judged the repetition that it belongs to */
export function heardRow(sessionId: string, listener: Listener, report: Report, judged?: string): HeardTake {
  return {
    kind: 'heard',
    id: crypto.randomUUID(),
    sessionId,
    at: Date.now(),
    ...(judged === undefined ? {} : { judged }),
    seconds: report.seconds,
    a4: report.a4,
    tries: triesOf(listener.expected, report),
    said: report.causes.map((cause) => foundCauseWords(cause, listener)),
  };
}

/** Writes a take into the log as an entry of its own, and offers to take it out again. @returns whether it was written */
export async function logTake({ record, student }: Meaning, listener: Listener, report: Report): Promise<boolean> {
  const isKept = (await getPlan(record.id)) !== undefined;
  const entry = newEntry({
    studentId: student?.id ?? '',
    startedAt: Date.now() - 1000 * report.seconds,
    minutes: Math.round(report.seconds / 6) / 10,
    what: planTitle(record),
    ...(isKept ? { planId: record.id } : {}),
    byEar: true as const,
  });
  const row = heardRow(entry.id, listener, report);
  const written = await save([
    { kind: 'added', table: 'sessions', record: entry },
    { kind: 'added', table: 'repetitions', record: row },
  ]);
  if (written)
    say({
      kind: 'done',
      message: listenText.isInTheLog,
      offer: { words: listenText.takeItOut, act: async () => removeEntry(entry) },
    });
  return written;
}
