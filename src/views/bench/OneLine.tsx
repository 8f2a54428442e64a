import { useEffect, useRef, useState } from 'react';
import { COLUMN, columnX, visibleEvents } from './columns';
import { Strip, StripHead } from './Strip';
import { pointedAt, type PictureProps } from './pointing';

/** The whole music in one line that scrolls sideways; only what is in view is drawn. */
export function OneLine({ picture, zoom, frame, onPoint }: PictureProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const [view, setView] = useState({ left: 0, width: 1200 });
  const { events, clefs, cursor, width, gutter } = picture;
  const headAt = Math.round(view.left / COLUMN / zoom);
  useEffect(() => {
    const box = scroller.current;
    if (!box) return;
    const look = () => setView({ left: box.scrollLeft, width: box.clientWidth });
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(box);
    box.addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      box.removeEventListener('scroll', look);
    };
  }, []);
  useEffect(() => {
    if (scroller.current) keepInView(scroller.current, cursor, zoom, gutter);
  }, [cursor, zoom, gutter]);
  return (
    <div ref={scroller} {...frame} className={`overflow-x-auto ${frame.className}`}>
      <div className="flex" style={{ width: width + gutter, zoom }}>
        <StripHead {...picture} clef={clefs[Math.min(headAt, events.length - 1)]} first={headAt === 0} />
        <Strip
          {...picture}
          visible={visibleEvents(view.left / zoom, view.width / zoom, events.length)}
          onPoint={(event) => onPoint(pointedAt(event, zoom), event.shiftKey)}
        />
      </div>
    </div>
  );
}

function keepInView(box: HTMLDivElement, cursor: number, zoom: number, gutter: number) {
  const x = columnX(cursor) * zoom;
  const room = box.clientWidth - gutter * zoom;
  const column = COLUMN * zoom;
  if (x - column < box.scrollLeft) box.scrollLeft = x - column;
  else if (x + column > box.scrollLeft + room) box.scrollLeft = x + column - room;
}
