import { positionOrder, positionsOf } from '../hand/positions';
import { resolveSetup } from '../instrument/setup';
import type { Level, PathStudent, PositionNumber, PositionRule } from '../vocabulary';

/*
 * How far steps go: what is taught at a level, and as far as the goal goes beyond it.
 */

export interface Range {
  /** Along the neck, as they are allowed. */
  readonly positions: readonly PositionNumber[];
  readonly octaves: number;
  readonly doubleStops: boolean;
  readonly minor: boolean;
}

interface LevelRange {
  /** As far as the position with this number; on an instrument whose hand goes in frames positions lie closer, so they are counted twice. */
  readonly to: number;
  readonly octaves: number;
  readonly doubleStops: boolean;
  readonly minor: boolean;
}

/** What a level is taught; teachers differ, a goal widens it. */
const LEVEL_RANGES: Readonly<Record<Level, LevelRange>> = {
  // One hand in its place, one and two octaves.
  'first-year': { to: 1, octaves: 2, doubleStops: false, minor: false },
  // The first shifts.
  early: { to: 3, octaves: 2, doubleStops: false, minor: true },
  middle: { to: 5, octaves: 3, doubleStops: true, minor: true },
  advanced: { to: 7, octaves: 3, doubleStops: true, minor: true },
};

/** The major keys as they are taught, few signs first; at the beginning the first of them. */
const KEYS = ['D', 'A', 'G', 'C', 'F', 'Bb', 'Eb', 'E', 'Ab', 'B', 'Db', 'F#'].map((tonic) => `${tonic} major`);
const KEYS_AT: Readonly<Record<Level, number>> = { 'first-year': 6, early: 8, middle: 12, advanced: 12 };

/** The major keys that a level is taught, in order. */
export const taughtKeys = (level: Level): readonly string[] => KEYS.slice(0, KEYS_AT[level]);

/** What a goal has that the level may not. */
export interface Wanted {
  readonly positions: readonly PositionNumber[];
  readonly octaves: number;
  readonly doubleStops: boolean;
}

/** How far the steps of a student's path go. Without a level it is the middle one. */
export function rangeOf(student: PathStudent, wanted: Wanted): Range {
  const level = LEVEL_RANGES[student.meaning?.level ?? 'middle'];
  const setup = resolveSetup(student);
  const most = Math.max(level.to, ...wanted.positions.map(positionOrder));
  const positions = positionsOf(setup, student.school).filter(
    (position) => positionOrder(position) <= most && allows(student.rules?.positions, position),
  );
  return {
    positions,
    octaves: Math.max(level.octaves, wanted.octaves),
    doubleStops: level.doubleStops || wanted.doubleStops,
    minor: level.minor,
  };
}

/** True where the rules let a position in. */
function allows(rule: PositionRule | undefined, position: PositionNumber): boolean {
  if (!rule) return true;
  if ('only' in rule) return rule.only.includes(position);
  return positionOrder(position) >= positionOrder(rule.from) && positionOrder(position) <= positionOrder(rule.to);
}
