import {
  positionsOf,
  resolveSetup,
  type Level,
  type PathAsk,
  type PlanRecord,
  type StudentGoal,
  type StudentRecord,
} from '../../core';
import { taughtKeys, type SkillStanding } from '../../core/path';

/*
 * What is asked about a student's path.
 */

/** What is left out where a path is long: it is a term, not a life. */
const MOST_STEPS = 24;

/** Orders of positions that teachers use, for the instrument, as far as it has them. */
export function ordersFor({ plays }: Pick<StudentRecord, 'plays'>): readonly NonNullable<PathAsk['order']>[] {
  const setup = resolveSetup(plays);
  const has = new Set<unknown>(['opened', ...positionsOf(setup, plays.school)]);
  return setup.instrument.positionOrders.map((order) => order.filter((one) => has.has(one)));
}

/** Where a student leads to where nobody has said it: the next position, or all scales of one octave. */
export function usualGoal({ plays }: StudentRecord, standing: readonly SkillStanding[]): StudentGoal {
  const known = new Set(standing.flatMap(({ id, standing: how }) => (how === 'at-work' ? [] : [id])));
  const numbered = positionsOf(resolveSetup(plays), plays.school).filter((one) => typeof one === 'number');
  if (!known.has('position:1')) return { kind: 'scales', octaves: 1 };
  const [order] = ordersFor({ plays });
  const next = order.find((one) => typeof one === 'number' && numbered.includes(one) && !known.has(`position:${one}`));
  return typeof next === 'number' ? { kind: 'position', position: next } : { kind: 'scales', octaves: 2 };
}

/** The question; null where the plan that was the goal is gone. */
export function pathAskOf(
  { plays, level, preferences, path }: StudentRecord,
  goal: StudentGoal,
  standing: readonly SkillStanding[],
  plans: readonly PlanRecord[],
): PathAsk | null {
  const student = { ...plays, meaning: { level }, ...(preferences ? { preferences } : {}) };
  const having = (how: SkillStanding['standing']) =>
    standing.flatMap(({ id, standing: own }) => (own === how ? [id] : []));
  const asked = goalAsked(goal, level, plans);
  return (
    asked && {
      student,
      known: having('known'),
      shaky: having('shaky'),
      atWork: having('at-work'),
      goal: asked,
      ...(path?.order ? { order: path.order } : {}),
      most: MOST_STEPS,
    }
  );
}

function goalAsked(goal: StudentGoal, level: Level, plans: readonly PlanRecord[]): PathAsk['goal'] | null {
  switch (goal.kind) {
    case 'plan':
      return plans.find(({ id }) => id === goal.planId)?.request ?? null;
    case 'position':
      return { position: goal.position };
    default:
      return { scales: 'major', octaves: goal.octaves, keys: [...taughtKeys(level)] };
  }
}
