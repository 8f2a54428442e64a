import { HAND_FRAMES } from '../answers';
import { FINGERS, HAND_SIZES, INSTRUMENT_NAMES, LEVELS, SCHOOLS } from '../players';
import { NAMED_SYSTEMS, STRING_TUNINGS } from '../music';
import {
  CHROMATIC,
  EXPLAIN,
  EXTENSIONS,
  FOURTH_FINGER,
  HARMONICS,
  LEAST_FACTOR,
  MOST_FACTOR,
  MOST_WAYS,
  OPEN_STRINGS,
  PATTERN_FINGERS,
  SHIFT_ON,
  SPARED_FINGERS,
  STYLES,
  WAYS,
  type Preference,
} from '../rules';
import { closed, either, oneOf, Type, type Described } from '../schema';
import { MaterialSpec } from './material';

/*
 * A planning request, described.
 */

export const FingerSchema = oneOf(FINGERS);
export const PositionNumbered = Type.Number({ minimum: 0.5, maximum: 20, multipleOf: 0.5 });
export const PositionSchema = either({ type: 'number' }, PositionNumbered, Type.Literal('thumb'));

export const PositionRule = either(
  { required: ['only'] },
  closed({ only: Type.Array(PositionSchema, { minItems: 1 }) }),
  closed({ from: PositionNumbered, to: PositionSchema }),
);
export type PositionRule = Described<typeof PositionRule>;

/** The event, counted from 0. */
const At = Type.Integer({ minimum: 0 });
const HELD = {
  finger: Type.Optional(FingerSchema),
  /** The string by its open pitch. */
  string: Type.Optional(Type.String()),
  position: Type.Optional(PositionSchema),
  /** Touched, where the string has a natural harmonic. */
  harmonic: Type.Optional(Type.Unsafe<true>({ const: true })),
  /** How the hand lies where it goes in frames. */
  frame: Type.Optional(oneOf(HAND_FRAMES)),
};

/** On a string two neighbouring fingers lie a semitone apart wherever both are used. */
export const TouchingPattern = closed({
  string: Type.String(),
  touch: Type.Tuple([oneOf(PATTERN_FINGERS), oneOf(PATTERN_FINGERS)]),
});
export type TouchingPattern = Described<typeof TouchingPattern>;

/** What must be at one event: a way of holding it, and that the hand moves to get there. */
export const Lock = Type.Object(
  { at: At, ...HELD, shift: Type.Optional(Type.Unsafe<true>({ const: true })) },
  { additionalProperties: false, minProperties: 2 },
);
export type Lock = Described<typeof Lock>;

/** What must not be at one event: a way of holding it that agrees with all that is named, or a shift that arrives there. */
export const Forbidding = Type.Object(
  { at: At, shift: Type.Optional(Type.Unsafe<true>({ const: true })), ...HELD },
  { additionalProperties: false, minProperties: 2 },
);
export type Forbidding = Described<typeof Forbidding>;

/** What can be demanded of a whole plan and of a stretch of it alike. */
const DEMANDS = {
  positions: Type.Optional(PositionRule),
  /** Only these, by open pitch. */
  strings: Type.Optional(Type.Array(Type.String(), { minItems: 1 })),
  openStrings: Type.Optional(oneOf(OPEN_STRINGS)),
  fourthFinger: Type.Optional(oneOf(FOURTH_FINGER)),
  extensions: Type.Optional(oneOf(EXTENSIONS)),
  /** Fingers that are not used at all. */
  fingers: Type.Optional(closed({ never: Type.Array(oneOf(SPARED_FINGERS)) })),
  /** "last": the last note, or the turning point of up and down, is touched where the string has it. */
  harmonics: Type.Optional(oneOf(HARMONICS)),
  chromatic: Type.Optional(oneOf(CHROMATIC)),
  /** "semitone": a shift arrives by a semitone step where there is one within two notes. */
  shiftOn: Type.Optional(oneOf(SHIFT_ON)),
  patterns: Type.Optional(Type.Array(TouchingPattern)),
};

/** Demands of a stretch, both ends inside: each replaces the one of the whole for these events, a later place the one of an earlier. */
export const PlaceRule = closed({ from: At, to: At, style: Type.Optional(oneOf(STYLES)), ...DEMANDS });
export type PlaceRule = Described<typeof PlaceRule>;

/** A stretch that has the strings and fingers of the one that begins at `as`, event for event. */
export const SameStretch = closed({ from: At, to: At, as: At });
export type SameStretch = Described<typeof SameStretch>;

/** The hand is in the position of event `for` by event `from`, and does not shift between. */
export const Prepared = closed({ from: At, for: At });
export type Prepared = Described<typeof Prepared>;

export const Rules = closed({
  ...DEMANDS,
  places: Type.Optional(Type.Array(PlaceRule)),
  same: Type.Optional(Type.Array(SameStretch)),
  prepare: Type.Optional(Type.Array(Prepared)),
  locks: Type.Optional(Type.Array(Lock)),
  never: Type.Optional(Type.Array(Forbidding)),
  /** The plan has two stopped notes running in each of these positions. */
  visit: Type.Optional(Type.Array(PositionSchema, { maxItems: 2 })),
  /** Most shifts, those over open strings too. */
  mostShifts: Type.Optional(Type.Integer({ minimum: 0, maximum: 4000 })),
  /** Down as up: the same string and finger wherever the way back has the same pitch. */
  sameBack: Type.Optional(Type.Boolean()),
});
export type Rules = Described<typeof Rules>;

export const Tempo = closed({
  bpm: Type.Number({ minimum: 10, maximum: 400 }),
  beatsPerNote: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 64 })),
});
export type Tempo = Described<typeof Tempo>;

const SpreadMm = Type.Number({ minimum: 20, maximum: 300 });
const HandMeasured = closed({
  relaxedMm: SpreadMm,
  fullMm: SpreadMm,
  fingertipMm: Type.Number({ minimum: 3, maximum: 40 }),
});

/** The part of a request that its player decides: the instrument as it is strung, the hand and the school. */
export const PlayingFields = {
  instrument: oneOf(INSTRUMENT_NAMES),
  /** Checked against what the instrument comes in. */
  size: Type.Optional(Type.String()),
  tuning: Type.Optional(Type.Array(Type.String(), { minItems: 3, maxItems: 6 })),
  /** Lowest note of an extension of the lowest string, such as "C1" on a double bass. */
  extensionTo: Type.Optional(Type.String()),
  stringLengthMm: Type.Optional(Type.Number({ minimum: 150, maximum: 1300 })),
  /** Where this player's fingerboard ends, in semitones above the open string. */
  fingerboardSemitones: Type.Optional(Type.Integer({ minimum: 12, maximum: 40 })),
  hand: Type.Optional(either({ type: 'object' }, HandMeasured, oneOf(HAND_SIZES))),
  school: Type.Optional(oneOf(SCHOOLS)),
};

/** What the plans are to be told of besides: targets, checks, findings and cues for one ear. */
export const MeaningAsked = closed({
  /** A system, or a table of one's own: cents against equal for each of the twelve semitones from the tonic up. */
  intonation: Type.Optional(
    either(
      { type: 'array' },
      Type.Array(Type.Number({ minimum: -100, maximum: 100 }), { minItems: 12, maxItems: 12 }),
      oneOf(NAMED_SYSTEMS),
    ),
  ),
  /** How the open strings are tuned. */
  strings: Type.Optional(oneOf(STRING_TUNINGS)),
  level: Type.Optional(oneOf(LEVELS)),
  /** What sounds along, for just intonation. */
  drone: Type.Optional(Type.String()),
});
export type MeaningAsked = Described<typeof MeaningAsked>;

const Factor = Type.Optional(Type.Number({ minimum: LEAST_FACTOR, maximum: MOST_FACTOR }));

/** A taste that was accepted: named prices times a factor. A rule on the same thing wins. */
export const Preferences = closed({
  'open-string': Factor,
  'little-finger': Factor,
  shift: Factor,
  crossing: Factor,
  extension: Factor,
  height: Factor,
} satisfies Record<Preference, unknown>);
export type Preferences = Described<typeof Preferences>;

export const PlanRequest = closed({
  ...PlayingFields,
  style: Type.Optional(oneOf(STYLES)),
  tempo: Type.Optional(Tempo),
  material: MaterialSpec,
  rules: Type.Optional(Rules),
  alternatives: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_WAYS })),
  /** Two plans of the answer, counted from 0, to be laid side by side. */
  compare: Type.Optional(Type.Tuple([Type.Integer(), Type.Integer()])),
  explain: Type.Optional(oneOf(EXPLAIN)),
  /** "brief": the ways come without reasons of their own. */
  ways: Type.Optional(oneOf(WAYS)),
  meaning: Type.Optional(MeaningAsked),
  preferences: Type.Optional(Preferences),
});
export type PlanRequest = Described<typeof PlanRequest>;
