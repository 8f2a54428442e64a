/** Events first to last (exclusive) on one line of the picture. */
export interface LineOfEvents {
  readonly first: number;
  readonly last: number;
}

/**
 * Breaks the music into lines: at the last bar line that fits, else where the room ends.
 * @param bars events at which a bar begins
 * @param most events that fit into a line, at least 1
 */
export function lineBreaks(events: number, bars: ReadonlySet<number>, most: number): LineOfEvents[] {
  const lines: LineOfEvents[] = [];
  for (let first = 0; first < events;) {
    const end = Math.min(events, first + most);
    let last = end;
    if (end < events) while (last > first && !bars.has(last)) last--;
    if (last === first) last = end;
    lines.push({ first, last });
    first = last;
  }
  return lines;
}

/** The line an event is on. */
export function lineOf(lines: readonly LineOfEvents[], at: number): number {
  return lines.findIndex(({ first, last }) => at >= first && at < last);
}
