import type {
  HandPlace,
  InstrumentKind,
  NoteNames,
  Plan,
  PlanResponse,
  Step,
  StopAnswer,
  TermName,
  Trait,
} from '../core';
import { placesIn } from '../core';
import { counted, listed, number } from './grammar';
import { printed, spoken } from './notes';
import {
  barWords,
  fingerWords,
  inPlace,
  placeName,
  placesWords,
  positionName,
  positionWords,
  stringWords,
  type PlaceOf,
} from './places';

/*
 * Plans: what sets one apart, what it pays for, how a note is held.
 */

/** What the words about one answer need to know. */
export interface Speech {
  readonly instrument: InstrumentKind;
  readonly names: NoteNames;
  readonly events: PlanResponse['events'];
  readonly place: PlaceOf;
}

/** How to speak of an answer. */
export function speechOf(
  instrument: InstrumentKind,
  response: Pick<PlanResponse, 'events' | 'time' | 'pickup'>,
  names: NoteNames = 'letters',
): Speech {
  return { instrument, names, events: response.events, place: placesIn(response) };
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
};

/** What another way costs against one, to a tenth: "costs 1.3 more", "costs 0.2 less", "costs the same". */
export function priceWords(more: number): string {
  const price = number(Math.abs(more), 1);
  if (price === '0.0') return 'costs the same';
  return `costs ${price} ${more > 0 ? 'more' : 'less'}`;
}

/** What sets a plan apart from the others of its answer, in a few words. */
export function characterWords(traits: readonly Trait[], speech: Speech): string {
  return traits.map((trait) => traitWords(trait, speech)).join(', ');
}

const LEAST_WORDS: Readonly<Record<Extract<Trait, { kind: 'least' }>['of'], string>> = {
  shifts: 'fewest shifts',
  height: 'stays lowest on the neck',
  crossings: 'fewest string crossings',
  travel: 'least travel',
  extensions: 'fewest extensions',
  'little-finger': 'little finger used least',
  'open-strings': 'fewest open strings',
};

function traitWords(trait: Trait, { instrument, place }: Speech): string {
  const toPosition = ({ at, position }: HandPlace & { readonly at: number }) =>
    `${positionWords(position, instrument)} at ${barWords(place(at))}`;
  switch (trait.kind) {
    case 'on-strings':
      return trait.strings.length === 1
        ? `all on the ${stringWords(trait.strings[0])}`
        : `on the ${listed(trait.strings.map((string) => printed(string)))} strings`;
    case 'stays':
      return `stays ${inPlace(trait, instrument)}`;
    case 'one-shift':
      return `one shift${trait.onSemitone ? ' on the semitone' : ''}, to ${toPosition(trait)}`;
    case 'shifts-on-semitones':
      return 'every shift on a semitone';
    case 'no-little-finger':
      return 'no little finger';
    case 'no-open-string':
      return 'no open string';
    case 'shifts-land-on-first':
      return 'every shift lands on 1';
    case 'no-extension':
      return 'no extension';
    case 'another-way-back':
      return 'comes back a different way';
    case 'least':
      return LEAST_WORDS[trait.of];
    case 'shifts-to':
      return `to ${placesWords(trait.goals.map(toPosition))}`;
    case 'held':
      return `${heldWords(trait.stops)} at ${barWords(place(trait.at))}`;
    case 'placed':
      return trait.position === 'thumb'
        ? `${placeName(trait, instrument)} at ${barWords(place(trait.at))}`
        : toPosition(trait);
    case 'only':
      return 'the only way';
  }
}

/** "4 on the D string", "open A": what is pressed where. */
function heldWords(stops: readonly StopAnswer[]): string {
  const words = stops.map(({ finger, string }) => {
    if (finger === 0) return `open ${printed(string)}`;
    return `${finger === 'T' ? 'thumb' : finger} on the ${stringWords(string)}`;
  });
  return listed(words);
}

/** The way a plan goes, by its positions: "1st position throughout", "2 shifts: 1st – 3rd – 1st". */
export function planWords({ steps, shifts }: Plan, instrument: InstrumentKind): string {
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
export function stepWords(step: Step, { events, instrument, place }: Speech): string {
  const event = events[step.at];
  const pitches = event && 'pitches' in event ? listed(event.pitches.map(spoken)) : '';
  const fingers = step.stops.map(({ finger, string }) =>
    finger === 0
      ? `open ${printed(string)}`
      : `${finger === 'T' ? 'thumb' : fingerWords(finger)} on the ${stringWords(string)}`,
  );
  const hand =
    step.position === 'thumb' ? inPlace(step, instrument) : positionWords(step.position, instrument);
  const stretch = step.extended ? ', extended' : step.leaned ? ', leaning on the thumb' : '';
  return `${noteCount(events, step.at)}, ${barWords(place(step.at))}: ${pitches}, ${listed(fingers)}, ${hand}${stretch}`;
}

/** "Note 3 of 15": notes are counted, rests are not. */
export function noteCount(events: PlanResponse['events'], at: number): string {
  const notes = events.filter((event) => 'pitches' in event);
  return `Note ${notes.findIndex((event) => event.at === at) + 1} of ${notes.length}`;
}
