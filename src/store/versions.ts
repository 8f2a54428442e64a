import type { Choice } from './records';

/*
 * What became of records when the studio learned something new: a step from each version to the next, used by the database and by backup files alike.
 * Each step takes a record as the version before had it.
 */

/** Version 2 knows students and tags: a plan of version 1 belongs to nobody in particular and has no tags. */
export function planOfVersion2<T extends object>(plan: T): T & { studentId: null; tags: string[] } {
  return { ...plan, studentId: null, tags: [] };
}

/**
 * Version 3 keeps the chosen fingering itself; version 2 kept its number among the answers. In this browser the number is turned into the fingering
 * when the plan is opened first; out of a file nobody can tell what it stood for, but that 0 was the best.
 */
export function planOfVersion3(plan: object, from: 'browser' | 'file'): object {
  const { chosen, ...rest } = plan as { chosen?: unknown };
  return { ...rest, choice: choiceOfNumber(chosen, from) };
}

function choiceOfNumber(chosen: unknown, from: 'browser' | 'file'): Choice {
  const number = Number.isInteger(chosen) ? Math.max(0, Math.min(9, Number(chosen))) : 0;
  if (from === 'browser') return { kind: 'number', number };
  return number === 0 ? { kind: 'unplanned' } : { kind: 'lost' };
}
