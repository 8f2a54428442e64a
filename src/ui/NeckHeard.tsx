import type { HeardPlace } from '../app/heardPlaces';
import { stopMm, type Setup } from '../core';
import { printed } from '../wording/notes';
import * as listenText from '../wording/rooms/listenViews';

const WIDTH = 1000;
const LEFT = 64;
const RIGHT = 24;
const ROW = 46;
const TOP = 30;

interface Props {
  readonly setup: Setup;
  readonly places: readonly HeardPlace[];
}

/** The neck from the nut on, with where each finger should stand and where it stood, true to scale along the string. */
export function NeckHeard({ setup, places }: Props) {
  const highest = Math.max(stopMm(setup.lengthMm, 5), ...places.map(({ mm, offs }) => mm + Math.max(0, ...offs)));
  const x = (mm: number) => LEFT + (mm / (highest * 1.03)) * (WIDTH - LEFT - RIGHT);
  // The highest string lies on top, as the page is read.
  const y = (string: number) => TOP + ROW * (setup.strings.length - 1 - string);
  const height = TOP + ROW * (setup.strings.length - 1) + 30;
  return (
    <figure className="flex flex-col gap-1">
      <div className="overflow-x-auto rounded-lg border border-rule bg-sheet">
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          className="block w-full min-w-[640px]"
          role="img"
          aria-label={listenText.theHand}
          data-testid="ghost-hand"
        >
          {setup.strings.map(({ name }, string) => (
            <g key={name}>
              <line
                x1={LEFT}
                x2={WIDTH - 8}
                y1={y(string)}
                y2={y(string)}
                stroke="var(--color-faded)"
                strokeWidth={1 + 0.6 * (setup.strings.length - 1 - string)}
              />
              <text x={LEFT - 14} y={y(string) + 5} fontSize={15} fontWeight={700} textAnchor="end" fill="currentColor">
                {printed(name)}
              </text>
            </g>
          ))}
          <line x1={LEFT} x2={LEFT} y1={TOP - 12} y2={height - 18} stroke="var(--color-ink)" strokeWidth={4} />
          <text x={LEFT} y={height - 4} fontSize={12} textAnchor="middle" fill="var(--color-faded)">
            {listenText.toTheNut}
          </text>
          {places.map(({ string, mm, finger, offs, middle, low, high, inTune }) => (
            <g key={`${string}/${mm}/${finger}`} data-place>
              <circle
                cx={x(mm)}
                cy={y(string)}
                r={9}
                fill="var(--color-sheet)"
                stroke="var(--color-ink)"
                strokeWidth={1.5}
              />
              {offs.length > 1 && (
                <line
                  x1={x(mm + low)}
                  x2={x(mm + high)}
                  y1={y(string) + 14}
                  y2={y(string) + 14}
                  stroke="var(--color-dove)"
                  strokeWidth={3}
                  strokeLinecap="round"
                />
              )}
              <circle
                cx={x(mm + middle)}
                cy={y(string)}
                r={4.5}
                fill={inTune ? 'var(--color-dove)' : 'var(--color-madder)'}
              />
              <text x={x(mm)} y={y(string) - 13} fontSize={13} textAnchor="middle" fill="currentColor">
                {finger}
              </text>
            </g>
          ))}
        </svg>
      </div>
      <figcaption className="text-sm text-faded">{listenText.handLegend}</figcaption>
    </figure>
  );
}
