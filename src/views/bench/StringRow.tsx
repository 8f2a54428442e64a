import { memo } from 'react';
import type { RowProps } from './rows';
import { printed } from '../../wording/notes';
import { sentence } from '../../wording/grammar';
import { stretchWords } from '../../wording/places';
import * as benchPictureText from '../../wording/rooms/benchPicture';

interface Run {
  readonly string: string;
  readonly from: number;
  readonly to: number;
}

/** Which string each note is on: a line as thick as the string, with its letter where it begins. */
export const StringRow = memo(function StringRow({ plan, setup, visible, layout, height, speech }: RowProps) {
  const runs: Run[] = [];
  for (const step of plan.steps) {
    const string = step.stops.map((stop) => stop.string).join(' ');
    const last = runs[runs.length - 1];
    if (last?.string === string) runs[runs.length - 1] = { ...last, to: step.at };
    else runs.push({ string, from: step.at, to: step.at });
  }
  const names = setup.strings.map(({ name }) => name);
  const shown = runs.filter((run) => run.to >= visible.first && run.from < visible.last);
  const middle = height / 2;
  return (
    <svg width={layout.width} height={height} className="relative block border-y border-rule" aria-hidden>
      {shown.map((run) => {
        const thick = 1.5 + 1.3 * (names.length - 1 - names.indexOf(run.string.split(' ')[0]));
        const x = layout.left(Math.max(run.from, visible.first)) + 3;
        const letters = run.string
          .split(' ')
          .map((name) => printed(name))
          .join('+');
        return (
          <g key={run.from}>
            <line
              x1={x + 4 + letters.length * 11}
              x2={layout.left(run.to + 1) - 4}
              y1={middle}
              y2={middle}
              stroke="var(--color-faded)"
              strokeWidth={thick}
            />
            <text x={x} y={middle + 5} fontSize={15} fontWeight={700} fill="var(--color-ink)">
              {letters}
            </text>
            <title>{benchPictureText.string(letters, sentence(stretchWords(speech.place, run.from, run.to)))}</title>
          </g>
        );
      })}
    </svg>
  );
});
