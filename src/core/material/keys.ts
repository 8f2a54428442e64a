import type { Key } from '../pitch/key';
import type { PlanResponse } from '../vocabulary';

/** The key in force at each event, where it may change on the way. */
export function keysAt({ key, changes = [] }: Pick<PlanResponse, 'key' | 'changes'>): (at: number) => Key {
  const turns = changes.filter((change) => change.key !== undefined);
  if (turns.length === 0) return () => key;
  return (at) => turns.findLast((turn) => turn.at <= at)?.key ?? key;
}
