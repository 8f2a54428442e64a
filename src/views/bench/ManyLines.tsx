import { barStarts, partsOf } from '../../core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { COLUMN } from './columns';
import { lineBreaks, lineOf } from '../../notation/lines';
import { pointedAt, type PictureProps } from './pointing';
import { pictureHeight, Strip, StripHead } from './Strip';

/** Space under each line, in px before any zoom. */
const BETWEEN = 18;
/** Lines drawn above and below what is in view. */
const SPARE = 1;

/** The music broken into lines, as on a page; only lines in view are drawn. */
export function ManyLines({ picture, zoom, frame, onPoint }: PictureProps) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  const [view, setView] = useState({ top: 0, bottom: 1000 });
  const { events, clefs, cursor } = picture;
  const most = Math.max(1, Math.floor((width / zoom - picture.gutter) / COLUMN));
  const { score } = picture;
  const bars = useMemo(() => barStarts(partsOf(score)), [score]);
  const lines = useMemo(() => lineBreaks(events.length, bars, most), [events, bars, most]);
  const step = (pictureHeight(picture) + BETWEEN) * zoom;
  useEffect(() => {
    const { current } = box;
    if (!current) return;
    const look = () => {
      const { top } = current.getBoundingClientRect();
      setView({ top: -top, bottom: innerHeight - top });
      setWidth(current.clientWidth);
    };
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(current);
    addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      removeEventListener('scroll', look);
    };
  }, []);
  const cursorLine = lineOf(lines, cursor);
  useEffect(() => {
    const top = (box.current?.getBoundingClientRect().top ?? 0) + cursorLine * step;
    if (top < 0 || top + step > innerHeight) scrollBy({ top: top - Math.max(0, (innerHeight - step) / 2) });
  }, [cursorLine, step]);
  const first = Math.max(0, Math.floor(view.top / step) - SPARE);
  const last = Math.min(lines.length, Math.ceil(view.bottom / step) + SPARE);
  return (
    <div
      ref={box}
      {...frame}
      className={`relative overflow-hidden ${frame.className}`}
      style={{ height: lines.length * step }}
    >
      {lines.slice(first, last).map((line, at) => (
        <div
          key={line.first}
          data-testid="line"
          className="absolute left-0 flex w-full overflow-hidden border-b border-rule"
          style={{ top: (first + at) * (step / zoom), zoom }}
        >
          <StripHead {...picture} clef={clefs[line.first]} first={line.first === 0} />
          <div className="overflow-hidden" style={{ width: (line.last - line.first) * COLUMN }}>
            <Strip
              {...picture}
              visible={line}
              from={line.first * COLUMN}
              onPoint={(event) => onPoint(pointedAt(event, zoom), event.shiftKey)}
            />
          </div>
        </div>
      ))}
    </div>
  );
}
