import type {
  FingerNames,
  InstrumentName,
  Level,
  NoteNames,
  Plan,
  PlanResponse,
  PositionNumber,
  Step,
  StudentRecord,
  TermName,
} from '../core';
import { instrumentRecord, lieOf, liesIn, placesIn } from '../core';
import { counted, listed } from './grammar';
import { printed, spoken } from './notes';
import {
  barWords,
  fingerWords,
  frameWords,
  positionName,
  positionWords,
  stringWords,
  thumbWords,
  type PlaceOf,
} from './places';

/*
 * Plans: what sets one apart, what it pays for, how a note is held.
 */

/** What the words about one answer need to know. */
export interface Speech {
  readonly instrument: InstrumentName;
  readonly names: NoteNames;
  readonly fingers: FingerNames;
  readonly events: PlanResponse['events'];
  readonly key: PlanResponse['key'];
  readonly place: PlaceOf;
}

/** How to speak of an answer. */
export function speechOf(
  instrument: InstrumentName,
  response: Pick<PlanResponse, 'events' | 'key' | 'time' | 'pickup' | 'firstBar' | 'changes'>,
  names: NoteNames = 'letters',
  fingers: FingerNames = 'numbers',
): Speech {
  const { events, key } = response;
  return { instrument, names, fingers, events, key, place: placesIn(response) };
}

/** How fingers are called: as chosen for the student, or as the level has it. */
export function fingerNamesOf(student: Pick<StudentRecord, 'fingerNames'> | undefined, level: Level): FingerNames {
  return student?.fingerNames ?? (level === 'first-year' ? 'low-high' : 'numbers');
}

/** "finger 2", or to a beginner "low 2". */
function stoppedWords(
  stop: Step['stops'][number],
  position: PositionNumber,
  { instrument, fingers }: Pick<Speech, 'instrument' | 'fingers'>,
): string {
  const lie = fingers === 'low-high' ? lieOf(instrumentRecord(instrument), position, stop) : null;
  return lie ? `${lie} ${stop.finger}` : stop.finger === 'T' ? 'thumb' : fingerWords(stop.finger);
}

/** Of each string what lies low or high: "A string: low 2, high 3". */
export function liesWords(plan: Plan, instrument: InstrumentName): string[] {
  const lies = [...liesIn(instrumentRecord(instrument), plan)];
  return lies.map(([string, own]) => `${printed(string)} string: ${own.map((one) => one.join(' ')).join(', ')}`);
}

/** What each term of a plan's cost is about, in a teacher's words. */
export const TERM_WORDS: Readonly<Record<TermName, string>> = {
  shift: 'shifting',
  landing: 'weak landings',
  crossing: 'string crossings',
  skip: 'skipped strings',
  extension: 'extensions',
  reach: 'stretching',
  fourth: 'the little finger',
  open: 'open strings',
  displace: 'sliding a finger by a semitone',
  height: 'being away from first position',
  colour: 'changes of colour',
  frame: 'unusual finger patterns',
  return: 'a different way back',
  repeat: 'other fingers for the same music',
};

/** The way a plan goes, by its positions: "1st position throughout", "2 shifts: 1st – 3rd – 1st". */
export function planWords({ steps, shifts }: Plan, instrument: InstrumentName): string {
  const names = steps.map(({ position }) => positionName(position, instrument));
  const run = names.filter((name, at) => name !== names[at - 1]);
  if (shifts.length === 0) return `${run[0]} position throughout`;
  const shown = run.length > 7 ? [...run.slice(0, 6), '…'] : run;
  return `${counted(shifts.length, 'shift')}: ${shown.join(' – ')}`;
}

/** The terms that make most of a plan's cost, dearest first. */
export function dearestTerms(plan: Plan, count: number): { readonly words: string; readonly cost: number }[] {
  return (Object.entries(plan.terms) as [TermName, number][])
    .sort((a, b) => b[1] - a[1])
    .slice(0, count)
    .filter(([, cost]) => cost >= 0.05)
    .map(([name, cost]) => ({ words: TERM_WORDS[name], cost }));
}

/** One note of a plan, said aloud. */
export function stepWords(step: Step, speech: Speech): string {
  const { events, instrument, place, key } = speech;
  const event = events[step.at];
  const pitches = event && 'pitches' in event ? listed(event.pitches.map(spoken)) : '';
  const fingers = step.stops.map((stop) => {
    const { finger, string } = stop;
    return finger === 0
      ? `open ${printed(string)}`
      : `${stoppedWords(stop, step.position, speech)} on the ${stringWords(string)}`;
  });
  const hand =
    step.position === 'thumb' ? thumbWords(step, step.stops[0].string, key) : positionWords(step.position, instrument);
  const touched = step.stops.some(({ harmonic }) => harmonic) ? ', touched as a harmonic' : '';
  const stretch = step.extended
    ? `, ${step.frame ? frameWords(step.frame, step) : 'extended'}`
    : step.leaned
      ? ', leaning on the thumb'
      : touched;
  return `${noteCount(events, step.at)}, ${barWords(place(step.at))}: ${pitches}, ${listed(fingers)}, ${hand}${stretch}`;
}

/** "Note 3 of 15": notes are counted, rests are not. */
export function noteCount(events: PlanResponse['events'], at: number): string {
  const notes = events.filter((event) => 'pitches' in event);
  return `Note ${notes.findIndex((event) => event.at === at) + 1} of ${notes.length}`;
}
