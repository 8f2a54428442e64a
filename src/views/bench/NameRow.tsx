import type { NoteNames } from '../../core';
import { printed } from '../../wording/notes';
import { columnX, NAME_ROW_HEIGHT } from './columns';
import type { RowProps } from './rows';

interface Props extends RowProps {
  readonly names: NoteNames;
}

/** What the notes are called, under the staff. */
export function NameRow({ events, visible, width, names }: Props) {
  return (
    <svg width={width} height={NAME_ROW_HEIGHT} className="relative block" data-testid="names">
      {events.slice(visible.first, visible.last).map((event) => (
        <text
          key={event.at}
          x={columnX(event.at)}
          y={18}
          fontSize={15}
          textAnchor="middle"
          fill="var(--color-ink)"
        >
          {'pitches' in event ? event.pitches.map((name) => printed(name, names)).join(' ') : ''}
        </text>
      ))}
    </svg>
  );
}
