import { INSTRUMENTS, type InstrumentKind, type School } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
import type { Finger } from './finger';
import type { PositionNumber } from './hold';
import { FRAMES_OF } from './schools';
import type { FrameSchool } from './shapes';

/*
 * The positions of an instrument by name, from the data alone.
 */

/** Highest position planned on violin and viola: the little finger then stands at the end of the fingerboard. */
export const TOP_POSITION = 14;

/** Positions named by letters: half, 1st, 2nd, … */
export const LETTER_POSITIONS: readonly PositionNumber[] = Array.from(
  { length: TOP_POSITION + 1 },
  (_, position) => (position === 0 ? 0.5 : position),
);

/** Positions named by the stop of the first finger, stop by stop along the neck; in thumb position all have one name. */
export function framePositions({ regions, positions }: FrameSchool): PositionNumber[] {
  return regions.flatMap(({ from, to, thumb }) =>
    Array.from({ length: to - from + 1 }, (_, at) => (thumb ? 'thumb' : positions[from + at])),
  );
}

/** The school by which an instrument's hand goes in frames; undefined where it goes by letters. */
export function frameSchool(kind: InstrumentKind, school: School | undefined): FrameSchool | undefined {
  return INSTRUMENTS[kind].handBy === 'frames' ? FRAMES_OF[kind]?.(school) : undefined;
}

/** Every position of an instrument, along the neck; all of thumb position is one. */
export function positionsOf({ kind }: Pick<Setup, 'kind'>, school?: School): PositionNumber[] {
  const frames = frameSchool(kind, school);
  return [...new Set(frames ? framePositions(frames) : LETTER_POSITIONS)];
}

/** Orders position numbers along the neck: thumb position lies above all numbered ones. */
export function positionOrder(position: PositionNumber): number {
  return position === 'thumb' ? Infinity : position;
}

/** The finger that lies on a stop in first position with the hand closed; null where none does. */
export function fingerAtStop({ regions, positions }: FrameSchool, semitones: number): Finger | null {
  const first = Number(Object.keys(positions).find((stop) => positions[Number(stop)] === 1));
  const { places } = regions[0].shapes[0];
  const laid = Object.entries(places).find(([, place]) => first + place === semitones);
  return laid ? (Number(laid[0]) as Finger) : null;
}
