import { parsePitch, type Aim, type Level, type PlanResponse } from '../core';

/** The aim of the ear for a plan: its tonic, and the student's level. */
export function aimFor(response: PlanResponse, level: Level, part: Partial<Aim> = {}): Aim {
  const [tonicName] = response.key.name.split(' ');
  const tonic = parsePitch(`${tonicName}4`) ?? { letter: 0, alteration: 0, octave: 4 };
  return { system: 'pythagorean', tuning: 'pure', tonic, level, ...part };
}
