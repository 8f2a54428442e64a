import type { LessonRecord, PlanRecord, SessionRecord } from '../core';
import { db } from './db';
import { reading } from './waiting';

/*
 * Whether something hangs on a plan: it was given, practised or assigned.
 */

/** True of a plan that was given to somebody, practised, or assigned in a lesson. Stops at the first use found. @throws where the storage does not answer */
export function isInUse({ id, studentId, givenFrom }: PlanRecord): Promise<boolean> {
  if (givenFrom !== undefined) return Promise.resolve(true);
  const player = studentId ?? '';
  const first = <Row>(table: 'sessions' | 'lessons', names: (row: Row) => boolean) =>
    db.table<Row>(table).where('[studentId+day]').between([player, ''], [player, '\uffff']).filter(names).first();
  const look = async () =>
    (await first<SessionRecord>('sessions', ({ planId }) => planId === id)) ??
    (await first<Partial<LessonRecord>>('lessons', ({ assigned, items }) =>
      // A row may be damaged: it names no plan then.
      [assigned, items].some((list) => Array.isArray(list) && list.some((part) => part?.planId === id)),
    )) ??
    (await db.plans.filter((plan) => plan.givenFrom === id).first());
  return reading(
    look().then((found) => found !== undefined),
    'sessions',
    'lessons',
    'plans',
  );
}
