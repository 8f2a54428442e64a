import { laidFingers } from '../hand/finger';
import type { Setup } from '../instrument/setup';
import type { Finger, Plan } from '../vocabulary';
import type { Heard } from './heard';
import type { Played } from './played';

/*
 * What is new in music where nothing is hard yet: what a teacher says in a first lesson, in the order in which it is said.
 */

/** Fingers of one string and where they lie. */
export interface StringPattern {
  /** From the lowest. */
  readonly strings: readonly number[];
  readonly fingers: readonly Finger[];
  /** Neighbouring fingers a semitone apart. */
  readonly touching: readonly (readonly [Finger, Finger])[];
}

export type Lesson =
  /** The finger patterns, strings that are alike together. */
  | { readonly kind: 'pattern'; readonly patterns: readonly StringPattern[] }
  /** Every finger lies on the next string where it lies on this one. */
  | { readonly kind: 'same-again'; readonly from: number; readonly to: number }
  /** One finger in two places on one string. */
  | { readonly kind: 'low-high'; readonly from: Played; readonly to: Played }
  /** A stopped note that sounds like the next open string. */
  | { readonly kind: 'four-open'; readonly note: Played; readonly open: number }
  /** Fingers that come down one after the other and stay. */
  | { readonly kind: 'stay-down'; readonly notes: readonly Played[] }
  /** Notes that wake an open string. */
  | { readonly kind: 'rings'; readonly notes: readonly Heard[] }
  /** The tonic, in every place it has. */
  | { readonly kind: 'tonic'; readonly notes: readonly Played[] }
  /** Where all the rest is said: how it begins. */
  | { readonly kind: 'begins'; readonly note: Played };

/**
 * The lessons in some music, the first to be said first; never none where there is a note.
 * @param lines the notes of each event, in order
 */
export function lessonsIn(
  lines: readonly (readonly Played[])[],
  heard: readonly Heard[],
  plan: Plan,
  setup: Setup,
): Lesson[] {
  const notes = lines.flat();
  const steady = steadyPlaces(notes);
  const found = [
    patterns(steady, plan, setup),
    sameAgain(steady),
    lowHigh(notes),
    fourOpen(notes, setup),
    stayDown(lines),
    rings(heard),
    tonic(heard),
  ].filter((lesson) => lesson !== null);
  return found.length > 0 || notes.length === 0 ? found : [{ kind: 'begins', note: notes[0] }];
}

/** The events a lesson is about. */
export function eventsOf(lesson: Lesson, notes: readonly Played[]): number[] {
  const at = (of: readonly Played[]) => [...new Set(of.map((note) => note.at))];
  switch (lesson.kind) {
    case 'pattern':
      return at(playedOn(notes, lesson.patterns[0].strings[0]));
    case 'same-again':
      return at([...playedOn(notes, lesson.from).slice(0, 1), ...playedOn(notes, lesson.to).slice(0, 1)]).sort(
        (a, b) => a - b,
      );
    case 'low-high':
      return at([lesson.from, lesson.to]);
    case 'four-open':
    case 'begins':
      return at([lesson.note]);
    case 'rings':
      return at(lesson.notes.map(({ note }) => note));
    default:
      return at(lesson.notes);
  }
}

const playedOn = (notes: readonly Played[], string: number) =>
  notes.filter((note) => note.string === string && note.finger !== 0);

type Places = ReadonlyMap<number, ReadonlyMap<Finger, number>>;

/** Of each string where the fingers lie, in the position of the first stopped note; strings on which one of them has two places have no pattern. */
function steadyPlaces(notes: readonly Played[]): Places {
  const home = notes.find(({ finger }) => finger !== 0)?.step.position;
  const places = new Map<number, Map<Finger, number>>();
  const moved = new Set<number>();
  for (const { string, finger, semitones, step } of notes) {
    if (finger === 0 || step.position !== home) continue;
    const own = places.get(string) ?? new Map<Finger, number>();
    if ((own.get(finger) ?? semitones) !== semitones) moved.add(string);
    own.set(finger, semitones);
    places.set(string, own);
  }
  for (const string of moved) places.delete(string);
  return places;
}

function patterns(places: Places, plan: Plan, setup: Setup): Lesson | null {
  if (plan.shifts.length > 0) return null;
  const letters = setup.instrument.fingering.by === 'letters';
  const groups = new Map<string, StringPattern>();
  for (const [string, own] of places) {
    if (own.size < 2) continue;
    const laid = laidFingers(Object.fromEntries([...own].map(([finger, stop]) => [String(finger), stop])));
    const touching = laid.slice(1).flatMap(([finger, high], at): [Finger, Finger][] => {
      const [below, low] = laid[at];
      return high - low === 1 ? [[below, finger]] : [];
    });
    const fingers = laid.map(([finger]) => finger);
    const tag = letters ? touching.join(';') : fingers.join();
    const same = groups.get(tag);
    groups.set(tag, { fingers, touching, strings: [...(same?.strings ?? []), string].sort((a, b) => a - b) });
  }
  return groups.size > 0 ? { kind: 'pattern', patterns: [...groups.values()] } : null;
}

function sameAgain(places: Places): Lesson | null {
  for (const [string, own] of places) {
    const next = places.get(string + 1);
    if (!next || own.size < 2 || next.size !== own.size) continue;
    if ([...own].every(([finger, stop]) => next.get(finger) === stop))
      return { kind: 'same-again', from: string, to: string + 1 };
  }
  return null;
}

function lowHigh(notes: readonly Played[]): Lesson | null {
  for (const [n, note] of notes.entries()) {
    if (note.finger === 0) continue;
    const before = notes
      .slice(0, n)
      .findLast(
        (one) => one.string === note.string && one.finger === note.finger && one.step.position === note.step.position,
      );
    if (before && before.semitones !== note.semitones) return { kind: 'low-high', from: before, to: note };
  }
  return null;
}

function fourOpen(notes: readonly Played[], { strings }: Setup): Lesson | null {
  for (const note of notes) {
    const open = strings.findIndex(({ midi }, string) => midi === note.midi && string !== note.string);
    if (note.finger === 4 && open >= 0) return { kind: 'four-open', note, open };
  }
  return null;
}

/** Fingers that come down running from which the hand learns to stay. */
const RUN = 3;

function stayDown(lines: readonly (readonly Played[])[]): Lesson | null {
  let run: Played[] = [];
  for (const line of lines) {
    const [note] = line;
    const last = run.at(-1);
    const goesOn =
      last &&
      line.length === 1 &&
      note.string === last.string &&
      note.step.position === last.step.position &&
      note.at === last.at + 1 &&
      Number(note.finger) > Number(last.finger);
    if (goesOn) run.push(note);
    else run = note.finger === 0 || note.finger === 'T' || line.length > 1 ? [] : [note];
    if (run.length === RUN) return { kind: 'stay-down', notes: run };
  }
  return null;
}

/** So many are told: the ear keeps no more in mind. */
const MOST_TOLD = 3;

function rings(heard: readonly Heard[]): Lesson | null {
  const notes = onceEach(heard.filter(({ ringing }) => ringing.clear.length > 0));
  return notes.length > 0 ? { kind: 'rings', notes: notes.slice(0, MOST_TOLD) } : null;
}

function tonic(heard: readonly Heard[]): Lesson | null {
  const notes = onceEach(heard.filter((one) => one.tonic)).map(({ note }) => note);
  return notes.length > 0 ? { kind: 'tonic', notes: notes.slice(0, MOST_TOLD) } : null;
}

/** Each place once. */
function onceEach(heard: readonly Heard[]): Heard[] {
  const seen = new Set<string>();
  return heard.filter(({ note }) => {
    const tag = `${note.string}.${note.semitones}`;
    return !seen.has(tag) && seen.add(tag);
  });
}
