import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { startFromSource } from '../../work/book';

/** The worker is built into its own file beside the server; in development it is the source, run through tsx. */
export function startWorker(): Worker {
  const built = new URL('book.worker.mjs', `file://${process.cwd()}/dist/server/`);
  if (!import.meta.env.DEV && existsSync(built)) return new Worker(built);
  return startFromSource(new URL('../../work/book.worker.ts', import.meta.url));
}
