import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { startFromSource } from '../../work/book';

/** Where the built worker may lie as seen from this file, which the build puts into the server's folder or one below. */
const BUILT = ['book.worker.mjs', '../book.worker.mjs'];

/** The worker is built into its own file beside the server; in development it is the source, run through tsx. */
export function startWorker(): Worker {
  const built = BUILT.map((path) => new URL(path, import.meta.url)).find(existsSync);
  if (!import.meta.env.DEV && built) return new Worker(built);
  return startFromSource(new URL('../../work/book.worker.ts', import.meta.url));
}
