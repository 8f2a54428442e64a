import type { School, Finger, PositionNumber } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import type { FrameSchool } from '../instrument/record';
import type { LetterFingering, InstrumentRecord, FrameFingering } from '../instrument/record';

/*
 * The positions of an instrument by name, from the data alone.
 */

/** Positions named by letters: half, 1st, 2nd, … */
export function letterPositions({ topPosition }: LetterFingering): readonly PositionNumber[] {
  return Array.from({ length: topPosition + 1 }, (_, position) => (position === 0 ? 0.5 : position));
}

/** Positions named by the stop of the first finger, stop by stop along the neck; in thumb position all have one name. */
export function framePositions({ regions, positions }: FrameSchool): PositionNumber[] {
  return regions.flatMap(({ from, to, thumb }) =>
    Array.from({ length: to - from + 1 }, (_, at) => (thumb ? 'thumb' : positions[from + at])),
  );
}

/** The school by which an instrument's hand goes in frames; undefined where it goes by letters. */
export function frameSchool({ fingering }: InstrumentRecord, school?: School): FrameSchool | undefined {
  return fingering.by === 'letters' ? undefined : schoolOf(fingering, school);
}

/** The frames of a school; the usual ones where the instrument has no such school. */
export function schoolOf({ schools, usual }: FrameFingering, school?: School): FrameSchool {
  return (school && schools[school]) ?? usual;
}

/** Every position of an instrument, along the neck; all of thumb position is one. */
export function positionsOf({ instrument }: Pick<Setup, 'instrument'>, school?: School): PositionNumber[] {
  const { fingering } = instrument;
  const labels = fingering.by === 'letters' ? letterPositions(fingering) : framePositions(schoolOf(fingering, school));
  return [...new Set(labels)];
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

/** True where the hand goes in frames and opens forward and back. */
export function opensBothWays({ fingering }: InstrumentRecord): boolean {
  return fingering.by === 'frames' && fingering.usual.regions[0].shapes.some(({ extended }) => extended > 0);
}
