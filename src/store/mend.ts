import { dayKey, recount } from './days';
import { db } from './db';
import { recall } from './reviewSchedule';
import { rowIssue } from './valid';

/*
 * Sums and memories that are damaged, or were counted by an earlier rule, are worked out anew: they follow from the log and the answers.
 */

/** @returns how many were damaged */
export async function mendDerived(now: number): Promise<number> {
  const [days, memories] = await Promise.all([db.days.toArray(), db.memories.toArray()]);
  const brokenDays = days
    .filter((row) => rowIssue('days', row) !== null || row.rule !== 2 || row.id !== dayKey(row.studentId, row.day))
    .map(({ id }) => id);
  const brokenCards = memories.filter((row) => rowIssue('memories', row) !== null).map(({ id }) => id);
  if (brokenDays.length + brokenCards.length === 0) return 0;
  await db.transaction('rw', [db.sessions, db.repetitions, db.days, db.answers, db.memories], async () => {
    await db.days.bulkDelete(brokenDays);
    for (const key of brokenDays) {
      const [studentId, day] = key.split('/');
      if (day) await recount(studentId, day);
    }
    await db.memories.bulkDelete(brokenCards);
    await recall(brokenCards, now);
  });
  return brokenDays.length + brokenCards.length;
}
