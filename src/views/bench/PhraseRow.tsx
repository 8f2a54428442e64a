import { memo } from 'react';
import type { ResponseEvent } from '../../core';
import { barWords } from '../../wording/places';
import type { RowProps } from './rows';
import type { Line } from './shape';
import * as stretchText from '../../wording/rooms/stretches';

/** What is asked of some notes alone, from event to event, both inside. */
export interface AskedOf {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly short: string;
}

interface Props extends RowProps {
  readonly line: Line;
  readonly stretches: readonly AskedOf[];
}

/** Where text and brackets lie in the row, in px. */
const TEXT = 11;
const TICK = 6;
const GAP = 3;

/** Over the staff: a light bracket for each phrase, and what is asked of some notes alone. */
export const PhraseRow = memo(function PhraseRow({ events, line, layout, height, stretches, speech }: Props) {
  const foot = height - 2;
  const inside = ({ from, to }: { readonly from: number; readonly to: number }) => to >= line.first && from < line.last;
  const left = (at: number) => layout.left(Math.max(at, line.first));
  const right = (at: number) => layout.left(Math.min(at, line.last - 1) + 1);
  return (
    <svg
      width={layout.width}
      height={height}
      className="relative block"
      role="img"
      aria-label={stretchText.phrasesAndPlaces}
      data-testid="phrases"
    >
      {phrasesOf(events)
        .filter(inside)
        .map(({ from, to }) => (
          <path
            key={from}
            data-phrase={from}
            d={`M${left(from) + GAP} ${foot}v${-TICK}H${right(to) - GAP}v${TICK}`}
            fill="none"
            stroke="var(--color-faded)"
            strokeWidth={1}
          >
            <title>{stretchText.phraseFrom(barWords(speech.place(from)), barWords(speech.place(to)))}</title>
          </path>
        ))}
      {stretches.filter(inside).map(({ id, from, to, short }) => (
        <g key={id} data-testid="asked-of">
          <rect
            x={left(from) + GAP}
            y={1}
            width={Math.max(0, right(to) - left(from) - 2 * GAP)}
            height={TEXT + 2}
            rx={3}
            fill="var(--color-haze)"
            stroke="var(--color-dove)"
          />
          <text x={left(from) + 2 * GAP + 1} y={TEXT} fontSize={12} fill="var(--color-ink)">
            {fitted(short, right(to) - left(from) - 4 * GAP)}
          </text>
        </g>
      ))}
    </svg>
  );
});

/** A letter of the row's text is so wide, in px. */
const LETTER = 6.4;

/** As much of some words as has room. */
function fitted(words: string, width: number): string {
  const room = Math.floor(width / LETTER);
  return words.length <= room ? words : room < 3 ? '' : `${words.slice(0, room - 1)}…`;
}

/** The phrases of a piece; none where nothing parts it. */
function phrasesOf(events: readonly ResponseEvent[]) {
  const starts = events.flatMap((event) => ('phrase' in event && event.phrase ? [event.at] : []));
  if (starts.length === 0) return [];
  const sounds = (event: ResponseEvent) => 'pitches' in event;
  return [0, ...starts].map((from, n) => {
    const end = starts[n] ?? events.length;
    return {
      from,
      to: Math.max(
        from,
        events.findLastIndex((event) => event.at < end && sounds(event)),
      ),
    };
  });
}
