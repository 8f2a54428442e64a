import type { Setup } from '../../core';
import { printed } from '../../wording/notes';

interface Props {
  readonly setup: Setup;
  /** Where the strings begin and end, in px. */
  readonly from: number;
  readonly to: number;
  /** Where the names are written, in px. */
  readonly nameX: number;
  /** Height of a string, by number from the lowest, in px. */
  readonly y: (string: number) => number;
}

/** The strings side by side, the highest on top, each as thick as it is beside the others, with its name. */
export function Strings({ setup, from, to, nameX, y }: Props) {
  const last = setup.strings.length - 1;
  return setup.strings.map(({ name }, string) => (
    <g key={name}>
      <line
        x1={from}
        x2={to}
        y1={y(string)}
        y2={y(string)}
        stroke="var(--color-faded)"
        strokeWidth={1.2 + 0.9 * (last - string)}
      />
      <text x={nameX} y={y(string) + 6} fontSize={17} fontWeight={700} fill="var(--color-ink)">
        {printed(name)}
      </text>
    </g>
  ));
}
