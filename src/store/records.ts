import {
  fingeringOf,
  type Choice,
  type Chosen,
  type Plan,
  type PlanRecord,
  type PlanRequest,
  type Sums,
} from '../core';

/** Ids in the made-up studio begin with this, so that it can stand beside one's own and be taken away in one go. */
export const EXAMPLE = 'example-';

/** True of what belongs to the made-up studio. */
export const isExample = (id: string) => id.startsWith(EXAMPLE);

/** A fresh plan for a request; which fingering is chosen is seen when it is planned. */
export function newRecord(request: PlanRequest, now: number, part: Partial<PlanRecord> = {}): PlanRecord {
  const fresh = { name: '', choice: { kind: 'unplanned' as const }, studentId: null, tags: [] };
  return { ...fresh, id: crypto.randomUUID(), request, createdAt: now, changedAt: now, ...part };
}

/** What is kept when one of the plans of an answer is chosen: the fingering itself. */
export function choiceOf(plan: Plan, number: number): Choice {
  return { kind: number === 0 ? 'best' : 'way', fingering: fingeringOf(plan) };
}

/** What was practised on one day. */
export interface DaySum {
  /** Student and day. */
  readonly id: string;
  readonly studentId: string;
  readonly day: string;
  readonly minutes: number;
  /** By plan: minutes, and the fastest at which it was clean. */
  readonly plans: Readonly<Record<string, PlanDay>>;
  readonly sums: Sums;
}

/** What was practised of one plan on one day. */
export interface PlanDay {
  readonly minutes: number;
  readonly reached?: number;
}

/** What is remembered of a card. */
export interface Memory {
  /** The card's. */
  readonly id: string;
  readonly studentId: string;
  /** When it is to be asked again, in ms. */
  readonly due: number;
  readonly answers: number;
  readonly wrong: number;
}

/** Something that was deleted, as it was then: what brings it back turned round. */
export interface Trashed {
  readonly id: string;
  readonly deletedAt: number;
  /** How many days the program had been used then. */
  readonly dayOfUse?: number;
  /** What it is called in the list of what was deleted. */
  readonly words: string;
  readonly changes: readonly object[];
}

/** What a teacher chose in one plan, against what was planned: kept by itself, so that it outlives the plan. */
export interface ChoiceRow {
  /** The plan's. */
  readonly id: string;
  readonly chosen: Chosen;
  readonly studentId: string | null;
  readonly changedAt: number;
}
