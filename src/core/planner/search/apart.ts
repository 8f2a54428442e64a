import { heldIn, isAlike, paidStays, type HoldTrellis, type Path, type Stays } from '../graph';
import { bothRemembered, rememberedPairs, rememberedStays, type PathMemory } from './memory';

/*
 * What a path pays that hangs on notes far apart: for pairs of stretches that are wanted alike, and for climbs that do not last. Each is an item of its
 * own, so that a search need remember only those that matter.
 */

export interface Apart {
  /** What a path pays, item by item; Infinity where it may not be. */
  readonly paid: (path: Path) => number[];
  /** Ways to be spared an item that a path pays, by what its nodes must be. */
  readonly fixes: (path: Path, item: number) => ReadonlyMap<number, (node: number) => boolean>[];
  /** What has to be remembered for some of the items. */
  readonly memoryOf: (items: readonly number[]) => PathMemory;
}

/** Nothing that a path climbs to is climbed to. */
function withoutClimbs({ climbed }: Stays, path: Path) {
  const events = Array.from(path, (node, t) => (climbed(t, node) ? [t] : [])).flat();
  return new Map(events.map((t) => [t, (node: number) => !climbed(t, node)]));
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
    fixes(path, item) {
      const pair = again[item];
      if (pair) return [asThe(pair.model, pair.again), asThe(pair.again, pair.model)];
      return stays ? [withoutClimbs(stays, path)] : [];

      /** Some events held as others are in the path. */
      function asThe(models: readonly number[], copies: readonly number[]) {
        const [from, to] = [models[0], copies[0]];
        const moved = pair.moved ? held(to, path[to]).string - held(from, path[from]).string : 0;
        return new Map(
          copies.map((t, i) => {
            const wanted = held(models[i], path[models[i]]);
            return [
              t,
              (node: number) => {
                const own = held(t, node);
                return own.fingers === wanted.fingers && own.string === wanted.string + moved;
              },
            ];
          }),
        );
      }
    },
    memoryOf(items) {
      const pairs = items.flatMap((item) => again[item] ?? []);
      const own = pairs.length > 0 ? rememberedPairs(pairs, held, layers.length) : null;
      const climbs = stays && items.includes(again.length) ? rememberedStays(stays) : null;
      return own && climbs ? bothRemembered(own, climbs) : ((own ?? climbs) as PathMemory);
    },
  };
}
