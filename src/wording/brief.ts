import {
  CHROMATIC,
  EXTENSIONS,
  FOURTH_FINGER,
  HARMONICS,
  instrumentRecord,
  OPEN_STRINGS,
  opensBothWays,
  resolveSetup,
  SHIFT_ON,
  STYLES,
  type Finger,
  type HandFrame,
  type InstrumentName,
  type PlanRequest,
  type PositionNumber,
  type PositionRule,
  type Style,
  type TouchingPattern,
} from '../core';
import type { WordChoice } from './choice';
import { ordinal } from './grammar';
import { printed } from './notes';
import { frameWords, positionWords, stringWords } from './places';

/*
 * The words of the brief.
 */

export const OCTAVE_WORDS = ['one-octave', 'two-octave', 'three-octave', 'four-octave'] as const;

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
const WITH_THUMB: readonly Positions[] = [
  [{ from: 0.5, to: 4 }, 'half to fourth position'],
  [{ from: 0.5, to: 7 }, 'every position but thumb position'],
  [{ only: ['thumb'] }, 'thumb position only'],
];

/** Rules on positions that an instrument's teachers ask for. */
export function positionChoices(instrument: InstrumentName): WordChoice[] {
  const list = instrumentRecord(instrument).thumb ? [...POSITIONS, ...WITH_THUMB] : POSITIONS;
  return list.map(([rule, words]) => [JSON.stringify(rule), words]);
}

/** What a teacher can wish of the fingers, in words; the first choice is what holds where nothing is wished. */
interface Wish {
  readonly rule: 'openStrings' | 'fourthFinger' | 'extensions' | 'harmonics' | 'shiftOn' | 'chromatic';
  readonly label: string;
  readonly choices: readonly WordChoice[];
}

function wish<Name extends string>(
  rule: Wish['rule'],
  label: string,
  names: readonly Name[],
  words: Readonly<Record<Name, string>>,
): Wish {
  return { rule, label, choices: names.map((name) => [name, words[name]]) };
}

const WISHES: readonly Wish[] = [
  wish('openStrings', 'Open strings', OPEN_STRINGS, {
    free: 'open strings welcome',
    prefer: 'open strings wherever they fit',
    avoid: 'open strings only when needed',
    never: 'no open strings',
  }),
  wish('fourthFinger', 'Little finger', FOURTH_FINGER, {
    free: 'little finger welcome',
    prefer: 'little finger for open strings',
    'no-shift': 'no shifts with the little finger',
    avoid: 'little finger only when needed',
    never: 'no little finger',
  }),
  wish('extensions', 'Extensions', EXTENSIONS, {
    free: 'extensions welcome',
    avoid: 'extensions only when needed',
    never: 'no extensions',
    forward: 'opened forward only',
    back: 'opened back only',
  }),
  wish('harmonics', 'Harmonics', HARMONICS, {
    free: 'harmonics where they help',
    last: 'a natural harmonic on the last note',
    never: 'no harmonics',
  }),
  wish('shiftOn', 'Shifts', SHIFT_ON, { anywhere: 'shifts where they serve', semitone: 'shifts on the semitones' }),
  wish('chromatic', 'Chromatic lines', CHROMATIC, {
    slide: 'fingers sliding by semitones',
    'finger-per-semitone': 'a finger to each semitone',
  }),
];

/** What is wished of the fingers, in words. */
export const wishWords = (rules: Partial<Readonly<Record<Wish['rule'], string>>>): string[] =>
  WISHES.flatMap(({ rule, choices }) => choices.flatMap(([name, words]) => (rules[rule] === name ? [words] : [])));

/** "without the 2nd finger". */
export const sparedWords = (finger: number) => `without the ${ordinal(finger)} finger`;

/** "2 touches 1 on the A string". */
export function patternWords({ string, touch }: TouchingPattern): string {
  const [low, high] = [...touch].sort();
  return `${high} touches ${low} on the ${stringWords(string)}`;
}

/** Ways to open that only a hand in frames has. */
const OPENED: ReadonlySet<string> = new Set(['forward', 'back']);

/** The wishes that matter for what is played: how semitones in a row are fingered only where there are some. */
export function wishesFor({ instrument, material, rules }: PlanRequest): readonly Wish[] {
  const chromatic =
    material.type === 'notes' ||
    ('scale' in material && material.scale === 'chromatic') ||
    rules?.chromatic !== undefined;
  const opens = opensBothWays(instrumentRecord(instrument));
  return WISHES.filter(({ rule }) => chromatic || rule !== 'chromatic').map((one) =>
    one.rule === 'extensions' && !opens ? { ...one, choices: one.choices.filter(([name]) => !OPENED.has(name)) } : one,
  );
}

const STYLE_WORDS: Readonly<Record<Style, string>> = {
  secure: 'in secure style',
  singing: 'in singing style',
  early: 'in the style of early music',
};
export const STYLE_CHOICES: readonly WordChoice[] = STYLES.map((style) => [style, STYLE_WORDS[style]]);

const TEMPOS = [40, 60, 90, 120, 180, 240, 360];

export function tempoWords(bpm: string): string {
  return bpm === '' ? 'any tempo' : `at ${bpm} beats a minute`;
}

export const TEMPO_CHOICES: readonly WordChoice[] = ['', ...TEMPOS.map(String)].map((bpm) => [bpm, tempoWords(bpm)]);

/** All strings, or one alone. */
export function stringChoices(request: PlanRequest): WordChoice[] {
  const single = resolveSetup(request).strings.map(({ name }): WordChoice => [
    JSON.stringify([name]),
    `on the ${printed(name)} string alone`,
  ]);
  return [['null', 'all strings'], ...single];
}

/** "finger 3, the G string" and the like: what a lock or a forbidding names. */
export function demandWords(
  {
    finger,
    string,
    position,
    shift,
    harmonic,
    frame,
  }: {
    readonly frame?: HandFrame;
    readonly harmonic?: true;
    readonly shift?: true;
    readonly finger?: Finger;
    readonly string?: string;
    readonly position?: PositionNumber;
  },
  instrument: InstrumentName,
): string {
  const parts = [
    ...(finger === undefined ? [] : [fingerName(finger)]),
    ...(string === undefined ? [] : [`the ${stringWords(string)}`]),
    ...(position === undefined ? [] : [positionWords(position, instrument)]),
    ...(harmonic ? ['a natural harmonic'] : []),
    ...(frame ? [frameWords(frame, {})] : []),
    ...(shift ? ['a shift to here'] : []),
  ];
  return parts.join(', ');
}

function fingerName(finger: Finger): string {
  return finger === 'T' ? 'thumb' : finger === 0 ? 'open' : `finger ${finger}`;
}
