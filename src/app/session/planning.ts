import { heldAlike, type Plan, type PlanRecord } from '../../core';
import { choiceOf } from '../../store/records';
import type { Answer, Ask } from '../../work/ask';
import { PlannerLost } from '../../work/planner';
import type { Doors } from './doors';
import {
  lastPlanned,
  planOf,
  type Planned,
  type PlannerFault,
  type SessionState,
  type SessionStore,
  type Standing,
} from './state';

/*
 * Works out the plan on the stand. Only the newest question counts; each ends in planned, refused or failed.
 */

export interface Planning {
  /**
   * Plans what is on the stand.
   * @param follow a plan of the same notes: the most like it is put on the stand, not the cheapest
   */
  replan(follow?: Plan | null): Promise<void>;
}

interface Told {
  /** An answer has fixed which fingering the record stands for. */
  readonly settled: () => void;
  /** All that was asked for is there. */
  readonly answered: () => void;
}

export function planningOf(store: SessionStore, { planner }: Doors, { settled, answered }: Told): Planning {
  let newest = 0;
  const { getState: get, setState: set } = store;

  async function replan(follow: Plan | null = null) {
    const question = ++newest;
    const { record } = get();
    const ask = askFor(record);
    set({ planning: { kind: 'working', last: lastPlanned(get()) } });
    // The best plan stands before the ways are looked for; where one of them is wanted, all come at once.
    const whole = ask.kept !== undefined || follow !== null || record.choice.kind === 'number';
    if (whole) await stage(question, ask, follow);
    else if (await stage(question, { ...ask, alone: true }, null)) void stage(question, ask, null);
  }

  /** Asks one question and puts its answer on the stand. @returns whether there is more to ask */
  async function stage(question: number, ask: Ask, follow: Plan | null): Promise<boolean> {
    let answer: Answer;
    try {
      answer = await planner.plan(ask);
    } catch (error) {
      if (question === newest) set({ planning: { kind: 'failed', why: faultOf(error), last: lastPlanned(get()) } });
      return false;
    }
    if (question !== newest) return false;
    if (answer.kind === 'refused') {
      set({ planning: { kind: 'refused', issues: answer.issues, last: lastPlanned(get()) } });
      return false;
    }
    const planned: Planned = { ask, response: answer.response, own: answer.own };
    const more = ask.alone && answer.response.plans.length > 0;
    const { chosen, standing } = chosenFor(get().record, answer, follow);
    set({ planning: { kind: 'planned', last: planned, more }, chosen, standing, ...within(get(), planned) });
    if (settle(store)) settled();
    if (!more) answered();
    return more ?? false;
  }

  return { replan };
}

/** A saved fingering is looked for again; a choice that is still open is not. */
function askFor({ request, choice, written }: PlanRecord): Ask {
  const own = written ? { written } : {};
  return 'fingering' in choice ? { request, kept: choice.fingering, ...own } : { request, ...own };
}

function faultOf(error: unknown): PlannerFault {
  if (!(error instanceof PlannerLost)) return 'broken';
  return error.why === 'silent' ? 'silent' : 'died';
}

/** Which plan of an answer a record stands for, and how its saved fingering lies to it. */
function chosenFor(
  { choice }: PlanRecord,
  { response, found, own }: Extract<Answer, { kind: 'planned' }>,
  follow: Plan | null,
): { readonly chosen: number; readonly standing: Standing } {
  const { plans } = response;
  switch (choice.kind) {
    case 'unplanned':
      return { chosen: follow ? mostLike(plans, follow) : 0, standing: 'as-planned' };
    case 'number':
      return { chosen: Math.max(0, Math.min(choice.number, plans.length - 1)), standing: 'as-planned' };
    case 'lost':
      return { chosen: 0, standing: 'lost' };
    case 'best':
    case 'way': {
      if (found === null) return { chosen: 0, standing: plans.length > 0 ? 'unplayable' : 'as-planned' };
      const changed = own || (choice.kind === 'best' && found > 0);
      return { chosen: found, standing: changed ? 'kept' : 'as-planned' };
    }
  }
}

/** Cursor and marks inside an answer. */
function within(
  { cursor, selection }: SessionState,
  { response }: Planned,
): Pick<SessionState, 'cursor' | 'selection'> {
  const last = response.events.length - 1;
  return {
    cursor: Math.max(0, Math.min(cursor, last)),
    selection: selection && selection.to <= last ? selection : null,
  };
}

/** Which of some plans holds the most notes as another does; the cheapest of equals. */
function mostLike(plans: readonly Plan[], other: Plan): number {
  const alike = plans.map(
    ({ steps }) => steps.filter((step, at) => other.steps[at] && heldAlike(step, other.steps[at])).length,
  );
  return Math.max(0, alike.indexOf(Math.max(...alike)));
}

/** Writes the fingering into a record whose choice was open. @returns whether it did */
function settle({ getState: get, setState: set }: SessionStore): boolean {
  const { record, chosen } = get();
  const plan = planOf(get());
  if (!plan || !(record.choice.kind === 'unplanned' || record.choice.kind === 'number')) return false;
  set({ record: { ...record, choice: choiceOf(plan, chosen) } });
  return true;
}
