import { Dexie, type Table } from 'dexie';
import type { PlannedStep } from '../core/path';

/*
 * Steps that were planned for a path, so that the second time is quick. They follow from the program alone: a database of their own, that can be thrown away.
 */

interface MadeSteps {
  /** Everything that the player decides, as text, and the version of the planner. */
  readonly player: string;
  readonly usedAt: number;
  readonly steps: readonly (readonly [request: string, step: PlannedStep | null])[];
}

/** To be raised whenever a plan may come out otherwise. */
const PLANNER_VERSION = 1;
/** Players whose steps are kept. */
const MOST_PLAYERS = 12;

const made = new Dexie('dove-path-made') as Dexie & { steps: Table<MadeSteps, string> };
made.version(1).stores({ steps: 'player,usedAt' });

const keyOf = (player: string) => `${PLANNER_VERSION} ${player}`;

/** The steps that were planned for a player; none where the storage does not give them. */
export async function keptSteps(player: string): Promise<MadeSteps['steps']> {
  try {
    return (await made.steps.get(keyOf(player)))?.steps ?? [];
  } catch {
    return [];
  }
}

/** Keeps more steps of a player. It only ever helps: where it cannot be written they are planned again. */
export async function keepSteps(player: string, more: ReadonlyMap<string, PlannedStep | null>): Promise<void> {
  try {
    const before = await keptSteps(player);
    const steps = [...new Map([...before, ...more])];
    await made.steps.put({ player: keyOf(player), usedAt: Date.now(), steps });
    const old = await made.steps.orderBy('usedAt').reverse().offset(MOST_PLAYERS).primaryKeys();
    await made.steps.bulkDelete(old);
  } catch {
    // Nothing of the user's is lost.
  }
}
