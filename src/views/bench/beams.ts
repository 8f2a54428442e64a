import type { ResponseEvent } from '../../core';
import { noteValue } from './noteValue';

/** Note values that have a flag where they stand alone. */
const FLAGGED = new Set(['8', '16', '32']);

/**
 * Which notes are joined by a beam: neighbours shorter than a beat that begin in the same beat, counted from the last bar line. A rest parts
 * them.
 * @returns groups of at least two, each by its events' numbers
 */
export function beamGroups(events: readonly ResponseEvent[]): number[][] {
  const groups: number[][] = [];
  let onset = 0;
  let beatOfGroup = -1;
  for (const event of events) {
    if (event.bar) {
      onset = 0;
      beatOfGroup = -1;
    }
    // Thirds and the like add up to a whole but for the last bits.
    const beat = Math.floor(onset + 1e-6);
    const joins = !('rest' in event) && FLAGGED.has(noteValue(event.beats).duration);
    if (joins && beat === beatOfGroup) groups[groups.length - 1].push(event.at);
    else if (joins) groups.push([event.at]);
    beatOfGroup = joins ? beat : -1;
    onset += event.beats;
  }
  return groups.filter((group) => group.length > 1);
}
