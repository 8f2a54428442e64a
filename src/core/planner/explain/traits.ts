import type { HandPlace, Plan, ResponseEvent, Step, Trait } from '../response';
import type { PlanMeasure } from './codes';
import { samePlace } from './compare';

/*
 * What makes each of several plans different from the others, in a few traits.
 */

/** Most traits told of a plan: more would be a list, not a name. */
const MOST = 2;

/** For each plan what sets it apart: a trait that the others lack, or what it has least of; else where its shifts lie. No two come out alike. */
export function traitsOf(plans: readonly Plan[], events: readonly ResponseEvent[]): Trait[][] {
  const own = plans.map((plan) => traitsOfOne(plan, events));
  const tags = own.map((traits) => new Set(traits.map(tagOf)));
  const alone = (trait: Trait) => tags.filter((list) => list.has(tagOf(trait))).length === 1;
  const least = leastOf(plans);
  const names = plans.map((_, at): Trait[] => {
    const telling = own[at].filter(alone);
    const traits = telling.length > 0 ? telling : least[at];
    return traits.length > 0 ? traits.slice(0, MOST) : ownWay(plans, at);
  });
  names.forEach((_, at) => {
    for (let twin = twinOf(names, at); twin < at; twin = twinOf(names, at))
      names[at] = [...names[at], ...partingTraits(plans[at], plans[twin])];
  });
  return names;
}

/** A trait as one text, to be compared by: as many places of thumb position as there are, they are one goal of a shift. */
function tagOf(trait: Trait): string {
  return JSON.stringify(trait);
}

function twinOf(names: readonly (readonly Trait[])[], at: number): number {
  const tag = JSON.stringify(names[at]);
  return names.findIndex((other) => JSON.stringify(other) === tag);
}

/** What holds of a plan, the most telling first. */
function traitsOfOne(plan: Plan, events: readonly ResponseEvent[]): Trait[] {
  const stops = plan.steps.flatMap((step) => step.stops);
  const strings = [...new Set(stops.map((stop) => stop.string))];
  const [first] = plan.steps;
  const has = (finger: number) => stops.some((stop) => stop.finger === finger);
  const [only] = plan.shifts;
  const list: (Trait | false)[] = [
    strings.length === 1 && { kind: 'on-strings', strings },
    plan.steps.every((step) => samePlace(step, first)) && { kind: 'stays', ...placeIn(first) },
    plan.shifts.length === 1 && {
      kind: 'one-shift',
      onSemitone: onSemitone(only, events),
      at: only.to,
      position: only.toPosition,
    },
    plan.shifts.length > 1 &&
      plan.shifts.every((shift) => onSemitone(shift, events)) && { kind: 'shifts-on-semitones' },
    !has(4) && { kind: 'no-little-finger' },
    !has(0) && { kind: 'no-open-string' },
    plan.shifts.length > 0 &&
      plan.shifts.every((shift) => shift.toFinger === 1) && { kind: 'shifts-land-on-first' },
    plan.steps.every((step) => !step.extended) && { kind: 'no-extension' },
    plan.terms.return !== undefined && { kind: 'another-way-back' },
    strings.length === 2 && { kind: 'on-strings', strings },
  ];
  return list.filter((trait) => trait !== false);
}

function placeIn({ position, thumbAt }: HandPlace): HandPlace {
  return thumbAt === undefined ? { position } : { position, thumbAt };
}

/** What a plan may have least of, the most telling first; less by `apart` is told. */
const MEASURES: readonly {
  readonly measure: PlanMeasure;
  readonly apart: number;
  readonly of: (plan: Plan) => number;
}[] = [
  { measure: 'shifts', apart: 1, of: ({ shifts }) => shifts.length },
  { measure: 'height', apart: 15, of: ({ steps }) => highest(steps) },
  { measure: 'crossings', apart: 1, of: ({ steps }) => crossings(steps) },
  {
    measure: 'travel',
    apart: 15,
    of: ({ shifts }) => shifts.reduce((sum, { travelMm }) => sum + travelMm, 0),
  },
  { measure: 'extensions', apart: 1, of: ({ steps }) => steps.filter(({ extended }) => extended).length },
  { measure: 'little-finger', apart: 1, of: ({ steps }) => played(steps, 4) },
  { measure: 'open-strings', apart: 1, of: ({ steps }) => played(steps, 0) },
];

function highest(steps: readonly Step[]): number {
  return steps.reduce((most, { handMm }) => Math.max(most, handMm[0]), 0);
}

function crossings(steps: readonly Step[]): number {
  return steps.filter((step, at) => at > 0 && step.stops[0].string !== steps[at - 1].stops[0].string).length;
}

function played(steps: readonly Step[], finger: number): number {
  return steps.filter(({ stops }) => stops.some((stop) => stop.finger === finger)).length;
}

/** For each plan the measures by which it is below all others. */
function leastOf(plans: readonly Plan[]): Trait[][] {
  const found: Trait[][] = plans.map(() => []);
  if (plans.length < 2) return found;
  for (const { measure, apart, of } of MEASURES) {
    const values = plans.map(of);
    const [least, next] = [...values].sort((a, b) => a - b);
    // Of nothing at all the traits tell.
    if (least > 0 && next - least >= apart) found[values.indexOf(least)].push({ kind: 'least', of: measure });
  }
  return found;
}

function onSemitone(shift: Plan['shifts'][number], events: readonly ResponseEvent[]): boolean {
  const [from, to] = [events[shift.from], events[shift.to]];
  if (!('midi' in from) || !('midi' in to)) return false;
  return Math.abs(from.midi[0] - to.midi[0]) === 1;
}

type Goal = HandPlace & { readonly at: number };

/** Where each shift of a plan goes, and when; all of thumb position is one. */
function goalsOf({ shifts }: Plan): Goal[] {
  return shifts.map(({ to, toPosition }) => ({ at: to, position: toPosition }));
}

/** Where a plan without a trait of its own goes its own way: the shift only it makes, else all its shifts, else a note that only it holds so. */
function ownWay(plans: readonly Plan[], at: number): Trait[] {
  const goals = plans.map(goalsOf);
  const made = new Map<string, number>();
  for (const goal of goals.flat()) made.set(JSON.stringify(goal), (made.get(JSON.stringify(goal)) ?? 0) + 1);
  const own = goals[at].find((goal) => made.get(JSON.stringify(goal)) === 1);
  if (own) return [{ kind: 'shifts-to', goals: [own] }];
  const whole = JSON.stringify(goals[at]);
  const few = goals[at].length > 0 && goals[at].length < 3;
  if (few && goals.filter((other) => JSON.stringify(other) === whole).length === 1)
    return [{ kind: 'shifts-to', goals: goals[at] }];
  const others = plans.filter((_, other) => other !== at);
  const alone = plans[at].steps.find((step, n) =>
    others.every((other) => heldAt(step) !== heldAt(other.steps[n])),
  );
  if (alone) return [noteTrait(alone, others)];
  return partingTraits(plans[at], plans[at === 0 ? 1 : 0]);
}

/** The first note at which a plan parts from another. */
function partingTraits(plan: Plan, other: Plan | undefined): Trait[] {
  const parts = plan.steps.find((step, n) => other && heldAt(step) !== heldAt(other.steps[n]));
  return [parts && other ? noteTrait(parts, [other]) : { kind: 'only' }];
}

/** How a note is held that others hold otherwise: by its position where the fingers are the same. */
function noteTrait(step: Step, others: readonly Plan[]): Trait {
  const fingers = fingersAt(step);
  const twin = others.some(({ steps }) =>
    steps.some((other) => other.at === step.at && fingersAt(other) === fingers),
  );
  return twin
    ? { kind: 'placed', at: step.at, ...placeIn(step) }
    : { kind: 'held', at: step.at, stops: step.stops };
}

function fingersAt({ stops }: Step): string {
  return stops.map((stop) => stop.string + stop.finger).join();
}

function heldAt(step: Step): string {
  return `${step.position}${step.thumbAt ?? ''}${fingersAt(step)}`;
}
