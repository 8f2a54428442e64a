/** Events first to last (exclusive) on one line of the picture. */
export interface LineOfEvents {
  readonly first: number;
  readonly last: number;
}

/** Half a thousandth of rounding does not break a line. */
const SLACK = 1e-6;

/**
 * Breaks the music into lines: at the last bar line that fits, else where the room ends. An event wider than the room has a line to itself.
 * @param widths of the events
 * @param bars events at which a bar begins
 * @param room of a line, measured as the widths are
 */
export function lineBreaks(widths: readonly number[], bars: ReadonlySet<number>, room: number): LineOfEvents[] {
  const lines: LineOfEvents[] = [];
  for (let first = 0; first < widths.length;) {
    let end = first + 1;
    let taken = widths[first];
    while (end < widths.length && taken + widths[end] <= room + SLACK) taken += widths[end++];
    let last = end;
    if (end < widths.length) while (last > first && !bars.has(last)) last--;
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
