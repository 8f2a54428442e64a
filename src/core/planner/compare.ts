import type { Plan, Step } from './response';
import { TERM_NAMES, type TermName } from './terms';

/*
 * Two plans of one answer laid side by side: what each is charged for, and where on the line they part.
 */

export interface TermCompared {
  readonly term: TermName;
  readonly first: number;
  readonly second: number;
}

/** A stretch of neighbouring notes that the two plans hold otherwise; events from and to are both in it. */
export interface PlaceCompared {
  readonly from: number;
  readonly to: number;
  /** What each plan pays for these notes and for getting to each of them and on from the last. */
  readonly firstCost: number;
  readonly secondCost: number;
}

export interface Comparison {
  /** Terms that either is charged for, those that differ most first. */
  readonly terms: readonly TermCompared[];
  /** In the order of the line. */
  readonly places: readonly PlaceCompared[];
}

/** Compares two plans of the same material. */
export function comparePlans(first: Plan, second: Plan): Comparison {
  return { terms: comparedTerms(first, second), places: comparedPlaces(first, second) };
}

function comparedTerms(first: Plan, second: Plan): TermCompared[] {
  const apart = ({ first: a, second: b }: TermCompared) => Math.abs(a - b);
  return TERM_NAMES.map((term) => ({ term, first: first.terms[term] ?? 0, second: second.terms[term] ?? 0 }))
    .filter(({ first: a, second: b }) => a > 0 || b > 0)
    .sort((a, b) => apart(b) - apart(a));
}

/** True where two plans hold an event alike: strings, fingers and position. */
export function heldAlike(a: Step, b: Step): boolean {
  return (
    a.positionName === b.positionName &&
    a.stops.every(({ string, finger }, at) => string === b.stops[at].string && finger === b.stops[at].finger)
  );
}

function comparedPlaces(first: Plan, second: Plan): PlaceCompared[] {
  const places: { from: number; to: number; firstCost: number; secondCost: number }[] = [];
  let open: (typeof places)[number] | null = null;
  first.steps.forEach((a, t) => {
    const b = second.steps[t];
    const alike = heldAlike(a, b);
    if (!alike && !open) {
      open = { from: a.at, to: a.at, firstCost: 0, secondCost: 0 };
      places.push(open);
    }
    if (!open) return;
    // The step onto the first note that is alike again still belongs to the stretch: there the two ways meet.
    open.firstCost += a.cost;
    open.secondCost += b.cost;
    if (alike) open = null;
    else open.to = a.at;
  });
  return places;
}
