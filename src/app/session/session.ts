import { sameMusic, type Plan, type PlanRequest } from '../../core';
import { fieldsBetween, fits, withFields, type Fields } from '../../store/changes';
import { choiceOf, newRecord } from '../../store/records';
import type { PlanRecord } from '../../core';
import { requestWords } from '../../wording/material';
import * as appText from '../../wording/rooms/app';
import { STEP_BLOCKED } from '../../wording/storage';
import { afterEdit, stepOf, type Direction } from '../undo';
import type { Doors } from './doors';
import { planningOf } from './planning';
import { savingOf } from './saving';
import { editedOf, isKept, isSettled, planOf, responseOf, sessionStore, type Edited } from './state';

/*
 * The plan session: one plan on the stand, edited, undone, planned and saved. The world comes in by doors.
 */

/** How a request is changed. */
interface How {
  /** A plan of the same notes that the answer is to stay near. */
  readonly follow?: Plan | null;
  /** Names edits that follow each other and are undone as one. */
  readonly run?: string;
  /** True of a brief that was given as a whole: it is always another plan than a saved one. */
  readonly anew?: boolean;
  /** How the plan that stays is left where a new one begins. */
  readonly left?: Partial<Edited>;
}

export function createSession(doors: Doors) {
  const store = sessionStore();
  const { getState: get, setState: set } = store;
  const saving = savingOf(store, doors, () => void replan());
  // A fingering that is settled while a plan is only looked at is not yet to be saved.
  const settled = () => get().save !== 'unsaved' && saving.saveSoon();
  const planning = planningOf(store, doors, { settled, answered: takeWish });
  /** A way that was chosen off a list that a newer answer takes the place of. */
  let wish: Plan | null = null;

  /**
   * Changes the record; the change can be undone, and is saved in a moment.
   * @param run names edits that follow each other and are undone as one
   */
  function change(part: Partial<Edited>, run: string | null = null) {
    const { record, history } = get();
    const fields = fieldsBetween<Edited>(editedOf(record), { ...editedOf(record), ...part });
    if (!fields) return;
    set({
      record: withFields(record, fields),
      history: afterEdit(history, fields, run),
      before: part.request ? (planOf(get()) ?? null) : null,
      beside: null,
    });
    saving.saveSoon();
  }

  /** Changes the request, and plans it. On a plan that is settled, another piece of music or another student begins a plan of its own. */
  function changeRequest(request: PlanRequest, part: Partial<Edited> = {}, how: How = {}) {
    const state = get();
    const otherStudent = part.studentId !== undefined && isOther(state.record.studentId, part.studentId);
    const isAnother = otherStudent || how.anew === true || !sameMusic(state.record.request, request);
    const settled = isSettled(state) || (how.anew === true && isKept(state));
    if (isAnother && settled) begin(request, part, how);
    else put(request, part, how);
  }

  function put(request: PlanRequest, part: Partial<Edited>, { follow, run }: How = {}) {
    change({ ...part, request, choice: { kind: 'unplanned' } }, run ?? null);
    void replan(follow);
  }

  /** Begins a plan with other music; the one on the stand stays as it is. */
  function begin(request: PlanRequest, part: Partial<Edited>, { left }: How) {
    if (left) change(left);
    const { record } = get();
    const studentId = part.studentId === undefined ? record.studentId : part.studentId;
    const fresh = newRecord(request, doors.clock.now(), { studentId, typed: part.typed });
    saving.swap(fresh);
    set({ begunFrom: record.id });
    doors.say({
      kind: 'done',
      message: appText.newPlanBegun(record.name || requestWords(record.request)),
      offer: { words: appText.changeThisPlanInstead, act: () => changeInstead(record.id, fresh.id) },
    });
    void replan();
  }

  /** Takes the plan that was begun back, and puts the one that stayed on the stand again. @returns it; null where that could not be */
  async function goBack(staying: string): Promise<PlanRecord | null> {
    set({ begunFrom: null });
    await saving.saveNow();
    const kept = await doors.store.getPlan(staying);
    if (!kept) return null;
    // Something may hang on the new one by now: then it stays too.
    if (!isSettled(get()) && !(await saving.discard())) return null;
    if (!(await saving.stand(kept, kept))) return null;
    await replan();
    return kept;
  }

  /** Takes the plan that was begun back, and changes the one that stayed as it was meant. @returns whether it could */
  async function changeInstead(staying: string, begun: string): Promise<boolean> {
    const { record: fresh } = get();
    const kept = fresh.id === begun ? await goBack(staying) : null;
    if (!kept) return false;
    const { request, typed, studentId } = fresh;
    put(request, { typed, studentId, written: undefined });
    // A name given by a person may be true of what was there before only.
    if (kept.name === '') return true;
    doors.say({
      kind: 'done',
      message: appText.isStillCalled(kept.name),
      offer: { words: appText.callIt(requestWords(request)), act: () => change({ name: '' }) },
    });
    return true;
  }

  function step(direction: Direction) {
    const { record, history } = get();
    const found = stepOf(history, direction);
    if (!found) {
      const { begunFrom } = get();
      if (direction === 'back' && begunFrom) void goBack(begunFrom);
      return;
    }
    if (!stillFits(record, found.change)) {
      doors.say({ kind: 'done', message: STEP_BLOCKED });
      return;
    }
    set({ record: withFields(record, found.change), history: found.history, before: null, beside: null });
    saving.saveSoon();
    void replan();
  }

  /**
   * Puts one of the answer's plans on the stand: its fingering is now the plan's own. Of a list that is out of date the way of the same name is meant: it
   * is taken once the newer answer is whole, where that has it.
   */
  function choose(wanted: Plan) {
    const { planning: at } = get();
    const missing = at.kind === 'planned' && placeOf(wanted, at.last.response.plans) < 0;
    const waits = at.kind === 'working' || (missing && at.more === true);
    wish = waits ? wanted : null;
    if (!waits) take(wanted);
  }

  function take(wanted: Plan) {
    const plans = responseOf(get())?.plans ?? [];
    const chosen = placeOf(wanted, plans);
    if (chosen < 0) return;
    change({ choice: choiceOf(plans[chosen], chosen) });
    set({ chosen, standing: 'as-planned' });
  }

  /** Asks anew: what was wished for is left behind with the question before. */
  function replan(follow: Plan | null = null) {
    wish = null;
    return planning.replan(follow);
  }

  function takeWish() {
    const wanted = wish;
    wish = null;
    if (wanted) take(wanted);
  }

  /** Puts a plan on the stand and plans it. @param stored as the store has it; null for one that it is to get @param isFresh true of one just made */
  async function stand(record: PlanRecord, stored: PlanRecord | null = record, isFresh = stored === null) {
    if (!(await saving.stand(record, stored, { isFresh }))) return;
    if (!stored) saving.saveSoon();
    await Promise.all([replan(), saving.useKnown()]);
  }

  /** Puts a plan on the stand to be looked at: it is saved when it is edited or kept. */
  async function look(record: PlanRecord) {
    if (await saving.stand(record, null, { save: 'unsaved' })) await replan();
  }

  return {
    store,
    change,
    changeRequest,
    choose,
    stand,
    look,
    undo: () => step('back'),
    redo: () => step('forward'),
    replan,
    saveSoon: saving.saveSoon,
    saveNow: saving.saveNow,
    leave: saving.leave,
    comeBack: () => {
      void saving.saveNow();
      saving.lookAtUse();
    },
    forget: saving.forget,
    unwatch: saving.unwatch,
    watchAgain: saving.watchAgain,
    keepGone: saving.keepGone,
  };
}

/** True where a plan of one student is turned to another, or to nobody; one of nobody's may become somebody's. */
const isOther = (before: string | null, after: string | null) => before !== null && before !== after;

/** Where a plan is among others: itself, or else the way of the same name; -1 where it is not. */
function placeOf(wanted: Plan, plans: readonly Plan[]): number {
  const itself = plans.indexOf(wanted);
  const name = JSON.stringify(wanted.way);
  return itself >= 0 ? itself : plans.findIndex(({ way }) => JSON.stringify(way) === name);
}

/** True where a step still finds what it left. The fingering follows from the rest and is settled by planning. */
function stillFits(record: PlanRecord, { from }: Fields<Edited>): boolean {
  const { choice, ...rest } = from;
  return choice !== undefined && Object.keys(rest).length === 0 ? true : fits<Edited>(record, { from: rest });
}
