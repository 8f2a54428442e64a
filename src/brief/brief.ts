import {
  ordinal,
  resolveSetup,
  type InstrumentKind,
  type PlanRequest,
  type PositionNumber,
  type PositionRule,
} from '../core';
import { hasRoom, tonicClass, withTonic, type RunSpec } from './material';
import { printed } from './words';

export { INSTRUMENTS, type InstrumentKind, type PlanRequest, type Rules } from '../core';
export * from './material';

/** A value and the words the brief shows for it. */
export type Choice = readonly [value: string, words: string];

const OCTAVE_WORDS = ['one-octave', 'two-octave', 'three-octave', 'four-octave'];

/** The numbers of octaves that the instrument has in this key, and the one that is asked for. */
export function octaveChoices(request: PlanRequest, material: RunSpec): Choice[] {
  return OCTAVE_WORDS.map((words, at): Choice => [String(at + 1), words]).filter(
    ([octaves]) => Number(octaves) === material.octaves || hasRoom(request, material, Number(octaves)),
  );
}

export const DIRECTION_WORDS: readonly Choice[] = [
  ['up', 'going up'],
  ['down', 'coming down'],
  ['updown', 'up and down'],
];

type Positions = readonly [rule: PositionRule | null, words: string];

const POSITIONS: readonly Positions[] = [
  [null, 'any position'],
  [{ from: 1, to: 1 }, 'first position only'],
  [{ from: 0.5, to: 1 }, 'half and first position'],
  [{ from: 1, to: 3 }, 'first to third position'],
  [{ only: [1, 3] }, 'first and third position'],
  [{ from: 1, to: 5 }, 'first to fifth position'],
  [{ only: [2] }, 'second position only'],
  [{ only: [3] }, 'third position only'],
  [{ only: [5] }, 'fifth position only'],
];
/** Where the thumb can come up. */
const LOW_INSTRUMENTS: readonly Positions[] = [
  [{ from: 0.5, to: 4 }, 'half to fourth position'],
  [{ from: 0.5, to: 7 }, 'every position but the thumb’s'],
  [{ only: ['thumb'] }, 'thumb position only'],
];

const hasThumb = (instrument: InstrumentKind) => instrument === 'cello' || instrument === 'bass';

/** Rules on positions that an instrument's teachers ask for. */
export function positionChoices(instrument: InstrumentKind): Choice[] {
  const list = hasThumb(instrument) ? [...POSITIONS, ...LOW_INSTRUMENTS] : POSITIONS;
  return list.map(([rule, words]) => [JSON.stringify(rule), words]);
}

/** Words for any rule on positions: "1st to 6th position". */
export function positionWords(rule: PositionRule | undefined, instrument: InstrumentKind): string {
  if (!rule) return 'any position';
  const name = (position: PositionNumber) => positionName(position, instrument);
  if ('only' in rule) return `${rule.only.map(name).join(' and ')} position`;
  return rule.from === rule.to
    ? `${name(rule.from)} position`
    : `${name(rule.from)} to ${name(rule.to)} position`;
}

/** A position's number as players say it: between two numbers, cellists raise the lower one and bassists count halves. */
function positionName(position: PositionNumber, instrument: InstrumentKind): string {
  if (position === 'thumb') return position;
  if (position === 0.5) return 'half';
  const whole = Math.floor(position);
  if (whole === position) return ordinal(whole);
  return instrument === 'cello' ? `raised ${ordinal(whole)}` : `${whole}½`;
}

/** What a teacher can wish of the fingers, in words; the first choice is what holds where nothing is wished. */
interface Wish {
  readonly rule: 'openStrings' | 'fourthFinger' | 'extensions' | 'chromatic';
  readonly label: string;
  readonly choices: readonly Choice[];
}

const WISHES: readonly Wish[] = [
  {
    rule: 'openStrings',
    label: 'Open strings',
    choices: [
      ['free', 'open strings welcome'],
      ['prefer', 'open strings wherever they fit'],
      ['avoid', 'open strings only at need'],
      ['never', 'no open strings'],
    ],
  },
  {
    rule: 'fourthFinger',
    label: 'Little finger',
    choices: [
      ['free', 'little finger welcome'],
      ['no-shift', 'no shifts with the little finger'],
      ['avoid', 'little finger only at need'],
      ['never', 'no little finger'],
    ],
  },
  {
    rule: 'extensions',
    label: 'Extensions',
    choices: [
      ['free', 'extensions welcome'],
      ['avoid', 'extensions only at need'],
      ['never', 'no extensions'],
    ],
  },
  {
    rule: 'chromatic',
    label: 'Chromatic lines',
    choices: [
      ['slide', 'fingers sliding by semitones'],
      ['finger-per-semitone', 'a finger to each semitone'],
    ],
  },
];

/** The wishes that matter for what is played: how semitones in a row are fingered only where there are some. */
export function wishesFor({ material, rules }: PlanRequest): readonly Wish[] {
  const chromatic =
    material.type === 'notes' ||
    ('scale' in material && material.scale === 'chromatic') ||
    rules?.chromatic !== undefined;
  return chromatic ? WISHES : WISHES.filter(({ rule }) => rule !== 'chromatic');
}

export const STYLE_WORDS: readonly Choice[] = [
  ['secure', 'secure'],
  ['singing', 'singing'],
  ['early', 'early-lessons'],
];

export const TEMPO_WORDS: readonly Choice[] = [
  ['', 'any tempo'],
  ['40', '40 beats a minute'],
  ['60', '60 beats a minute'],
  ['90', '90 beats a minute'],
  ['120', '120 beats a minute'],
  ['180', '180 beats a minute'],
  ['240', '240 beats a minute'],
  ['360', '360 beats a minute'],
];

/** Beats a minute as the brief counts them; "" where none are named. */
export function tempoOf({ tempo }: PlanRequest): string {
  return tempo ? String(Math.round(tempo.bpm / (tempo.beatsPerNote ?? 1))) : '';
}

export const HAND_WORDS: readonly Choice[] = [
  ['small', 'a small hand'],
  ['medium', 'a medium hand'],
  ['large', 'a large hand'],
];

export const SCHOOL_WORDS: readonly Choice[] = [
  ['one-two-four', 'one-two-four fingering'],
  ['four-finger', 'four-finger fingering'],
  ['pivot', 'pivots'],
];

/** A tuning with the lowest note of its extension, as one choice. */
interface TuningChoice {
  readonly tuning?: readonly string[];
  readonly extensionTo?: string;
}

const TUNINGS: Readonly<Partial<Record<InstrumentKind, readonly (readonly [TuningChoice, string])[]>>> = {
  bass: [
    [{}, 'four strings'],
    [{ tuning: ['B0', 'E1', 'A1', 'D2', 'G2'] }, 'five strings'],
    [{ extensionTo: 'C1' }, 'an extension down to C'],
    [{ tuning: ['F#1', 'B1', 'E2', 'A2'] }, 'solo tuning'],
  ],
};

const tuningValue = ({ tuning, extensionTo }: TuningChoice) => JSON.stringify({ tuning, extensionTo });

/** Ways to string the instrument: the usual one and those that are in use beside it. */
export function tuningChoices({ instrument }: PlanRequest): Choice[] {
  const choices = TUNINGS[instrument] ?? [[{}, 'usual tuning'] as const];
  return choices.map(([choice, words]) => [tuningValue(choice), words]);
}

export function tuningOf(request: PlanRequest): string {
  return tuningValue(request);
}

/** The request on other strings; demands on the old ones fall away, and the start stays in range. */
export function withTuning(request: PlanRequest, value: string): PlanRequest {
  const { tuning, extensionTo } = JSON.parse(value) as TuningChoice;
  const rules = request.rules && { ...request.rules, strings: undefined, locks: undefined, never: undefined };
  const moved = { ...request, tuning, extensionTo, rules };
  const { material } = moved;
  return material.type === 'notes' ? moved : withTonic(moved, material, tonicClass(material));
}

/** All strings, or one alone. */
export function stringChoices(request: PlanRequest): Choice[] {
  const single = resolveSetup(request).strings.map(({ name }): Choice => [
    JSON.stringify([name]),
    `the ${printed(name)} string alone`,
  ]);
  return [['null', 'all strings'], ...single];
}
