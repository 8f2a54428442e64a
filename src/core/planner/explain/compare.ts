import {
  type Comparison,
  type HandPlace,
  type PlaceCompared,
  type Plan,
  type Step,
  type TermCompared,
  TERM_NAMES,
} from '../../vocabulary';
/*
 * Two plans of one answer laid side by side: what each is charged for, and where on the line they part.
 */

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

/** True where the hand is in the same position. */
export function samePlace(a: HandPlace, b: HandPlace): boolean {
  return a.position === b.position && a.thumbAt === b.thumbAt;
}

/** True where two plans hold an event alike: strings, fingers and position. */
export function heldAlike(a: Step, b: Step): boolean {
  return (
    samePlace(a, b) &&
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
