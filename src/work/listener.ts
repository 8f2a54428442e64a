import { wrap, type Remote } from 'comlink';
import type { Listener } from './listen.worker';

let remote: Remote<Listener> | undefined;

/** The listener in the background, started when it is first needed. */
export function listenerInWorker(): Remote<Listener> {
  remote ??= wrap<Listener>(new Worker(new URL('./listen.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
