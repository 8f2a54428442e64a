import { liveQuery } from 'dexie';
import { useStore } from 'zustand';
import type { Fields } from '../store/changes';
import { data, word } from '../store/browserState';
import { storageFault } from '../store/db';
import { keepChoice } from '../store/log';
import { dropDraft, keepDraft } from '../store/drafts';
import { getPlan } from '../store/read';
import { isInUse } from '../store/uses';
import { commit } from '../store/write';
import { storageWords } from '../wording/storage';
import { planOnStand } from '../work/planner';
import { briefAddress } from './brief/address';
import { NO_HISTORY, type History } from './undo';
import { markOpened } from './lastOpened';
import { forgetFailed, tellFailed } from './failures';
import { say } from './notices';
import { createSession } from './session/session';
import { forgetDeleted } from './writes';
import type { Edited, SessionState } from './session/state';

/*
 * The session of this page: the plan session with the browser's own doors.
 */

const lastOpenPlan = word('local', 'dove-path-open');

/** The plan in the address; null before the first. */
let shown: string | null = null;
/** The plan that Back or Forward is going to; null while neither is followed. */
let steppingTo: string | null = null;

/** Follows Back and Forward to a plan: what is opened meanwhile is no step of its own. */
export async function whileStepping(id: string, work: () => Promise<unknown>) {
  steppingTo = id;
  try {
    await work();
  } finally {
    if (steppingTo === id) steppingTo = null;
  }
}

export const isStepping = () => steppingTo !== null;

type Steps = History<Fields<Edited>>;
const stepsOf = (id: string) =>
  data<Steps>('session', `dove-path-steps:${id}`, (found) => (found as Steps | undefined) ?? NO_HISTORY);
/** Letters of steps that are kept of one plan: a page that goes must not be held up. */
const MOST_LETTERS = 400_000;

/** The steps of a plan outlive a visit to another view; they go with the tab. */
function keepHistory(id: string, { past, future }: History<Fields<Edited>>) {
  const steps = { past: past.slice(-100), future: future.slice(-100), run: null };
  // Without room the steps end with the page.
  if (JSON.stringify(steps).length <= MOST_LETTERS) stepsOf(id).write(steps);
  else stepsOf(id).clear();
}

const historyOf = (id: string) => stepsOf(id).read();

export const session = createSession({
  planner: { plan: planOnStand },
  store: {
    async commit(changes) {
      const outcome = await commit(changes);
      const { record } = session.store.getState();
      if (outcome.kind === 'written') void keepChoice(record).catch(() => undefined);
      return outcome;
    },
    getPlan,
    watchPlan(id, seen) {
      const watching = liveQuery(() => getPlan(id)).subscribe({ next: seen, error: () => undefined });
      return () => watching.unsubscribe();
    },
    isInUse,
    trouble: (error) => storageWords(storageFault(error)),
  },
  clock: {
    now: Date.now,
    after(ms, act) {
      const timer = setTimeout(act, ms);
      return () => clearTimeout(timer);
    },
  },
  page: {
    show({ id, request }) {
      // Where storage is blocked the address alone knows the plan.
      if (shown !== id) markOpened(id, Date.now());
      lastOpenPlan.write(id);
      const address = `${location.pathname}?plan=${id}${briefAddress(request)}`;
      // The plan that is being left has no say in the address any more.
      if (steppingTo !== null && steppingTo !== id) return;
      // Another plan is a step that Back goes back over; a change of this one is not.
      if (shown === null || shown === id || steppingTo === id) history.replaceState(null, '', address);
      else history.pushState(null, '', address);
      shown = id;
    },
    keepHistory,
    historyOf,
    keepDraft,
    dropDraft,
  },
  say,
  failed: tellFailed,
  written: forgetFailed,
});

const opening = word('local', 'dove-path-opening');

/** The plan whose opening did not come to its end on the page before: it may be what ended that page. Null for none. */
export function failedOpening(): string | null {
  return opening.read();
}

/** Marks a plan as being opened, or with null that it came to its end. */
export function markOpening(id: string | null) {
  if (id) opening.write(id);
  else opening.clear();
}

session.store.subscribe((now, before) => {
  const { kind } = now.planning;
  if (kind !== 'idle' && kind !== 'working' && kind !== before.planning.kind) markOpening(null);
  const edited = now.record.id === before.record.id && now.history.past.length > before.history.past.length;
  if (edited) forgetDeleted();
});

/** The id of the plan that was open last; null where that is not known. */
export function lastOpen(): string | null {
  return lastOpenPlan.read();
}

/** Some of the session's state in a component. */
export function useBench<T>(select: (state: SessionState) => T): T {
  return useStore(session.store, select);
}
