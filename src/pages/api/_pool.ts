import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createPool, type Pool } from '../../work/pool';

/** Where the built thread may lie as seen from this file, which the build puts into the server's folder or one below. */
const BUILT = ['plan.thread.mjs', '../plan.thread.mjs'];

let started: Pool | undefined;

/** The server's pool of threads, started when it is first asked for. */
export function pool(): Pool {
  started ??= createPool({ filename: fileURLToPath(threadFile()) });
  return started;
}

/** The thread is built into its own file beside the server; in development it is the source. */
function threadFile(): URL {
  const built = BUILT.map((path) => new URL(path, import.meta.url)).find(existsSync);
  if (!import.meta.env.DEV && built) return built;
  return new URL('../../work/thread.dev.mjs', import.meta.url);
}
