import {
  BOWS,
  BROKEN,
  DIRECTIONS,
  DIVISI,
  DOUBLE_STOPS,
  FIGURES,
  MOST_BEATS,
  MOST_PER_BOW,
  MOST_VOICES,
} from '../music';
import { closed, either, oneOf, tagged, Type, type Described } from '../schema';

/*
 * Material, described.
 */

const Octaves = Type.Integer({ minimum: 1, maximum: 5 });
const Scale = Type.Unsafe<string>(Type.Ref('#/$defs/scale'));
const Chord = Type.Unsafe<string>(Type.Ref('#/$defs/chord'));

/** How many notes go on one bow. */
const BOWING = { notesPerBow: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_PER_BOW })) };

const TIME_SIGNATURE = '^([1-9]|[12][0-9]|3[0-2])/(1|2|4|8|16|32)$';

const Time = Type.String({ pattern: TIME_SIGNATURE });

/** How the bars lie: a signature, the beats before the first bar, and the number that the first has in print. A beat is the lower number of the signature. */
const METRE = {
  time: Type.Optional(Time),
  pickup: Type.Optional(Type.Number({ minimum: 0, maximum: 64 })),
  firstBar: Type.Optional(Type.Integer({ minimum: 0, maximum: 9999 })),
};

export const ScaleSpec = closed({
  type: oneOf(['scale']),
  tonic: Type.String(),
  scale: Scale,
  octaves: Octaves,
  direction: oneOf(DIRECTIONS),
  ...BOWING,
  ...METRE,
});
export type ScaleSpec = Described<typeof ScaleSpec>;

export const ArpeggioSpec = closed({
  type: oneOf(['arpeggio']),
  figure: Type.Optional(oneOf(FIGURES)),
  tonic: Type.String(),
  chord: Chord,
  octaves: Octaves,
  direction: oneOf(DIRECTIONS),
  ...BOWING,
  ...METRE,
});
export type ArpeggioSpec = Described<typeof ArpeggioSpec>;

export const BrokenSpec = closed({
  type: oneOf(BROKEN),
  tonic: Type.String(),
  scale: Scale,
  octaves: Octaves,
  direction: oneOf(DIRECTIONS),
  ...BOWING,
  ...METRE,
});
export type BrokenSpec = Described<typeof BrokenSpec>;

export const DoubleStopsSpec = closed({
  type: oneOf(['double-stops']),
  interval: oneOf(DOUBLE_STOPS),
  tonic: Type.String(),
  scale: Scale,
  octaves: Octaves,
  direction: oneOf(DIRECTIONS),
  ...BOWING,
  ...METRE,
});
export type DoubleStopsSpec = Described<typeof DoubleStopsSpec>;

/** A number, or a fraction such as "1/3". */
const Beats = Type.Optional(
  either(
    { type: 'string' },
    Type.String({ pattern: '^[1-9][0-9]{0,4}/[1-9][0-9]{0,4}$' }),
    Type.Number({ exclusiveMinimum: 0, maximum: MOST_BEATS }),
  ),
);
const True = Type.Unsafe<true>({ const: true });
/** True where a bar line stands before the note. */
const Bar = Type.Optional(True);
/** Bar lines inside a note that is held over them, in beats from its start. */
const Bars = Type.Optional(Type.Array(Type.Number({ exclusiveMinimum: 0 }), { minItems: 1 }));

/** Where a phrase begins: true where the teacher says so, false where none does although one would be inferred. */
const PHRASE = {
  phrase: Type.Optional(Type.Boolean()),
  /** A double bar stands before it. */
  doubleBar: Type.Optional(True),
};

const Sounding = closed({
  pitches: Type.Array(Type.String(), { minItems: 1, maxItems: MOST_VOICES }),
  beats: Beats,
  bar: Bar,
  bars: Bars,
  /** Held on into the next note, which has the same pitches. */
  tie: Type.Optional(True),
  slur: Type.Optional(True),
  bow: Type.Optional(oneOf(BOWS)),
  ...PHRASE,
  accent: Type.Optional(True),
  /** A dot over the note: it is left before its time is out. */
  short: Type.Optional(True),
  /** Two notes that no hand can stop together are a choice of two players; which of them is planned. */
  divisi: Type.Optional(oneOf(DIVISI)),
});
const Rest = closed({ rest: True, beats: Beats, bar: Bar, bars: Bars, ...PHRASE });

export const NoteSpec = either({ required: ['rest'] }, Rest, Sounding);
export type NoteSpec = Described<typeof NoteSpec>;

/** What is other from an event on. A beat stays the length it had at the beginning. */
export const ChangeSpec = closed({
  /** The event, counted from 0. */
  at: Type.Integer({ minimum: 1 }),
  key: Type.Optional(Type.String()),
  time: Type.Optional(Time),
  bpm: Type.Optional(Type.Number({ minimum: 10, maximum: 400 })),
});
export type ChangeSpec = Described<typeof ChangeSpec>;

export const NotesSpec = closed({
  type: oneOf(['notes']),
  key: Type.Optional(Type.String()),
  notes: Type.Array(NoteSpec, { minItems: 1 }),
  changes: Type.Optional(Type.Array(ChangeSpec)),
  ...METRE,
});
export type NotesSpec = Described<typeof NotesSpec>;

export const MaterialSpec = tagged('type', [ScaleSpec, ArpeggioSpec, BrokenSpec, DoubleStopsSpec, NotesSpec]);
export type MaterialSpec = Described<typeof MaterialSpec>;
/** Material that is made from where it begins: all but notes of one's own. */
export type RunSpec = Exclude<MaterialSpec, { type: 'notes' }>;
