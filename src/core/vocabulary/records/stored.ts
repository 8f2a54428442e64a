import type { Static, TSchema } from '@sinclair/typebox';
import { CLEFS, FINGER_NAMES, LEVELS, NOTE_NAMES } from '../players';
import { closed, either, oneOf, tagged, Type, type Described } from '../schema';
import { KeptFingering } from './fingering';
import { JudgedPlace, PracticeTask, WeekItem } from './practice';
import { Quiz } from './quiz';
import { Lock, PlanRequest, PlayingFields, PositionSchema, PositionRule, Preferences } from './request';

/*
 * What is kept in the browser and in files.
 */

export const Id = Type.Unsafe<string>(Type.Ref('#/$defs/id'));
/** Milliseconds since 1970, up to the year 9999. */
export const Time = Type.Number({ minimum: 0, maximum: 253_402_300_799_999 });
export const RequestKept = Type.Unsafe<Static<typeof PlanRequest>>(Type.Ref('request'));

/** Which of the answers to its request a plan is. */
const ChoiceSchema = tagged('kind', [
  // Not planned yet: the best will be taken.
  Type.Object({ kind: oneOf(['unplanned']) }),
  // The planner's best, or another way, as it was when it was chosen.
  Type.Object({ kind: oneOf(['best', 'way']), fingering: KeptFingering }),
  // What the second version kept: a number, to be turned into the fingering it stands for.
  Type.Object({ kind: oneOf(['number']), number: Type.Integer({ minimum: 0, maximum: 9 }) }),
  // A number out of an old backup, whose fingering nobody can tell any more.
  Type.Object({ kind: oneOf(['lost']) }),
]);

/** A line that is written on a sheet. */
const SheetLine = Type.String({ pattern: '^[^]{0,400}$' });

/** A number for each device. */
const Counts = Type.Record(Type.String(), Type.Number({ minimum: 0 }));

/** A plan as it is kept: what was asked, and the fingering that was chosen. */
export const PlanRecord = Type.Object({
  id: Id,
  /** Given by the user; empty while the brief names it. */
  name: Type.String(),
  request: RequestKept,
  /** Notes as they were typed, also where they cannot be read yet; only with a list of notes. */
  typed: Type.Optional(Type.String()),
  choice: ChoiceSchema,
  /** The student it was made for; null for nobody in particular. */
  studentId: either({ type: 'string' }, Id, Type.Null()),
  tags: Type.Array(Type.String({ pattern: '^.{1,60}$' })),
  /** The plan that this one was given from, of another student. */
  givenFrom: Type.Optional(Id),
  /** The plan that this one is a drill or a rehearsal for. */
  drillFor: Type.Optional(Id),
  /** Fingers and strings as they were found written in a piece that was brought in. */
  written: Type.Optional(Type.Array(Lock)),
  /** What its sheet says besides the notes. */
  sheet: Type.Optional(Type.Object({ goal: SheetLine, reminders: SheetLine })),
  /** Its sheet was printed or saved as a PDF. */
  printed: Type.Optional(Type.Unsafe<true>({ const: true })),
  /** How often each device has written it. */
  writes: Type.Optional(Counts),
  createdAt: Time,
  changedAt: Time,
});
export type PlanRecord = Described<typeof PlanRecord>;

/** What a student plays on and with: the part of a request that the student decides. */
export const Playing = Type.Object(PlayingFields, { additionalProperties: false });
export type Playing = Described<typeof Playing>;

const SkillId = Type.String({ pattern: '^\\S{1,60}$' });

/** Where a student's path leads: one of their plans, a position, or scales. */
export const StudentGoal = tagged('kind', [
  closed({ kind: oneOf(['plan']), planId: Id }),
  closed({ kind: oneOf(['position']), position: PositionSchema }),
  closed({ kind: oneOf(['scales']), octaves: Type.Integer({ minimum: 1, maximum: 4 }) }),
]);
export type StudentGoal = Described<typeof StudentGoal>;

/** What the teacher has said about a student's path. */
export const StudentPath = closed({
  goal: Type.Optional(StudentGoal),
  /** In which order positions come; as it falls out where nothing is said. */
  order: Type.Optional(Type.Array(either({ const: 'opened' }, Type.Literal('opened'), PositionSchema))),
  /** Of a skill, that the student has it or has it not, whatever the log says. */
  words: Type.Array(closed({ skill: SkillId, has: Type.Boolean() })),
  /** Requests, as text, that are not to be steps. */
  skipped: Type.Array(Type.String()),
});
export type StudentPath = Described<typeof StudentPath>;

export const StudentRecord = Type.Object({
  id: Id,
  name: Type.String(),
  plays: Playing,
  level: oneOf(LEVELS),
  /** Positions the student knows; all where undefined. */
  positions: Type.Optional(PositionRule),
  /** Clefs the student reads, the home clef first. */
  clefs: Type.Array(oneOf(CLEFS), { minItems: 1 }),
  noteNames: oneOf(NOTE_NAMES),
  /** As the level has it where undefined: a first-year player hears low 2 and high 2. */
  fingerNames: Type.Optional(oneOf(FINGER_NAMES)),
  /** Whatever the teacher wants to remember. */
  remark: Type.String(),
  /** When the lesson is, every week: 0 is Monday. */
  lessonAt: Type.Optional(
    Type.Object({
      weekday: Type.Integer({ minimum: 0, maximum: 6 }),
      time: Type.String({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' }),
    }),
  ),
  /** A taste that was noticed for this student and accepted. */
  preferences: Type.Optional(Preferences),
  path: Type.Optional(StudentPath),
  createdAt: Time,
  changedAt: Time,
});
export type StudentRecord = Described<typeof StudentRecord>;

/** A brief kept under a name, to begin other plans from. */
export const BriefRecord = Type.Object({ id: Id, name: Type.String(), request: RequestKept, createdAt: Time });
export type BriefRecord = Described<typeof BriefRecord>;

/** Whose practice it is; empty for nobody in particular. */
export const Player = Type.String({ pattern: '^[\\w-]{0,64}$' });
/** Days that there are: months of 31 days, of 30, February, and its 29th in leap years. */
const DAYS = [
  '\\d{4}-(?:0[13578]|1[02])-(?:0[1-9]|[12]\\d|3[01])',
  '\\d{4}-(?:0[469]|11)-(?:0[1-9]|[12]\\d|30)',
  '\\d{4}-02-(?:0[1-9]|1\\d|2[0-8])',
  '(?:\\d\\d(?:0[48]|[2468][048]|[13579][26])|(?:[02468][048]|[13579][26])00)-02-29',
];
/** A day where the player is, as "2026-11-26". */
export const Day = Type.String({ pattern: `^(?:${DAYS.join('|')})$` });
/** How often each device has written a field: which of two writings is the later one follows without any clock. */
const Edits = Type.Optional(Type.Record(Type.String(), Counts));

/** What was practised in one go: an entry of the log. */
export const SessionRecord = Type.Object({
  id: Id,
  studentId: Player,
  day: Day,
  startedAt: Time,
  /** Null while it can be gone on with. */
  endedAt: either({ type: 'null' }, Type.Null(), Time),
  minutes: Type.Number({ minimum: 0, maximum: 1440 }),
  /** Of them, what each device has counted. */
  played: Type.Optional(Counts),
  /** What somebody corrected them to, and what had been counted by then. */
  corrected: Type.Optional(Type.Object({ minutes: Type.Number({ minimum: 0 }), played: Counts })),
  /** What was practised, in words that outlive the plan. */
  what: Type.String(),
  planId: Type.Optional(Id),
  /** How; an entry written by hand has none. */
  task: Type.Optional(PracticeTask),
  places: Type.Array(JudgedPlace),
  /** Beats a minute at which the whole was clean often enough. */
  reached: Type.Optional(Type.Number()),
  /** The microphone listened: what it heard lies beside the repetitions. */
  byEar: Type.Optional(Type.Unsafe<true>({ const: true })),
  /** Repetitions by how they were heard. */
  heard: Type.Object({ low: Type.Integer(), in: Type.Integer(), high: Type.Integer(), missed: Type.Integer() }),
  goal: Type.String(),
  playerWords: Type.String(),
  teacherWords: Type.String(),
  /** What the student asks the teacher. */
  question: Type.String(),
  next: Type.String(),
  edits: Edits,
  createdAt: Time,
  changedAt: Time,
});
export type SessionRecord = Described<typeof SessionRecord>;

/** A card to be asked again and again. */
export const CardRecord = Type.Object({
  id: Id,
  studentId: Player,
  deck: Type.String(),
  planId: Type.Optional(Id),
  quiz: Quiz,
  createdAt: Time,
  changedAt: Time,
});
export type CardRecord = Described<typeof CardRecord>;

/** One answer to a card; nothing of it is ever changed. */
export const AnswerRecord = Type.Object({
  id: Id,
  cardId: Id,
  studentId: Player,
  at: Time,
  right: Type.Boolean(),
  /** How long it took, in ms. */
  took: Type.Number({ minimum: 0 }),
  /** Among how many choices, where it was chosen. */
  among: Type.Optional(Type.Integer({ minimum: 1 })),
  /** What the student said of an earlier answer, which this row is about: nothing of that one is changed. */
  said: Type.Optional(oneOf(['easy', 'guessed'])),
  about: Type.Optional(Id),
});
export type AnswerRecord = Described<typeof AnswerRecord>;

/** A lesson: what was assigned, and the week's work as the teacher has it. */
export const LessonRecord = Type.Object({
  id: Id,
  studentId: Player,
  day: Day,
  /** Minutes a day that the student has. */
  minutes: Type.Integer({ minimum: 1, maximum: 600 }),
  assigned: Type.Array(
    Type.Object({ planId: Id, what: Type.String(), goalBpm: Type.Optional(Type.Number()), words: Type.String() }),
  ),
  items: Type.Array(WeekItem),
  goal: Type.String(),
  words: Type.String(),
  edits: Edits,
  createdAt: Time,
  changedAt: Time,
});
export type LessonRecord = Described<typeof LessonRecord>;

/** Pages of plans that belong together: keys and materials, or a position learned. A page that was opened is a plan of its own, by the same id. */
export const BookRecord = Type.Object({
  id: Id,
  studentId: Player,
  name: Type.String(),
  /** What it was made of, to be changed and made again. */
  ask: tagged('kind', [
    Type.Object({
      kind: oneOf(['keys']),
      keys: Type.Array(Type.String(), { minItems: 1 }),
      materials: Type.Array(Type.String(), { minItems: 1 }),
      octaves: Type.Array(Type.Integer({ minimum: 1, maximum: 5 }), { minItems: 1 }),
      order: oneOf(['fifths', 'difficulty']),
    }),
    Type.Object({ kind: oneOf(['position']), key: Type.String(), position: PositionSchema }),
  ]),
  pages: Type.Array(Type.Object({ id: Id, name: Type.String(), request: RequestKept })),
  createdAt: Time,
  changedAt: Time,
});
export type BookRecord = Described<typeof BookRecord>;

/** A plan that is sent to somebody, with its student or without. */
export const SentPlan = Type.Object({
  format: Type.Literal('dove-path-plan'),
  version: Type.Integer({ minimum: 1 }),
  savedAt: Type.String(),
  plan: reference<typeof PlanRecord>('plan'),
  student: Type.Optional(reference<typeof StudentRecord>('student')),
});
export type SentPlan = Described<typeof SentPlan>;

/** A record by the name of its own schema. */
function reference<T extends TSchema>(name: string) {
  return Type.Unsafe<Static<T>>(Type.Ref(name));
}

export type Choice = PlanRecord['choice'];
