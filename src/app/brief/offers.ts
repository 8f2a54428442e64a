import type { PlanRequest } from '../../core';
import type { StudentRecord } from '../../core';

/*
 * What a typed brief is answered with: what it is understood as, or a question with what can be had instead.
 */

/** A brief that can be had, with the words it is offered by. */
export interface Offer {
  readonly words: string;
  /** What may be typed instead; null where the request itself is offered. */
  readonly typed: string | null;
  readonly brief: Brief | null;
}

export interface Brief {
  readonly request: PlanRequest;
  /** The student it is for now; undefined where that was not said. */
  readonly student?: StudentRecord;
  /** True where its music was named, not only a wish. */
  readonly whole?: boolean;
}

export type TypedBrief =
  | { readonly kind: 'nothing' }
  | {
      readonly kind: 'understood';
      readonly brief: Brief;
      /** What was read as another word: "melodc read as melodic". */
      readonly notes: readonly string[];
    }
  /** Notes of one's own: those that were typed, or a box to type them into. */
  | { readonly kind: 'own-notes'; readonly notes: string | null }
  | { readonly kind: 'asked'; readonly question: string; readonly offers: readonly Offer[] };

export type Asked = Extract<TypedBrief, { kind: 'asked' }>;

export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

export const asked = (question: string, offers: readonly Offer[]): Asked => ({ kind: 'asked', question, offers });

export const offerTyped = (words: string, typed: string): Offer => ({ words, typed, brief: null });
export const offerBrief = (words: string, request: PlanRequest): Offer => ({ words, typed: null, brief: { request } });
