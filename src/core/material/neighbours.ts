/*
 * A note and its neighbour.
 */

/** Semitones of a second at most. */
export const SECOND = 2;

/** True where a note comes again after its neighbour: C–D–C from note t on. @param pitches in semitones; NaN where several sound */
export function returnsTo(pitches: readonly number[], t: number): boolean {
  const apart = Math.abs(pitches[t + 1] - pitches[t]);
  return pitches[t] === pitches[t + 2] && apart > 0 && apart <= SECOND;
}
