import { useEffect, useMemo, useRef, useState } from 'react';
import { eventAt, type Layout } from '../../drawing/score';
import { useBeforePaint } from '../../ui/useBeforePaint';
import { pointedAt, type PictureProps } from './pointing';
import type { Visible } from './shape';
import { Strip, StripHead, StripNeck } from './Strip';

/** Events drawn on either side of what is in view. */
const SPARE = 6;

/** The whole music in one line; where it is wider than the room it scrolls between clef and neck, and only what is in view is drawn. */
export function OneLine({ picture, shape, frame, onPoint }: PictureProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const [view, setView] = useState({ left: 0, width: 1200 });
  const { cursor } = picture;
  const [line] = shape.lines;
  const { layout, last } = line;
  const visible = useMemo(() => visibleEvents(layout, view, last), [layout, view, last]);
  const headAt = eventAt(layout, view.left + 1, 0, last);
  useEffect(() => {
    const box = scroller.current;
    if (!box) return;
    const look = () => setView({ left: box.scrollLeft, width: box.clientWidth });
    // It looks once by itself, when the page has been laid out.
    const watcher = new ResizeObserver(look);
    watcher.observe(box);
    box.addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      box.removeEventListener('scroll', look);
    };
  }, []);
  useBeforePaint(() => {
    if (scroller.current) keepInView(scroller.current, cursor, layout);
  }, [cursor, layout]);
  return (
    <div {...frame} className={`flex h-full overflow-y-auto ${frame.className}`}>
      <StripHead {...picture} shape={shape} at={headAt} first={view.left < 1} />
      <div ref={scroller} className="min-w-0 flex-1 overflow-x-auto overflow-y-hidden" style={{ height: shape.height }}>
        <Strip
          {...picture}
          shape={shape}
          line={line}
          visible={visible}
          onPoint={(event) => onPoint(pointedAt(event, line), event.shiftKey)}
        />
      </div>
      <StripNeck picture={picture} shape={shape} line={line} />
    </div>
  );
}

function visibleEvents(
  layout: Layout,
  { left, width }: { readonly left: number; readonly width: number },
  events: number,
): Visible {
  return {
    first: Math.max(0, eventAt(layout, left, 0, events) - SPARE),
    last: Math.min(events, eventAt(layout, left + width, 0, events) + 1 + SPARE),
  };
}

/** Scrolls so that the event's column and those beside it are in view. */
function keepInView(box: HTMLDivElement, cursor: number, layout: Layout) {
  const [from, to] = [layout.left(Math.max(0, cursor - 1)), layout.left(cursor + 2)];
  if (from < box.scrollLeft) box.scrollLeft = from;
  else if (to > box.scrollLeft + box.clientWidth) box.scrollLeft = to - box.clientWidth;
}
