import { liveQuery } from 'dexie';
import { useStore } from 'zustand';
import type { Fields } from '../store/changes';
import { storageFault } from '../store/db';
import { keepChoice } from '../store/choices';
import { dropDraft, keepDraft } from '../store/drafts';
import { getPlan } from '../store/rows';
import { commit } from '../store/writes';
import { storageWords } from '../wording/storage';
import { planOnStand } from '../work/planner';
import { briefAddress } from './brief/address';
import { NO_HISTORY, type History } from './history';
import { markOpened } from './lastOpened';
import { say } from './notices';
import { createSession } from './session/session';
import { forgetDeleted } from './writes';
import type { Edited, SessionState } from './session/state';

/*
 * The session of this page: the plan session with the browser's own doors.
 */

const LAST_OPEN = 'dove-path-open';

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
      try {
        if (shown !== id) markOpened(id, Date.now());
        localStorage.setItem(LAST_OPEN, id);
      } catch {
        // Where storage is blocked the address alone knows the plan.
      }
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
});

const STEPS = 'dove-path-steps:';
/** Letters of steps that are kept of one plan: a page that goes must not be held up. */
const MOST_LETTERS = 400_000;

/** The steps of a plan outlive a visit to another view; they go with the tab. */
function keepHistory(id: string, { past, future }: History<Fields<Edited>>) {
  try {
    const text = JSON.stringify({ past: past.slice(-100), future: future.slice(-100), run: null });
    if (text.length <= MOST_LETTERS) sessionStorage.setItem(STEPS + id, text);
    else sessionStorage.removeItem(STEPS + id);
  } catch {
    // Without room the steps end with the page.
  }
}

function historyOf(id: string): History<Fields<Edited>> {
  try {
    const kept = JSON.parse(sessionStorage.getItem(STEPS + id) ?? 'null') as History<Fields<Edited>> | null;
    return kept ?? NO_HISTORY;
  } catch {
    return NO_HISTORY;
  }
}

const OPENING = 'dove-path-opening';

/** The plan whose opening did not come to its end on the page before: it may be what ended that page. Null for none. */
export function failedOpening(): string | null {
  try {
    return localStorage.getItem(OPENING);
  } catch {
    return null;
  }
}

/** Marks a plan as being opened, or with null that it came to its end. */
export function markOpening(id: string | null) {
  try {
    if (id) localStorage.setItem(OPENING, id);
    else localStorage.removeItem(OPENING);
  } catch {
    // Where storage is blocked nothing is opened by itself anyway.
  }
}

session.store.subscribe((now, before) => {
  const { kind } = now.planning;
  if (kind !== 'idle' && kind !== 'working' && kind !== before.planning.kind) markOpening(null);
  const edited = now.record.id === before.record.id && now.history.past.length > before.history.past.length;
  if (edited) forgetDeleted();
});

/** The id of the plan that was open last; null where that is not known. */
export function lastOpen(): string | null {
  try {
    return localStorage.getItem(LAST_OPEN);
  } catch {
    return null;
  }
}

/** Some of the session's state in a component. */
export function useBench<T>(select: (state: SessionState) => T): T {
  return useStore(session.store, select);
}
