import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { errorAnswer, type ErrorAnswer } from '../contract/read';
import type { PlanResponse } from '../core';

/** Most requests in one book, and the longest it may take. */
export const MOST_PAGES = 5000;
const MOST_SECONDS = 120;

/** A request's answer with its place in the book. */
export type Page = (PlanResponse | ErrorAnswer) & {
  readonly book: { readonly page: number; readonly of: number };
};

/** One page as a line of the answer. */
export function pageLine(answer: PlanResponse | ErrorAnswer, page: number, of: number): string {
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
 * @returns the pages as JSON texts, in order, as they become ready; stopping the iteration stops the threads
 */
export async function* workBook(texts: readonly string[], start: StartWorker): AsyncGenerator<string> {
  const of = texts.length;
  const ready = new Map<number, string>();
  const workers = Array.from({ length: Math.min(of, availableParallelism()) }, start);
  let next = 0;
  let failed: ErrorAnswer | undefined;
  let wake = () => {};
  const deadline = setTimeout(() => {
    failed = errorAnswer([
      { path: '', message: `The book took longer than ${MOST_SECONDS} s; send it in parts.` },
    ]);
    wake();
  }, MOST_SECONDS * 1000);
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
      failed = errorAnswer([
        { path: '', message: 'A part of the book could not be worked out; send it again in parts.' },
      ]);
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

/** Splits a body into requests: a JSON array of them, or one a line. Null where it is neither. */
export function bookTexts(body: string): string[] | null {
  if (!body.trimStart().startsWith('[')) return body.split('\n').filter((line) => line.trim() !== '');
  try {
    return (JSON.parse(body) as unknown[]).map((request) => JSON.stringify(request));
  } catch {
    return null;
  }
}
