import { readTime } from '../core';
import { noteValue } from './noteValue';
import type { Music, Part } from './score';

/** Note values that have a flag where they stand alone. */
const FLAGGED = new Set(['8', '16', '32']);

/** Quarters that are joined under one beam: a dotted quarter where eighths go by threes, else a quarter. */
function beamed(time: string): number {
  const { beats, of } = readTime(time);
  return of >= 8 && beats % 3 === 0 ? 1.5 : 1;
}

/**
 * Which notes are joined by a beam: neighbours with flags that begin in the same beat, counted from the last bar line. A rest parts them, and a note
 * that is held over a bar line.
 * @returns groups of at least two, each by its events' numbers
 */
export function beamGroups({ events, time }: Music, parts: readonly (readonly Part[])[]): number[][] {
  const groups: number[][] = [];
  const unit = beamed(time);
  let onset = 0;
  let beatOfGroup = -1;
  parts.forEach((own, at) => {
    if (own[0].bar) {
      onset = 0;
      beatOfGroup = -1;
    }
    const quarters = own.reduce((sum, part) => sum + part.quarters, 0);
    // Thirds and the like add up to a whole but for the last bits.
    const beat = Math.floor(onset / unit + 1e-6);
    const flagged = own.length === 1 && FLAGGED.has(noteValue(quarters).duration);
    const joins = flagged && !('rest' in events[at]);
    if (joins && beat === beatOfGroup) groups[groups.length - 1].push(at);
    else if (joins) groups.push([at]);
    beatOfGroup = joins ? beat : -1;
    onset = own.length > 1 ? own[own.length - 1].quarters : onset + quarters;
  });
  return groups.filter((group) => group.length > 1);
}
