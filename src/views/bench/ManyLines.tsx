import { useEffect, useRef, useState } from 'react';
import { lineOf } from '../../drawing/lines';
import { useBeforePaint } from '../../ui/useBeforePaint';
import { pointedAt, type PictureProps } from './pointing';
import { BETWEEN } from './shape';
import { Strip, StripHead, StripNeck } from './Strip';

/** Lines drawn above and below what is in view. */
const SPARE = 1;

/** The music broken into lines, as on a page; they scroll in their own place, and only those in view are drawn. */
export function ManyLines({ picture, shape, frame, onPoint }: PictureProps) {
  const box = useRef<HTMLDivElement>(null);
  const [view, setView] = useState({ top: 0, height: 800 });
  const { cursor } = picture;
  const { lines } = shape;
  const step = shape.height + BETWEEN;
  useEffect(() => {
    const { current } = box;
    if (!current) return;
    const look = () => setView({ top: current.scrollTop, height: current.clientHeight });
    // It looks once by itself, when the page has been laid out.
    const watcher = new ResizeObserver(look);
    watcher.observe(current);
    current.addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      current.removeEventListener('scroll', look);
    };
  }, []);
  const cursorLine = lineOf(lines, cursor);
  useBeforePaint(() => {
    const { current } = box;
    if (!current) return;
    const top = cursorLine * step;
    if (top < current.scrollTop) current.scrollTop = top;
    else if (top + step > current.scrollTop + current.clientHeight)
      current.scrollTop = Math.min(top, top + step - current.clientHeight);
  }, [cursorLine, step]);
  const first = Math.max(0, Math.floor(view.top / step) - SPARE);
  const last = Math.min(lines.length, Math.ceil((view.top + view.height) / step) + SPARE);
  return (
    <div ref={box} {...frame} className={`h-full overflow-x-auto overflow-y-auto ${frame.className}`}>
      <div className="relative" style={{ height: lines.length * step - BETWEEN }}>
        {lines.slice(first, last).map((line, at) => (
          <div
            key={line.first}
            data-testid="line"
            className="absolute left-0 flex w-full"
            style={{ top: (first + at) * step }}
          >
            <StripHead {...picture} shape={shape} at={line.first} first={line.first === 0} />
            <Strip
              {...picture}
              shape={shape}
              line={line}
              visible={line}
              onPoint={(event) => onPoint(pointedAt(event, line), event.shiftKey)}
            />
            <div className="ml-auto">
              <StripNeck picture={picture} shape={shape} line={line} />
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}
