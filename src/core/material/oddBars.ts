import type { NoteSpec } from '../vocabulary';
import { beatsOf } from './noteEvents';

/*
 * Bars as they were typed that hold more or less than the time has: a slip of the pencil, or a pick-up.
 */

export interface OddBar {
  /** From 1, as they stand. */
  readonly bar: number;
  readonly beats: number;
}

const EXACT = 1e-6;

/**
 * The bars between marks that are not as long as the time asks for. The first may be a pick-up and the last may end with it, so that short ones
 * there are not odd; without any mark nothing is.
 * @param perBar beats of a bar
 */
export function oddBars(notes: readonly NoteSpec[], perBar: number): OddBar[] {
  const bars: number[] = [0];
  for (const note of notes) {
    if (note.bar && bars[bars.length - 1] > 0) bars.push(0);
    bars[bars.length - 1] += beatsOf(note);
  }
  if (bars.length === 1) return [];
  return bars.flatMap((beats, at) => {
    const end = at === 0 || at === bars.length - 1;
    const odd = end ? beats > perBar + EXACT : Math.abs(beats - perBar) > EXACT;
    return odd ? [{ bar: at + 1, beats }] : [];
  });
}
