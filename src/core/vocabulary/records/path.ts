import { closed, either, Type, type Described } from '../schema';
import { PlanRequest, PositionSchema } from './request';

/*
 * What is asked about what comes next: a student, what is known, and where it is to lead.
 */

const { material: _, ...PLAYING } = PlanRequest.properties;

/** A request without what is played: the instrument, the hand, the manner and the rules of one student. */
export const PathStudent = closed(PLAYING);
export type PathStudent = Described<typeof PathStudent>;

/** "F# major", with a scale that is known. */
const KEY = '^[A-G](#|b)? \\S+';

/** Everything wanted, one after the other; each a goal of its own. */
export interface AllGoals {
  readonly all: readonly PathGoal[];
}

const All = closed({
  all: Type.Unsafe<AllGoals['all']>({ type: 'array', items: { $ref: '#/$defs/goal' }, minItems: 1 }),
});

/** Scales in the order of their keys; the last step is the last key. */
export const ScalesGoal = closed({
  scales: Type.Unsafe<string>(Type.Ref('#/$defs/scale')),
  octaves: Type.Integer({ minimum: 1, maximum: 4 }),
  keys: Type.Array(Type.String({ pattern: KEY }), { minItems: 1, maxItems: 60 }),
});
export type ScalesGoal = Described<typeof ScalesGoal>;

export const PositionGoal = closed({ position: PositionSchema });
export type PositionGoal = Described<typeof PositionGoal>;

/** A plan or a piece, a position, scales, or all of several. */
export type PathGoal = PlanRequest | PositionGoal | ScalesGoal | AllGoals;
export const PathGoal = either(
  { required: ['material'] },
  PlanRequest,
  either({ required: ['position'] }, PositionGoal, either({ required: ['scales'] }, ScalesGoal, All)),
);

const SkillIds = Type.Array(Type.String({ pattern: '^\\S{1,60}$' }), { maxItems: 1000 });

export const PathAsk = closed({
  student: PathStudent,
  known: Type.Optional(SkillIds),
  /** Plans whose skills are all known. */
  knownPlans: Type.Optional(Type.Array(PlanRequest, { maxItems: 200 })),
  atWork: Type.Optional(SkillIds),
  shaky: Type.Optional(SkillIds),
  goal: Type.Unsafe<PathGoal>({ $ref: '#/$defs/goal' }),
  /** In which order positions come; of a cello "opened" as well. */
  order: Type.Optional(
    Type.Array(either({ const: 'opened' }, Type.Literal('opened'), PositionSchema), { maxItems: 30 }),
  ),
  /** Most steps that are told. */
  most: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
});
export type PathAsk = Described<typeof PathAsk>;
