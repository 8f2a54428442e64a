import type { Choice } from '../core';

/*
 * What became of records when the program learned something new: a named step from each shape to the next, used by the database and by files alike.
 */

/** Where a row comes from: this browser's database, or a file. */
type Origin = 'browser' | 'file';

export interface Upgrade {
  readonly name: string;
  /** The versions of the database and of the backup file that have the newer shape. */
  readonly database: number;
  readonly file: number;
  /** @param row as the version before had it */
  readonly become: (row: object, from: Origin) => object;
}

/** Students and tags came: a plan from before belongs to nobody in particular and has no tags. */
export const belongsToNobody: Upgrade = {
  name: 'belongs-to-nobody',
  database: 2,
  file: 2,
  become: (plan) => ({ ...plan, studentId: null, tags: [] }),
};

/**
 * A plan keeps its fingering; before it kept the number among the answers. In this browser the number is turned into the fingering when the plan is opened
 * first; out of a file nobody can tell what it stood for, but that 0 was the best.
 */
export const keepsItsFingering: Upgrade = {
  name: 'keeps-its-fingering',
  database: 3,
  file: 3,
  become: (plan, from) => {
    const { chosen, ...rest } = plan as { chosen?: unknown };
    return { ...rest, choice: choiceOfNumber(chosen, from) };
  },
};

function choiceOfNumber(chosen: unknown, from: Origin): Choice {
  const number = Number.isInteger(chosen) ? Math.max(0, Math.min(9, Number(chosen))) : 0;
  if (from === 'browser') return { kind: 'number', number };
  return number === 0 ? { kind: 'unplanned' } : { kind: 'lost' };
}

/** A row of a file of some version as it is now; what is no object is left for the check to tell. */
export function upgradedRow(steps: readonly Upgrade[], row: unknown, fileVersion: number): unknown {
  if (typeof row !== 'object' || row === null) return row;
  return steps
    .filter(({ file }) => file > fileVersion)
    .reduce<object>((newer, step) => step.become(newer, 'file'), row);
}
