import { readFileSync } from 'node:fs';
import {
  midiOf,
  parsePitch,
  plan,
  resolveSetup,
  type Finger,
  type Lock,
  type Pitch,
  type PlanRequest,
  type Step,
  type Weights,
} from '../../src/core';

/** A fingering that a teacher would write: one finger an event, double stops as "low-high". */
export interface FingeringCase {
  readonly name: string;
  readonly why: string;
  readonly request: PlanRequest;
  readonly fingers: readonly (number | string)[];
  /** It must be among the first so many; five where nothing is said. */
  readonly top?: number;
  /** Why the program plans otherwise, where after thought it does. */
  readonly disagreed?: string;
}

export function readCases(file: string): FingeringCase[] {
  return JSON.parse(readFileSync(new URL(`../data/${file}.json`, import.meta.url), 'utf8'));
}

/** An open string and the fourth finger in unison below it count as one place, and so as one fingering. */
function sameFinger(step: Step, wanted: number | string, request: PlanRequest): boolean {
  if (step.stops.map((stop) => stop.finger).join('-') === String(wanted)) return true;
  if (step.stops.length > 1 || typeof wanted === 'string') return false;
  const [stop] = step.stops;
  const midi = midiOf(parsePitch(stop.string) as Pitch) + stop.semitones;
  const open = resolveSetup(request).strings.some((string) => string.midi === midi);
  return open && [0, 4].includes(wanted) && (stop.finger === 0 || stop.finger === 4);
}

/** @returns the place of the wanted fingering among the first five plans, 0 where it is not there */
export function rankOf({ request, fingers }: FingeringCase, weights?: Weights): number {
  const { plans } = plan({ ...request, alternatives: 5, explain: 'nothing' }, weights);
  return plans.findIndex((one) => one.steps.every((step, at) => sameFinger(step, fingers[at], request))) + 1;
}

/** How much dearer than the best the wanted fingering is with every finger locked; Infinity where it cannot be played. */
export function dearerBy({ request, fingers }: FingeringCase): number {
  const best = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const wanted = best.events
    .filter((event) => 'pitches' in event)
    .slice(0, fingers.length)
    .flatMap(({ at }, t) =>
      String(fingers[t])
        .split('-')
        .map((finger): Lock => ({ at, finger: Number(finger) as Finger })),
    );
  const locks = [...(request.rules?.locks ?? []), ...wanted];
  const [own] = plan({ ...request, rules: { ...request.rules, locks }, alternatives: 1, explain: 'nothing' }).plans;
  return own ? own.cost - best.plans[0].cost : Infinity;
}
