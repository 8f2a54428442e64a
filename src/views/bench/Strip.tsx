import type { CSSProperties, PointerEvent, ReactNode } from 'react';
import {
  keysAt,
  type Clef,
  type HandProfile,
  type NoteNames,
  type Plan,
  type PlanResponse,
  type SignatureChange,
} from '../../core';
import { Staff, StaffHead } from '../../drawing/Staff';
import type { Score } from '../../drawing/score';
import type { Selection } from '../../app/session/state';
import { BesideRow } from './BesideRow';
import { HandTrail, TrailAxis } from './HandTrail';
import { NameRow } from './NameRow';
import { PhraseRow, type AskedOf } from './PhraseRow';
import { columnOf, type RowProps } from './rows';
import type { Line, Shape, Visible } from './shape';
import { StringRow } from './StringRow';
import { TrailNeck } from './TrailNeck';
import * as benchPictureText from '../../wording/rooms/benchPicture';

/** All that the rows of the picture are drawn from, but for where it is laid and which events are in view. */
export interface Picture extends Omit<RowProps, 'visible' | 'layout' | 'height'> {
  readonly response: PlanResponse;
  /** The same as it is engraved. */
  readonly score: Score;
  readonly clefs: readonly Clef[];
  /** Where signature or time change. */
  readonly turns: ReadonlyMap<number, SignatureChange>;
  readonly names: NoteNames | null;
  readonly other: Plan | undefined;
  readonly hand: HandProfile;
  readonly demanded: ReadonlyMap<number, 'kept' | 'never'>;
  /** What is asked of some notes alone. */
  readonly stretches: readonly AskedOf[];
  readonly cursor: number;
  readonly selection: Selection | null;
  /** Events that leave no plan. */
  readonly trouble: readonly number[];
}

interface HeadProps extends Picture {
  readonly shape: Shape;
  /** The event that it stands before. */
  readonly at: number;
  /** True where the piece begins. */
  readonly first: boolean;
}

/** What stands at the left of the rows: clef and signature, what each row is, the distances from the nut. */
export function StripHead({ response, plan, clefs, turns, at, first, shape }: HeadProps) {
  const key = keysAt(response)(at);
  const time = first ? response.time : turns.get(at)?.time;
  const { rows, gutter, lines } = shape;
  const { scale, middleLine } = lines[0].layout;
  return (
    <div className="z-10 shrink-0 border-r border-rule bg-sheet" style={{ width: gutter, paddingTop: rows.phrases }}>
      <StaffHead
        clef={clefs[at]}
        fifths={key.fifths}
        keyName={key.name}
        time={time}
        width={gutter}
        height={rows.staff}
        scale={scale}
        middleLine={middleLine}
      />
      {rows.names > 0 && <RowWord height={rows.names}>{benchPictureText.name}</RowWord>}
      <RowWord height={rows.strings}>{benchPictureText.stripString}</RowWord>
      {rows.beside > 0 && <RowWord height={rows.beside}>{benchPictureText.theOther}</RowWord>}
      <TrailAxis plan={plan} width={gutter} height={rows.trail} />
    </div>
  );
}

function RowWord({ height, children }: { readonly height: number; readonly children: ReactNode }) {
  return (
    <p className="flex items-center px-1.5 text-[12px] text-faded" style={{ height }}>
      {children}
    </p>
  );
}

/** The neck at the end of a line, level with the trail. */
export function StripNeck({
  picture,
  shape,
  line,
}: {
  readonly picture: Picture;
  readonly shape: Shape;
  readonly line: Line;
}) {
  const { rows } = shape;
  const { plan, cursor, setup, hand } = picture;
  const here = cursor >= line.first && cursor < line.last;
  return (
    <TrailNeck
      plan={plan}
      step={here ? plan.steps.find(({ at }) => at === cursor) : undefined}
      setup={setup}
      hand={hand}
      above={shape.height - rows.trail}
      height={rows.trail}
    />
  );
}

interface StripProps extends Picture {
  readonly shape: Shape;
  readonly line: Line;
  readonly visible: Visible;
  readonly onPoint: (event: PointerEvent<HTMLDivElement>) => void;
}

/** Staff, string row and hand trail over one another, with the cursor and what is marked behind them. */
export function Strip({ shape, line, visible, onPoint, ...picture }: StripProps) {
  const { names, other, demanded, cursor, selection, stretches, trouble } = picture;
  const { layout } = line;
  const { events, plan, setup, speech } = picture;
  // Nothing of the cursor: the rows are not drawn again where it moves.
  const rows = { events, plan, setup, speech, visible, layout };
  const within = (at: number) => at >= line.first && at < line.last;
  const column = (from: number, to: number): CSSProperties => ({
    left: layout.left(from),
    width: layout.left(to + 1) - layout.left(from),
    height: shape.height,
  });
  return (
    <div
      className="relative shrink-0 cursor-pointer"
      style={{ width: layout.width }}
      onPointerDown={onPoint}
      data-testid="strip"
      data-column={columnOf(layout, line.first)}
    >
      {trouble.filter(within).map((at) => (
        <div
          key={at}
          data-testid="trouble"
          className="pointer-events-none absolute top-0 border-x-3 border-madder bg-madder/10"
          style={column(at, at)}
        />
      ))}
      {within(cursor) && (
        <div
          data-testid="cursor"
          className="pointer-events-none absolute top-0 bg-haze"
          style={column(cursor, cursor)}
        />
      )}
      {selection && selection.to >= line.first && selection.from < line.last && (
        <div
          data-testid="marking"
          className="pointer-events-none absolute top-0 border-x-3 border-dove bg-dove/10"
          style={column(Math.max(selection.from, line.first), Math.min(selection.to, line.last - 1))}
        />
      )}
      {shape.rows.phrases > 0 && <PhraseRow {...rows} line={line} height={shape.rows.phrases} stretches={stretches} />}
      <Staff
        score={picture.score}
        layout={layout}
        first={visible.first}
        last={visible.last}
        label={benchPictureText.staffNotesWithFingerings(events.length)}
      />
      {names && <NameRow {...rows} height={shape.rows.names} names={names} />}
      <StringRow {...rows} height={shape.rows.strings} />
      {other && <BesideRow {...rows} height={shape.rows.beside} other={other} />}
      <HandTrail {...rows} height={shape.rows.trail} demanded={demanded} />
    </div>
  );
}
