import type { Clef, Level, NoteNames, PlanRequest, PositionRule } from '../core';

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
  /** The student it was made for; null for nobody in particular. */
  readonly studentId: string | null;
  readonly tags: readonly string[];
  /** The plan that this one was given from, of another student. */
  readonly givenFrom?: string;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly changedAt: number;
}

/** What a student plays on and with: the part of a request that the student decides. */
export type Playing = Pick<
  PlanRequest,
  'instrument' | 'size' | 'tuning' | 'extensionTo' | 'stringLengthMm' | 'hand' | 'school'
>;

export const LEVELS: readonly Level[] = ['first-year', 'early', 'middle', 'advanced'];

export interface StudentRecord {
  readonly id: string;
  readonly name: string;
  readonly plays: Playing;
  readonly level: Level;
  /** Positions the student knows; all where undefined. */
  readonly positions?: PositionRule;
  /** Clefs the student reads, the home clef first. */
  readonly clefs: readonly Clef[];
  readonly noteNames: NoteNames;
  /** Whatever the teacher wants to remember. */
  readonly remark: string;
  readonly createdAt: number;
  readonly changedAt: number;
}

/** A brief kept under a name, to begin other plans from. */
export interface BriefRecord {
  readonly id: string;
  readonly name: string;
  readonly request: PlanRequest;
  readonly createdAt: number;
}

export function newRecord(request: PlanRequest, now: number, part: Partial<PlanRecord> = {}): PlanRecord {
  const fresh = { name: '', chosen: 0, studentId: null, tags: [] };
  return { ...fresh, id: crypto.randomUUID(), request, createdAt: now, changedAt: now, ...part };
}
