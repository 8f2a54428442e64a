import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Meaning } from '../app/meaning';
import { clefsRead, type Plan, type PlanResponse } from '../core';
import { extentOf, needsOf } from '../drawing/room';
import { eventAt, headWidth, type Layout, type Score } from '../drawing/score';
import { Staff, StaffHead } from '../drawing/Staff';
import * as paperPartsText from '../wording/rooms/paperParts';

const SCALE = 0.95;
const MOST_STRETCH = 2;
/** Over the highest head for finger, string and bar number, under the lowest for stems; in tenths of a staff space. */
const OVER = 48;
const UNDER = 40;

/** Where the eye is in the music, shared by all that a view shows. */
export interface Cursor {
  readonly at: number;
  readonly go: (at: number) => void;
}

interface Props {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
}

/** The music of the plan in one line over a view: a click or the arrow keys move the cursor. */
export function MusicLine({ meaning, cursor: { at, go } }: Props) {
  const { request, response, plan, student, findings } = meaning;
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const { current } = box;
    if (!current) return;
    const look = () => setWidth(current.clientWidth);
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(current);
    return () => watcher.disconnect();
  }, []);
  const { events, key, time } = response;
  const { score, gutter, layout } = useMemo(() => {
    const clefs = clefsRead(events, request.instrument, student);
    const strings = findings.setup.strings.map(({ name }) => name);
    const drawn: Score = {
      music: response,
      steps: plan.steps,
      strings,
      instrument: request.instrument,
      clefs,
      barred: true,
    };
    const head = headWidth(key.fifths, true, SCALE);
    return { score: drawn, gutter: head, layout: lineOf(drawn, width - head) };
  }, [events, request.instrument, student, findings, response, plan, key, width]);
  useLayoutEffect(() => {
    const { current } = box;
    if (!current) return;
    const [from, to] = [layout.left(at), gutter + layout.left(at + 1)];
    if (from < current.scrollLeft) current.scrollLeft = from;
    else if (to > current.scrollLeft + current.clientWidth) current.scrollLeft = to - current.clientWidth;
  }, [at, layout, gutter]);
  const last = events.length - 1;
  const press = (event: KeyboardEvent) => {
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: last }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    go(Math.max(0, Math.min(last, to)));
  };
  return (
    <div
      ref={box}
      role="slider"
      tabIndex={0}
      aria-label={paperPartsText.theMusicLeftAnd}
      aria-valuemin={1}
      aria-valuemax={events.length}
      aria-valuenow={at + 1}
      aria-valuetext={noteText(response, plan, at)}
      className="overflow-x-auto rounded-lg border border-rule bg-sheet"
      onKeyDown={press}
      data-testid="music-line"
    >
      <div className="flex" style={{ width: gutter + layout.width }}>
        <StaffHead
          clef={score.clefs[0]}
          fifths={key.fifths}
          time={time}
          keyName={key.name}
          width={gutter}
          height={layout.height}
          scale={SCALE}
          middleLine={layout.middleLine}
        />
        <div
          className="relative cursor-pointer"
          style={{ width: layout.width }}
          onPointerDown={(event) =>
            go(eventAt(layout, event.clientX - event.currentTarget.getBoundingClientRect().left, 0, events.length))
          }
        >
          <div
            className="absolute inset-y-0 bg-haze"
            style={{ left: layout.left(at), width: layout.left(at + 1) - layout.left(at) }}
          />
          {width > 0 && <Staff score={score} layout={layout} label={paperPartsText.staffNotes(events.length)} />}
        </div>
      </div>
    </div>
  );
}

/** One line that fills the room, or is wider and scrolls. */
function lineOf(score: Score, room: number): Layout {
  const { widths } = needsOf(score);
  const extent = extentOf(score.music.events, score.clefs, score.instrument);
  const all = widths.reduce((sum, width) => sum + width * SCALE, 0);
  const stretch = Math.max(1, Math.min(MOST_STRETCH, room / all));
  const lefts = [0];
  for (const width of widths) lefts.push(lefts[lefts.length - 1] + width * SCALE * stretch);
  const middleLine = Math.max(extent.above, 37) + OVER;
  return {
    width: lefts[lefts.length - 1],
    height: Math.ceil((middleLine + extent.below + UNDER) * SCALE),
    scale: SCALE,
    middleLine,
    left: (at) => lefts[Math.min(at, lefts.length - 1)],
  };
}

function noteText({ events }: PlanResponse, { steps }: Plan, at: number): string {
  const event = events[at];
  if (!event || !('pitches' in event)) return 'rest';
  const step = steps.find((one) => one.at === at);
  const fingers = step ? `, ${step.stops.map(({ finger }) => finger).join(' and ')}` : '';
  return event.pitches.join(' and ') + fingers;
}
