import { spreadMm } from '../hand/reach';
import type { Setup } from '../instrument/setup';
import type { Shift } from '../vocabulary';
import type { Played } from './played';

/*
 * Octaves one after the other: every new one is a shift, and all of them are one thing to work at.
 */

/** A passage of octaves, by its events, with how wide the hand is at its lowest and at its highest. */
export interface OctavePassage {
  readonly events: readonly number[];
  readonly widestMm: number;
  readonly narrowestMm: number;
}

const OCTAVE = 12;

/** True of two notes an octave apart, both stopped. */
export function isOctave(line: readonly Played[]): boolean {
  return line.length === 2 && line[1].midi - line[0].midi === OCTAVE && line.every(({ finger }) => finger !== 0);
}

/** Fewer shifts are told one by one. */
const LEAST_SHIFTS = 2;

/** The passages of octaves in some music. @param lines the notes of each event, in order */
export function octavePassages(
  lines: readonly (readonly Played[])[],
  shifts: readonly Shift[],
  { lengthMm }: Setup,
): OctavePassage[] {
  const landings = new Set(shifts.map(({ to }) => to));
  const passages: OctavePassage[] = [];
  let run: (readonly Played[])[] = [];
  const close = () => {
    const moved = run.slice(1).filter(([{ at }]) => landings.has(at));
    if (moved.length >= LEAST_SHIFTS) {
      const wide = run.map(([low, high]) => spreadMm(lengthMm, low.semitones, high.semitones));
      passages.push({ events: run.map(([{ at }]) => at), widestMm: Math.max(...wide), narrowestMm: Math.min(...wide) });
    }
    run = [];
  };
  for (const line of lines) {
    if (isOctave(line)) run.push(line);
    else close();
  }
  close();
  return passages;
}
