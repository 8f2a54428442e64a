import type { Finding } from '../findings/findings';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import { signatureName } from '../pitch/key';
import { spellInKey } from '../pitch/inkey';
import { letterSteps, pitchName } from '../pitch/pitch';
import type { PlanRequest } from '../planner/request';
import type { Plan, PlanResponse, ReachAnswer } from '../planner/response';
import { drillLike, noteOf, readKey } from './drills';
import { drillRequest, plannedNote, type DrillNote } from './notes';
import { withinHand } from './within';

/*
 * Drills for the hard places of a plan that are no shifts, and the one drill that goes with each finding.
 */

/** Letter steps above the stretch at which its drill begins: the same spread is easier higher up. */
const EASIER = 5;
/** Times a pair of notes is played before it is turned round. */
const TIMES = 3;
/** Most notes of the passage that a drill ends with. */
const LONGEST = 12;

/**
 * The drill most like a stretch: the same two fingers, as many letters apart, on the same string in the same key, begun higher up where the spread is
 * smaller and brought down step by step to the stretch itself; at last with its neighbours.
 */
export function stretchDrill(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  { at, fingers }: ReachAnswer,
): PlanRequest {
  const name = signatureName(response.key.fifths);
  const key = readKey(name);
  const step = plan.steps.find((one) => one.at === at);
  const [low, high] = fingers.map((finger) => step?.hand[finger as keyof typeof step.hand]);
  const string = step?.stops.find(({ finger }) => fingers.includes(finger)) ?? step?.stops[0];
  const index = setup.strings.findIndex(({ name: own }) => own === string?.string);
  const open = setup.strings[index];
  if (!open || low === undefined || high === undefined) return passageDrill(request, response, plan, [at]);
  const within = withinHand(request, setup, key);
  const [under, over] = [low, high].map((stop) => spellInKey(key, open.midi + stop));
  const pairs = Array.from({ length: EASIER + 1 }, (_, n) => EASIER - n).flatMap((move): DrillNote[] => {
    const pair = [under, over].map((pitch) => (move === 0 ? pitch : noteOf(key, letterSteps(pitch) + move)));
    const inHand = pair.every((pitch, n) => within(pitch, fingers[n], index));
    if (move !== 0 && !inHand) return [];
    return [
      { pitches: [pitchName(pair[0])], finger: fingers[0], string: open.name, bar: true },
      { pitches: [pitchName(pair[1])], finger: fingers[1], string: open.name, beats: 2 },
      { pitches: [] },
    ];
  });
  return begun(request, name, [...pairs, ...joined(response, plan, at - 1, at + 1)]);
}

/**
 * Some notes of a plan by themselves, as they are fingered there: slowly one after the other, a few times over, turned round, and at last in their
 * place with their neighbours.
 */
export function passageDrill(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  events: readonly number[],
): PlanRequest {
  const [first, last] = [Math.min(...events), Math.max(...events)];
  const wanted = first === last ? [first > 0 ? first - 1 : first + 1, first] : [first, last];
  const notes = wanted.flatMap((at) => plannedNote(response, plan, at) ?? []);
  const once = (beats: number, line: readonly DrillNote[]): DrillNote[] => [
    ...line.map((note, n) => ({ ...note, beats, bar: n === 0 })),
    { pitches: [] },
  ];
  const times = Array.from({ length: TIMES }, () => once(1, notes)).flat();
  const whole = joined(response, plan, first - 1, Math.min(last + 1, first + LONGEST));
  return begun(request, signatureName(response.key.fifths), [
    ...once(2, notes),
    ...times,
    ...once(1, [...notes].reverse()),
    ...whole,
  ]);
}

/** Notes of the plan from one event to another, after a bar line. */
function joined(response: PlanResponse, plan: Plan, first: number, last: number): DrillNote[] {
  const notes: DrillNote[] = [];
  for (let at = Math.max(0, first); at <= last; at++) {
    const note = plannedNote(response, plan, at);
    if (note) notes.push({ ...note, bar: notes.length === 0 });
  }
  return notes;
}

/** A drill begins without a bar line. */
function begun(request: PlanRequest, key: Key['name'], [first, ...rest]: readonly DrillNote[]): PlanRequest {
  return drillRequest(request, key, first ? [{ ...first, bar: false }, ...rest] : []);
}

/** The drill for what was found: the one most like a shift or a stretch, else the notes themselves. */
export function drillForFinding(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  finding: Finding,
): PlanRequest {
  switch (finding.kind) {
    case 'shift':
      return drillLike(request, response, plan, setup, finding.detail);
    case 'stretch':
      return stretchDrill(request, response, plan, setup, finding.reach);
    default:
      return passageDrill(request, response, plan, finding.events);
  }
}
