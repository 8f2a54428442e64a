import { centsPerMm, type Finger } from '../../core';
import type { Expected, Report } from '../../core/listening';

/*
 * How far off each place on the neck was, over one take or several.
 */

export interface PlaceHeard {
  readonly string: number;
  readonly finger: Finger;
  /** Where the finger should stand, in mm from the nut. */
  readonly mm: number;
  /** How far off it stood, in mm towards the bridge, low to high. */
  readonly offs: readonly number[];
  /** Of these the middle, and between which the middle half lies. */
  readonly middle: number;
  readonly low: number;
  readonly high: number;
  readonly inTune: boolean;
}

const at = (sorted: readonly number[], share: number) => sorted[Math.round(share * (sorted.length - 1))];

/** Every stopped place that was heard, by string and place. */
export function placesHeard({ events, setup }: Expected, reports: readonly Report[]): PlaceHeard[] {
  const byEvent = new Map(events.map((event) => [event.at, event]));
  const places = new Map<string, { string: number; finger: Finger; mm: number; tolerance: number; offs: number[] }>();
  for (const { passes } of reports)
    for (const { notes } of passes)
      for (const { at: event, heard, mm } of notes) {
        const stops = byEvent.get(event)?.stops ?? [];
        const [stop] = stops;
        if (stops.length !== 1 || stop.open || mm === undefined || heard === 'wrong' || heard === 'missed') continue;
        const key = `${stop.string}/${stop.semitones}/${stop.finger}`;
        const tolerance = stop.toleranceCents / centsPerMm(setup.lengthMm, stop.mm);
        const place = places.get(key) ?? { string: stop.string, finger: stop.finger, mm: stop.mm, tolerance, offs: [] };
        place.offs.push(mm);
        places.set(key, place);
      }
  return [...places.values()].map(({ offs, tolerance, ...place }) => {
    offs.sort((a, b) => a - b);
    const middle = at(offs, 0.5);
    const [low, high] = [at(offs, 0.25), at(offs, 0.75)];
    return { ...place, offs, middle, low, high, inTune: Math.abs(middle) <= tolerance };
  });
}
