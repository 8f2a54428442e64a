import type { Change, Fields } from '../../store/changes';
import type { Draft } from '../../store/drafts';
import type { Outcome } from '../../store/write';
import type { PlanRecord } from '../../core';
import type { Answer, Ask } from '../../work/ask';
import type { History } from '../undo';
import type { Notice } from '../notices';
import type { Edited } from './state';

/*
 * All that the session needs of the world, handed in, so that it is tested without a browser.
 */

interface Planner {
  /** @throws PlannerLost, or whatever else went wrong */
  plan(ask: Ask): Promise<Answer>;
}

interface Store {
  commit(changes: readonly Change[]): Promise<Outcome>;
  getPlan(id: string): Promise<PlanRecord | undefined>;
  /** Calls with the plan as it is now and whenever it changes; undefined where it is not there. */
  watchPlan(id: string, seen: (plan: PlanRecord | undefined) => void): () => void;
  /** Whether a plan was given, practised or assigned. */
  isInUse(plan: PlanRecord): Promise<boolean>;
  /** A sentence for a failed read or write, with what to do. */
  trouble(error: unknown): string;
}

interface Clock {
  now(): number;
  /** Calls once after some ms; the function returned calls it off. */
  after(ms: number, act: () => void): () => void;
}

interface Page {
  /** Puts the plan into the page's address and remembers it as the one last open. */
  show(record: PlanRecord): void;
  /** Keeps the steps of a plan for as long as the page's tab lives. */
  keepHistory(id: string, history: History<Fields<Edited>>): void;
  historyOf(id: string): History<Fields<Edited>>;
  /** Keeps an edit that the store does not have yet where a page that goes can still write. @returns whether it could */
  keepDraft(draft: Draft): boolean;
  /** The store has it now. */
  dropDraft(id: string): void;
}

export interface Doors {
  readonly planner: Planner;
  readonly store: Store;
  readonly clock: Clock;
  readonly page: Page;
  /** Says something to the user; the function returned takes it away again. */
  readonly say: (notice: Notice) => () => void;
  /** Tells of a write that failed and offers it again. */
  readonly failed: (key: string, error: unknown, again: () => Promise<boolean>) => void;
  /** What failed before is written now. */
  readonly written: (key: string) => void;
}
