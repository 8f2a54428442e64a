import { create } from 'zustand';
import type { Change } from '../store/changes';
import { commit, takeFromTrash, type Outcome } from '../store/write';
import { storageWords, takenBackWords } from '../wording/storage';
import { forgetFailed, tellFailed } from './failures';
import { say } from './notices';
import * as appText from '../wording/rooms/app';

/*
 * The one way the user's doings are written, but for the plan on the stand, which saves itself: what fails is said with its cause and offered again.
 */

type Written = Extract<Outcome, { kind: 'written' }>;

/**
 * Writes some changes, all or none.
 * @param words what is deleted by them is called in the bin
 * @param done called once they are written, also where that took another try
 * @returns whether they were
 */
export async function save(
  changes: readonly Change[],
  done: (outcome: Written) => void = () => undefined,
  words = '',
): Promise<boolean> {
  const again = () => save(changes, done, words);
  const key = keyOf(changes);
  try {
    const outcome = await commit(changes, words);
    forgetFailed(key);
    if (outcome.kind === 'written') {
      done(outcome);
      return true;
    }
    say({ kind: 'trouble', message: storageWords('conflict'), offer: { words: appText.tryAgain, act: again } });
  } catch (error) {
    tellFailed(key, error, again);
  }
  return false;
}

/** Does something with the storage; what fails is said with its cause and offered again. @returns null where it failed */
export async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
  try {
    return await work();
  } catch (error) {
    tellFailed(crypto.randomUUID(), error, async () => (await attempt(work)) !== null);
    return null;
  }
}

/** The same changes tried again are one failure. */
const keyOf = (changes: readonly Change[]) =>
  changes.map((change) => change.kind + ('record' in change ? change.record.id : change.id)).join();

/** What was deleted on this page and can be brought back by undo, the last one last. */
export const useDeleted = create<{ readonly bins: readonly string[] }>(() => ({ bins: [] }));

const setDeleted = (bins: readonly string[]) => useDeleted.setState({ bins });

/**
 * Deletes: what goes lies in the bin, and the notice offers it back.
 * @param words what it is called in the bin
 */
export function remove(
  changes: readonly Change[],
  message: string,
  words: string,
  back: () => void = () => undefined,
): Promise<boolean> {
  return save(
    changes,
    ({ bin }) => {
      if (!bin) return;
      setDeleted([...useDeleted.getState().bins, bin]);
      say({ kind: 'done', message, offer: { words: appText.undo, act: () => bringBack(bin, back) } });
    },
    words,
  );
}

/** Brings something back out of the bin. @returns false where the storage failed */
export async function bringBack(bin: string, back: () => void = () => undefined): Promise<boolean> {
  try {
    const taken = await takeFromTrash(bin);
    forgetFailed(bin);
    setDeleted(useDeleted.getState().bins.filter((id) => id !== bin));
    const message = taken ? takenBackWords(taken) : appText.thisWasBroughtBack;
    if (message) say({ kind: 'done', message });
    back();
    return true;
  } catch (error) {
    tellFailed(bin, error, () => bringBack(bin, back));
    return false;
  }
}

/** The last thing deleted on this page that undo is to bring back; none once something else was edited. */
export const lastDeleted = () => useDeleted.getState().bins.at(-1);

/** An edit was made: from now on undo is about that. What was deleted stays in the bin. */
export function forgetDeleted() {
  if (lastDeleted()) setDeleted([]);
}
