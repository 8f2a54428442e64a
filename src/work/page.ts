import type { ErrorAnswer, PlanAnswer } from '../core';

/** A request's answer with its place in the book. */
export type Page = (PlanAnswer | ErrorAnswer) & { readonly book: { readonly page: number; readonly of: number } };

/** One page as a line of the answer. */
export function pageLine(answer: PlanAnswer | ErrorAnswer, page: number, of: number): string {
  return JSON.stringify({ ...answer, book: { page, of } } satisfies Page);
}
