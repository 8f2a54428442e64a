import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { resolveSetup, type Plan, type PlanRequest, type PlanResponse } from '../../core';
import { clefsFor } from '../../brief/clefs';
import {
  COLUMN,
  columnX,
  GUTTER,
  NAME_ROW_HEIGHT,
  STAFF_HEIGHT,
  STRING_ROW_HEIGHT,
  TRAIL_HEIGHT,
  visibleEvents,
} from './columns';
import { BESIDE_HEIGHT, BesideRow, ComparisonPanel } from './Beside';
import { HandTrail, TrailAxis } from './HandTrail';
import { namesToWrite, useLook } from './look';
import { NameRow } from './NameRow';
import { Neck } from './Neck';
import { listen } from './listening';
import { Staff, StaffHead } from './Staff';
import { StringRow } from './StringRow';
import { demandedAt } from '../../brief/demands';
import { editByKey } from './keys';
import { StageTools } from './StageTools';
import { useStudent } from './students';
import { EditOutcome, NoteEditor } from './NoteEditor';
import { moveCursor } from './edits';
import { useBench } from './state';
import { stepWords } from '../../brief/words';

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly request: PlanRequest;
}

const KEY_MOVES: Readonly<Record<string, (cursor: number, last: number) => number>> = {
  ArrowRight: (cursor) => cursor + 1,
  ArrowLeft: (cursor) => cursor - 1,
  Home: () => 0,
  End: (_, last) => last,
};

/** The picture of one plan: staff, string row and hand trail over one another, with one cursor through all. */
export function Stage({ response, plan, request }: Props) {
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const other = beside === null ? undefined : response.plans[beside];
  const scroller = useRef<HTMLDivElement>(null);
  const [view, setView] = useState({ left: 0, width: 1200 });
  const { events } = response;
  const setup = useMemo(() => resolveSetup(request), [request]);
  const student = useStudent(useBench((state) => state.record.studentId));
  const clefs = useMemo(
    () =>
      clefsFor(
        events,
        request.instrument,
        student?.plays.instrument === request.instrument ? student.clefs : undefined,
      ),
    [events, request.instrument, student],
  );
  const { zoom, names: shownNames } = useLook();
  const names = namesToWrite(shownNames, student?.noteNames);
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  const demanded = useMemo(() => demandedAt(request), [request]);
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
    const box = scroller.current;
    if (!box) return;
    const x = columnX(cursor) * zoom;
    const room = box.clientWidth - GUTTER * zoom;
    const column = COLUMN * zoom;
    if (x - column < box.scrollLeft) box.scrollLeft = x - column;
    else if (x + column > box.scrollLeft + room) box.scrollLeft = x + column - room;
  }, [cursor, zoom]);

  const onKeyDown = (event: KeyboardEvent) => {
    if (editByKey(event, request, response, plan, cursor)) {
      event.preventDefault();
      return;
    }
    const move = KEY_MOVES[event.key];
    if (!move && event.key !== ' ') return;
    event.preventDefault();
    if (move) moveCursor(move(cursor, events.length - 1), event.shiftKey || marking);
    else listen();
  };
  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    const x = event.clientX - event.currentTarget.getBoundingClientRect().left;
    moveCursor(Math.floor(x / COLUMN / zoom), event.shiftKey || marking);
  };

  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const event = events[cursor];
  const said =
    step && event && 'pitches' in event
      ? stepWords(step, event.pitches, cursor, events.length)
      : `Note ${cursor + 1} of ${events.length}: rest`;
  const shift = plan.shifts.find((candidate) => candidate.to === cursor);
  const visible = visibleEvents(view.left / zoom, view.width / zoom, events.length);
  const width = events.length * COLUMN;
  const rows = { events, plan, setup, visible, width };
  const height =
    STAFF_HEIGHT +
    STRING_ROW_HEIGHT +
    TRAIL_HEIGHT +
    (other ? BESIDE_HEIGHT : 0) +
    (names ? NAME_ROW_HEIGHT : 0);

  return (
    <section aria-label="The plan" className="flex flex-col gap-1">
      <StageTools response={response} setup={setup} />
      <div
        ref={scroller}
        tabIndex={0}
        role="application"
        aria-label="Staff, strings and hand trail; left and right arrows move the cursor, 0 to 4 put a finger, up and down another string, Delete sets free"
        onKeyDown={onKeyDown}
        className="overflow-x-auto rounded-lg border border-rule bg-sheet"
      >
        <div className="flex" style={{ width: width + GUTTER, zoom }}>
          <div className="sticky left-0 z-10 border-r border-rule bg-sheet" style={{ width: GUTTER }}>
            <StaffHead response={response} clef={clefs[Math.min(headAt, events.length - 1)]} />
            {names && (
              <p className="flex items-center px-3 text-sm text-faded" style={{ height: NAME_ROW_HEIGHT }}>
                name
              </p>
            )}
            <p className="flex items-center px-3 text-sm text-faded" style={{ height: STRING_ROW_HEIGHT }}>
              string
            </p>
            {other && (
              <p className="flex items-center px-3 text-sm text-faded" style={{ height: BESIDE_HEIGHT }}>
                the other way
              </p>
            )}
            <TrailAxis plan={plan} />
          </div>
          <div className="relative cursor-pointer" style={{ width }} onPointerDown={onPointerDown}>
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
            <Staff {...rows} response={response} instrument={request.instrument} clefs={clefs} />
            {names && <NameRow {...rows} names={names} />}
            <StringRow {...rows} />
            {other && <BesideRow {...rows} other={other} />}
            <HandTrail {...rows} demanded={demanded} />
          </div>
        </div>
      </div>
      <p role="status" aria-live="polite" data-testid="cursor-words" className="px-1 text-[1.02rem]">
        {said}
      </p>
      <NoteEditor response={response} plan={plan} request={request} />
      <EditOutcome plan={plan} />
      {other && <ComparisonPanel plan={plan} other={other} />}
      <Neck plan={plan} request={request} setup={setup} cursor={cursor} />
      {shift && (
        <p className="border-l-4 border-copper px-3 text-[1.02rem]" data-testid="why">
          <strong className="text-copper">Why the shift: </strong>
          {shift.reasons.map((reason) => reason.message).join(' ')}
        </p>
      )}
    </section>
  );
}
