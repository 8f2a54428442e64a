import { parsePitch } from '../pitch/pitch';
import type { Level, PlanResponse } from '../vocabulary';
import type { Aim } from './targets';

/** The aim of the ear for a plan: its tonic, and the student's level. */
export function aimFor(response: PlanResponse, level: Level, part: Partial<Aim> = {}): Aim {
  const [tonicName] = response.key.name.split(' ');
  const tonic = parsePitch(`${tonicName}4`) ?? { letter: 0, alteration: 0, octave: 4 };
  return { system: 'pythagorean', tuning: 'pure', tonic, level, ...part };
}
