import { data } from '../store/browserState';

/*
 * When each plan was opened last in this browser: a help for finding things again, and no part of the plan.
 */

type Opened = readonly (readonly [id: string, time: number])[];

const place = data<Opened>('local', 'dove-path-opened', (found) =>
  (Array.isArray(found) ? (found as unknown[]) : []).filter(
    (row): row is [string, number] => Array.isArray(row) && typeof row[0] === 'string' && typeof row[1] === 'number',
  ),
);
/** Plans that are remembered. */
const MOST = 400;

export function markOpened(id: string, now: number) {
  const others = place.read().filter(([other]) => other !== id);
  place.write([[id, now] as const, ...others].slice(0, MOST));
}

/** Times by plan, the last first. */
export function openedAt(): ReadonlyMap<string, number> {
  return new Map(place.read());
}
