import { storageFault } from '../store/db';
import { storageWords } from '../wording/storage';
import { say } from './notices';
import * as appText from '../wording/rooms/app';

/*
 * Writes that failed, a full disk among the causes, gathered in the order they were made: one notice tells of all, and its "Try again" writes all.
 */

interface Failure {
  readonly key: string;
  /** Writes of one group wait for those before them: repetitions are counted in their order. */
  readonly group: string;
  readonly error: unknown;
  /** @returns whether it is written now */
  readonly again: () => Promise<boolean>;
}

let failures: readonly Failure[] = [];
let withdraw = () => {};

/** Why something of a group is not written yet: what comes after it has to wait. Undefined where nothing is. */
export const faultIn = (group: string) => failures.find((failure) => failure.group === group)?.error;

/** Tells of a write that failed and offers it again, with all that failed before it. */
export function tellFailed(key: string, error: unknown, again: () => Promise<boolean>, group = key) {
  const failure = { key, group, error, again };
  const known = failures.some((other) => other.key === key);
  failures = known ? failures.map((other) => (other.key === key ? failure : other)) : [...failures, failure];
  tell();
}

/** What failed before has been written meanwhile, or need not be any more. */
export function forgetFailed(key: string) {
  if (!failures.some((failure) => failure.key === key)) return;
  failures = failures.filter((failure) => failure.key !== key);
  tell();
}

function tell() {
  withdraw();
  const last = failures.at(-1);
  if (!last) return;
  withdraw = say({
    kind: 'trouble',
    message: storageWords(storageFault(last.error)) + appText.changesThatWait(failures.length),
    offer: { words: appText.tryAgain, act: tryAgain },
  });
}

async function tryAgain(): Promise<boolean> {
  const stuck = new Set<string>();
  for (const { key, group, again } of failures)
    if (!stuck.has(group) && (await again())) forgetFailed(key);
    else stuck.add(group);
  return failures.length === 0;
}
