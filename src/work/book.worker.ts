import { parentPort } from 'node:worker_threads';
import { answerText } from './answer';
import { pageLine } from './book';

/** One thread of a book: gets requests as text and gives their pages as text, so that the server only passes them on. */
parentPort?.on('message', ({ page, of, text }: { page: number; of: number; text: string }) => {
  parentPort?.postMessage({ page, line: pageLine(answerText(text), page, of) });
});
