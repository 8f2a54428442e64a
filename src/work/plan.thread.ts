import { answerText, isError } from './answering';
import { pageLine } from './page';

/** One request to be worked out, and where it is a page of a book, which one. */
export interface Task {
  readonly text: string;
  readonly page?: number;
  readonly of?: number;
}

/** The answer as text, with the HTTP status that goes with it. */
export interface Worked {
  readonly status: number;
  readonly text: string;
}

/** One thread of the server's pool: takes a request as text and gives its answer as text, so that the server only passes them on. */
export default function work({ text, page, of }: Task): Worked {
  const answer = answerText(text);
  const status = isError(answer) ? (answer.error.code === 'internal' ? 500 : 422) : 200;
  const whole = page === undefined || of === undefined;
  return { status, text: whole ? JSON.stringify(answer) : pageLine(answer, page, of) };
}
