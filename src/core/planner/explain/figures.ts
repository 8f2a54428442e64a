import { letterSteps } from '../../pitch/pitch';
import { shiftsFrom } from '../graph';
import { touchAt, type Explained } from './explained';

/*
 * A figure that comes again, at the same height or another, keeps its fingers.
 */

/** The longest figure, in notes, whose repetition is looked for. */
const LONGEST_FIGURE = 8;

/** How many notes before the shift from event t to the next a figure was taken with the same fingers and the same shift; null where none was. */
export function figureBefore({ context, trellis, path }: Explained, t: number): number | null {
  const line = (at: number) => letterSteps(context.sounding[at].pitches[0]);
  const moves = (at: number) => line(at + 1) - line(at);
  const touch = (at: number) => touchAt(trellis, path, at);
  for (let notes = 2; notes <= LONGEST_FIGURE; notes++) {
    const start = t + 1 - 2 * notes;
    if (start < 0) return null;
    const figure = Array.from({ length: notes }, (_, at) => start + at);
    const again = figure.every(
      (at) => moves(at) === moves(at + notes) && touch(at + 1).finger === touch(at + 1 + notes).finger,
    );
    const turns = figure.some((at) => Math.sign(moves(at)) !== Math.sign(moves(start)));
    const shifted = shiftsFrom(trellis, path, t - notes);
    // A scale is no figure: it only goes on.
    if (again && turns && shifted) return notes;
  }
  return null;
}
