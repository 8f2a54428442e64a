import { BadRequest, errorAnswer, parseRequest, readRequest, type ErrorAnswer } from '../contract/read';
import { plan, type PlanResponse } from '../core';

/** Checks a value and plans it; a request that cannot be understood comes back as the error object, nothing is thrown for it. */
export function answerValue(value: unknown): PlanResponse | ErrorAnswer {
  return guarded(() => plan(readRequest(value)));
}

/** The same for JSON text. */
export function answerText(text: string): PlanResponse | ErrorAnswer {
  return guarded(() => plan(parseRequest(text)));
}

function guarded(work: () => PlanResponse): PlanResponse | ErrorAnswer {
  try {
    return work();
  } catch (error) {
    if (error instanceof BadRequest) return errorAnswer(error.issues);
    throw error;
  }
}

export function isError(answer: PlanResponse | ErrorAnswer): answer is ErrorAnswer {
  return 'error' in answer;
}
