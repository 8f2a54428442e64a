import { apart, fieldsBetween, withFields, type Change } from '../../store/changes';
import type { PlanRecord } from '../../core';
import { requestWords } from '../../wording/material';
import type { Doors } from './doors';
import type { SaveState, SessionStore } from './state';
import * as appText from '../../wording/rooms/app';

/*
 * Saves what is on the stand: a moment after each change, as the difference to what the store has, and in step with other pages that have the same plan
 * open.
 */

/** Quiet time in ms after a change before it is saved. */
const SAVE_AFTER = 250;

interface Standing {
  /** `unsaved` for a plan to be looked at only. */
  readonly save?: 'saved' | 'unsaved';
  /** True of a plan just made: nothing can hang on it yet. */
  readonly isFresh?: boolean;
}

export interface Saving {
  saveSoon(): void;
  /** Writes what is on the stand at once; also called when the page is about to go. */
  saveNow(): Promise<void>;
  /** The page goes: what is not saved yet is kept as a draft. @returns false where something would be lost */
  leave(): boolean;
  /** Leaves the stand as it is without writing it, before it is deleted. */
  forget(): Promise<void>;
  /** Puts a plan on the stand: one that the store has, or a new one. */
  stand(record: PlanRecord, stored: PlanRecord | null, how?: Standing): Promise<boolean>;
  /** Puts a new plan on the stand at once, in the place of one that stays as it is; what that one still has to get is written behind it. */
  swap(record: PlanRecord): void;
  /** Asks the store again whether the plan on the stand is in use: it may have been practised or given elsewhere. */
  lookAtUse(): void;
  /** The store has told whether the plan on the stand is in use, or cannot. */
  useKnown(): Promise<void>;
  /** Deletes the new plan on the stand again. @returns whether it could; why not has been said */
  discard(): Promise<boolean>;
  /** Stops following what becomes of the plan in the store, and goes on with it. */
  unwatch(): void;
  watchAgain(): void;
  /** Saves a plan that another page has deleted as it stands here. */
  keepGone(): Promise<boolean>;
}

/** @param replan called when another page has changed what is on the stand */
export function savingOf(store: SessionStore, doors: Doors, replan: () => void): Saving {
  const { getState: get, setState: set } = store;
  let callOff = () => {};
  /** Writes follow one another, so that none takes its forerunner for another page's. */
  let writing: Promise<void> = Promise.resolve();
  let unwatch = () => {};
  /** What the store told of while a write was under way: most often that very write. */
  let told: PlanRecord | null = null;
  let busy = false;
  /** A plan as this page last wrote it. */
  let written: PlanRecord | null = null;
  let known: Promise<void> = Promise.resolve();

  function saveSoon() {
    if (get().save === 'gone') return;
    set({ save: 'saving' });
    doors.page.show(get().record);
    callOff();
    callOff = doors.clock.after(SAVE_AFTER, () => void saveNow());
  }

  function saveNow(): Promise<void> {
    callOff();
    writing = writing.then(write);
    return writing;
  }

  async function write() {
    const { save, record, stored } = get();
    if (!isPending(save)) return;
    const change = changeOf(record, stored);
    busy = true;
    try {
      if (change) {
        const outcome = await doors.store.commit([change]);
        if (outcome.kind === 'written') written = outcome.records[0] as PlanRecord;
        // Another plan stands here by now: what becomes of this one is seen to behind it.
        if (get().record.id !== record.id) return;
        if (outcome.kind === 'conflict') {
          if (outcome.current) await keepBoth(record);
          else gone();
          return;
        }
        set({ stored: outcome.records[0] as PlanRecord });
      }
      if (get().record === record) {
        set({ save: 'saved' });
        doors.page.dropDraft(record.id);
      }
      doors.written(record.id);
    } catch (error) {
      if (get().record.id !== record.id) return;
      set({ save: 'failed' });
      doors.failed(record.id, error, tryAgain);
    } finally {
      busy = false;
      if (told) adopt(told);
      told = null;
    }
  }

  async function tryAgain() {
    await saveNow();
    return get().save !== 'failed';
  }

  /** Another page has changed the same fields since: what is on the stand here is saved as a plan of its own. */
  async function keepBoth(record: PlanRecord) {
    const copy = await addVersion(record);
    const now = get().record;
    settle({ ...now, id: copy.id, name: now.name === record.name ? copy.name : now.name }, copy);
    if (now === record) set({ save: 'saved' });
    else saveSoon();
  }

  /** Saves a plan as a second version of what another page has changed, and says so. */
  async function addVersion(record: PlanRecord): Promise<PlanRecord> {
    const name = appText.secondVersion(record.name || requestWords(record.request));
    const copy = { ...record, id: crypto.randomUUID(), name };
    await doors.store.commit([{ kind: 'added', table: 'plans', record: copy }]);
    doors.say({ kind: 'done', message: appText.thisPlanWasChanged(name) });
    return copy;
  }

  function settle(record: PlanRecord, stored: PlanRecord | null) {
    set({ record, stored });
    doors.page.show(record);
    watch(record.id);
  }

  function show(record: PlanRecord, stored: PlanRecord | null, save: SaveState, isFresh: boolean) {
    set({
      cursor: 0,
      selection: null,
      save,
      // Until the store tells otherwise; of one that was never written since it was made nothing hangs.
      inUse: stored !== null && !isFresh && stored.changedAt > stored.createdAt,
      begunFrom: null,
      history: doors.page.historyOf(record.id),
      before: null,
      beside: null,
      // What was found in the plan before is nothing of this one.
      planning: { kind: 'idle' },
      chosen: 0,
      standing: 'as-planned',
    });
    settle(record, stored);
    if (stored && !isFresh) lookAtUse();
  }

  function lookAtUse() {
    const { record } = get();
    const learn = async () => {
      const inUse = await doors.store.isInUse(record).catch(() => true);
      if (get().record.id === record.id) set({ inUse });
    };
    known = learn();
  }

  async function stand(
    record: PlanRecord,
    stored: PlanRecord | null,
    { save = 'saved', isFresh = false }: Standing = {},
  ): Promise<boolean> {
    await saveNow();
    if (get().save === 'failed') return false;
    doors.page.keepHistory(get().record.id, get().history);
    show(record, stored, save, isFresh);
    return true;
  }

  function swap(record: PlanRecord) {
    callOff();
    const { record: left, stored, save, history } = get();
    doors.page.keepHistory(left.id, history);
    const change = isPending(save) ? changeOf(left, stored) : null;
    if (change) {
      // Should the page go before it is written.
      doors.page.keepDraft({ change, record: left });
      writing = writing.then(() => writeLeft(left, stored)).then(() => undefined);
    }
    show(record, null, 'saving', true);
    saveSoon();
  }

  /** Writes what a plan that is no longer on the stand had still to get, on top of what was being written as it left. */
  async function writeLeft(record: PlanRecord, stored: PlanRecord | null): Promise<boolean> {
    const change = changeOf(record, written?.id === record.id ? written : stored);
    try {
      const outcome = change && (await doors.store.commit([change]));
      if (outcome?.kind === 'conflict' && outcome.current) await addVersion(record);
      doors.page.dropDraft(record.id);
      return true;
    } catch (error) {
      doors.failed(record.id, error, () => writeLeft(record, stored));
      return false;
    }
  }

  async function discard() {
    await saveNow();
    const { record, stored } = get();
    unwatch();
    try {
      if (stored) await doors.store.commit([{ kind: 'removed', table: 'plans', record }]);
    } catch (error) {
      watch(record.id);
      doors.say({ kind: 'trouble', message: doors.store.trouble(error) });
      return false;
    }
    set({ save: 'saved' });
    return true;
  }

  async function forget() {
    callOff();
    await writing;
    set({ save: 'saved' });
  }

  /** Follows what other pages do with the plan on the stand. */
  function watch(id: string) {
    unwatch();
    let here = false;
    unwatch = doors.store.watchPlan(id, (kept) => {
      if (kept) {
        here = true;
        adopt(kept);
      } else if (here) {
        here = false;
        gone();
      }
    });
  }

  /** Takes over what another page has saved: all of it, or where a change here waits to be saved, the fields that it does not touch. */
  function adopt(kept: PlanRecord) {
    if (busy) {
      told = kept;
      return;
    }
    const { record, stored } = get();
    if (!stored || kept.id !== record.id || kept.changedAt <= stored.changedAt) return;
    const theirs = fieldsBetween(stored, kept);
    const ours = fieldsBetween(stored, record);
    if (ours && theirs && !apart(ours, theirs)) return;
    const next = theirs ? withFields(record, theirs) : record;
    set({ stored: kept, record: next });
    if (!theirs) return;
    set({ before: null, beside: null });
    doors.page.show(next);
    doors.say({ kind: 'done', message: appText.thisPlanWasChangedOn });
    replan();
  }

  function gone() {
    set({ save: 'gone', stored: null });
    doors.say({
      kind: 'done',
      message: appText.savingThisPlanWasDeleted,
      offer: { words: appText.keepIt, act: keepGone },
    });
  }

  async function keepGone() {
    if (get().save !== 'gone') return true;
    set({ save: 'saving' });
    return tryAgain();
  }

  function leave(): boolean {
    const { record, stored, save, history } = get();
    doors.page.keepHistory(record.id, history);
    const change = isPending(save) ? changeOf(record, stored) : null;
    return !change || (doors.page.keepDraft({ change, record }) && save !== 'failed');
  }

  return {
    saveSoon,
    saveNow,
    leave,
    forget,
    stand,
    swap,
    lookAtUse,
    useKnown: () => known,
    discard,
    keepGone,
    unwatch: () => unwatch(),
    watchAgain: () => watch(get().record.id),
  };
}

/** True where something is still to be written. */
function isPending(save: SaveState): boolean {
  return save === 'saving' || save === 'failed';
}

/** What the store is to do so that it has the record; null where it has it. */
function changeOf(record: PlanRecord, stored: PlanRecord | null): Change | null {
  if (!stored) return { kind: 'added', table: 'plans', record };
  const fields = fieldsBetween(stored, record);
  return fields && { kind: 'updated', table: 'plans', id: record.id, ...fields };
}
