import { beatGroup } from '../material/bars';

/*
 * Which notes are joined by a beam.
 */

/** A note as beams see it. */
export interface Beamable {
  /** In quarters from its bar's beginning. */
  readonly start: number;
  /** True where a bar begins with it. */
  readonly bar: boolean;
  /** True where it has a flag and can be joined; a rest cannot, nor a note that is held over a bar line. */
  readonly joins: boolean;
  /** Time signature in force. */
  readonly time: string;
}

/** Thirds and the like add up to a whole but for the last bits. */
const EXACT = 1e-6;

/**
 * Neighbours with flags that begin in the same beat, counted from the last bar line.
 * @returns groups of at least two, each by its notes' numbers
 */
export function beamGroups(notes: readonly Beamable[]): number[][] {
  const groups: number[][] = [];
  let beatOfGroup = -1;
  notes.forEach(({ start, bar, joins, time }, at) => {
    const beat = Math.floor(start / beatGroup(time) + EXACT);
    if (bar) beatOfGroup = -1;
    if (joins && beat === beatOfGroup) groups[groups.length - 1].push(at);
    else if (joins) groups.push([at]);
    beatOfGroup = joins ? beat : -1;
  });
  return groups.filter((group) => group.length > 1);
}
