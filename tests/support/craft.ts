import {
  INSTRUMENT_NAMES,
  midiOf,
  parsePitch,
  plan,
  resolveSetup,
  type DoubleStopInterval,
  type InstrumentName,
  type MaterialSpec,
  type Pitch,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Setup,
  type Step,
} from '../../src/core';
import { lowestTonic } from './sweep';

/*
 * What makes a teacher wince, each kind a detector that looks at the steps alone, with how often a good teacher would let it pass.
 */

/** A planned case as the detectors look at it. */
export interface Planned {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly setup: Setup;
}

export interface Kind {
  readonly name: string;
  /** The share of cases that may show it. */
  readonly ceiling: number;
  readonly cases: readonly PlanRequest[];
  /** What is found, as a short note of where; null where nothing is. */
  readonly find: (planned: Planned) => string | null;
}

export function planned(request: PlanRequest): Planned | null {
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [first] = response.plans;
  return first ? { request, response, plan: first, setup: resolveSetup(request) } : null;
}

const KEYS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const SCALES = ['major', 'natural-minor', 'harmonic-minor', 'melodic-minor'];
const CHORDS = ['major', 'minor', 'dominant-seventh'];
type Direction = 'up' | 'down' | 'updown';

function scales(
  instrument: InstrumentName,
  octaves: readonly number[],
  directions: readonly Direction[],
  names: readonly string[] = SCALES,
  more: Partial<PlanRequest> = {},
): PlanRequest[] {
  return KEYS.flatMap((key) =>
    names.flatMap((scale) =>
      octaves.flatMap((count) =>
        directions.map((direction): PlanRequest => {
          const tonic = lowestTonic(instrument, key);
          const material: MaterialSpec = { type: 'scale', tonic, scale, octaves: count, direction };
          return { instrument, material, ...more };
        }),
      ),
    ),
  );
}

function arpeggios(instrument: InstrumentName, octaves: number, direction: Direction = 'updown'): PlanRequest[] {
  return KEYS.flatMap((key) =>
    CHORDS.map((chord): PlanRequest => {
      const tonic = lowestTonic(instrument, key);
      return { instrument, material: { type: 'arpeggio', tonic, chord, octaves, direction } };
    }),
  );
}

const thirds = (instrument: InstrumentName): PlanRequest[] =>
  KEYS.map((key) => ({
    instrument,
    material: {
      ...({ type: 'broken-thirds', tonic: lowestTonic(instrument, key) } as const),
      ...({ scale: 'major', octaves: 2, direction: 'updown' } as const),
    },
  }));

/** Everyday work: scales, arpeggios and thirds. */
const everyday = (instrument: InstrumentName): PlanRequest[] => [
  ...scales(instrument, [1, 2, 3], ['updown']),
  ...arpeggios(instrument, 2),
  ...arpeggios(instrument, 3),
  ...thirds(instrument),
];

/** Each with its finger, an x where the hand is open: "D1 D2x A0". */
export function fingersOf({ steps }: Plan): string {
  return steps
    .map(({ stops, extended, position }) =>
      stops
        .map(({ string, finger }) => `${string[0]}${finger}`)
        .join('+')
        .concat(extended ? 'x' : '', position === 'thumb' ? 't' : ''),
    )
    .join(' ');
}

const order = ({ position }: Pick<Step, 'position'>) => (position === 'thumb' ? Infinity : position);
const stringAt = ({ setup }: Planned, { stops: [{ string }] }: Step) =>
  setup.strings.findIndex(({ name }) => name === string);
const isOpen = ({ stops }: Step) => stops.every(({ finger }) => finger === 0);

/** Highest stop of first position, in semitones above the open string. */
const FIRST: Readonly<Record<InstrumentName, number>> = { violin: 7, viola: 7, cello: 5, bass: 4 };
/** From this stop of the first finger on the hand has left the low positions. */
const HIGH: Readonly<Record<InstrumentName, number>> = { violin: 7, viola: 7, cello: 7, bass: 5 };

/** A climb up a low string to a note that the next string has in first position. */
function highOnLow(one: Planned): string | null {
  const {
    plan: { steps },
    setup,
    request: { instrument },
  } = one;
  for (const step of steps) {
    const [{ semitones, finger }] = step.stops;
    const string = stringAt(one, step);
    if (finger === 0) continue;
    const midi = setup.strings[string].midi + semitones;
    const above = setup.strings.slice(string + 1).map((open) => midi - open.midi);
    const low = above.some((there) => there >= 0 && there <= FIRST[instrument]);
    const hand = step.hand[1] ?? semitones;
    if (low && hand >= HIGH[instrument]) return `note ${step.at + 1}`;
  }
  return null;
}

/**
 * A position for one stopped note between two shifts, or leaving a position and coming back within three notes. On the bass not where the hand only rocks
 * a semitone to and fro: between half and first position that is how its scales in flats go in every school but the pivot, which leans.
 */
function steppingStone({ plan: { shifts }, request: { instrument } }: Planned): string | null {
  for (let at = 1; at < shifts.length; at++) {
    const [first, second] = [shifts[at - 1], shifts[at]];
    const notes = second.from - first.to + 1;
    const back = first.fromPosition === second.toPosition && first.fromPosition !== 'thumb';
    if (instrument === 'bass' && first.semitones === 1 && second.semitones === 1) continue;
    if (notes <= 1 || (back && notes <= 2)) return `note ${first.to + 1}`;
  }
  return null;
}

/** Another string or finger for the same pitch coming down. */
function otherWayBack({ plan: { steps }, response }: Planned): string | null {
  for (let at = 0, late = steps.length - 1; at < late; at++, late--) {
    const [a, b] = [response.events[steps[at].at], response.events[steps[late].at]];
    if (!('midi' in a) || !('midi' in b) || a.midi.join() !== b.midi.join()) continue;
    const same = steps[at].stops.every(
      ({ string, finger }, n) => string === steps[late].stops[n].string && finger === steps[late].stops[n].finger,
    );
    if (!same) return `notes ${at + 1} and ${late + 1}`;
  }
  return null;
}

/** Going back down a string where the line rises, or up one where it falls. */
function againstTheLine(one: Planned): string | null {
  const { steps } = one.plan;
  const { events } = one.response;
  for (let at = 1; at < steps.length; at++) {
    const [a, b] = [events[steps[at - 1].at], events[steps[at].at]];
    if (!('midi' in a) || !('midi' in b)) continue;
    const line = Math.sign(b.midi[0] - a.midi[0]);
    const strings = Math.sign(stringAt(one, steps[at]) - stringAt(one, steps[at - 1]));
    if (line * strings < 0) return `note ${at + 1}`;
  }
  return null;
}

/** Thumb position where every note lies in the neck positions of the highest string that has it. */
function needlessThumb({ plan: { steps }, response, setup, request: { instrument } }: Planned): string | null {
  const top = setup.strings[setup.strings.length - 1].midi;
  const neck = NECK[instrument];
  const all = response.events.flatMap((event) => ('midi' in event ? event.midi : []));
  if (Math.max(...all) > top + neck) return null;
  const at = steps.findIndex(({ position }) => position === 'thumb');
  return at < 0 ? null : `note ${at + 1}`;
}
/** The highest stop of the neck positions: the fourth finger of fourth position, and what lies just above it. */
const NECK: Readonly<Record<InstrumentName, number>> = { violin: 99, viola: 99, cello: 10, bass: 10 };

/** An augmented second taken by one finger sliding, or by fingers with another between. */
function augmentedSecond({ plan: { steps, shifts }, response }: Planned): string | null {
  const landings = new Set(shifts.map(({ to }) => to));
  for (let at = 1; at < steps.length; at++) {
    const [a, b] = [steps[at - 1], steps[at]];
    const [x, y] = [a, b].map((step) => {
      const event = response.events[step.at];
      return 'pitches' in event ? (parsePitch(event.pitches[0]) as Pitch) : null;
    });
    if (
      !x ||
      !y ||
      Math.abs(midiOf(x) - midiOf(y)) !== 3 ||
      (x.letter - y.letter + 7) % 7 === 2 ||
      (y.letter - x.letter + 7) % 7 === 2
    )
      continue;
    if (a.stops[0].string !== b.stops[0].string) continue;
    const [f, g] = [a.stops[0].finger, b.stops[0].finger];
    if (f === 0 || g === 0 || f === 'T' || g === 'T') continue;
    if (landings.has(b.at) ? f === g : Math.abs(f - g) !== 1) return `note ${at + 1}: ${f}–${g}`;
  }
  return null;
}

/**
 * A hand that moves and no shift told: on the low instruments where the lowest and the highest finger (the thumb among them where it is up) leave their
 * places the same way; everywhere where two fingers go along their strings together. From pivot to its own middle the thumb stays.
 */
function movesUntold({ plan: { steps, shifts }, request: { instrument } }: Planned): string | null {
  const told = new Set(shifts.map(({ to }) => to));
  const letters = instrument === 'violin' || instrument === 'viola';
  let before: Step | null = null;
  for (const step of steps) {
    if (told.has(step.at)) before = null;
    if (isOpen(step)) continue;
    if (before && !letters && slidesAlike(before.hand, step.hand)) return `note ${step.at + 1}`;
    if (before && before.at === step.at - 1 && pairSlides(before, step)) return `note ${step.at + 1}`;
    before = step;
  }
  return null;
}

function slidesAlike(from: Step['hand'], to: Step['hand']): boolean {
  const fingers = (['T', '1', '2', '3', '4'] as const).filter((finger) => from[finger] !== undefined);
  const ways = fingers.map((finger) => Math.sign((to[finger] ?? NaN) - (from[finger] ?? NaN)));
  return ways[0] * ways[ways.length - 1] > 0;
}

function pairSlides({ stops: from }: Step, { stops: to }: Step): boolean {
  if (from.length < 2 || from.length !== to.length) return false;
  const ways = from.map(({ string, finger, semitones }, at) =>
    finger !== 0 && string === to[at].string && finger === to[at].finger ? to[at].semitones - semitones : 0,
  );
  return ways.every((way) => way * ways[0] > 0);
}

/** A harmonic touched inside a double stop. */
function touchedInside({ plan: { steps } }: Planned): string | null {
  const at = steps.findIndex(({ stops }) => stops.length > 1 && stops.some(({ harmonic }) => harmonic));
  return at < 0 ? null : `note ${at + 1}`;
}

/** The same pair of fingers twice running on the same strings. */
function samePair({ plan: { steps } }: Planned): string | null {
  const pairs = steps.map(({ stops }) => stops.map(({ string, finger }) => string + finger).join());
  const at = pairs.findIndex((pair, n) => n > 0 && pair === pairs[n - 1]);
  return at < 0 ? null : `note ${at + 1}`;
}

/** A figure that goes to and fro and changes its string. */
function changesString({ plan: { steps } }: Planned): string | null {
  const at = steps.findIndex(({ stops: [stop] }) => stop.string !== steps[0].stops[0].string);
  return at < 0 ? null : `note ${at + 1}`;
}

/** Quick slurred figures between neighbours of a scale, from the lowest string up. */
function alternating(instrument: InstrumentName): PlanRequest[] {
  const strings = resolveSetup({ instrument }).strings;
  const lowest = strings[0].midi + 2;
  return Array.from({ length: strings[3].midi + 2 - lowest }, (_, at): PlanRequest[] =>
    [1, 2].map((second) => {
      const notes = Array.from({ length: 8 }, (_, n) => ({
        pitches: [nameOf(lowest + at + (n % 2) * second)],
        beats: 0.25,
        ...(n % 4 < 3 ? { slur: true as const } : {}),
      }));
      return { instrument, tempo: { bpm: 80 }, material: { type: 'notes', key: 'C major', notes } };
    }),
  ).flat();
}

const CHROMATIC = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'G#', 'A', 'Bb', 'B'];
const nameOf = (midi: number) => `${CHROMATIC[midi % 12]}${Math.floor(midi / 12) - 1}`;

const doubleStops = (instrument: InstrumentName, intervals: readonly DoubleStopInterval[]): PlanRequest[] =>
  intervals.flatMap((interval) =>
    KEYS.map((key): PlanRequest => {
      const tonic = lowestTonic(instrument, key);
      return {
        instrument,
        material: { type: 'double-stops', interval, tonic, scale: 'major', octaves: 1, direction: 'up' },
      };
    }),
  );

/** The highest position of a plan; half position and a low first finger are one hand. */
const highest = ({ plan: { steps } }: Planned) => Math.max(1, ...steps.filter((step) => !isOpen(step)).map(order));
const crossings = (one: Planned) =>
  one.plan.steps.filter((step, at) => at > 0 && stringAt(one, step) !== stringAt(one, one.plan.steps[at - 1])).length;

/** Compared with the secure plan of the same music. */
function against(find: (one: Planned, secure: Planned) => string | null): Kind['find'] {
  return (one) => {
    const secure = planned({ ...one.request, style: 'secure' });
    return secure && find(one, secure);
  };
}

const styled = (instrument: InstrumentName, style: PlanRequest['style']) =>
  scales(instrument, [2], ['updown'], SCALES, { style });

/** Every kind with its cases. */
export function craftKinds(): Kind[] {
  return INSTRUMENT_NAMES.flatMap((kind): Kind[] => {
    const letters = kind === 'violin' || kind === 'viola';
    const bass = kind === 'bass';
    const name = (what: string) => `${kind}: ${what}`;
    return [
      {
        name: name('thumb for a phrase of the neck'),
        ceiling: 0,
        cases: letters ? [] : everyday(kind),
        find: needlessThumb,
      },
      {
        name: name('stepping stone'),
        ceiling: bass ? 0.1 : 0.02,
        // At the top of an arpeggio a place for one note is every player's.
        cases: [...scales(kind, [1, 2, 3], ['up', 'down']), ...thirds(kind)],
        find: steppingStone,
      },
      {
        name: name('one octave high on a low string'),
        ceiling: 0.05,
        cases: scales(kind, [1], ['updown']),
        find: highOnLow,
      },
      {
        name: name('two octaves high on a low string'),
        ceiling: 0.1,
        cases: scales(kind, [2], ['updown']),
        find: highOnLow,
      },
      {
        name: name('three octaves high on a low string'),
        ceiling: 0.2,
        cases: scales(kind, [3], ['updown']),
        find: highOnLow,
      },
      { name: name('arpeggio high on a low string'), ceiling: 0.15, cases: arpeggios(kind, 2), find: highOnLow },
      {
        name: name('comes down another way'),
        ceiling: bass ? 0.15 : 0.05,
        cases: scales(kind, [1, 2, 3], ['updown'], SCALES.slice(0, 3)),
        find: otherWayBack,
      },
      {
        name: name('string order against a chromatic line'),
        ceiling: 0,
        cases: scales(kind, [1, 2], ['up', 'down'], ['chromatic']),
        find: againstTheLine,
      },
      {
        name: name('string order against a scale'),
        ceiling: 0,
        cases: scales(kind, [1, 2, 3], ['up', 'down']),
        find: againstTheLine,
      },
      {
        name: name('augmented second slid or skipped'),
        ceiling: 0.05,
        cases: letters ? scales(kind, [1, 2], ['updown'], ['harmonic-minor']) : [],
        find: augmentedSecond,
      },
      {
        name: name('quick alternating second over two strings'),
        ceiling: 0,
        cases: alternating(kind),
        find: changesString,
      },
      {
        name: name('the hand moves untold'),
        ceiling: 0,
        cases: [...everyday(kind), ...(bass ? [] : doubleStops(kind, ['third', 'sixth', 'octave', 'fingered-octave']))],
        find: movesUntold,
      },
      {
        name: name('harmonic inside a double stop'),
        ceiling: 0,
        cases: bass ? [] : doubleStops(kind, ['third', 'sixth', 'octave']),
        find: touchedInside,
      },
      {
        name: name('fingered octaves slide'),
        ceiling: 0,
        cases: letters ? doubleStops(kind, ['fingered-octave']) : [],
        find: samePair,
      },
      {
        name: name('early above secure'),
        ceiling: 0,
        cases: [...styled(kind, 'early'), ...scales(kind, [1, 3], ['updown'], SCALES, { style: 'early' })],
        find: against((one, secure) => (highest(one) > highest(secure) ? 'higher' : null)),
      },
      {
        name: name('singing no different'),
        ceiling: 0.25,
        cases: styled(kind, 'singing'),
        find: against((one, secure) => (fingersOf(one.plan) === fingersOf(secure.plan) ? 'the same' : null)),
      },
      {
        name: name('singing crosses no less'),
        ceiling: 0.5,
        cases: styled(kind, 'singing'),
        find: against((one, secure) => (crossings(one) >= crossings(secure) ? 'no fewer' : null)),
      },
    ];
  }).filter(({ cases }) => cases.length > 0);
}

export interface Swept {
  readonly kind: Kind;
  readonly planned: number;
  readonly found: readonly { readonly one: Planned; readonly where: string }[];
}

/** @param step every how many of its cases are looked at */
export function sweep(kind: Kind, step = 1): Swept {
  const all = kind.cases.filter((_, at) => at % step === 0).flatMap((request) => planned(request) ?? []);
  const found = all.flatMap((one) => {
    const where = kind.find(one);
    return where === null ? [] : [{ one, where }];
  });
  return { kind, planned: all.length, found };
}
