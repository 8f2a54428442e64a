import type { InstrumentRecord } from '../instrument/record';
import type { Finger, Plan, PositionNumber, StopAnswer } from '../vocabulary';

/*
 * How a finger lies in first position on violin and viola, as beginners are told it: the second finger is low or high, the others are so only where they
 * leave their usual place.
 */

export type Lie = 'low' | 'high';

/** By finger, how it lies by its semitones above the open string; what is not here is its usual place. */
const LIES: Readonly<Partial<Record<Finger, Readonly<Record<number, Lie>>>>> = {
  1: { 1: 'low' },
  2: { 3: 'low', 4: 'high' },
  3: { 4: 'low', 6: 'high' },
  4: { 6: 'low' },
};

/** Null where nothing is said of it: in its usual place, out of first position, on the low instruments. */
export function lieOf(
  { fingering }: InstrumentRecord,
  position: PositionNumber,
  { finger, semitones }: Pick<StopAnswer, 'finger' | 'semitones'>,
): Lie | null {
  return fingering.by === 'letters' && position === 1 ? (LIES[finger]?.[semitones] ?? null) : null;
}

/** Of each string the fingers that lie low or high in a plan, in the order of fingers. */
export function liesIn(instrument: InstrumentRecord, { steps }: Plan): ReadonlyMap<string, readonly [Lie, Finger][]> {
  const found = new Map<string, [Lie, Finger][]>();
  for (const { position, stops } of steps)
    for (const stop of stops) {
      const lie = lieOf(instrument, position, stop);
      const own = found.get(stop.string) ?? [];
      if (lie && !own.some(([other, finger]) => other === lie && finger === stop.finger)) own.push([lie, stop.finger]);
      if (own.length > 0) found.set(stop.string, own);
    }
  for (const own of found.values()) own.sort(([a, f], [, g]) => Number(f) - Number(g) || (a === 'low' ? -1 : 1));
  return found;
}
