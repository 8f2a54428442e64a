import { BadRequest, parseRequest, readRequest } from '../contract/read';
import { plan, type PlanRequest, type ErrorAnswer, type PlanAnswer } from '../core';
import { wordedAnswer } from '../wording/answer';
import { errorAnswer, internalAnswer } from '../wording/issues';
import { logged } from './logged';

/** Checks a value and plans it, in words; a request that cannot be understood comes back as the error object, nothing is thrown for it. */
export function answerValue(value: unknown): PlanAnswer | ErrorAnswer {
  return guarded(() => readRequest(value));
}

/** The same for JSON text. */
export function answerText(text: string): PlanAnswer | ErrorAnswer {
  return guarded(() => parseRequest(text));
}

/** Whatever goes wrong in a request is that request's answer: others go on. */
function guarded(read: () => PlanRequest): PlanAnswer | ErrorAnswer {
  try {
    const request = read();
    return wordedAnswer(request, plan(request));
  } catch (error) {
    if (error instanceof BadRequest) return errorAnswer(error.issues);
    return internalAnswer(logged(error));
  }
}

export function isError(answer: PlanAnswer | ErrorAnswer): answer is ErrorAnswer {
  return 'error' in answer;
}
