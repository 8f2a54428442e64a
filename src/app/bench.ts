import { liveQuery } from 'dexie';
import { useStore } from 'zustand';
import { commit, getPlan, storageFault } from '../store/db';
import { storageWords } from '../wording/storage';
import { planOnStand } from '../work/planner';
import { briefAddress } from './brief/address';
import { say } from './notices';
import { createSession } from './session/session';
import type { SessionState } from './session/state';

/*
 * The session of this page: the plan session with the browser's own doors.
 */

const LAST_OPEN = 'dove-path-open';

export const session = createSession({
  planner: { plan: planOnStand },
  store: {
    commit: (changes) => commit(changes),
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
        localStorage.setItem(LAST_OPEN, id);
      } catch {
        // Where storage is blocked the address alone knows the plan.
      }
      history.replaceState(null, '', `${location.pathname}?plan=${id}${briefAddress(request)}`);
    },
  },
  say,
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
