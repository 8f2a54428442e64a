import {
  INSTRUMENT_NAMES,
  plan,
  resolveSetup,
  type DoubleStopInterval,
  type InstrumentName,
  type MaterialSpec,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Setup,
} from '../../src/core';
import { lowestTonic } from './sweep';
import {
  againstTheLine,
  augmentedSecond,
  changesString,
  highOnLow,
  isOpen,
  movesUntold,
  needlessThumb,
  order,
  otherWayBack,
  samePair,
  steppingStone,
  stringAt,
  touchedInside,
  changesWithKey,
  climbsPastOctave,
  outOfBlocks,
  strainedThird,
  unlikeFingers,
} from './wincing';

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

/** Octaves from where the thumb takes them on the two lowest strings. */
const celloOctaves = (): PlanRequest[] =>
  ['F2', 'G2', 'A2', 'Bb2', 'C3', 'D3', 'E3', 'F3'].map((tonic) => ({
    instrument: 'cello',
    material: { type: 'double-stops', interval: 'octave', tonic, scale: 'major', octaves: 1, direction: 'up' },
  }));

/** Open strings, then the same with one of the voices stopped low, and back. */
function chords(instrument: InstrumentName): PlanRequest[] {
  const open = resolveSetup({ instrument }).strings.map(({ midi }) => midi);
  return [0, 1].flatMap((lowest) =>
    [0, 1, 2].flatMap((voice) =>
      [1, 2, 3, 4].map((stopped): PlanRequest => {
        const plain = open.slice(lowest, lowest + 3);
        const other = plain.map((midi, at) => (at === voice ? midi + stopped : midi));
        const notes = [plain, other, plain].map((chord) => ({ pitches: chord.map(nameOf), beats: 1 }));
        return { instrument, material: { type: 'notes', key: 'C major', notes } };
      }),
    ),
  );
}

const doubleStops = (
  instrument: InstrumentName,
  intervals: readonly DoubleStopInterval[],
  octaves = 1,
): PlanRequest[] =>
  intervals.flatMap((interval) =>
    KEYS.map((key): PlanRequest => {
      const tonic = lowestTonic(instrument, key);
      return {
        instrument,
        material: { type: 'double-stops', interval, tonic, scale: 'major', octaves, direction: 'up' },
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
        // A cellist leaves half position for two notes and comes back in every key with many flats: told since the hand's own moves are.
        ceiling: bass ? 0.1 : kind === 'cello' ? 0.2 : 0.02,
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
        name: name('three octaves out of blocks'),
        ceiling: 0.02,
        cases: letters ? scales(kind, [3], ['up', 'down']) : [],
        find: outOfBlocks,
      },
      {
        name: name('chromatic line with other fingers on the next string'),
        ceiling: 0,
        cases: letters ? [] : scales(kind, [2], ['up', 'down'], ['chromatic']),
        find: unlikeFingers,
      },
      {
        name: name('thirds that strain the hand'),
        ceiling: 0,
        cases: letters ? [...doubleStops(kind, ['third']), ...doubleStops(kind, ['third'], 2)] : [],
        find: strainedThird,
      },
      {
        name: name('octaves past the octave of their strings'),
        ceiling: 0,
        cases: kind === 'cello' ? celloOctaves() : [],
        find: climbsPastOctave,
      },
      { name: name('chords fingered by their key'), ceiling: 0, cases: bass ? [] : chords(kind), find: changesWithKey },
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
