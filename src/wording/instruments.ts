import {
  HAND_SIZES,
  instrumentRecord,
  type Clef,
  type HandSize,
  type InstrumentName,
  type Level,
  type OddMeasure,
  type School,
  schoolsOf,
} from '../core';
import type { WordChoice } from './choice';

/*
 * Instruments, their sizes, strings and players.
 */

const INSTRUMENT_WORDS: Readonly<Record<InstrumentName, string>> = {
  violin: 'violin',
  viola: 'viola',
  cello: 'cello',
  bass: 'double bass',
};

interface ClassNames {
  readonly many: string;
  readonly short: string;
}

const CLASS_NAMES: Readonly<Record<InstrumentName, ClassNames>> = {
  violin: { many: 'Violins', short: 'Vn.' },
  viola: { many: 'Violas', short: 'Va.' },
  cello: { many: 'Cellos', short: 'Vc.' },
  bass: { many: 'Basses', short: 'Db.' },
};

/** What the players of an instrument are called in a class, and in its score. */
export const classNames = (instrument: InstrumentName): ClassNames => CLASS_NAMES[instrument];

export function instrumentWords(instrument: InstrumentName): string {
  return INSTRUMENT_WORDS[instrument];
}

const FRACTIONS: ReadonlyMap<string, string> = new Map([
  ['4/4', 'full-size'],
  ['7/8', '7⁄8'],
  ['3/4', '¾'],
  ['1/2', '½'],
  ['1/4', '¼'],
  ['1/8', '1⁄8'],
  ['1/10', '1⁄10'],
  ['1/16', '1⁄16'],
]);

export function sizeWords(instrument: InstrumentName, size: string): string {
  if (instrumentRecord(instrument).sizesIn === 'fractions') return FRACTIONS.get(size) ?? size;
  return size.endsWith('.5') ? `${Math.floor(Number(size))}½-inch` : `${size}-inch`;
}

/** Sizes with the words for them. */
export function sizeChoices(instrument: InstrumentName): WordChoice[] {
  return Object.keys(instrumentRecord(instrument).sizes).map((size) => [size, sizeWords(instrument, size)]);
}

const STRINGING_WORDS: ReadonlyMap<string, string> = new Map([
  ['five-strings', 'five strings'],
  ['extension-to-c', 'an extension down to C'],
  ['solo', 'solo tuning'],
]);

/** Words for another stringing than the usual one. */
export function stringingWords(code: string): string {
  return STRINGING_WORDS.get(code) ?? code;
}

const SCHOOL_WORDS: Readonly<Record<School, string>> = {
  'one-two-four': 'one-two-four fingering',
  'four-finger': 'four-finger fingering',
  pivot: 'pivots',
};

/** The schools of an instrument; none where it has but one. */
export function schoolChoices(instrument: InstrumentName): WordChoice[] {
  return schoolsOf(instrumentRecord(instrument)).map((school) => [school, SCHOOL_WORDS[school]]);
}

const HAND_WORDS: Readonly<Record<HandSize, string>> = {
  small: 'a small hand',
  medium: 'a medium hand',
  large: 'a large hand',
};

export const HAND_CHOICES: readonly WordChoice[] = HAND_SIZES.map((size) => [size, HAND_WORDS[size]]);

/** Said wherever reach is judged for a hand that nobody has measured. */
export const REACH_UNKNOWN =
  'This hand is not measured, so its reach is unknown: all is planned as for a medium hand of this size.';

const TEACHING_FRAME_WORDS: ReadonlyMap<string, string> = new Map([
  ['perfect-fourth-1st', 'perfect fourth, 1st position'],
  ['augmented-fourth-1st', 'augmented fourth, 1st position'],
  ['perfect-fourth-4th', 'perfect fourth, 4th position'],
  ['minor-third-closed', 'minor third, closed hand'],
  ['major-third-extended', 'major third, extended'],
  ['minor-third-4th', 'minor third, 4th position'],
  ['whole-tone-half', 'whole tone, half position'],
  ['whole-tone-1st', 'whole tone, 1st position'],
  ['minor-third-four-fingers', 'minor third, four fingers'],
]);

/** A frame that every player of the instrument meets. */
export function teachingFrameWords(code: string): string {
  return TEACHING_FRAME_WORDS.get(code) ?? code;
}

export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  'first-year': 'first year',
  early: 'early',
  middle: 'middle',
  advanced: 'advanced',
};

export const CLEF_WORDS: Readonly<Record<Clef, string>> = {
  treble: 'treble',
  alto: 'alto',
  tenor: 'tenor',
  bass: 'bass',
};

/** A school of the double bass in a sentence. */
export function schoolWords(school: School): string {
  return SCHOOL_WORDS[school];
}

const ODD_WORDS: Readonly<Record<OddMeasure, string>> = {
  'small-spread': 'The full spread is less than a five-year-old’s.',
  'wide-spread': 'The full spread is more than almost anybody’s.',
  'small-fingertip': 'The fingertip is narrower than a small child’s.',
  'wide-fingertip': 'The fingertip is wider than almost anybody’s.',
};

/** Measures that may be a slip of the ruler; they are kept as they are typed. */
export function oddMeasureWords(odd: readonly OddMeasure[]): string {
  return `${odd.map((one) => ODD_WORDS[one]).join(' ')} It is kept as typed; measure again if that surprises you.`;
}
