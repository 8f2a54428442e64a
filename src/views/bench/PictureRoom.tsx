import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** What a picture may take up, in px. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

/** The place of the picture. It is there, and measured, before there is anything to draw. */
export function PictureRoom({ children }: { readonly children: (room: Room) => ReactNode }) {
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<Room | null>(null);
  useLayoutEffect(() => {
    const { current } = frame;
    if (!current) return;
    const look = () => {
      const [width, height] = [current.clientWidth - 2, current.clientHeight - 2];
      setRoom((old) => (old?.width === width && old.height === height ? old : { width, height }));
    };
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(current);
    return () => watcher.disconnect();
  }, []);
  return (
    <div ref={frame} className="picture-room" data-testid="picture">
      {room && children(room)}
    </div>
  );
}
