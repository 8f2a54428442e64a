import type { HTMLAttributes, PointerEvent } from 'react';
import { COLUMN } from './columns';
import type { Picture } from './Strip';

/** A way of laying the picture out. */
export interface PictureProps {
  readonly picture: Picture;
  readonly zoom: number;
  /** What makes the picture one thing that takes the keys. */
  readonly frame: HTMLAttributes<HTMLDivElement>;
  /** Called with the event that was pointed at. */
  readonly onPoint: (at: number, mark: boolean) => void;
}

/** The event under a pointer on a strip. */
export function pointedAt(event: PointerEvent<HTMLDivElement>, zoom: number): number {
  const x = event.clientX - event.currentTarget.getBoundingClientRect().left;
  return Math.floor(x / COLUMN / zoom);
}
