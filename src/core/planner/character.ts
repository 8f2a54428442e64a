import { inPosition } from '../hand/hold';
import type { Plan, ResponseEvent } from './response';

/*
 * What makes each of several plans different from the others, in a few words.
 */

/** Says for each plan what sets it apart: a trait that the others lack, or what it has least of; else where its shifts lie. */
export function charactersOf(plans: readonly Plan[], events: readonly ResponseEvent[]): string[] {
  const traits = plans.map((plan) => traitsOf(plan, events));
  const count = (words: string) => traits.filter((list) => list.includes(words)).length;
  const most = superlatives(plans);
  const names = plans.map((_, at) => {
    const own = traits[at].filter((words) => count(words) === 1);
    const words = own.length > 0 ? own : most[at];
    return words.length > 0 ? words.slice(0, 2).join(', ') : ownWay(plans, at);
  });
  names.forEach((_, at) => {
    for (let twin = names.indexOf(names[at]); twin < at; twin = names.indexOf(names[at]))
      names[at] += `, ${partingWords(plans[at], plans[twin])}`;
  });
  return names;
}

/** What holds of a plan, the most telling first. */
function traitsOf(plan: Plan, events: readonly ResponseEvent[]): string[] {
  const stops = plan.steps.flatMap((step) => step.stops);
  const strings = new Set(stops.map((stop) => stop.string));
  const positions = new Set(plan.steps.map((step) => step.positionName));
  const has = (finger: number) => stops.some((stop) => stop.finger === finger);
  const [only] = plan.shifts;
  const list: (string | false)[] = [
    strings.size === 1 && `all on the ${[...strings][0]} string`,
    positions.size === 1 && `stays ${inPosition([...positions][0])}`,
    plan.shifts.length === 1 &&
      `one shift${onSemitone(only, events) ? ' on the semitone' : ''}, to ${goalsOf(plan)[0]}`,
    plan.shifts.length > 1 &&
      plan.shifts.every((shift) => onSemitone(shift, events)) &&
      'every shift on a semitone',
    !has(4) && 'no little finger',
    !has(0) && 'no open string',
    plan.shifts.length > 0 && plan.shifts.every((shift) => shift.toFinger === 1) && 'every shift lands on 1',
    plan.steps.every((step) => !step.extended) && 'no extension',
    plan.terms.return !== undefined && 'comes back another way',
    strings.size === 2 && `on the ${[...strings].join(' and ')} strings`,
  ];
  return list.filter((words): words is string => words !== false);
}

/** What a plan may have least of, the most telling first; less by `apart` is told. */
const MEASURES: readonly {
  readonly words: string;
  readonly apart: number;
  readonly of: (plan: Plan) => number;
}[] = [
  { words: 'fewest shifts', apart: 1, of: ({ shifts }) => shifts.length },
  { words: 'stays lowest on the neck', apart: 15, of: ({ steps }) => highest(steps) },
  { words: 'fewest string crossings', apart: 1, of: ({ steps }) => crossings(steps) },
  {
    words: 'least travel',
    apart: 15,
    of: ({ shifts }) => shifts.reduce((sum, { travelMm }) => sum + travelMm, 0),
  },
  {
    words: 'fewest extensions',
    apart: 1,
    of: ({ steps }) => steps.filter(({ extended }) => extended).length,
  },
  { words: 'little finger used least', apart: 1, of: ({ steps }) => played(steps, 4) },
  { words: 'fewest open strings', apart: 1, of: ({ steps }) => played(steps, 0) },
];

function highest(steps: Plan['steps']): number {
  return steps.reduce((most, { handMm }) => Math.max(most, handMm[0]), 0);
}

function crossings(steps: Plan['steps']): number {
  return steps.filter((step, at) => at > 0 && step.stops[0].string !== steps[at - 1].stops[0].string).length;
}

function played(steps: Plan['steps'], finger: number): number {
  return steps.filter(({ stops }) => stops.some((stop) => stop.finger === finger)).length;
}

/** For each plan the measures by which it is below all others. */
function superlatives(plans: readonly Plan[]): string[][] {
  const found: string[][] = plans.map(() => []);
  if (plans.length < 2) return found;
  for (const { words, apart, of } of MEASURES) {
    const values = plans.map(of);
    const [least, next] = [...values].sort((a, b) => a - b);
    // Of nothing at all the traits tell.
    if (least > 0 && next - least >= apart) found[values.indexOf(least)].push(words);
  }
  return found;
}

function onSemitone(shift: Plan['shifts'][number], events: readonly ResponseEvent[]): boolean {
  const [from, to] = [events[shift.from], events[shift.to]];
  if (!('midi' in from) || !('midi' in to)) return false;
  return Math.abs(from.midi[0] - to.midi[0]) === 1;
}

/** A position in two words; all thumb places are one. */
function shortName(step: Plan['steps'][number]): string {
  return step.position === 'thumb' ? 'thumb position' : `${step.positionName} position`;
}

/** Where a plan without a trait of its own goes its own way: the shift only it makes, else all its shifts, else a note that only it holds so. */
function ownWay(plans: readonly Plan[], at: number): string {
  const goals = plans.map(goalsOf);
  const made = new Map<string, number>();
  for (const goal of goals.flat()) made.set(goal, (made.get(goal) ?? 0) + 1);
  const own = goals[at].find((goal) => made.get(goal) === 1);
  if (own) return `to ${own}`;
  const whole = goals[at].join(', ');
  if (goals[at].length < 3 && goals.filter((other) => other.join(', ') === whole).length === 1)
    return `to ${whole}`;
  const others = plans.filter((_, other) => other !== at);
  const alone = plans[at].steps.find((step, n) =>
    others.every((other) => heldAt(step) !== heldAt(other.steps[n])),
  );
  if (alone) return noteWords(alone, others);
  return partingWords(plans[at], plans[at === 0 ? 1 : 0]);
}

/** The first note at which a plan parts from another. */
function partingWords(plan: Plan, other: Plan | undefined): string {
  const parts = plan.steps.find((step, n) => other && heldAt(step) !== heldAt(other.steps[n]));
  return parts && other ? noteWords(parts, [other]) : 'the one way';
}

/** How a note is held that others hold otherwise: by its position where the fingers are the same. */
function noteWords(step: Plan['steps'][number], others: readonly Plan[]): string {
  const words = heldWords(step);
  const twin = others.some(({ steps }) =>
    steps.some((other) => other.at === step.at && heldWords(other) === words),
  );
  const place = step.position === 'thumb' ? step.positionName : shortName(step);
  return `${twin ? place : words} at note ${step.at + 1}`;
}

/** "4 on the D string", "open A": what is pressed where. */
function heldWords({ stops }: Plan['steps'][number]): string {
  return stops
    .map(({ finger, string }) => {
      const letter = string.replace(/\d+$/, '');
      return finger === 0 ? `open ${letter}` : `${finger === 'T' ? 'thumb' : finger} on the ${letter} string`;
    })
    .join(' and ');
}

/** Where each shift of a plan goes, and when. */
function goalsOf(plan: Plan): string[] {
  const places = new Map(plan.steps.map((step) => [step.at, shortName(step)]));
  return plan.shifts.map((shift) => `${places.get(shift.to)} at note ${shift.to + 1}`);
}

function heldAt(step: Plan['steps'][number]): string {
  return step.positionName + step.stops.map((stop) => stop.string + stop.finger).join();
}
