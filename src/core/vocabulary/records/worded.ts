import { oneOf, Type, type Described } from '../schema';
import { FingerSchema } from './request';
import { Plan, PlanResponse, Problem, Reason, Shift, Step, WayOut } from './response';

/*
 * The answer with its words put in above the core, as every door gives it.
 */

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
      /** Open strings that ring along, and those that answer faintly. */
      rings: Type.Array(Type.String()),
      faint: Type.Array(Type.String()),
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
    Type.Object({ at: Type.Integer(), code: Type.String(), fingers: Type.Array(FingerSchema), message: Message }),
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
export const PlanAnswer = Type.Composite([
  Type.Omit(PlanResponse, ['plans', 'problems']),
  Type.Object({ plans: Type.Array(WordedPlan, { maxItems: 10 }), problems: Type.Array(WordedProblem) }),
]);
export type PlanAnswer = Described<typeof PlanAnswer>;

/** What is answered to a request that cannot be understood. */
export const ErrorAnswer = Type.Object({
  error: Type.Object({
    code: oneOf(['bad-request', 'internal']),
    /** What a mistake of our own is found by in the log. */
    id: Type.Optional(Type.String()),
    issues: Type.Array(Type.Object({ path: Type.String(), message: Message })),
  }),
});
export type ErrorAnswer = Described<typeof ErrorAnswer>;

export type WordedPlan = PlanAnswer['plans'][number];
export type WordedMeaning = NonNullable<WordedPlan['meaning']>;
export type WordedProblem = PlanAnswer['problems'][number];
export type ErrorIssue = ErrorAnswer['error']['issues'][number];
