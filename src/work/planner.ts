import { wrap, type Remote } from 'comlink';
import {
  requestIssues,
  type Aim,
  type Chosen,
  type Finding,
  type Findings,
  type Learned,
  type PlanRequest,
  type PositionDrill,
} from '../core';
import type { Answer, Ask } from './ask';
import type { PlannerInWorker, Weightiest } from './plan.worker';
import { data } from '../store/browserState';

/*
 * The planner in the background. It is started at the first question and kept; one that dies or falls silent is told of and started again at the next.
 */

/** The planner died, gave no answer in time, or was ended for a newer question. */
export class PlannerLost extends Error {
  constructor(readonly why: 'died' | 'silent' | 'replaced') {
    super(`planner ${why}`);
  }
}

/** Longest that a question may take, in ms; the longest piece that a plan may hold takes a few seconds. */
const LONGEST = 60_000;
/** A plan that has been worked on for so long is given up for a newer question, in ms: a start anew takes less. */
const WORTH_ENDING = 400;

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<PlannerInWorker>;
  /** Ends every question that still waits. */
  readonly lost: Set<(error: PlannerLost) => void>;
}

let running: Running | undefined;
/** Where other prices than the usual ones may be laid down, as JSON, to try what hangs on them: used by tests. */
const triedPrices = data<Record<string, number> | null>(
  'local',
  'dove-path-prices',
  (found) => (found as Record<string, number> | undefined) ?? null,
);

function inWorker(): Running {
  if (running) return running;
  const worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<PlannerInWorker>(worker);
  const started: Running = { worker, remote, lost: new Set() };
  worker.addEventListener('error', () => end(started, 'died'));
  worker.addEventListener('messageerror', () => end(started, 'died'));
  const prices = triedPrices.read();
  if (prices) void remote.setPrices(prices);
  running = started;
  return started;
}

/**
 * Starts the planner before anything is asked, so that it is fetched and ready while the page is put up.
 * @param guess what may be asked first: it is kept ready, and code that has run once runs faster whatever is asked
 */
export function wakePlanner(guess: Ask) {
  // Where the planner is lost, whoever asks it says so.
  inWorker()
    .remote.expect(guess)
    .catch(() => undefined);
}

/** Ends a worker; every question that waits for it fails. */
function end(one: Running, why: PlannerLost['why']) {
  one.worker.terminate();
  if (running === one) running = undefined;
  for (const fail of one.lost) fail(new PlannerLost(why));
}

/** Asks the worker; fails where it dies or gives no answer in time. A question that has to make way for a newer plan is asked again. */
async function ask<T>(question: (planner: Remote<PlannerInWorker>) => Promise<T>): Promise<T> {
  try {
    return await askOnce(question);
  } catch (error) {
    if (error instanceof PlannerLost && error.why === 'replaced') return askOnce(question);
    throw error;
  }
}

function askOnce<T>(question: (planner: Remote<PlannerInWorker>) => Promise<T>): Promise<T> {
  const one = inWorker();
  return new Promise<T>((resolve, reject) => {
    const timer = setTimeout(() => end(one, 'silent'), LONGEST);
    const settle = () => {
      clearTimeout(timer);
      one.lost.delete(fail);
    };
    const fail = (error: Error) => {
      settle();
      reject(error);
    };
    one.lost.add(fail);
    question(one.remote).then((answer) => {
      settle();
      resolve(answer);
    }, fail);
  });
}

/** The shape of a request was checked where it came in (address, file, saved row, typed notes); what its words mean is looked at here. */
function refusalOf({ request }: Ask): Answer | null {
  const issues = requestIssues(request);
  return issues.length > 0 ? { kind: 'refused', issues } : null;
}

/** Plans in the background. */
export async function planInWorker(asked: Ask): Promise<Answer> {
  const refused = refusalOf(asked);
  if (refused) return refused;
  return JSON.parse(await ask((planner) => planner.answerText(asked))) as Answer;
}

/** The plan on the stand that is worked on, and since when. */
let onStand: { readonly since: number } | undefined;

/** The same for the plan on the stand: one that is still worked on for an older question is ended. */
export async function planOnStand(asked: Ask): Promise<Answer> {
  const refused = refusalOf(asked);
  if (refused) return refused;
  if (onStand && running && performance.now() - onStand.since > WORTH_ENDING) end(running, 'replaced');
  const mine = { since: performance.now() };
  onStand = mine;
  try {
    return JSON.parse(await askOnce((planner) => planner.answerText(asked))) as Answer;
  } finally {
    if (onStand === mine) onStand = undefined;
  }
}

/** Works out in the background what one plan of an answer means; null where it has no such plan. */
export function findingsInWorker(asked: Ask, chosen: number, aim: Aim): Promise<Findings | null> {
  return ask((planner) => planner.findings(asked, chosen, aim));
}

/** The same, the weightiest findings alone: a long plan has thousands of notes to tell of. */
export function weightiestInWorker(asked: Ask, chosen: number, aim: Aim, most: number): Promise<Weightiest> {
  return ask((planner) => planner.weightiest(asked, chosen, aim, most));
}

/** The drill for something found in one plan of an answer; null where it has no such plan. */
export function findingDrillInWorker(asked: Ask, chosen: number, finding: Finding): Promise<PlanRequest | null> {
  return ask((planner) => planner.findingDrill(asked, chosen, finding));
}

/** A drill that stays in one position; null where that has no octave of the key. */
export function positionDrillInWorker(request: PlanRequest, asked: PositionDrill): Promise<PlanRequest | null> {
  return ask((planner) => planner.positionDrill(request, asked));
}

/** What a teacher's choices have in common; null where they say nothing yet. */
export function learnInWorker(chosen: readonly Chosen[]): Promise<Learned | null> {
  return ask((planner) => planner.learn(chosen));
}
