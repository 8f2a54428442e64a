import { COUNTED, ELEMENTS, FELT, HAND_FRAMES, MOMENTS, PROBLEMS, SHIFT_KINDS, TERM_NAMES, TRAITS } from '../answers';
import { SCHOOLS, VERDICTS } from '../players';
import { BOWS, PHRASE_STARTS } from '../music';
import { PREFERENCES, STYLES } from '../rules';
import { either, oneOf, tagged, Type, type Described } from '../schema';
import { FingerSchema, PositionSchema, Rules } from './request';

/*
 * A planning response, described as the core answers it.
 */

const Count = Type.Integer({ minimum: 0 });
const Beats = Type.Number({ exclusiveMinimum: 0 });
const True = Type.Unsafe<true>({ const: true });
/** Bar lines as they were written: before the event, and inside it, in beats from its start. */
const BARS = {
  bar: Type.Optional(True),
  bars: Type.Optional(Type.Array(Type.Number({ exclusiveMinimum: 0 }), { minItems: 1 })),
};

export const ResponseEvent = either(
  { required: ['rest'] },
  Type.Object({ at: Count, rest: True, beats: Beats, ...BARS, doubleBar: Type.Optional(True) }),
  Type.Object({
    at: Count,
    pitches: Type.Array(Type.String(), { minItems: 1 }),
    midi: Type.Array(Type.Integer(), { minItems: 1 }),
    beats: Beats,
    ...BARS,
    /** A double bar stands before it. */
    doubleBar: Type.Optional(True),
    slur: Type.Optional(True),
    bow: Type.Optional(oneOf(BOWS)),
    /** Where a phrase begins, and why; the first note of all begins one without a word. */
    phrase: Type.Optional(oneOf(PHRASE_STARTS)),
    accent: Type.Optional(True),
    short: Type.Optional(True),
    /** Of two notes that are a choice of two players the one that is not planned. */
    left: Type.Optional(Type.String()),
  }),
);
export type ResponseEvent = Described<typeof ResponseEvent>;

export const StopAnswer = Type.Object({
  string: Type.String(),
  finger: FingerSchema,
  semitones: Type.Integer(),
  stopMm: Type.Number(),
  harmonic: Type.Boolean(),
  /** Only of a natural harmonic: where the finger touches the string, in semitones above the open string. */
  touch: Type.Optional(Type.Integer()),
});
export type StopAnswer = Described<typeof StopAnswer>;

/** Where the hand is: its position, and in thumb position where the thumb lies. */
const PLACE = {
  position: PositionSchema,
  /** Semitones above the nut; only in thumb position. */
  thumbAt: Type.Optional(Type.Integer({ minimum: 1 })),
};
export const HandPlace = Type.Object(PLACE);
export type HandPlace = Described<typeof HandPlace>;

/** Where each finger lies or would fall, in semitones above the open string; fingers without a place are left out. */
const FingerPlaces = Type.Partial(
  Type.Object({ 1: Type.Integer(), 2: Type.Integer(), 3: Type.Integer(), 4: Type.Integer(), T: Type.Integer() }),
);

/** What gets worse: counted, or else felt. */
const WORSE = {
  worse: Type.Array(Type.Object({ what: oneOf(COUNTED), more: Type.Integer({ minimum: 1 }) })),
  felt: Type.Optional(oneOf(FELT)),
};

/** What a reason is about. */
const ReasonData = tagged('kind', [
  // The line goes on to a note that the place the hand leaves does not have, with the hand opened as it is.
  Type.Object({ kind: oneOf(['goes-on']), at: Count, ...PLACE, frame: Type.Optional(oneOf(HAND_FRAMES)) }),
  // Both fingers of a double stop go along their strings together.
  Type.Object({ kind: oneOf(['both-slide']) }),
  // What staying in the old place up to the next shift would take more of.
  Type.Object({ kind: oneOf(['staying']), ...PLACE, ...WORSE }),
  // The teacher asks for it.
  Type.Object({ kind: oneOf(['asked']) }),
  // What makes the moment good, and what the nearest other moment would be.
  Type.Object({
    kind: oneOf(['moment']),
    good: Type.Array(oneOf(MOMENTS), { minItems: 1 }),
    other: Type.Object({ at: Count, finger: FingerSchema }),
    /** Where the way is shorter here: how far the hand goes, here and there. */
    mm: Type.Optional(Type.Tuple([Type.Number(), Type.Number()])),
  }),
  // The hand moves for each of a row of double stops that keep their frame, up to an event; told once.
  Type.Object({ kind: oneOf(['passage']), frame: oneOf(['octaves', 'thumb']), to: Count }),
  // After a rest so long the hand has time to be anywhere.
  Type.Object({ kind: oneOf(['after-rest']) }),
  // The line stays on a string for its colour, up to an event.
  Type.Object({ kind: oneOf(['sung']), string: Type.String(), to: Count }),
  // Music comes again and keeps its fingers; where it stood before.
  Type.Object({ kind: oneOf(['again']), at: Count }),
  // A figure comes again and keeps its fingers; where it stood before.
  Type.Object({ kind: oneOf(['sequence']), at: Count }),
  // What shifting at another moment, the nearest there is, would take more of.
  Type.Object({ kind: oneOf(['elsewhere']), at: Count, ...WORSE }),
  // A note that can be held no other way.
  Type.Object({ kind: oneOf(['only-way']), at: Count, element: oneOf(ELEMENTS) }),
  // What gets worse without an element.
  Type.Object({ kind: oneOf(['without']), element: oneOf(ELEMENTS), ...WORSE }),
]);

export const Reason = Type.Object({
  /** Of a shift: why the hand shifts at all, or why here. */
  question: Type.Optional(oneOf(['why', 'why-here'])),
  code: Type.String(),
  /** How much dearer the cheapest plan without the element is; left out where there is none. */
  loss: Type.Optional(Type.Number()),
  data: ReasonData,
});
export type Reason = Described<typeof Reason>;

export const Step = Type.Object({
  at: Count,
  stops: Type.Array(StopAnswer, { minItems: 1 }),
  ...PLACE,
  /** What playing it and getting to it costs; with the term `return` they add up to the plan's cost. */
  cost: Type.Number({ minimum: 0 }),
  extended: Type.Boolean(),
  /** True where a finger lies closer than its place while the hand stays. */
  contracted: Type.Boolean(),
  /** True where the hand leans a semitone out of its position on a fixed thumb (double bass, pivot school). */
  leaned: Type.Optional(True),
  /** Where the hand lies in frames, on the neck: closed, or opened or leaned up or back. */
  frame: Type.Optional(oneOf(HAND_FRAMES)),
  /** Where the first and the fourth finger (or the last that has a place) lie, in mm from the nut: the width of the hand. */
  handMm: Type.Tuple([Type.Number(), Type.Number()]),
  hand: FingerPlaces,
  /** Why an extension, the little finger or an open string is used here, or why the hand stays; only where the request asks to explain all. */
  reasons: Type.Optional(Type.Array(Reason)),
});
export type Step = Described<typeof Step>;

export const Shift = Type.Object({
  from: Count,
  to: Count,
  fromFinger: FingerSchema,
  toFinger: FingerSchema,
  fromPosition: PositionSchema,
  toPosition: PositionSchema,
  /** Told where the position stays the same and the hand lies in frames. */
  fromFrame: Type.Optional(oneOf(HAND_FRAMES)),
  toFrame: Type.Optional(oneOf(HAND_FRAMES)),
  /** How far the hand travels: the guiding finger's way. */
  semitones: Type.Number({ exclusiveMinimum: 0 }),
  travelMm: Type.Number({ exclusiveMinimum: 0 }),
  kind: oneOf(SHIFT_KINDS),
  /** The finger that carries the hand, and the guide note: its place in the old position where the new finger leads, else in the new one. None into thumb position. */
  guide: Type.Optional(Type.Object({ finger: FingerSchema, string: Type.String(), pitch: Type.String() })),
  reasons: Type.Array(Reason),
});
export type Shift = Described<typeof Shift>;

export const ReachAnswer = Type.Object({
  at: Count,
  fingers: Type.Tuple([FingerSchema, FingerSchema]),
  spreadMm: Type.Number({ minimum: 0 }),
  /** Spread over the fullest spread of this pair on this hand. */
  share: Type.Number({ minimum: 0 }),
  verdict: oneOf(VERDICTS),
});
export type ReachAnswer = Described<typeof ReachAnswer>;

export const FrameAnswer = Type.Object({
  from: Count,
  to: Count,
  string: Type.String(),
  ...PLACE,
  /** The fingers that played and where. */
  fingers: FingerPlaces,
  gaps: Type.Array(Type.Integer()),
});
export type FrameAnswer = Described<typeof FrameAnswer>;

/** What a way is called by: its demand. */
export const WayName = tagged('code', [
  Type.Object({
    code: oneOf([
      'no-open-string',
      'more-open-strings',
      'no-little-finger',
      'little-finger',
      'no-little-shifts',
      'no-extension',
      'same-back',
      'no-shift',
      // What was found written in a piece that was brought in.
      'as-written',
      // In singing, as the piece is played securely.
      'as-secure',
    ]),
  }),
  Type.Object({ code: oneOf(['fewer-shifts']), fewer: Type.Integer({ minimum: 1 }) }),
  Type.Object({ code: oneOf(['low', 'in-position']), position: PositionSchema }),
  Type.Object({ code: oneOf(['on-string']), string: Type.String() }),
  // A shift is left out; `instead` is where one arrives that the best plan does not have.
  Type.Object({ code: oneOf(['shift-elsewhere']), at: Count, instead: Type.Optional(Count) }),
  Type.Object({ code: oneOf(['school']), school: oneOf(SCHOOLS) }),
  // One phrase otherwise: in a position, on a string, or in a style.
  Type.Object({
    code: oneOf(['phrase']),
    from: Count,
    to: Count,
    position: Type.Optional(PositionSchema),
    string: Type.Optional(Type.String()),
    style: Type.Optional(oneOf(STYLES)),
  }),
]);
export type WayName = Described<typeof WayName>;

/** A piece of a request: put into it, it makes the way the best plan. */
export const Demand = Type.Object({
  rules: Type.Optional(Rules),
  school: Type.Optional(oneOf(SCHOOLS)),
  style: Type.Optional(oneOf(STYLES)),
});
export type Demand = Described<typeof Demand>;

/** What a way has more or less of than the best plan: numbers, mm of the farthest shift and of the height, 1 where it comes back another way. */
export const TraitChange = Type.Object({ trait: oneOf(TRAITS), from: Type.Number(), to: Type.Number() });
export type TraitChange = Described<typeof TraitChange>;

const Term = oneOf(TERM_NAMES);

export const Plan = Type.Object({
  /** Of every plan but the best: what it is called by, the demand it is best under, and what changes against the best. */
  way: Type.Optional(WayName),
  demand: Type.Optional(Demand),
  changes: Type.Optional(Type.Array(TraitChange)),
  cost: Type.Number({ minimum: 0 }),
  /** Adds up to the cost; terms of zero are left out. */
  terms: Type.Partial(
    Type.Object(
      Object.fromEntries(TERM_NAMES.map((name) => [name, Type.Number()])) as Record<
        (typeof TERM_NAMES)[number],
        ReturnType<typeof Type.Number>
      >,
    ),
  ),
  steps: Type.Array(Step),
  shifts: Type.Array(Shift),
  reach: Type.Array(ReachAnswer),
  frames: Type.Array(FrameAnswer),
});
export type Plan = Described<typeof Plan>;

/** One change to the rules, as it is said: what is let in, and from which event on it is needed. */
export const RuleChange = tagged('kind', [
  Type.Object({
    kind: oneOf(['allow-open-strings', 'allow-little-finger', 'allow-extension', 'allow-harmonic']),
    at: Count,
  }),
  Type.Object({ kind: oneOf(['allow-positions']), places: Type.Array(HandPlace, { minItems: 1 }), at: Count }),
  Type.Object({ kind: oneOf(['allow-up-to']), position: PositionSchema, at: Count }),
  Type.Object({ kind: oneOf(['allow-fingers']), fingers: Type.Array(Type.Integer()), at: Count }),
  Type.Object({ kind: oneOf(['allow-strings']), strings: Type.Array(Type.String()), at: Count }),
  Type.Object({ kind: oneOf(['unlock', 'allow-again', 'harmonic-at']), at: Count }),
  Type.Object({ kind: oneOf(['allow-shifts']), most: Count }),
  // A stretch of its own is let go: its rules, that it is fingered as another, that the hand is there beforehand.
  Type.Object({ kind: oneOf(['forgo-place', 'forgo-same', 'forgo-prepare']), from: Count, to: Count }),
  Type.Object({
    kind: oneOf(['allow-little-shifts', 'forgo-visit', 'forgo-same-back', 'forgo-semitone-shifts', 'forgo-patterns']),
  }),
]);
export type RuleChange = Described<typeof RuleChange>;

export const WayOut = Type.Object({ changes: Type.Array(RuleChange, { minItems: 1 }), relax: Rules });
export type WayOut = Described<typeof WayOut>;

/** A piece of a request that stands in the place of what the request has there. */
export const Instead = Type.Object({
  material: Type.Optional(
    Type.Object({
      octaves: Type.Optional(Type.Integer({ minimum: 1, maximum: 5 })),
      tonic: Type.Optional(Type.String()),
    }),
  ),
  rules: Type.Optional(Rules),
});
export type Instead = Described<typeof Instead>;

export const Problem = Type.Object({
  code: oneOf(PROBLEMS),
  at: Count,
  /** How many double stops of a scale do not exist, so that it begins later. */
  missing: Type.Optional(Type.Integer({ minimum: 1 })),
  /** The places in force at the event, by their numbers among the rules. */
  places: Type.Optional(Type.Array(Count)),
  /** The two locks that do not go with a stretch that is to be fingered as another, by their events. */
  locks: Type.Optional(Type.Tuple([Count, Count])),
  /** The two events that no way joins, where each alone has its place. */
  fight: Type.Optional(Type.Tuple([Count, Count])),
  /** What is changed by `relax`: the smallest changes that help. */
  changes: Type.Optional(Type.Array(RuleChange)),
  relax: Type.Optional(Rules),
  /** Single changes that would each help, one of a kind, the smallest first. */
  ways: Type.Optional(Type.Array(WayOut)),
  /** Of the first problem: pieces of another request that would each leave a plan, the least change first. */
  instead: Type.Optional(Type.Array(Instead, { maxItems: 5 })),
});
export type Problem = Described<typeof Problem>;

export const TermCompared = Type.Object({ term: Term, first: Type.Number(), second: Type.Number() });
export type TermCompared = Described<typeof TermCompared>;

/** A stretch of neighbouring notes that two plans hold otherwise; events from and to are both in it. */
export const PlaceCompared = Type.Object({
  from: Count,
  to: Count,
  /** What each plan pays for these notes and for getting to each of them and on from the last. */
  firstCost: Type.Number(),
  secondCost: Type.Number(),
});
export type PlaceCompared = Described<typeof PlaceCompared>;

export const Comparison = Type.Object({
  /** Terms that either is charged for, those that differ most first. */
  terms: Type.Array(TermCompared),
  /** In the order of the line. */
  places: Type.Array(PlaceCompared),
});
export type Comparison = Described<typeof Comparison>;

/** A signature, for drawing: fifths from C major and its name. */
const KeyAnswer = Type.Object({ fifths: Type.Integer(), name: Type.String() });

/** What is other from an event on. */
export const MusicChange = Type.Object({
  at: Count,
  key: Type.Optional(KeyAnswer),
  time: Type.Optional(Type.String()),
  bpm: Type.Optional(Type.Number()),
});
export type MusicChange = Described<typeof MusicChange>;

export const PlanResponse = Type.Object({
  contract: Type.Literal(1),
  events: Type.Array(ResponseEvent),
  /** The signature the material is written in. */
  key: KeyAnswer,
  /** Time signature, and the beats before the first bar. */
  time: Type.String(),
  pickup: Type.Number({ minimum: 0 }),
  /** The number of the first bar in print, where it is another than 1. */
  firstBar: Type.Optional(Count),
  /** Changes of key, time or tempo on the way, in order; left out where there is none. */
  changes: Type.Optional(Type.Array(MusicChange)),
  plans: Type.Array(Plan, { maxItems: 11 }),
  /** Two of the plans laid side by side, where the request asked for it and both are there. */
  comparison: Type.Optional(Comparison),
  problems: Type.Array(Problem),
  /** Where the request has preferences: those without which another plan would be the best, and those that a rule overrules. */
  taste: Type.Optional(
    Type.Object({ decided: Type.Array(oneOf(PREFERENCES)), overruled: Type.Array(oneOf(PREFERENCES)) }),
  ),
});
export type PlanResponse = Described<typeof PlanResponse>;
