import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { ErrorAnswer, PlanAnswer } from '../contract/types';
import { refusalAnswer } from '../wording/issues';

/** Most requests in one book. */
export const MOST_PAGES = 5000;

/** How long threads may work, and what to say where that is not enough. */
export interface Clock {
  readonly seconds: number;
  readonly message: string;
}
const BOOK_CLOCK = { seconds: 120, message: 'The book took longer than 120 s; send it in parts.' };
const PLAN_CLOCK = {
  seconds: 30,
  message: 'The plan took longer than 30 s; send the music in parts, or ask for fewer alternatives.',
};

/** A request's answer with its place in the book. */
export type Page = (PlanAnswer | ErrorAnswer) & {
  readonly book: { readonly page: number; readonly of: number };
};

/** One page as a line of the answer. */
export function pageLine(answer: PlanAnswer | ErrorAnswer, page: number, of: number): string {
  return JSON.stringify({ ...answer, book: { page, of } } satisfies Page);
}

/** Pages a thread has at hand, so that it need not wait for the next while one is passed on. */
const AT_HAND = 2;

/** Starts one worker thread; the caller says where the built worker lies. */
export type StartWorker = () => Worker;

/** Starts the worker from its TypeScript source, in development and tests: a thread does not take over its parent's loader. */
export function startFromSource(source: URL): Worker {
  const address = JSON.stringify(source.href);
  return new Worker(`import('tsx/esm/api').then(({ tsImport }) => tsImport(${address}, ${address}))`, {
    eval: true,
  });
}

/**
 * Works a book out in worker threads, each taking the next request as it is free.
 * @param texts one JSON request each
 * @param clock when to give up
 * @returns the pages as JSON texts, in order, as they become ready; stopping the iteration stops the threads
 */
export async function* workBook(
  texts: readonly string[],
  start: StartWorker,
  clock: Clock = BOOK_CLOCK,
): AsyncGenerator<string> {
  const of = texts.length;
  const ready = new Map<number, string>();
  const workers = Array.from({ length: Math.min(of, availableParallelism()) }, start);
  let next = 0;
  let failed: ErrorAnswer | undefined;
  let wake = () => {};
  const deadline = setTimeout(() => {
    failed = refusalAnswer(clock.message);
    wake();
  }, clock.seconds * 1000);
  const hand = (worker: Worker) => {
    if (next < of) worker.postMessage({ page: next, of, text: texts[next++] });
  };
  for (const worker of workers) {
    worker.on('message', ({ page, line }: { page: number; line: string }) => {
      ready.set(page, line);
      hand(worker);
      wake();
    });
    worker.on('error', () => {
      failed = refusalAnswer('A part of the book could not be worked out; send it again in parts.');
      wake();
    });
    for (let at = 0; at < AT_HAND; at++) hand(worker);
  }
  try {
    for (let page = 0; page < of; page++) {
      while (!ready.has(page) && !failed) await new Promise<void>((resolve) => (wake = resolve));
      if (failed) {
        yield pageLine(failed, page, of);
        return;
      }
      yield ready.get(page) as string;
      ready.delete(page);
    }
  } finally {
    clearTimeout(deadline);
    await Promise.all(workers.map((worker) => worker.terminate()));
  }
}

/** Works out one request in a thread of its own: the server stays free for others, and a clock bounds it. */
export async function workPlan(
  text: string,
  start: StartWorker,
  clock: Clock = PLAN_CLOCK,
): Promise<PlanAnswer | ErrorAnswer> {
  for await (const line of workBook([text], start, clock)) {
    const answer = JSON.parse(line) as (PlanAnswer | ErrorAnswer) & { book?: Page['book'] };
    delete answer.book;
    return answer;
  }
  throw new Error('a book of one page has a page');
}

/** Splits a body into requests: a JSON array of them, or one a line. Null where it is neither. */
export function bookTexts(body: string): string[] | null {
  if (!body.trimStart().startsWith('[')) return body.split('\n').filter((line) => line.trim() !== '');
  try {
    return (JSON.parse(body) as unknown[]).map((request) => JSON.stringify(request));
  } catch {
    return null;
  }
}
