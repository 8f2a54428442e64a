import { BOWS, MOST_PER_BOW } from '../material/bows';
import { BROKEN, DIRECTIONS, DOUBLE_STOPS, FIGURES, MOST_BEATS, MOST_VOICES } from '../material/spec';
import { CHORDS, SCALES } from '../pitch/scales';
import { closed, either, oneOf, tagged, Type } from './describe';

/*
 * Material, described.
 */

const Octaves = Type.Integer({ minimum: 1, maximum: 5 });
const Scale = Type.Unsafe<string>(Type.Ref('#/$defs/scale'));
const Chord = Type.Unsafe<string>(Type.Ref('#/$defs/chord'));

/** Names that several descriptions share; they stand once in the schema. */
export const NAMES_DESCRIBED = { scale: { enum: [...SCALES] }, chord: { enum: [...CHORDS] } };

/** How many notes go on one bow. */
const BOWING = { notesPerBow: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_PER_BOW })) };

const TIME_SIGNATURE = '^([1-9]|[12][0-9]|3[0-2])/(1|2|4|8|16|32)$';

/** How the bars lie: a signature, and the beats before the first bar. A beat is the lower number of the signature. */
const METRE = {
  time: Type.Optional(Type.String({ pattern: TIME_SIGNATURE })),
  pickup: Type.Optional(Type.Number({ minimum: 0, maximum: 64 })),
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

export const BrokenSpec = closed({
  type: oneOf(BROKEN),
  tonic: Type.String(),
  scale: Scale,
  octaves: Octaves,
  direction: oneOf(DIRECTIONS),
  ...BOWING,
  ...METRE,
});

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

const Beats = Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: MOST_BEATS }));
const True = Type.Unsafe<true>({ const: true });
/** True where a bar line stands before the note. */
const Bar = Type.Optional(True);

const Sounding = closed({
  pitches: Type.Array(Type.String(), { minItems: 1, maxItems: MOST_VOICES }),
  beats: Beats,
  bar: Bar,
  slur: Type.Optional(True),
  bow: Type.Optional(oneOf(BOWS)),
});
const Rest = closed({ rest: True, beats: Beats, bar: Bar });

export const NoteSpec = either({ required: ['rest'] }, Rest, Sounding);

export const NotesSpec = closed({
  type: oneOf(['notes']),
  key: Type.Optional(Type.String()),
  notes: Type.Array(NoteSpec, { minItems: 1 }),
  ...METRE,
});

export const MaterialSpec = tagged('type', [ScaleSpec, ArpeggioSpec, BrokenSpec, DoubleStopsSpec, NotesSpec]);
