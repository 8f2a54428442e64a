import type { Issue, KeptAnswer, KeptFingering, Lock, PlanRequest } from '../core';

/** Ways that are asked for wherever a plan is shown, so that one number means one way in every view. */
const WAYS = 5;

/** What is asked of the planner: a request, and the fingering that was kept for it. */
export interface Ask {
  readonly request: PlanRequest;
  readonly kept?: KeptFingering;
  /** Fingers and strings as they were found written: they are one more way. */
  readonly written?: readonly Lock[];
  /** The best plan alone, at once; the ways beside it are asked for after it. */
  readonly alone?: boolean;
}

/** What it answers: plans, or why the request cannot be understood. */
export type Answer =
  | ({ readonly kind: 'planned' } & KeptAnswer)
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] };

/** The request as it is worked out for a view. */
export function forView({ request, alone }: Ask): PlanRequest {
  return { ...request, alternatives: alone ? 1 : WAYS };
}
