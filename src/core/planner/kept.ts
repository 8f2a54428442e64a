import { plan } from './plan';
import type { Weights } from '../vocabulary';
import type { Lock, PlanRequest, Rules, Plan, PlanResponse } from '../vocabulary';
import type { KeptFingering, KeptStep } from '../vocabulary';
/*
 * A fingering that a student has learned, kept note by note, so that it stays theirs whatever the planner would choose later.
 */

/** What is kept of a plan: string, finger, stop and hand of every note. */
export function fingeringOf({ steps }: Plan): KeptFingering {
  return steps.map(({ at, stops, position, thumbAt, hand }) => ({
    at,
    stops: stops.map(({ string, finger, semitones, harmonic }) => ({ string, finger, semitones, harmonic })),
    position,
    ...(thumbAt === undefined ? {} : { thumbAt }),
    hand,
  }));
}

/** True where a plan has the kept strings, fingers and stops at every note; names of positions may have changed. */
export function hasFingering({ steps }: Plan, kept: KeptFingering): boolean {
  return (
    steps.length === kept.length &&
    steps.every((step, t) => step.at === kept[t].at && stopsTag(step.stops) === stopsTag(kept[t].stops))
  );
}

function stopsTag(stops: KeptStep['stops']): string {
  return stops.map(({ string, finger, semitones }) => `${string}.${finger}.${semitones}`).join('+');
}

/** The answer to a request together with the fingering kept for it. */
export interface KeptAnswer {
  /** The kept fingering stands last among the plans where the planner would no longer offer it. */
  readonly response: PlanResponse;
  /** Number of the plan that has the kept fingering; null where it cannot be played as it was kept. */
  readonly found: number | null;
  /** True where that plan is none of the planner's own. */
  readonly own: boolean;
}

/**
 * Plans a request anew and finds a kept fingering again; where it is none of the plans any more, it is worked out as it was kept and put behind them.
 * The request must have passed requestIssues.
 * @param weights other prices than the usual ones
 */
export function planKept(request: PlanRequest, kept: KeptFingering, weights?: Weights): KeptAnswer {
  const response = plan(request, weights);
  const found = response.plans.findIndex((one) => hasFingering(one, kept));
  if (found >= 0) return { response, found, own: false };
  const own = ownPlan(request, kept, response, weights);
  if (!own) return { response, found: null, own: false };
  const plans = [...response.plans, own];
  return { response: { ...response, plans, problems: [] }, found: response.plans.length, own: true };
}

/** The plan that holds every note as it was kept: within the rules and positions of now if it can be, else without them. */
function ownPlan(request: PlanRequest, kept: KeptFingering, { events }: PlanResponse, weights?: Weights): Plan | null {
  const fits = kept.every(({ at, stops }) => {
    const event = events[at];
    return event && 'pitches' in event && event.pitches.length === stops.length;
  });
  if (!fits) return null;
  const strict = kept.flatMap((step) => locksFor(step, true));
  const loose = kept.flatMap((step) => locksFor(step, false));
  const tries: readonly Rules[] = [
    { ...request.rules, locks: strict },
    { ...request.rules, locks: loose },
    { locks: strict },
    { locks: loose },
  ];
  for (const rules of tries) {
    const [one] = plan({ ...request, rules, alternatives: 1, compare: undefined }, weights).plans;
    if (one && hasFingering(one, kept)) return one;
  }
  return null;
}

/** A lock for each stop of a kept note; an open string leaves the hand where it likes. */
function locksFor({ at, stops, position }: KeptStep, placed: boolean): Lock[] {
  return stops.map(({ finger, string }) => ({ at, finger, string, ...(placed && finger !== 0 ? { position } : {}) }));
}
