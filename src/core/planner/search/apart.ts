import { heldIn, isAlike, paidStays, type HoldTrellis, type Path } from '../graph';
import { bothRemembered, rememberedPairs, rememberedStays, type PathMemory } from './memory';

/*
 * What a path pays that hangs on notes far apart: for pairs of stretches that are wanted alike, and for climbs that do not last. Each is an item of its
 * own, so that a search need remember only those that matter.
 */

export interface Apart {
  /** What a path pays, item by item; Infinity where it may not be. */
  readonly paid: (path: Path) => number[];
  /** What has to be remembered for some of the items. */
  readonly memoryOf: (items: readonly number[]) => PathMemory;
}

/** Null where nothing hangs on notes far apart. */
export function apartIn(trellis: HoldTrellis): Apart | null {
  const { again, stays, layers } = trellis;
  if (again.length === 0 && !stays) return null;
  const held = heldIn(trellis);
  return {
    paid: (path) => [
      ...again.map((pair) => (isAlike(pair, held, path) ? 0 : pair.cost)),
      ...(stays ? [paidStays(stays, path)] : []),
    ],
    memoryOf(items) {
      const pairs = items.flatMap((item) => again[item] ?? []);
      const own = pairs.length > 0 ? rememberedPairs(pairs, held, layers.length) : null;
      const climbs = stays && items.includes(again.length) ? rememberedStays(stays) : null;
      return own && climbs ? bothRemembered(own, climbs) : ((own ?? climbs) as PathMemory);
    },
  };
}
