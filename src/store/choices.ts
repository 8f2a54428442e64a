import { db } from './db';
import type { PlanRecord } from './records';

/*
 * What teachers choose against the first plan, in a table of its own. It only ever helps: where it cannot be written or read, nothing is lost.
 */

/** Keeps what was chosen in a plan, or that nothing is any more. Drills are made, not chosen. */
export async function keepChoice({ id, request, choice, drillFor, studentId }: PlanRecord): Promise<void> {
  const { locks = [], never = [] } = request.rules ?? {};
  const way = choice.kind === 'way' ? choice.fingering : undefined;
  if (drillFor) return;
  if (!way && locks.length + never.length === 0) await db.choices.delete(id);
  else
    await db.choices.put({
      id,
      studentId,
      chosen: { request, ...(way ? { way } : {}) },
      changedAt: Date.now(),
    });
}

/** What was chosen, for one student or for anybody. */
export async function listChoices(studentId: string | null) {
  const rows = await db.choices.toArray();
  return rows.filter((row) => studentId === null || row.studentId === studentId).map(({ chosen }) => chosen);
}
