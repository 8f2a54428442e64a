import { liveQuery } from 'dexie';
import { briefAddress } from '../../brief/address';
import { requestWords } from '../../brief/words';
import { getPlan, savePlan, savePlanSeen, storageTrouble } from '../../store/db';
import type { PlanRecord } from '../../store/records';
import { say } from '../../ui/notices';
import { afterEdit, NO_HISTORY } from '../../ui/history';
import { isNews } from './news';
import { replan } from './planning';
import { editedOf, useBench } from './state';

/*
 * Keeps what is on the stand: a moment after each change, and in step with other pages that have the same plan open.
 */

/** Quiet time in ms after a change before it is saved. */
const SAVE_AFTER = 250;
const LAST_OPEN = 'dove-path-open';

const { getState: get, setState: set } = useBench;

/** When the plan on the stand was changed last, as far as the store knows. */
let seen = 0;
let saveTimer: ReturnType<typeof setTimeout> | undefined;
/** Writes follow one another, so that none takes its forerunner for another page's. */
let writing: Promise<void> = Promise.resolve();
let watching: { unsubscribe(): void } | undefined;

export function saveSoon() {
  set({ save: 'saving' });
  showAddress();
  clearTimeout(saveTimer);
  saveTimer = setTimeout(() => void saveNow(), SAVE_AFTER);
}

/** Writes what is on the stand at once; also called when the page is about to go. */
export function saveNow(): Promise<void> {
  clearTimeout(saveTimer);
  writing = writing.then(write);
  return writing;
}

/** Leaves the stand as it is without writing it, before it is deleted. */
export async function forgetChanges() {
  clearTimeout(saveTimer);
  await writing;
  set({ save: 'saved' });
}

async function write() {
  if (get().save === 'saved') return;
  const { record } = get();
  try {
    const other = await savePlanSeen(record, seen);
    if (other) {
      await keepBoth(record);
      return;
    }
    seen = record.changedAt;
    if (get().record.changedAt === record.changedAt) set({ save: 'saved' });
  } catch (error) {
    set({ save: 'failed' });
    say({
      kind: 'trouble',
      message: storageTrouble(error),
      offer: { words: 'Try again', act: () => void saveNow() },
    });
  }
}

/** Another page has saved the plan since: what is on the stand here is kept as a plan of its own. */
async function keepBoth(record: PlanRecord) {
  const name = `${record.name || requestWords(record.request)} (second version)`;
  const copy = { ...record, id: crypto.randomUUID(), name };
  await savePlan(copy);
  const now = get().record;
  const unchanged = now.changedAt === record.changedAt;
  settle({ ...now, id: copy.id, name: now.name === record.name ? name : now.name }, copy.changedAt);
  if (unchanged) set({ save: 'saved' });
  else saveSoon();
  say({
    kind: 'done',
    message: `This plan was changed on another page at the same time. Both are kept: yours is now “${name}”.`,
  });
}

function settle(record: PlanRecord, changedAt: number) {
  set({ record });
  seen = changedAt;
  localStorage.setItem(LAST_OPEN, record.id);
  showAddress();
  watch(record.id);
}

/** Puts a plan that is kept on the stand; one that could not be kept is not taken off it. */
export async function putOnStand(record: PlanRecord) {
  await saveNow();
  if (get().save === 'failed') return;
  set({
    cursor: 0,
    selection: null,
    save: 'saved',
    history: NO_HISTORY,
    before: null,
    beside: null,
    // What was found in the plan before is nothing of this one.
    planned: null,
  });
  settle(record, record.changedAt);
  await replan();
}

export function lastOpen(): string | null {
  return localStorage.getItem(LAST_OPEN);
}

/** The plan and its brief in the address, so that the page can be linked to. */
function showAddress() {
  const { id, request } = get().record;
  history.replaceState(null, '', `${location.pathname}?plan=${id}${briefAddress(request)}`);
}

/** Follows what other pages do with the plan on the stand. */
function watch(id: string) {
  watching?.unsubscribe();
  let here = false;
  watching = liveQuery(() => getPlan(id)).subscribe({
    next: (kept) => {
      if (kept) {
        here = true;
        adopt(kept);
      } else if (here) {
        here = false;
        goneElsewhere(id);
      }
    },
    error: () => undefined,
  });
}

/** Takes over what another page has kept. */
function adopt(kept: PlanRecord) {
  const { record, save, history } = get();
  if (!isNews(kept, { record, saved: save === 'saved', seen })) return;
  seen = kept.changedAt;
  set({ record: kept, history: afterEdit(history, editedOf(record), null), before: null, beside: null });
  showAddress();
  say({
    kind: 'done',
    message:
      'This plan was changed on another page and now stands here as it is there. Undo brings back what was here.',
  });
  void replan();
}

function goneElsewhere(id: string) {
  const { record } = get();
  if (record.id !== id) return;
  const keep = () => void savePlan(get().record);
  say({
    kind: 'done',
    message: 'This plan was deleted on another page. What stands here is the last of it.',
    offer: { words: 'Keep it', act: keep },
  });
}
