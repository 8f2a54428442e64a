import type { Checkpoint } from '../findings/checks';
import type { Finding } from '../findings/finding';
import type { Neighbour } from '../findings/neighbours';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import { spellInKey } from '../pitch/inkey';
import { letterSteps, midiOf, pitchName, spellAt } from '../pitch/pitch';
import type { PlanRequest, Plan, PlanResponse, ReachAnswer } from '../vocabulary';
import { drillLike, noteOf, readKey } from './drills';
import { drillKey, drillRequest, plannedNote, plannedVoice, voicesIn, type DrillNote } from './drillNotes';
import { withinHand } from './within';

/*
 * Drills for the hard places of a plan that are no shifts, and the one drill that goes with each finding.
 */

/** Letter steps above the stretch at which its drill begins: the same spread is easier higher up. */
const EASIER = 5;
/** Nobody reads a note with more sharps or flats in a drill. */
const MOST_SIGNS = 1;
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
  const name = drillKey(response, at);
  const key = readKey(name);
  const step = plan.steps.find((one) => one.at === at);
  const [low, high] = fingers.map((finger) => step?.hand[finger as keyof typeof step.hand]);
  const string = step?.stops.find(({ finger }) => fingers.includes(finger)) ?? step?.stops[0];
  const index = setup.strings.findIndex(({ name: own }) => own === string?.string);
  const open = setup.strings[index];
  if (!open || low === undefined || high === undefined) return passageDrill(request, response, plan, [at]);
  const within = withinHand(request, setup, key);
  const [under, over] = [low, high].map((stop) => spellInKey(key, open.midi + stop));
  const wide = { steps: letterSteps(over) - letterSteps(under), semitones: midiOf(over) - midiOf(under) };
  const pairs = Array.from({ length: EASIER + 1 }, (_, n) => EASIER - n).flatMap((move): DrillNote[] => {
    // As many semitones apart as the stretch: an augmented second stays one.
    const lower = move === 0 ? under : noteOf(key, letterSteps(under) + move);
    const upper = spellAt(letterSteps(lower) + wide.steps, midiOf(lower) + wide.semitones);
    if (Math.abs(upper.alteration) > MOST_SIGNS) return [];
    const pair = [lower, upper];
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
  const wanted = first === last ? [first > 0 ? first - 1 : first + 1, first] : events;
  const notes = wanted.flatMap((at) => plannedNote(response, plan, at) ?? []);
  const several = voicesIn(response, wanted);
  const voices = Array.from({ length: several > 1 ? several : 0 }, (_, voice) =>
    wanted.flatMap((at) => plannedVoice(response, plan, at, voice) ?? []),
  );
  const once = (beats: number, line: readonly DrillNote[]): DrillNote[] => [
    ...line.map((note, n) => ({ ...note, beats, bar: n === 0 })),
    { pitches: [] },
  ];
  const times = Array.from({ length: TIMES }, () => once(1, notes)).flat();
  const whole = joined(response, plan, first - 1, Math.min(last + 1, first + LONGEST));
  // Each voice of a double stop by itself before both.
  const apart = voices.flatMap((voice) => once(2, voice));
  const turned = once(1, [...notes].reverse());
  return begun(request, drillKey(response, first), [...apart, ...once(2, notes), ...times, ...turned, ...whole]);
}

/** Two checks that a comma parts, against each other: the note with the one string and with the other, in turn. */
function commaDrill(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  { note, conflict }: Extract<Finding, { kind: 'comma' }>,
): PlanRequest {
  const own = { finger: note.finger, string: setup.strings[note.string].name };
  const against = ({ string, together, above }: Checkpoint): DrillNote[] => {
    const open = setup.strings[string].name;
    const name = pitchName(note.pitch);
    // A double stop is written with its lower note on the lower string.
    if (together && above === note.string > string)
      return [{ pitches: above ? [open, name] : [name, open], beats: 4, ...own }];
    return [
      { pitches: [open], finger: 0, string: open, beats: 2 },
      { pitches: [name], beats: 2, ...own },
    ];
  };
  const turns = Array.from({ length: TIMES }, () => [
    ...bars(against(conflict.fifth)),
    ...bars(against(conflict.third)),
    { pitches: [] },
  ]).flat();
  return begun(request, drillKey(response, note.at), [...turns, ...joined(response, plan, note.at - 1, note.at + 1)]);
}

/** Of a long run of notes that nothing checks so many are compared. */
const MOST_COMPARED = 4;

/** Notes that nothing checks against their neighbours: heard there, then found anew. */
function compareDrill(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  { run, events }: Extract<Finding, { kind: 'no-check' }>,
): PlanRequest {
  const pairs = run.slice(0, MOST_COMPARED).flatMap(({ note, neighbour }): DrillNote[][] => {
    const own = plannedNote(response, plan, note.at);
    const heard = neighbour && neighbourNote(neighbour, setup);
    if (!own || !heard || note.step.stops.length > 1) return [];
    return [
      [
        ...bars([
          { ...heard, beats: 2 },
          { ...own, beats: 2 },
        ]),
        { pitches: [] },
      ],
    ];
  });
  if (pairs.length === 0) return passageDrill(request, response, plan, events);
  const turns = Array.from({ length: TIMES }, () => pairs.flat()).flat();
  const [first, last] = [events[0], events[events.length - 1]];
  return begun(request, drillKey(response, first), [
    ...turns,
    ...joined(response, plan, first - 1, Math.min(last + 1, first + LONGEST)),
  ]);
}

/** What a note is compared with, as a note to play; how it is reached is left to the plan. */
function neighbourNote(neighbour: Neighbour, setup: Setup): DrillNote | null {
  switch (neighbour.kind) {
    case 'linked': {
      const [{ pitch, string }] = neighbour.links;
      return { pitches: [pitchName(pitch)], string: setup.strings[string].name };
    }
    case 'leading':
    case 'third':
      return { pitches: [pitchName(neighbour.tonic)] };
    case 'above-dominant':
      return { pitches: [pitchName(neighbour.dominant)] };
    case 'drone':
      return null;
  }
}

/** Some notes with a bar line before them. */
function bars(notes: readonly DrillNote[]): DrillNote[] {
  return notes.map((note, at) => ({ ...note, bar: at === 0 }));
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
    case 'comma':
      return commaDrill(request, response, plan, setup, finding);
    case 'no-check':
      return compareDrill(request, response, plan, setup, finding);
    case 'lesson':
      return passageDrill(request, response, plan, finding.events.slice(0, LONGEST));
    default:
      return passageDrill(request, response, plan, finding.events);
  }
}
