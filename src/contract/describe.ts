import { NOTE_NAMES, CLEFS, LEVELS } from '../core';
import {
  either,
  FingerDescribed,
  JudgedPlace,
  KeptFingering,
  Lock,
  NAMES_DESCRIBED,
  oneOf,
  Plan,
  PlanRequest,
  PlanResponse,
  PlayingFields,
  PositionDescribed,
  PositionRule,
  PracticeTaskDescribed,
  PreferencesDescribed,
  Problem,
  Quiz,
  Reason,
  RepetitionDescribed,
  Shift,
  Step,
  tagged,
  Type,
  WayOut,
  WeekItem,
} from '../core/described';
import type { Static, TSchema } from '@sinclair/typebox';
import type { PlanRequest as Request } from '../core';

/*
 * The one description of what comes in, goes out and is kept. Types, JSON Schemas and validators are all made of it: npm run contract.
 */

/** A planning request. */
export const RequestDescribed = PlanRequest;

const Message = Type.String();
const WordedReason = Type.Composite([Reason, Type.Object({ message: Message })]);
const Reasons = Type.Array(WordedReason);

/** What a plan means to one ear, in words; only where it is asked for. */
const Meaning = Type.Object({
  notes: Type.Array(
    Type.Object({
      at: Type.Integer(),
      /** Against equal temperament with A4 at 440 Hz; mm from the equal stop. */
      stops: Type.Array(
        Type.Object({
          cents: Type.Number(),
          mm: Type.Number(),
          toleranceCents: Type.Number(),
          toleranceMm: Type.Number(),
        }),
      ),
      checks: Type.Array(
        Type.Object({
          /** Which of the event's stops is checked, from the lowest. */
          stop: Type.Integer(),
          string: Type.String(),
          /** 0 for the open string, else where it is touched. */
          semitones: Type.Integer(),
          interval: Type.String(),
          ratio: Type.Tuple([Type.Integer(), Type.Integer()]),
          together: Type.Boolean(),
          fits: Type.Boolean(),
          offCents: Type.Number(),
          beats: Type.Number(),
          message: Message,
        }),
      ),
      rings: Type.Array(Type.String()),
    }),
  ),
  findings: Type.Array(
    Type.Object({
      code: Type.String(),
      at: Type.Array(Type.Integer()),
      also: Type.Optional(Type.Array(Type.Array(Type.Integer()))),
      weight: Type.Number(),
      message: Message,
    }),
  ),
  cues: Type.Array(
    Type.Object({
      at: Type.Integer(),
      code: Type.String(),
      fingers: Type.Array(FingerDescribed),
      message: Message,
    }),
  ),
});

const WordedPlan = Type.Composite([
  Type.Omit(Plan, ['steps', 'shifts']),
  Type.Object({
    /** Of every plan but the best: its demand in a teacher's words, and what it buys and pays against the best. */
    name: Type.Optional(Type.String()),
    message: Type.Optional(Type.String()),
    meaning: Type.Optional(Meaning),
    steps: Type.Array(
      Type.Composite([
        Type.Omit(Step, ['reasons']),
        Type.Object({ positionName: Type.String(), reasons: Type.Optional(Reasons) }),
      ]),
    ),
    shifts: Type.Array(Type.Composite([Type.Omit(Shift, ['reasons']), Type.Object({ reasons: Reasons })])),
  }),
]);

const WordedProblem = Type.Composite([
  Type.Omit(Problem, ['ways']),
  Type.Object({
    message: Message,
    ways: Type.Optional(Type.Array(Type.Composite([WayOut, Type.Object({ words: Type.String() })]))),
  }),
]);

/** A planning response with its sentences and names, as every door gives it. */
export const ResponseDescribed = Type.Composite([
  Type.Omit(PlanResponse, ['plans', 'problems']),
  Type.Object({ plans: Type.Array(WordedPlan, { maxItems: 10 }), problems: Type.Array(WordedProblem) }),
]);

/** What is answered to a request that cannot be understood. */
export const ErrorDescribed = Type.Object({
  error: Type.Object({
    code: oneOf(['bad-request', 'internal']),
    /** What a mistake of our own is found by in the log. */
    id: Type.Optional(Type.String()),
    issues: Type.Array(Type.Object({ path: Type.String(), message: Message })),
  }),
});

const Id = Type.Unsafe<string>(Type.Ref('#/$defs/id'));
/** Milliseconds since 1970. */
const Time = Type.Number();
const RequestKept = Type.Unsafe<Request>(Type.Ref('request'));

/** Which of the answers to its request a plan is. */
const ChoiceDescribed = tagged('kind', [
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

/** A plan as it is kept: what was asked, and the fingering that was chosen. */
export const PlanRecordDescribed = Type.Object({
  id: Id,
  /** Given by the user; empty while the brief names it. */
  name: Type.String(),
  request: RequestKept,
  /** Notes as they were typed, also where they cannot be read yet; only with a list of notes. */
  typed: Type.Optional(Type.String()),
  choice: ChoiceDescribed,
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
  createdAt: Time,
  changedAt: Time,
});

/** What a student plays on and with: the part of a request that the student decides. */
export const PlayingDescribed = Type.Object(PlayingFields, { additionalProperties: false });

export const StudentRecordDescribed = Type.Object({
  id: Id,
  name: Type.String(),
  plays: PlayingDescribed,
  level: oneOf(LEVELS),
  /** Positions the student knows; all where undefined. */
  positions: Type.Optional(PositionRule),
  /** Clefs the student reads, the home clef first. */
  clefs: Type.Array(oneOf(CLEFS), { minItems: 1 }),
  noteNames: oneOf(NOTE_NAMES),
  /** Whatever the teacher wants to remember. */
  remark: Type.String(),
  /** A taste that was noticed for this student and accepted. */
  preferences: Type.Optional(PreferencesDescribed),
  createdAt: Time,
  changedAt: Time,
});

/** A brief kept under a name, to begin other plans from. */
export const BriefRecordDescribed = Type.Object({
  id: Id,
  name: Type.String(),
  request: RequestKept,
  createdAt: Time,
});

/** Whose practice it is; empty for nobody in particular. */
const Player = Type.String({ pattern: '^[\\w-]{0,64}$' });
/** A day where the player is, as "2026-11-26". */
const Day = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' });
/** How often each device has written a field: which of two writings is the later one follows without any clock. */
const Edits = Type.Optional(Type.Record(Type.String(), Type.Record(Type.String(), Type.Integer())));

/** What was practised in one go: an entry of the log. */
export const SessionRecordDescribed = Type.Object({
  id: Id,
  studentId: Player,
  day: Day,
  startedAt: Time,
  /** Null while it can be gone on with. */
  endedAt: either({ type: 'null' }, Type.Null(), Time),
  minutes: Type.Number({ minimum: 0, maximum: 1440 }),
  /** What was practised, in words that outlive the plan. */
  what: Type.String(),
  planId: Type.Optional(Id),
  /** How; an entry written by hand has none. */
  task: Type.Optional(PracticeTaskDescribed),
  places: Type.Array(JudgedPlace),
  /** Beats a minute at which the whole was clean often enough. */
  reached: Type.Optional(Type.Number()),
  /** Repetitions by how they were heard. */
  heard: Type.Object({
    low: Type.Integer(),
    in: Type.Integer(),
    high: Type.Integer(),
    missed: Type.Integer(),
  }),
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

/** A card to be asked again and again. */
export const CardRecordDescribed = Type.Object({
  id: Id,
  studentId: Player,
  deck: Type.String(),
  planId: Type.Optional(Id),
  quiz: Quiz,
  createdAt: Time,
  changedAt: Time,
});

/** One answer to a card; nothing of it is ever changed. */
export const AnswerRecordDescribed = Type.Object({
  id: Id,
  cardId: Id,
  studentId: Player,
  at: Time,
  right: Type.Boolean(),
  /** How long it took, in ms. */
  took: Type.Number({ minimum: 0 }),
});

/** A lesson: what was assigned, and the week's work as the teacher has it. */
export const LessonRecordDescribed = Type.Object({
  id: Id,
  studentId: Player,
  day: Day,
  /** Minutes a day that the student has. */
  minutes: Type.Integer({ minimum: 1, maximum: 600 }),
  assigned: Type.Array(
    Type.Object({
      planId: Id,
      what: Type.String(),
      goalBpm: Type.Optional(Type.Number()),
      words: Type.String(),
    }),
  ),
  items: Type.Array(WeekItem),
  goal: Type.String(),
  words: Type.String(),
  edits: Edits,
  createdAt: Time,
  changedAt: Time,
});

/** Pages of plans that belong together: keys and materials, or a position learned. A page that was opened is a plan of its own, by the same id. */
export const BookRecordDescribed = Type.Object({
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
    Type.Object({ kind: oneOf(['position']), key: Type.String(), position: PositionDescribed }),
  ]),
  pages: Type.Array(Type.Object({ id: Id, name: Type.String(), request: RequestKept })),
  createdAt: Time,
  changedAt: Time,
});

/** A plan that is sent to somebody, with its student or without. */
export const SentPlanDescribed = Type.Object({
  format: Type.Literal('dove-path-plan'),
  version: Type.Integer({ minimum: 1 }),
  savedAt: Type.String(),
  plan: reference<typeof PlanRecordDescribed>('plan'),
  student: Type.Optional(reference<typeof StudentRecordDescribed>('student')),
});

/** What a student takes home, or brings back. */
export const PracticeFileDescribed = Type.Object({
  format: Type.Literal('dove-path-practice'),
  version: Type.Integer({ minimum: 1 }),
  savedAt: Type.String(),
  student: reference<typeof StudentRecordDescribed>('student'),
  plans: Type.Array(reference<typeof PlanRecordDescribed>('plan')),
  ...practiceLists(),
});

/** Everything of practice, by its lists. */
function practiceLists() {
  return {
    sessions: Type.Array(reference<typeof SessionRecordDescribed>('session')),
    repetitions: Type.Array(reference<typeof RepetitionDescribed>('repetition')),
    cards: Type.Array(reference<typeof CardRecordDescribed>('card')),
    answers: Type.Array(reference<typeof AnswerRecordDescribed>('answer')),
    lessons: Type.Array(reference<typeof LessonRecordDescribed>('lesson')),
  };
}

/** A record by the name of its own schema. */
function reference<T extends TSchema>(name: string) {
  return Type.Unsafe<Static<T>>(Type.Ref(name));
}

/** A backup file. */
export const BackupDescribed = Type.Object({
  format: Type.Literal('dove-path-backup'),
  version: Type.Integer({ minimum: 1 }),
  savedAt: Type.Optional(Type.String()),
  plans: Type.Array(reference<typeof PlanRecordDescribed>('plan')),
  students: Type.Array(reference<typeof StudentRecordDescribed>('student')),
  briefs: Type.Array(reference<typeof BriefRecordDescribed>('brief')),
  books: Type.Optional(Type.Array(reference<typeof BookRecordDescribed>('book'))),
  ...practiceLists(),
  /** Rows that were damaged when the file was written, as they were found. */
  damaged: Type.Optional(Type.Array(Type.Object({ table: Type.String(), row: Type.Unknown() }))),
});

const ID = { type: 'string', pattern: '^[\\w-]{1,64}$' };

/** The JSON Schemas by the name of their file. */
export const SCHEMAS: Readonly<Record<string, object>> = {
  request: schema('request', 'A planning request, contract version 1', RequestDescribed, NAMES_DESCRIBED),
  response: schema('response', 'A planning response, contract version 1', ResponseDescribed),
  error: schema('error', 'What is answered to a request that cannot be understood', ErrorDescribed),
  plan: schema('plan', 'A kept plan', PlanRecordDescribed, { id: ID }),
  student: schema('student', 'A student', StudentRecordDescribed, { id: ID }),
  brief: schema('brief', 'A kept brief', BriefRecordDescribed, { id: ID }),
  session: schema('session', 'An entry of the practice log', SessionRecordDescribed, { id: ID }),
  repetition: schema('repetition', 'A repetition as it was judged', RepetitionDescribed, { id: ID }),
  card: schema('card', 'A card', CardRecordDescribed, { id: ID }),
  answer: schema('answer', 'An answer to a card', AnswerRecordDescribed, { id: ID }),
  lesson: schema('lesson', 'A lesson', LessonRecordDescribed, { id: ID }),
  book: schema('book', 'A book of plans', BookRecordDescribed, { id: ID }),
  'sent-plan': schema('sent-plan', 'A plan sent to somebody, version 1', SentPlanDescribed),
  'practice-file': schema('practice-file', 'A practice file, version 1', PracticeFileDescribed),
  backup: schema('backup', 'A backup file, version 5', BackupDescribed),
};

function schema(name: string, title: string, described: object, defs?: object): object {
  return { $id: `dove-path/${name}`, title, ...described, ...(defs ? { $defs: defs } : {}) };
}
