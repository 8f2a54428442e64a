import { proxy, wrap, type Remote } from 'comlink';
import type { OpenedFile, PaperInWorker } from './paper.worker';
import * as appText from '../../wording/rooms/app';

/*
 * The worker for paper and files: started when it is first needed, ended where somebody does not want to wait.
 */

let running: { readonly worker: Worker; readonly remote: Remote<PaperInWorker> } | undefined;
/** Ends whatever still waits. */
const waiting = new Set<(error: Error) => void>();

/** Somebody called it off. */
export class CalledOff extends Error {}

function desk(): Remote<PaperInWorker> {
  if (!running) {
    const worker = new Worker(new URL('./paper.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('error', () => endDesk(new Error(appText.thePartForPaper)));
    running = { worker, remote: wrap<PaperInWorker>(worker) };
  }
  return running.remote;
}

/** Ends the worker: everything that waits fails, and the next question starts it anew. */
export function endDesk(why: Error = new CalledOff()) {
  running?.worker.terminate();
  running = undefined;
  for (const fail of waiting) fail(why);
  waiting.clear();
}

/** Asks the worker; fails where it is ended. */
export function atDesk<T>(question: (remote: Remote<PaperInWorker>) => Promise<T>): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    waiting.add(reject);
    question(desk())
      .then(resolve, reject)
      .finally(() => waiting.delete(reject));
  });
}

/** Opens a file. @param onProgress is told how much was read, 0 to 1 */
export function openAtDesk(bytes: Uint8Array, onProgress: (share: number) => void) {
  return atDesk<OpenedFile>(async (remote) => await remote.open(bytes, proxy(onProgress)));
}
