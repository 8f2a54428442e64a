import type { PointerEvent, ReactNode } from 'react';
import type { Clef, NoteNames, Plan, PlanResponse } from '../../core';
import { Staff, StaffHead } from '../../notation/Staff';
import type { Layout, Score } from '../../notation/score';
import { BESIDE_HEIGHT, BesideRow } from './BesideRow';
import {
  COLUMN,
  NAME_ROW_HEIGHT,
  STAFF_HEIGHT,
  STAFF_SCALE,
  STRING_ROW_HEIGHT,
  TRAIL_HEIGHT,
} from './columns';
import { HandTrail, TrailAxis } from './HandTrail';
import { NameRow } from './NameRow';
import type { RowProps } from './rows';
import type { Selection } from '../../app/session/state';
import { StringRow } from './StringRow';

/** All that the rows of the picture are drawn from, but for which events are in view. */
export interface Picture extends Omit<RowProps, 'visible'> {
  readonly response: PlanResponse;
  /** The same as it is engraved. */
  readonly score: Score;
  readonly layout: Layout;
  readonly clefs: readonly Clef[];
  readonly names: NoteNames | null;
  readonly other: Plan | undefined;
  readonly demanded: ReadonlyMap<number, 'kept' | 'never'>;
  readonly cursor: number;
  readonly selection: Selection | null;
  /** Events that leave no plan. */
  readonly trouble: readonly number[];
  /** Width of what stands at the left of the rows, in px before any zoom. */
  readonly gutter: number;
}

/** Height of the rows together, in px before any zoom. */
export function pictureHeight({ names, other }: Pick<Picture, 'names' | 'other'>): number {
  const rows = STAFF_HEIGHT + STRING_ROW_HEIGHT + TRAIL_HEIGHT;
  return rows + (other ? BESIDE_HEIGHT : 0) + (names ? NAME_ROW_HEIGHT : 0);
}

interface HeadProps extends Picture {
  readonly clef: Clef;
  /** True where the piece begins. */
  readonly first: boolean;
}

/** What stands at the left of the rows: clef and signature, what each row is, the distances from the nut. */
export function StripHead({ response, names, other, plan, clef, first, gutter }: HeadProps) {
  const { key, time } = response;
  return (
    <div className="sticky left-0 z-10 shrink-0 border-r border-rule bg-sheet" style={{ width: gutter }}>
      <StaffHead
        clef={clef}
        fifths={key.fifths}
        keyName={key.name}
        time={first ? time : undefined}
        width={gutter}
        height={STAFF_HEIGHT}
        scale={STAFF_SCALE}
      />
      {names && <RowWord height={NAME_ROW_HEIGHT}>name</RowWord>}
      <RowWord height={STRING_ROW_HEIGHT}>string</RowWord>
      {other && <RowWord height={BESIDE_HEIGHT}>the other way</RowWord>}
      <TrailAxis plan={plan} width={gutter} />
    </div>
  );
}

function RowWord({ height, children }: { readonly height: number; readonly children: ReactNode }) {
  return (
    <p className="flex items-center px-3 text-sm text-faded" style={{ height }}>
      {children}
    </p>
  );
}

interface StripProps extends Picture {
  readonly visible: RowProps['visible'];
  /** Px by which the strip lies further left: where its line begins. */
  readonly from?: number;
  readonly onPoint: (event: PointerEvent<HTMLDivElement>) => void;
}

/** Staff, string row and hand trail over one another, with the cursor and what is marked behind them. */
export function Strip({ visible, from = 0, onPoint, ...picture }: StripProps) {
  const { names, other, demanded, cursor, selection, trouble, width } = picture;
  const rows = { ...picture, visible };
  const height = pictureHeight(picture);
  return (
    <div className="relative cursor-pointer" style={{ width, marginLeft: -from }} onPointerDown={onPoint}>
      {trouble.map((at) => (
        <div
          key={at}
          data-testid="trouble"
          className="pointer-events-none absolute top-0 border-x-3 border-madder bg-madder/10"
          style={{ left: at * COLUMN, width: COLUMN, height }}
        />
      ))}
      <div
        data-testid="cursor"
        className="pointer-events-none absolute top-0 bg-haze"
        style={{ left: cursor * COLUMN, width: COLUMN, height }}
      />
      {selection && (
        <div
          data-testid="marking"
          className="pointer-events-none absolute top-0 border-x-3 border-dove bg-dove/10"
          style={{
            left: selection.from * COLUMN,
            width: (selection.to - selection.from + 1) * COLUMN,
            height,
          }}
        />
      )}
      <Staff
        score={picture.score}
        layout={picture.layout}
        first={visible.first}
        last={visible.last}
        label={`Staff: ${picture.events.length} notes with fingerings`}
      />
      {names && <NameRow {...rows} names={names} />}
      <StringRow {...rows} />
      {other && <BesideRow {...rows} other={other} />}
      <HandTrail {...rows} demanded={demanded} />
    </div>
  );
}
