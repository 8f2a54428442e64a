import type { HTMLAttributes, PointerEvent } from 'react';
import { eventAt } from '../../drawing/score';
import type { Line, Shape } from './shape';
import type { Picture } from './Strip';

/** A way of laying the picture out. */
export interface PictureProps {
  readonly picture: Picture;
  readonly shape: Shape;
  /** What makes the picture one thing that takes the keys. */
  readonly frame: HTMLAttributes<HTMLDivElement>;
  /** Called with the event that was pointed at. */
  readonly onPoint: (at: number, mark: boolean) => void;
}

/** The event under a pointer on a strip. */
export function pointedAt(event: PointerEvent<HTMLDivElement>, { layout, first, last }: Line): number {
  const x = event.clientX - event.currentTarget.getBoundingClientRect().left;
  return eventAt(layout, x, first, last);
}
