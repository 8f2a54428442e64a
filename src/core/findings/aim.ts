import type { Level } from '../vocabulary';
import type { Aim } from './targets';

/** The aim of the ear for a student: pure fifths, the strings tuned pure. */
export function aimFor(level: Level, part: Partial<Aim> = {}): Aim {
  return { system: 'pythagorean', tuning: 'pure', level, ...part };
}
