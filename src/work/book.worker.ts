import { parentPort } from 'node:worker_threads';
import { answerText } from './answer';

/** One thread of a book: gets requests as text, gives answers as text. */
parentPort?.on('message', ({ index, text }: { index: number; text: string }) => {
  parentPort?.postMessage({ index, answer: answerText(text) });
});
