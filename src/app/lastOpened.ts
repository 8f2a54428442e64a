/*
 * When each plan was opened last in this browser: a help for finding things again, and no part of the plan.
 */

const PLACE = 'dove-path-opened';
/** Plans that are remembered. */
const MOST = 400;

export function markOpened(id: string, now: number) {
  try {
    const kept = [...openedAt()].filter(([other]) => other !== id);
    localStorage.setItem(PLACE, JSON.stringify([[id, now], ...kept].slice(0, MOST)));
  } catch {
    // Where storage is blocked nothing is remembered.
  }
}

/** Times by plan, the last first. */
export function openedAt(): Map<string, number> {
  try {
    const kept = JSON.parse(localStorage.getItem(PLACE) ?? '[]') as unknown;
    const rows = Array.isArray(kept) ? kept : [];
    return new Map(
      rows.filter(
        (row): row is [string, number] =>
          Array.isArray(row) && typeof row[0] === 'string' && typeof row[1] === 'number',
      ),
    );
  } catch {
    return new Map();
  }
}
