import type { Change, Tables, TableName } from '../../store/changes';
import type { Outcome } from '../../store/db';
import type { PlanRecord } from '../../store/records';
import type { Answer, Ask } from '../../work/ask';
import type { Notice } from '../notices';

/*
 * All that the session needs of the world, handed in, so that it is tested without a browser.
 */

export interface Planner {
  /** @throws PlannerLost, or whatever else went wrong */
  plan(ask: Ask): Promise<Answer>;
}

export interface Store {
  commit(changes: readonly Change[]): Promise<Outcome>;
  getPlan(id: string): Promise<PlanRecord | undefined>;
  /** Calls with the plan as it is now and whenever it changes; undefined where it is not there. */
  watchPlan(id: string, seen: (plan: PlanRecord | undefined) => void): () => void;
  /** A sentence for a failed read or write, with what to do. */
  trouble(error: unknown): string;
}

export interface Clock {
  now(): number;
  /** Calls once after some ms; the function returned calls it off. */
  after(ms: number, act: () => void): () => void;
}

export interface Page {
  /** Puts the plan into the page's address and remembers it as the one last open. */
  show(record: PlanRecord): void;
}

export interface Doors {
  readonly planner: Planner;
  readonly store: Store;
  readonly clock: Clock;
  readonly page: Page;
  readonly say: (notice: Notice) => void;
}

export type Written = Tables[TableName];
