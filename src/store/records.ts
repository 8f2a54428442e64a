import type { PlanRequest } from '../core';

/** A plan as it is kept: what was asked and which answer was chosen. The answer itself is worked out anew. */
export interface PlanRecord {
  readonly id: string;
  /** Given by the user; empty while the brief names it. */
  readonly name: string;
  readonly request: PlanRequest;
  /** Notes as they were typed, also where they cannot be read yet; only with a list of notes. */
  readonly typed?: string;
  /** Which of the alternatives, counted from 0. */
  readonly chosen: number;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly changedAt: number;
}

export function newRecord(request: PlanRequest, now: number, name = ''): PlanRecord {
  return { id: crypto.randomUUID(), name, request, chosen: 0, createdAt: now, changedAt: now };
}
