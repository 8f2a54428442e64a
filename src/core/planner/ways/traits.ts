import type { Plan, ResponseEvent, TraitChange, TraitName } from '../../vocabulary';

/*
 * What a player feels of a plan: ten traits, each a number of which less is better.
 */

export type Traits = Readonly<Record<TraitName, number>>;

/** By how much a trait must differ to be felt: one of what is counted, a finger's breadth of what is measured in mm. */
const FELT_BY: Traits = {
  shifts: 1,
  farthest: 10,
  crossings: 1,
  'little-fingers': 1,
  extensions: 1,
  height: 10,
  stretches: 1,
  colour: 1,
  'open-strings': 1,
  'same-back': 1,
};
const NAMES = Object.keys(FELT_BY) as TraitName[];

export function traitsOf({ steps, shifts, reach, terms }: Plan, events: readonly ResponseEvent[]): Traits {
  const crossed = steps.filter((step, t) => t > 0 && step.stops[0].string !== steps[t - 1].stops[0].string);
  const playedBy = (finger: number) => steps.filter(({ stops }) => stops.some((stop) => stop.finger === finger)).length;
  const afterRest = (at: number) => at > 0 && 'rest' in events[at - 1];
  return {
    shifts: shifts.length,
    farthest: Math.max(0, ...shifts.map(({ travelMm }) => travelMm)),
    crossings: crossed.length,
    'little-fingers': playedBy(4),
    extensions: steps.filter(({ extended, contracted }) => extended || contracted).length,
    height: Math.max(...steps.map(({ handMm }) => handMm[0])),
    stretches: reach.filter(({ verdict }) => verdict !== 'easy').length,
    colour: crossed.filter(({ at }) => !afterRest(at)).length,
    'open-strings': playedBy(0),
    'same-back': terms.return === undefined ? 0 : 1,
  };
}

/** True where one plan is worth showing beside a cheaper one: in some trait it is better. Open strings are better neither way, but another number of them is another way. */
export function worthBeside(one: Traits, cheaper: Traits): boolean {
  return NAMES.some((name) => {
    const less = cheaper[name] - one[name];
    return name === 'open-strings' ? Math.abs(less) >= FELT_BY[name] : less >= FELT_BY[name];
  });
}

/** What a plan has more or less of than another of the same music, in the order of the traits. */
export function changesBetween(plan: Plan, other: Plan, events: readonly ResponseEvent[]): TraitChange[] {
  return changesOf(traitsOf(plan, events), traitsOf(other, events));
}

/**
 * The same of one stretch, with the steps into it and out of it.
 * @param from first and last event, both inside
 */
export function changesWithin(
  plan: Plan,
  other: Plan,
  events: readonly ResponseEvent[],
  from: number,
  to: number,
): TraitChange[] {
  const [one, two] = [plan, other].map(({ steps, shifts, reach, ...rest }): Plan => {
    const first = steps.findIndex(({ at }) => at >= from);
    const last = steps.findLastIndex(({ at }) => at <= to);
    return {
      ...rest,
      terms: {},
      steps: steps.slice(Math.max(0, first - 1), last + 2),
      shifts: shifts.filter((shift) => shift.to >= from && shift.from <= to),
      reach: reach.filter(({ at }) => at >= from && at <= to),
    };
  });
  return changesBetween(one, two, events);
}

export function changesOf(one: Traits, other: Traits): TraitChange[] {
  return NAMES.filter((name) => Math.abs(one[name] - other[name]) >= FELT_BY[name]).map((trait) => ({
    trait,
    from: other[trait],
    to: one[trait],
  }));
}
