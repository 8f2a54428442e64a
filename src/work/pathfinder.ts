import { proxy, wrap, type Remote } from 'comlink';
import type { PathAsk } from '../core';
import type { Path, Skill } from '../core/path';
import type { Pathfinder, PractisedPlan } from './path.worker';

let running: { readonly worker: Worker; readonly remote: Remote<Pathfinder> } | undefined;

/** What looks for paths in the background, started when it is first needed. */
function inWorker(): Remote<Pathfinder> {
  if (!running) {
    const worker = new Worker(new URL('./path.worker.ts', import.meta.url), { type: 'module' });
    running = { worker, remote: wrap<Pathfinder>(worker) };
  }
  return running.remote;
}

/** The path for a question; the steps that have to be planned first are counted as they come. */
export function findPath(
  ask: PathAsk,
  skipped: readonly string[],
  tell: (done: number, all: number) => void,
): Promise<Path> {
  return inWorker().path(ask, skipped, proxy(tell));
}

/** What each of some plans asks. */
export async function skillsOfPlans(plans: readonly PractisedPlan[]): Promise<Map<string, readonly Skill[]>> {
  return new Map(await inWorker().skills(plans));
}

/** Gives up what is being worked out; the next question starts anew. */
export function stopFinding() {
  running?.worker.terminate();
  running = undefined;
}
