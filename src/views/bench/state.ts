import { create } from 'zustand';
import type { ChoiceIssue, Plan, PlanRequest, PlanResponse } from '../../core';
import { newRecord, type PlanRecord } from '../../store/records';
import { NO_HISTORY, type History } from '../../ui/history';

export type SaveState = 'saved' | 'saving' | 'failed';

/** Events from and to, both in it. */
export interface Selection {
  readonly from: number;
  readonly to: number;
}

/** What an edit can change, and undo brings back. */
export type Edited = Pick<PlanRecord, 'name' | 'request' | 'typed' | 'chosen' | 'studentId' | 'tags'>;

export function editedOf({ name, request, typed, chosen, studentId, tags }: PlanRecord): Edited {
  return { name, request, typed, chosen, studentId, tags };
}

interface BenchState {
  readonly record: PlanRecord;
  readonly response: PlanResponse | null;
  /** The request that the response answers; a newer one may be on its way. */
  readonly planned: PlanRequest | null;
  readonly issues: readonly ChoiceIssue[];
  readonly cursor: number;
  /** Notes marked for listening or as a pattern; null where none are. */
  readonly selection: Selection | null;
  /** True while moving the cursor marks notes. */
  readonly marking: boolean;
  readonly save: SaveState;
  readonly ready: boolean;
  readonly history: History<Edited>;
  /** The plan that stood before the last edit of the same notes, to say what the edit changed. */
  readonly before: Plan | null;
  /** Another alternative laid beside the one on the stand. */
  readonly beside: number | null;
}

/** What the Bench opens with when nothing is kept yet. */
export const FIRST_REQUEST: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

export const useBench = create<BenchState>(() => ({
  record: newRecord(FIRST_REQUEST, 0),
  response: null,
  planned: null,
  issues: [],
  cursor: 0,
  selection: null,
  marking: false,
  save: 'saved',
  ready: false,
  history: NO_HISTORY,
  before: null,
  beside: null,
}));
