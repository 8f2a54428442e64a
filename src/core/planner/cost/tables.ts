import type { Setup } from '../../instrument/setup';
import type { HandModel, Hold } from '../../hand/hold';
import type { PricedTransition } from './moment';
import type { Pricing } from './terms';

export interface Holds {
  readonly all: readonly Hold[];
  /** Where the hand would lie were there no demands: first position, or the lowest above it that serves; semitones above the nut. */
  readonly lowest: number;
}

/*
 * What is worked out for one set-up of instrument, hand, prices, pitches and rules, and kept for the next request of the same: a teacher changes one
 * lock or goes to and fro between a few keys. What a lock or a forbidden thing touches is never kept.
 */

export interface Tables<Layer = unknown, Block = unknown> {
  readonly setup: Setup;
  readonly model: HandModel;
  readonly pricing: Pricing;
  /** Holds by what sounds. */
  readonly holds: Map<string, Holds>;
  /** Layers by what sounds and how long, with what they follow where that matters. */
  readonly layers: Map<string, Layer>;
  readonly transitions: Map<string, PricedTransition>;
  /** Blocks by the numbers of the layers they join and of the moment between. */
  readonly blocks: Map<string, Block>;
}

/** Sets kept, and blocks in one of them before it starts anew: some MB in all. */
const MOST_SETS = 16;
const MOST_BLOCKS = 4000;

const kept = new Map<string, Tables>();

/** The tables of a set-up: those kept, or new ones made by `make`. Those used last are kept longest. */
export function keptTables(tag: string, make: () => Tables): Tables {
  const known = kept.get(tag);
  kept.delete(tag);
  const tables = known && known.blocks.size <= MOST_BLOCKS ? known : make();
  kept.set(tag, tables);
  if (kept.size > MOST_SETS) kept.delete(kept.keys().next().value as string);
  return tables;
}

/** The same set-up with nothing worked out yet that depends on the rules. */
export function freshTables({ setup, model, pricing, holds }: Tables): Tables {
  return { setup, model, pricing, holds, layers: new Map(), transitions: new Map(), blocks: new Map() };
}
