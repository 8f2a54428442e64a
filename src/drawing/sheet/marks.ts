import {
  decisiveAt,
  oursAt,
  parsePitch,
  samePlace,
  type Findings,
  type NoteNames,
  type Plan,
  type PlanResponse,
  type Step,
} from '../../core';
import type { Planned } from './sheetParts';
import { printed } from '../../wording/notes';
import { fingerSign, positionWords } from '../../wording/places';
import { extensionMarks, numeralOf } from '../marks';
import type { Over, Stretch } from '../paper/over';

/*
 * What a sheet writes over the notes of a plan.
 */

/** Fingers: at every note, only where the hand must know, where they decide, those of them that are ours, or none. */
export type FingerChoice = 'all' | 'needed' | 'decisive' | 'ours' | 'none';

export interface MarkChoices {
  readonly fingers: FingerChoice;
  /** Note names under the notes. */
  readonly names: boolean;
  readonly large: boolean;
}

/** Height of a finger in staff spaces; larger where print is large anyway, since a child looks for it first. */
const FINGER = 1.95;
const LARGE_FINGER = 2.25;

export function overOf(
  { request, response, plan, findings }: Planned,
  choices: MarkChoices,
  strings: readonly string[],
  names: NoteNames = 'letters',
): Over {
  const { steps, shifts } = plan;
  const shown = fingersAt(choices.fingers, { request, response, plan });
  const fingers = new Map<number, readonly string[]>();
  for (const step of steps) if (!shown || shown.has(step.at)) fingers.set(step.at, step.stops.map(fingerSign));
  const guides = new Map(
    shifts.flatMap(({ to, guide }) => {
      const pitch = guide && parsePitch(guide.pitch);
      return pitch ? [[to, pitch] as const] : [];
    }),
  );
  const numeral = ({ stops: [{ string }] }: Step) => numeralOf(string, strings);
  const { rings, checks } = heardAt(plan, findings);
  return {
    fingers,
    strings: stretches(steps, numeral, (a, b) => a.stops[0].string === b.stops[0].string),
    positions: stretches(steps, ({ position }) => positionWords(position, request.instrument), samePlace).map(
      (one) => ({ ...one, short: one.text.replace(/ position$/, '') }),
    ),
    guides,
    extensions: extensionMarks(steps),
    rings,
    checks,
    names: choices.names ? namesOf(response, names) : new Map(),
    marked: [],
    fingerSize: choices.large ? LARGE_FINGER : FINGER,
  };
}

/** The events whose fingers are written; null for all. */
export function fingersAt(
  choice: FingerChoice,
  planned: Pick<Planned, 'request' | 'response' | 'plan'>,
): ReadonlySet<number> | null {
  switch (choice) {
    case 'all':
      return null;
    case 'needed':
      return neededAt(planned.plan);
    case 'decisive':
      return decisiveAt(planned);
    case 'ours':
      return oursAt(planned);
    case 'none':
      return new Set();
  }
}

function stretches(
  steps: readonly Step[],
  text: (step: Step) => string,
  alike: (a: Step, b: Step) => boolean,
): Stretch[] {
  const all: { from: number; to: number; text: string }[] = [];
  steps.forEach((step, t) => {
    const before = steps[t - 1];
    if (before && alike(before, step)) all[all.length - 1].to = step.at;
    else all.push({ from: step.at, to: step.at, text: text(step) });
  });
  return all;
}

/** Where a hand must know: at the beginning, after a shift, at a change of string, at an extension, at a thumb and a harmonic. */
export function neededAt({ steps, shifts }: Plan): ReadonlySet<number> {
  const needed = new Set<number>(shifts.map(({ to }) => to));
  const extensions = extensionMarks(steps);
  steps.forEach((step, t) => {
    const before = steps[t - 1];
    const crosses = before === undefined || before.stops[0].string !== step.stops[0].string;
    const special = step.stops.some(({ finger, harmonic }) => finger === 'T' || harmonic);
    if (crosses || special || step.stops.length > 1 || extensions.has(step.at)) needed.add(step.at);
  });
  return needed;
}

/** Ringing notes that a finger stops, and checks where the hand has just arrived. */
function heardAt({ steps, shifts }: Plan, findings: Findings | undefined) {
  const rings = new Set<number>();
  const checks = new Set<number>();
  const arrivals = new Set([steps[0]?.at ?? 0, ...shifts.map(({ to }) => to)]);
  for (const { note, ringing, checks: own } of findings?.heard ?? []) {
    if (note.finger === 0) continue;
    if (ringing.clear.length > 0) rings.add(note.at);
    else if (arrivals.has(note.at) && own.some(({ fits, touch }) => fits && touch === 0)) checks.add(note.at);
  }
  return { rings, checks };
}

function namesOf({ events }: PlanResponse, names: NoteNames): Map<number, string> {
  return new Map(
    events.flatMap((event) =>
      'pitches' in event ? [[event.at, event.pitches.map((name) => printed(name, names)).join(' ')] as const] : [],
    ),
  );
}
