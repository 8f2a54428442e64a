import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Meaning } from '../../app/meaning';
import { eventsOn } from '../../app/practice/playedPassage';
import { namesToWrite } from '../../app/look';
import {
  clefsRead,
  hasBows,
  type Clef,
  type InstrumentName,
  type LadderStep,
  type Plan,
  type ResponseEvent,
} from '../../core';
import { lineBreaks, lineOf } from '../../drawing/lines';
import { extentOf } from '../../drawing/room';
import { evenLayout, headWidth, USUAL_MIDDLE, type Marks, type Score } from '../../drawing/score';
import { Staff, StaffHead } from '../../drawing/Staff';
import { printed } from '../../wording/notes';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

interface Props {
  readonly meaning: Meaning;
  readonly step: LadderStep;
  /** The event that is lit. */
  readonly cursor: number;
  /** True while the player points at the note that was off. */
  readonly pointing: boolean;
  readonly onPoint: (at: number) => void;
}

/** The passage, as large as the room allows: it is read from two metres, and nothing scrolls. */
export function PassageStaff({ meaning, step, cursor, pointing, onPoint }: Props) {
  const { request, response, plan, student, findings } = meaning;
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 1200, height: 420 });
  useLayoutEffect(() => {
    const { current } = box;
    if (!current) return;
    const look = () => setRoom({ width: current.clientWidth, height: current.clientHeight });
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(current);
    return () => watcher.disconnect();
  }, []);
  const events = useMemo(
    () =>
      // Stops that a rhythm puts in are heard, not written.
      eventsOn(meaning, step)
        .filter((event) => event.at >= step.from && !('rest' in event && 'pitches' in response.events[event.at]))
        .map((event, at) => ({ ...event, at })),
    [meaning, step, response],
  );
  const names = step.aid === 'names-and-fingers' || step.aid === 'names';
  const { fifths } = response.key;
  const count = events.length;
  const score = useMemo((): Score => {
    const clefs = clefsRead(response.events, request.instrument, student).slice(step.from, step.to + 1);
    const steps = fingersShown(plan, step).map((one) => ({ ...one, at: one.at - step.from }));
    const strings = findings.setup.strings.map(({ name }) => name);
    const music = { key: response.key, time: response.time, pickup: 0, events };
    return { music, steps, strings, instrument: request.instrument, clefs, barred: false };
  }, [events, plan, step, response, request, student, findings]);
  const { clefs } = score;
  const size = useMemo(
    () => sizeFor(room, { notes: count, fifths, names, ...extent(events, clefs, request.instrument) }),
    [room, count, fifths, names, events, clefs, request.instrument],
  );
  const { column, scale, height, most, line: lineHeight, empty, layout } = size;
  const pages = pagesOf(
    lineBreaks(
      events.map(() => 1),
      NO_BARS,
      most,
    ),
    size.lines,
  );
  const at = cursor - step.from;
  const page = pages.find((lines) => lineOf(lines, at) >= 0) ?? pages[0];
  const calls = namesToWrite('theirs', student?.noteNames) ?? 'letters';
  return (
    <div ref={box} className="relative min-h-36 flex-1 overflow-hidden" data-testid="passage">
      <div className="absolute inset-0 flex flex-col justify-center">
        {page.map((line) => (
          <div key={line.first} className="flex shrink-0" style={{ height: lineHeight + (names ? NAMES : 0) }}>
            <div style={{ marginTop: -empty }}>
              <StaffHead
                clef={score.clefs[line.first]}
                fifths={fifths}
                keyName={response.key.name}
                width={headWidth(fifths, false, scale)}
                height={height}
                scale={scale}
              />
            </div>
            <div
              className="relative overflow-x-clip"
              style={{ width: (line.last - line.first) * column, marginTop: -empty }}
            >
              <div style={{ marginLeft: -line.first * column, width: layout.width }} className="relative">
                {at >= line.first && at < line.last && (
                  <div
                    className={`absolute ${pointing ? 'border-x-4 border-madder bg-madder/10' : 'bg-haze'}`}
                    style={{ left: at * column, width: column, top: empty, height: lineHeight + (names ? NAMES : 0) }}
                  />
                )}
                <Staff
                  score={score}
                  layout={layout}
                  marks={MARKS}
                  first={line.first}
                  last={line.last}
                  label={practiceViewsText.passageNotes(events.length)}
                />
                {names && (
                  <p
                    className="absolute left-0 flex font-semibold"
                    style={{ top: empty + lineHeight - 8, fontSize: 11 * scale }}
                  >
                    {events.map((event, n) => (
                      <span key={n} className="text-center" style={{ width: column }}>
                        {'pitches' in event ? event.pitches.map((name) => printed(name, calls)).join(' ') : ''}
                      </span>
                    ))}
                  </p>
                )}
                {pointing && (
                  <div className="absolute inset-0 flex">
                    {events.map((_, n) => (
                      <button
                        key={n}
                        type="button"
                        tabIndex={-1}
                        aria-label={practiceViewsText.note(n + 1)}
                        className="shrink-0 cursor-pointer"
                        style={{ width: column, height }}
                        onClick={() => onPoint(step.from + n)}
                      />
                    ))}
                  </div>
                )}
              </div>
            </div>
          </div>
        ))}
        {pages.length > 1 && (
          <p className="text-right text-faded">{practiceViewsText.of(pages.indexOf(page) + 1, pages.length)}</p>
        )}
      </div>
    </div>
  );
}

const NO_BARS: ReadonlySet<number> = new Set();
const MARKS: Marks = { fingers: true, numerals: true, barNumbers: false, fingerSize: 2.1 };
/** Height of the row of names, in px. */
const NAMES = 26;

/** In tenths of a staff space: what a note needs, and how high it is engraved. */
const NOTE = 31;
const ENGRAVED = 190;
/** Room for fingers above and stems below. */
const FINGERS = 46;
const STEMS = 20;
/** Room for slurs below the stems, where any are written. */
const SLURS = 22;
const MOST_SCALE = 2.9;
const LEAST_SCALE = 1.35;

interface Extent {
  /** Where the drawing begins and ends, in tenths of a staff space. */
  readonly top: number;
  readonly bottom: number;
}

/** How far up and down the drawing of a passage goes. */
function extent(events: readonly ResponseEvent[], clefs: readonly Clef[], instrument: InstrumentName): Extent {
  const { above, below } = extentOf(events, clefs, instrument);
  return {
    top: Math.max(0, USUAL_MIDDLE - above - FINGERS),
    bottom: USUAL_MIDDLE + below + STEMS + (hasBows(events) ? SLURS : 0),
  };
}

interface Sized extends Extent {
  readonly notes: number;
  readonly fifths: number;
  readonly names: boolean;
}

interface Room {
  readonly width: number;
  readonly height: number;
}

/** The largest notes that fit: in how many lines, how many on each, how large. Where even the smallest do not fit, the pages are turned. */
function sizeFor({ width, height }: Room, { notes, fifths, names, top, bottom }: Sized) {
  const high = bottom - top;
  const row = names ? NAMES : 0;
  const sizes = [1, 2, 3, 4, 5, 6].map((lines) => {
    const most = Math.max(1, Math.ceil(notes / lines));
    const wide = width / (most * NOTE + headWidth(fifths, false, 1) + 8);
    return { lines, most, scale: Math.min(MOST_SCALE, wide, (height / lines - row) / high) };
  });
  const best = sizes.reduce((a, b) => (b.scale > a.scale ? b : a));
  const scale = Math.max(LEAST_SCALE, best.scale);
  const room = width - headWidth(fifths, false, scale) - 8;
  const fits = scale === best.scale;
  const most = fits ? best.most : Math.max(1, Math.floor(room / (NOTE * scale)));
  const lines = fits ? best.lines : Math.max(1, Math.floor(height / (high * scale + row)));
  const column = Math.min(78 * scale, room / most);
  return {
    scale,
    most,
    lines,
    column,
    height: ENGRAVED * scale,
    line: high * scale,
    empty: top * scale,
    layout: evenLayout(notes, column, ENGRAVED * scale, scale),
  };
}

function pagesOf<T>(lines: readonly T[], most: number): T[][] {
  return Array.from({ length: Math.ceil(lines.length / most) }, (_, page) =>
    lines.slice(page * most, (page + 1) * most),
  );
}

/** The fingers that a step still shows: all, those of the hard places, or none. */
function fingersShown(plan: Plan, { aid, from, to, voices }: LadderStep): Plan['steps'] {
  const all = plan.steps.filter(({ at }) => at >= from && at <= to);
  // Of one voice only its finger.
  const own = all.map((step) =>
    voices === 'lower' || voices === 'upper'
      ? { ...step, stops: [step.stops[voices === 'lower' ? 0 : step.stops.length - 1]] }
      : step,
  );
  if (!aid || aid === 'names-and-fingers') return own;
  if (aid !== 'hard-fingers') return [];
  const landings = new Set(plan.shifts.map((shift) => shift.to));
  return own.filter(({ at, extended }, n) => {
    const before = own[n - 1];
    const crosses = before && before.stops[0].string !== own[n].stops[0].string;
    return n === 0 || landings.has(at) || extended || crosses;
  });
}
