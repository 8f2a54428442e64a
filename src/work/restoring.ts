import { proxy, wrap } from 'comlink';
import type { Progress, Restored, Restorer } from './restore.worker';

export type { Restored };

/** A backup that is being restored beside the page. */
export interface Restoring {
  readonly outcome: Promise<Restored>;
  /** Takes back what is written so far. */
  cancel(): void;
}

/** Restores a backup in a worker of its own: the page goes on. The outcome fails where the worker cannot be started. */
export function restoreInWorker(file: Blob, tell: (progress: Progress) => void): Restoring {
  const worker = new Worker(new URL('./restore.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Restorer>(worker);
  const lost = new Promise<never>((_, fail) => worker.addEventListener('error', fail));
  const outcome = Promise.race([remote.restore(file, proxy(tell)), lost]).finally(() => worker.terminate());
  return { outcome, cancel: () => void remote.cancel() };
}
