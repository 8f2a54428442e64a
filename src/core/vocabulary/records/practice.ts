import { closed, either, oneOf, tagged, Type, type Described } from '../schema';
import { GROWING_UNITS, HEARD, MOST_BPM, LEAST_BPM } from '../practising';
import { FingerSchema, PositionSchema } from './request';

/*
 * What is practised and what came of it, described.
 */

const Bpm = Type.Number({ minimum: LEAST_BPM, maximum: MOST_BPM });
const Count = Type.Integer({ minimum: 0 });

/** What changes from step to step while a passage is worked at. */
export const Ladder = tagged('kind', [
  // The same again: a number of times.
  closed({ kind: oneOf(['repeat']) }),
  // The metronome from a start to a goal: by so many beats a step, or evenly in so many steps.
  closed({
    kind: oneOf(['tempo']),
    from: Bpm,
    to: Bpm,
    by: either(
      { required: ['steps'] },
      closed({ steps: Type.Integer({ minimum: 1, maximum: 60 }) }),
      closed({ beats: Type.Number({ minimum: 0, maximum: 200 }) }),
    ),
  }),
  // Beats for each note, halved step by step.
  closed({ kind: oneOf(['halves']) }),
  // Ever more notes to a bow.
  closed({ kind: oneOf(['bows']) }),
  closed({ kind: oneOf(['rhythms']) }),
  closed({ kind: oneOf(['growing']), unit: oneOf(GROWING_UNITS) }),
  // What helps is taken away bit by bit.
  closed({ kind: oneOf(['aids']) }),
  // Double stops built from their voices.
  closed({ kind: oneOf(['voices']) }),
  // The steps of a rehearsal: stretches of the notes, one after the other.
  closed({
    kind: oneOf(['parts']),
    parts: Type.Array(closed({ from: Count, to: Count, step: Type.String() }), { minItems: 1 }),
  }),
  // One place set down anew each time.
  closed({ kind: oneOf(['placing']) }),
  // A landing matched with the same pitch heard low down: alone, with the note before, in rhythm, without hearing it first.
  closed({ kind: oneOf(['matching']) }),
]);
export type Ladder = Described<typeof Ladder>;

const HeardSchema = oneOf(HEARD);

/** A place that is judged, with the kinds of place that it is. */
export const JudgedPlace = closed({ at: Count, kinds: Type.Array(Type.String()) });
export type JudgedPlace = Described<typeof JudgedPlace>;

/** How a passage is worked at. */
export const PracticeTask = closed({
  /** First and last event. */
  from: Count,
  to: Count,
  /** The one place that is judged; the whole passage where left out. */
  target: Type.Optional(Count),
  ladder: Ladder,
  /** Beats a minute where the ladder sets none. */
  bpm: Bpm,
  /** Clean times running that a step takes; of plain repetitions, how many. */
  times: Type.Integer({ minimum: 1, maximum: 50 }),
  /** Beats each note has in plain repetitions and in placing. */
  beatsEach: Type.Number({ exclusiveMinimum: 0, maximum: 16 }),
  /** Clicks to a beat. */
  clicks: Type.Integer({ minimum: 1, maximum: 4 }),
  /** True where the target is heard the easy way before each repetition. */
  hearFirst: Type.Boolean(),
  /** Reminders for the turning points, one at a time. */
  reminders: Type.Array(Type.String()),
  /** What was ticked of the checklist. */
  checked: Type.Optional(Type.Array(Type.String())),
  /** The step it begins on, from 0. */
  begin: Type.Optional(Count),
  /** True where the passage is the whole plan; left out of sessions from before that was written. */
  whole: Type.Optional(Type.Boolean()),
});
export type PracticeTask = Described<typeof PracticeTask>;

const Id = Type.Unsafe<string>(Type.Ref('#/$defs/id'));
/** Milliseconds since 1970, up to the year 9999. */
const Time = Type.Number({ minimum: 0, maximum: 253_402_300_799_999 });

/** One note as it was heard: where its finger should stand, and by how much it stood beside it, towards the bridge. */
export const HeardTry = closed({
  /** The event of the plan. */
  at: Count,
  /** By its open pitch. */
  string: Type.String(),
  /** Above the open string. */
  semitones: Type.Integer(),
  finger: FingerSchema,
  position: PositionSchema,
  cents: Type.Number(),
  mm: Type.Number(),
});
export type HeardTry = Described<typeof HeardTry>;

/** What is written with each repetition; nothing of it is ever changed. */
export const Repetition = tagged('kind', [
  Type.Object({
    kind: oneOf(['judged']),
    id: Id,
    sessionId: Id,
    /** Which of the session's, from 0. */
    number: Count,
    at: Time,
    /** The step of the ladder, what was played of the plan, and how fast. */
    step: Count,
    from: Count,
    to: Count,
    bpm: Bpm,
    heard: HeardSchema,
    /** The note that was off; null where none was, or nobody says which. */
    place: either({ type: 'null' }, Type.Null(), Count),
    /** The microphone judged it, every note; nobody typed what was off first. */
    byEar: Type.Optional(Type.Unsafe<true>({ const: true })),
  }),
  // What the microphone heard of a take, or of a repetition: every stopped note by itself.
  Type.Object({
    kind: oneOf(['heard']),
    id: Id,
    sessionId: Id,
    at: Time,
    /** The repetition that it belongs to; a take of the whole has none. */
    judged: Type.Optional(Id),
    seconds: Type.Number({ minimum: 0 }),
    /** Hertz of the player's A. */
    a4: Type.Number({ minimum: 100, maximum: 1000 }),
    tries: Type.Array(HeardTry),
    /** The causes, in words that outlive the plan. */
    said: Type.Array(Type.String()),
  }),
  Type.Object({ kind: oneOf(['taken-back']), id: Id, sessionId: Id, at: Time, judged: Id }),
]);
export type Repetition = Described<typeof Repetition>;

/** A part of a day's work. */
export const WeekItem = closed({
  kind: oneOf(['tune', 'plan', 'place', 'again', 'old', 'cards']),
  minutes: Type.Integer({ minimum: 1, maximum: 600 }),
  /** 1 for every day, 2 for every second … */
  every: Type.Integer({ minimum: 1, maximum: 60 }),
  planId: Type.Optional(Id),
  /** The kind of place that it works at. */
  about: Type.Optional(Type.String()),
  /** The teacher's words for it. */
  words: Type.Optional(Type.String()),
});
export type WeekItem = Described<typeof WeekItem>;
export type Judged = Extract<Repetition, { kind: 'judged' }>;
export type HeardTake = Extract<Repetition, { kind: 'heard' }>;
