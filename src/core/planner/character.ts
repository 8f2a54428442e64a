import { inPosition } from '../hand/hold';
import type { Plan, ResponseEvent } from './response';

/*
 * What makes each of several plans different from the others, in a few words.
 */

/** Says for each plan what sets it apart: a trait the others lack where there is one, else where its shifts lie. */
export function charactersOf(plans: readonly Plan[], events: readonly ResponseEvent[]): string[] {
  const traits = plans.map((plan) => traitsOf(plan, events));
  const count = (words: string) => traits.filter((list) => list.includes(words)).length;
  const names = plans.map((_, at) => {
    const own = traits[at].filter((words) => count(words) === 1);
    return own.length > 0 ? own.slice(0, 2).join(', ') : ownWay(plans, at);
  });
  return names.map((name, at) => {
    const twin = plans[names.indexOf(name)];
    return twin === plans[at] ? name : `${name}, ${partingWords(plans[at], twin)}`;
  });
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
    plan.shifts.length > 1 && `${plan.shifts.length} shifts`,
    plan.terms.return !== undefined && 'comes back another way',
    strings.size === 2 && `on the ${[...strings].join(' and ')} strings`,
  ];
  return list.filter((words): words is string => words !== false);
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
  if (goals[at].length < 5 && goals.filter((other) => other.join(', ') === whole).length === 1)
    return `to ${whole}`;
  const others = plans.filter((_, other) => other !== at);
  const alone = plans[at].steps.find((step, n) =>
    others.every((other) => heldAt(step) !== heldAt(other.steps[n])),
  );
  if (alone) return `${heldWords(alone)} at note ${alone.at + 1}`;
  return partingWords(plans[at], plans[at === 0 ? 1 : 0]);
}

/** The first note at which a plan parts from another. */
function partingWords(plan: Plan, other: Plan | undefined): string {
  const parts = plan.steps.find((step, n) => other && heldAt(step) !== heldAt(other.steps[n]));
  return parts ? `${heldWords(parts)} at note ${parts.at + 1}` : 'the one way';
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
