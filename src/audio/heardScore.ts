import { hasBows, type Plan, type ResponseEvent, type Setup } from '../core';

/*
 * What is heard of a plan: when each note begins, how long it lasts and on which string, in beats.
 */

interface HeardNote {
  /** The event it belongs to. */
  readonly at: number;
  /** Beats from the start of the excerpt. */
  readonly start: number;
  readonly beats: number;
  readonly midi: number;
  /** The string it sounds on, 0 the lowest. */
  readonly string: number;
  /** Share of its length that it sounds: all of it under a bow, a little less where the bow changes. */
  readonly share: number;
  /** How strong it is, from 0 to 1; 1 where left out. */
  readonly strength?: number;
}

export interface Excerpt {
  readonly notes: readonly HeardNote[];
  /** Where each event begins, rests too, for the cursor to follow. */
  readonly moments: readonly { readonly at: number; readonly start: number }[];
  readonly beats: number;
}

/** How much of its length a note sounds: before a change of bow, and where no bowing is written. */
const BOW_CHANGE = 0.88;
const SEPARATE = 0.94;

/**
 * The part of a plan from one event to another (both heard).
 * @param from @param to events, 0 ≤ from ≤ to
 */
export function excerptOf(
  events: readonly ResponseEvent[],
  plan: Plan,
  setup: Setup,
  from: number,
  to: number,
): Excerpt {
  const steps = new Map(plan.steps.map((step) => [step.at, step]));
  const notes: HeardNote[] = [];
  const moments: { at: number; start: number }[] = [];
  const bowed = hasBows(events);
  let start = 0;
  for (const event of events.slice(from, to + 1)) {
    moments.push({ at: event.at, start });
    if ('midi' in event) {
      const stops = steps.get(event.at)?.stops ?? [];
      event.midi.forEach((midi, voice) => {
        const string = setup.strings.findIndex(({ name }) => name === stops[voice]?.string);
        const share = bowed && event.slur ? 1 : bowed ? BOW_CHANGE : SEPARATE;
        notes.push({ at: event.at, start, beats: event.beats, midi, string: Math.max(0, string), share });
      });
    }
    start += event.beats;
  }
  return { notes, moments, beats: start };
}

/** How a string sounds: the lowest round and dark, the highest bright. */
export interface Colour {
  /** Strength of each partial from the first on. */
  readonly partials: readonly number[];
  /** Where the brightness is cut, in Hz. */
  readonly cutoffHz: number;
}

/**
 * The colour of one string out of several. A thicker string is damped more at the top: its partials fall faster. Chosen by ear so that
 * two neighbours are told apart on the same note.
 */
export function colourOf(string: number, strings: number): Colour {
  const height = strings > 1 ? string / (strings - 1) : 1;
  const fall = 1.9 - 1.1 * height;
  const partials = Array.from({ length: 12 }, (_, at) => (at + 1) ** -fall);
  return { partials, cutoffHz: 1200 + 5200 * height };
}

/** A drone to play against: a pitch by its midi number and what it is called. */
export interface Drone {
  readonly midi: number;
  readonly kind: 'tonic' | 'open';
  readonly name: string;
}

/** The tonic in the octave at or just below the lowest note, and every open string. */
export function dronesFor(setup: Setup, tonic: string, tonicClass: number, lowest: number): Drone[] {
  const below = lowest - ((((lowest - tonicClass) % 12) + 12) % 12);
  return [
    { midi: below, kind: 'tonic', name: tonic },
    ...setup.strings.map(({ midi, name }) => ({ midi, kind: 'open' as const, name })),
  ];
}
