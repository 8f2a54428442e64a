import type { PlanRequest } from '../src/core';

/* What the benchmarks plan. */

const NAMES = 'G3 A3 B3 C4 C#4 D4 E4 F#4 G4 A4 B4 C#5 D5 E5 F#5 G5 A5 B5 C6 D6 E6'.split(' ');

/** A wandering line in D major, the same at every run. */
export function wandering(length: number): PlanRequest {
  let seed = 1;
  const draw = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let at = 8;
  const notes = Array.from({ length }, () => {
    at = Math.max(0, Math.min(NAMES.length - 1, at + Math.floor(draw() * 7) - 3));
    return { pitches: [NAMES[at]], beats: draw() < 0.3 ? 0.5 : 1 };
  });
  return { instrument: 'violin', alternatives: 3, material: { type: 'notes', key: 'D major', notes } };
}

const LOWEST = { violin: 'A3', viola: 'D3', cello: 'C2', bass: 'E1' } as const;

export const scale = (instrument: keyof typeof LOWEST, name: string): PlanRequest => ({
  instrument,
  alternatives: 3,
  material: { type: 'scale', tonic: LOWEST[instrument], scale: name, octaves: 3, direction: 'updown' },
});

export const thirds = (instrument: 'violin' | 'cello', tonic: string): PlanRequest => ({
  instrument,
  alternatives: 3,
  material: { type: 'double-stops', interval: 'third', tonic, scale: 'major', octaves: 2, direction: 'updown' },
});

export const AIM = { system: 'just', tuning: 'pure', drone: { letter: 1, alteration: 0 }, level: 'middle' } as const;
