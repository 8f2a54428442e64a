import {
  ordinal,
  resolveSetup,
  type InstrumentKind,
  type PlanRequest,
  type PositionNumber,
  type PositionRule,
} from '../core';
import { tonicClass, withTonic } from './material';
import { printed } from './words';

export { INSTRUMENTS, type InstrumentKind, type PlanRequest, type Rules } from '../core';
export * from './material';

/** A value and the words the brief shows for it. */
export type Choice = readonly [value: string, words: string];

export const OCTAVE_WORDS: readonly Choice[] = [
  ['1', 'one-octave'],
  ['2', 'two-octave'],
  ['3', 'three-octave'],
  ['4', 'four-octave'],
];

export const DIRECTION_WORDS: readonly Choice[] = [
  ['up', 'going up'],
  ['down', 'coming down'],
  ['updown', 'up and down'],
];

const positions = (rule: unknown, words: string): Choice => [JSON.stringify(rule), words];

export const POSITION_WORDS: readonly Choice[] = [
  positions(null, 'any position'),
  positions({ from: 1, to: 1 }, 'first position only'),
  positions({ from: 0.5, to: 1 }, 'half and first position'),
  positions({ from: 1, to: 3 }, 'first to third position'),
  positions({ only: [1, 3] }, 'first and third position'),
  positions({ from: 1, to: 5 }, 'first to fifth position'),
  positions({ only: [2] }, 'second position only'),
  positions({ only: [3] }, 'third position only'),
  positions({ only: [5] }, 'fifth position only'),
  positions({ only: ['thumb'] }, 'thumb position only'),
];

/** Words for any rule on positions: "1st to 6th position". */
export function positionWords(rule: PositionRule | undefined): string {
  if (!rule) return 'any position';
  const name = (position: PositionNumber) =>
    typeof position === 'string'
      ? position
      : position === 0.5
        ? 'half'
        : Number.isInteger(position)
          ? ordinal(position)
          : String(position);
  if ('only' in rule) return `${rule.only.map(name).join(' and ')} position`;
  return rule.from === rule.to
    ? `${name(rule.from)} position`
    : `${name(rule.from)} to ${name(rule.to)} position`;
}

export const OPEN_WORDS: readonly Choice[] = [
  ['free', 'open strings welcome'],
  ['prefer', 'open strings wherever they fit'],
  ['avoid', 'open strings only at need'],
  ['never', 'no open strings'],
];

export const FOURTH_WORDS: readonly Choice[] = [
  ['free', 'little finger welcome'],
  ['no-shift', 'no shifts with the little finger'],
  ['avoid', 'little finger only at need'],
  ['never', 'no little finger'],
];

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
