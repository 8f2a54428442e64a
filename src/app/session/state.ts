import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Issue, Plan, PlanRequest, PlanResponse } from '../../core';
import type { Fields } from '../../store/changes';
import { newRecord } from '../../store/records';
import type { PlanRecord } from '../../core';
import type { Ask } from '../../work/ask';
import { NO_HISTORY, type History } from '../undo';
import * as appText from '../../wording/rooms/app';

/*
 * What the plan session knows: one plan on the stand, how far it is planned and saved, and where the user is in it.
 */

/** What an edit can change, and undo brings back. */
export type Edited = Pick<PlanRecord, 'name' | 'request' | 'typed' | 'choice' | 'studentId' | 'tags' | 'written'>;

/** An answer with what was asked for it. */
export interface Planned {
  readonly ask: Ask;
  readonly response: PlanResponse;
  /** True where the last of its plans is the saved fingering, which the planner would no longer offer. */
  readonly own: boolean;
}

/** How far the plan on the stand is worked out. Every edit ends in planned, refused or failed. */
export type Planning =
  | { readonly kind: 'idle' }
  | { readonly kind: 'working'; readonly last: Planned | null }
  /** `more` while the ways beside the best plan are still looked for. */
  | { readonly kind: 'planned'; readonly last: Planned; readonly more?: boolean }
  /** The request cannot be understood. */
  | { readonly kind: 'refused'; readonly issues: readonly Issue[]; readonly last: Planned | null }
  /** The planner died or fell silent; it is started again at the next edit. */
  | { readonly kind: 'failed'; readonly why: PlannerFault; readonly last: Planned | null };

export type PlannerFault = 'died' | 'silent' | 'broken';

/** How far the plan on the stand is saved: `unsaved` where it is only looked at, until it is edited or kept; `gone` where another page has deleted it. */
export type SaveState = 'unsaved' | 'saved' | 'saving' | 'failed' | 'gone';

/** Events from and to, both in it. */
export interface Selection {
  readonly from: number;
  readonly to: number;
}

/** How the saved fingering lies to what the planner would choose now. */
export type Standing =
  | 'as-planned'
  /** It stays in force, and the planner would now choose otherwise. */
  | 'kept'
  /** It cannot be played as it was saved; the best is shown. */
  | 'unplayable'
  /** Only its number was in an old backup; the best is shown. */
  | 'lost';

export interface SessionState {
  readonly record: PlanRecord;
  /** The plan as the store has it; null where it has none. */
  readonly stored: PlanRecord | null;
  readonly planning: Planning;
  /** Which of the answer's plans is on the stand. */
  readonly chosen: number;
  readonly standing: Standing;
  readonly cursor: number;
  /** Notes marked for listening or as a pattern; null where none are. */
  readonly selection: Selection | null;
  /** True while moving the cursor marks notes. */
  readonly marking: boolean;
  readonly save: SaveState;
  /** True where the plan was given, practised or assigned; taken for true until the store has told. */
  readonly inUse: boolean;
  /** The plan that stands here was begun in the place of another, which stays as it was; undo goes back to it. Null where it was not. */
  readonly begunFrom: string | null;
  readonly ready: boolean;
  readonly history: History<Fields<Edited>>;
  /** The plan that stood before the last edit of the same notes, to say what the edit changed. */
  readonly before: Plan | null;
  /** What is laid beside the plan on the stand: another of its ways, or something else of the same rhythm. */
  readonly beside: number | Beside | null;
}

/** A plan from elsewhere with the words for what it is. */
export interface Beside {
  readonly plan: Plan;
  readonly words: string;
}

/** The plan that is laid beside, and what it is called; null where none is. */
export function besideOf({ beside }: Pick<SessionState, 'beside'>, response: PlanResponse): Beside | null {
  if (typeof beside !== 'number') return beside;
  const plan = response.plans[beside];
  return plan ? { plan, words: appText.theOtherWay } : null;
}

export type SessionStore = StoreApi<SessionState>;

/** What the Bench opens with when nothing is saved yet. */
export const FIRST_REQUEST: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

export function sessionStore(): SessionStore {
  return createStore<SessionState>(() => ({
    record: newRecord(FIRST_REQUEST, 0),
    stored: null,
    planning: { kind: 'idle' },
    chosen: 0,
    standing: 'as-planned',
    cursor: 0,
    selection: null,
    marking: false,
    save: 'saved',
    inUse: false,
    begunFrom: null,
    ready: false,
    history: NO_HISTORY,
    before: null,
    beside: null,
  }));
}

/** The last answer there is; an older one while a newer is worked on. */
export function lastPlanned({ planning }: Pick<SessionState, 'planning'>): Planned | null {
  return planning.kind === 'idle' ? null : planning.last;
}

export function responseOf(state: Pick<SessionState, 'planning'>): PlanResponse | null {
  return lastPlanned(state)?.response ?? null;
}

/** The plan on the stand; undefined where none fits the brief. */
export function planOf(state: Pick<SessionState, 'planning' | 'chosen'>): Plan | undefined {
  return responseOf(state)?.plans[state.chosen];
}

/** What can be undone in a record. */
export function editedOf({ name, request, typed, choice, studentId, tags, written }: PlanRecord): Edited {
  return { name, request, typed, choice, studentId, tags, written };
}

/** True where a plan is saved, or about to be: not one that is only looked at, nor one that another page has deleted. */
export const isKept = ({ save }: Pick<SessionState, 'save'>) => save !== 'unsaved' && save !== 'gone';

/** True where a kept plan is not to become one of other music: it was named, given, practised, assigned or printed, or a finger was put in it by hand. */
export function isSettled(state: Pick<SessionState, 'record' | 'save' | 'inUse'>): boolean {
  const { name, sheet, printed, request } = state.record;
  const byHand = (request.rules?.locks ?? []).length > 0;
  return isKept(state) && (state.inUse || name !== '' || sheet !== undefined || printed === true || byHand);
}
