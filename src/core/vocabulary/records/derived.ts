import { Type, type Described } from '../schema';
import { KeptFingering } from './fingering';
import { Day, Id, Player, RequestKept, Time } from './stored';

/*
 * What follows from other records and is kept to be found fast, and what was chosen or deleted.
 */

/** What was practised of one plan on one day. */
export const PlanDay = Type.Object({
  minutes: Type.Number({ minimum: 0 }),
  /** The fastest at which it was clean. */
  reached: Type.Optional(Type.Number({ minimum: 0 })),
});
export type PlanDay = Described<typeof PlanDay>;

const Count = Type.Integer({ minimum: 0 });

/** What was practised on one day. */
export const DaySum = Type.Object({
  /** Student and day. */
  id: Type.String({ pattern: '^[\\w-]{0,64}/\\d{4}-\\d{2}-\\d{2}$' }),
  studentId: Player,
  day: Day,
  minutes: Type.Number({ minimum: 0 }),
  plans: Type.Record(Type.String(), PlanDay),
  /** By which rule it was counted; by an earlier one where left out. */
  rule: Type.Optional(Type.Literal(2)),
  /** By what the places are: tries, and how many were low, high or missed. */
  sums: Type.Record(Type.String(), Type.Tuple([Count, Count, Count, Count])),
});
export type DaySum = Described<typeof DaySum>;

/** What is remembered of a card. */
export const Memory = Type.Object({
  /** The card's. */
  id: Id,
  studentId: Player,
  /** When it is to be asked again, in ms. */
  due: Time,
  answers: Count,
  wrong: Count,
});
export type Memory = Described<typeof Memory>;

/** What a teacher chose in one plan, against what was planned: kept by itself, so that it outlives the plan. */
export const ChoiceRow = Type.Object({
  /** The plan's. */
  id: Id,
  chosen: Type.Object({ request: RequestKept, way: Type.Optional(KeptFingering) }),
  studentId: Type.Union([Player, Type.Null()]),
  changedAt: Time,
});
export type ChoiceRow = Described<typeof ChoiceRow>;

/** Something that was deleted, as it was then: what brings it back turned round. */
export const Trashed = Type.Object({
  id: Id,
  deletedAt: Time,
  /** How many days the program had been used then. */
  dayOfUse: Type.Optional(Type.Number()),
  /** What it is called in the list of what was deleted. */
  words: Type.String(),
  changes: Type.Array(Type.Object({ kind: Type.String(), table: Type.String() }, { additionalProperties: true })),
});
export type Trashed = Described<typeof Trashed>;
