import { memo } from 'react';
import type { NoteNames } from '../../core';
import { printed } from '../../wording/notes';
import { middleOf } from '../../drawing/score';
import type { RowProps } from './rows';

interface Props extends RowProps {
  readonly names: NoteNames;
}

/** What the notes are called, under the staff. */
export const NameRow = memo(function NameRow({ events, visible, layout, height, names }: Props) {
  return (
    <svg width={layout.width} height={height} className="relative block" data-testid="names">
      {events.slice(visible.first, visible.last).map((event) => (
        <text
          key={event.at}
          x={middleOf(layout, event.at)}
          y={height - 7}
          fontSize={layout.scale < 1.2 ? 12 : 15}
          textAnchor="middle"
          fill="var(--color-ink)"
        >
          {'pitches' in event ? event.pitches.map((name) => printed(name, names)).join(' ') : ''}
        </text>
      ))}
    </svg>
  );
});
