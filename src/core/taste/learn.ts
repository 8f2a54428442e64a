import {
  type KeptFingering,
  PREFERENCES,
  type Lock,
  type PlanRequest,
  type Preference,
  type Preferences,
  type Plan,
} from '../vocabulary';
import { plan } from '../planner/plan';
import { group, sum } from 'd3-array';
/*
 * What a teacher's choices say of their taste: the smallest nudge of a few named prices under which the first plan would have been what they chose,
 * most of the time.
 */

/** How a note was to be held where the first plan held it otherwise; with `not`, how it was not to be. */
export interface Wanted extends Pick<Lock, 'at' | 'finger' | 'string' | 'position'> {
  readonly not?: true;
}

/** One choice against the first plan of a request. */
export interface TasteChoice {
  /** As it was asked without the choice, and without preferences. */
  readonly request: PlanRequest;
  readonly wanted: readonly Wanted[];
}

export interface Learned {
  readonly preferences: Preferences;
  /** Choices that the first plan now agrees with, of how many. */
  readonly agreed: number;
  readonly of: number;
}

/** So many choices, over so many plans, before anything is said. */
const ENOUGH_CHOICES = 8;
const ENOUGH_PLANS = 3;
/** Factors tried, the smallest changes first. */
const FACTORS = [0.8, 1.25, 0.6, 1.6, 0.4, 2.5, 0.25, 4];
/** Preferences learned at once: more are no taste that anybody could name. */
const MOST_LEARNED = 2;
/** A further preference must win over so many more choices in ten. */
const WORTH_ANOTHER = 0.1;

/** What a teacher chose in one plan: its demands at single notes, and the fingering where another way was taken. */
export interface Chosen {
  readonly request: PlanRequest;
  /** The fingering of a way that was put on the stand instead of the best. */
  readonly way?: KeptFingering;
}

/** The choices in a plan, each against what is planned without it. */
export function choicesIn({ request: whole, way }: Chosen): TasteChoice[] {
  const { locks = [], never = [], ...rules } = whole.rules ?? {};
  const request: PlanRequest = { ...whole, rules, preferences: undefined };
  const [first] = plan({ ...request, alternatives: 1, explain: 'nothing' }).plans;
  const single = [
    ...locks
      .filter((lock) => !lock.shift)
      .map(({ at, finger, string, position }) => ({ at, finger, string, position })),
    ...never
      .filter((one) => !one.shift)
      .map(({ at, finger, string, position }): Wanted => ({ at, finger, string, position, not: true })),
  ].map((wanted): TasteChoice => ({ request, wanted: [wanted] }));
  const other = (way ?? []).flatMap(({ at, stops: [stop] }): Wanted[] => {
    const own = first?.steps.find((step) => step.at === at)?.stops[0];
    const same = own?.finger === stop.finger && own.string === stop.string;
    return same ? [] : [{ at, finger: stop.finger, string: stop.string }];
  });
  return other.length > 0 ? [...single, { request, wanted: other }] : single;
}

/** @returns null where there are too few choices yet, or nothing simple that most of them have in common */
export function learnTaste(all: readonly TasteChoice[]): Learned | null {
  // What the first plan has anyway says nothing.
  const plans = [...group(all, ({ request }) => JSON.stringify(request)).values()]
    .map((made) => {
      const [first] = plan({ ...made[0].request, preferences: {}, alternatives: 1, explain: 'nothing' }).plans;
      return made.filter(({ wanted }) => !first || !isHeldSo(first, wanted));
    })
    .filter((made) => made.length > 0)
    .sort((a, b) => b.length - a.length);
  const choices = plans.flat();
  if (choices.length < ENOUGH_CHOICES || plans.length < ENOUGH_PLANS) return null;
  const agreeing = (preferences: Preferences, above: number) => agreedUnder(plans, preferences, above);
  let learned: Preferences = {};
  let agreed = agreeing(learned, -1);
  for (let step = 0; step < MOST_LEARNED; step++) {
    const next = bestNudge(learned, agreed, agreeing);
    if (!next || next.agreed - agreed < WORTH_ANOTHER * choices.length) break;
    learned = { ...learned, [next.name]: next.factor };
    agreed = next.agreed;
  }
  const most = agreed > choices.length / 2 && Object.keys(learned).length > 0;
  return most ? { preferences: learned, agreed, of: choices.length } : null;
}

/** The one nudge more that wins most; of equals the smallest. */
function bestNudge(
  known: Preferences,
  agreed: number,
  agreeing: (preferences: Preferences, above: number) => number,
): { readonly name: Preference; readonly factor: number; readonly agreed: number } | null {
  let best: { readonly name: Preference; readonly factor: number; readonly agreed: number } | null = null;
  for (const factor of FACTORS)
    for (const name of PREFERENCES) {
      if (known[name] !== undefined) continue;
      const above = best?.agreed ?? agreed;
      const won = agreeing({ ...known, [name]: factor }, above);
      if (won > above) best = { name, factor, agreed: won };
    }
  return best;
}

/** How many choices the first plans agree with; where that can be no more than `above`, looking on is given up. */
function agreedUnder(plans: readonly (readonly TasteChoice[])[], preferences: Preferences, above: number): number {
  let agreed = 0;
  let left = sum(plans, ({ length }) => length);
  for (const choices of plans) {
    if (agreed + left <= above) return agreed;
    left -= choices.length;
    const { request } = choices[0];
    const [first] = plan({ ...request, preferences, alternatives: 1, explain: 'nothing' }).plans;
    if (first) agreed += choices.filter(({ wanted }) => isHeldSo(first, wanted)).length;
  }
  return agreed;
}

/** True where a plan has more than half of what was wanted. */
function isHeldSo({ steps }: Plan, wanted: readonly Wanted[]): boolean {
  const held = wanted.filter(({ at, finger, string, position, not }) => {
    const step = steps.find((one) => one.at === at);
    const has =
      step !== undefined &&
      (position === undefined || step.position === position) &&
      step.stops.some(
        (stop) => (finger === undefined || stop.finger === finger) && (string === undefined || stop.string === string),
      );
    return has !== (not === true);
  });
  return held.length > wanted.length / 2;
}
