import {
  positionsOf,
  resolveSetup,
  type Level,
  type PathAsk,
  type PlanRecord,
  type StudentGoal,
  type StudentRecord,
} from '../../core';
import type { SkillStanding } from '../../core/path';

/*
 * What is asked about a student's path.
 */

/** The major keys as they are taught, few signs first; at the beginning the first of them. */
const KEYS = ['D', 'A', 'G', 'C', 'F', 'Bb', 'Eb', 'E', 'Ab', 'B', 'Db', 'F#'].map((tonic) => `${tonic} major`);
const KEYS_AT: Readonly<Record<Level, number>> = { 'first-year': 6, early: 8, middle: 12, advanced: 12 };
/** What is left out where a path is long: it is a term, not a life. */
const MOST_STEPS = 24;

/** Orders of positions that teachers use, for the instrument. */
export function ordersFor({ plays }: StudentRecord): readonly NonNullable<PathAsk['order']>[] {
  const numbered = positionsOf(resolveSetup(plays), plays.school).filter(
    (one): one is number => typeof one === 'number',
  );
  const whole = numbered.filter(Number.isInteger);
  const inTurn = whole.slice(0, 7);
  if (plays.instrument === 'cello')
    return [
      [1, 'opened', 4, 2, 3, 'thumb'],
      [...inTurn, 'thumb'],
    ];
  if (plays.instrument === 'bass') return [[0.5, 1, ...numbered.filter((one) => one > 1)]];
  return [[1, 3, 2, 4, 5], inTurn];
}

/** Where a student leads to where nobody has said it: the next position, or all scales of one octave. */
export function usualGoal({ plays }: StudentRecord, standing: readonly SkillStanding[]): StudentGoal {
  const known = new Set(standing.flatMap(({ id, standing: how }) => (how === 'at-work' ? [] : [id])));
  const numbered = positionsOf(resolveSetup(plays), plays.school).filter((one) => typeof one === 'number');
  if (!known.has('position:1')) return { kind: 'scales', octaves: 1 };
  const [order] = ordersFor({ plays } as StudentRecord);
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
      return { scales: 'major', octaves: goal.octaves, keys: KEYS.slice(0, KEYS_AT[level]) };
  }
}
