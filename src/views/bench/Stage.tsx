import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useBench } from '../../app/bench';
import { besideOf } from '../../app/session/state';
import { demandedAt } from '../../app/brief/demands';
import { moveCursor } from '../../app/edits';
import { namesToWrite, useLook } from '../../app/look';
import { useStudent } from '../../app/students';
import {
  clefsRead,
  hasBows,
  resolveHand,
  resolveSetup,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../core';
import { extentOf, needsOf } from '../../notation/room';
import { Caution } from '../../ui/Caution';
import { later } from '../../ui/later';
import { listed } from '../../wording/grammar';
import { spoken } from '../../wording/notes';
import { barWords } from '../../wording/places';
import { noteCount, stepWords, type Speech } from '../../wording/plans';
import { usePictureKeys } from './keys';
import { EditOutcome, NoteEditor } from './NoteEditor';
import { restezMarks } from '../../notation/marks';
import { OneLine } from './OneLine';
import { sameScore } from './sameScore';
import { shapeOf } from './shape';
import { Marked, StageTools } from './StageTools';
import type { Picture } from './Strip';

const ManyLines = later('The music in lines', async () => (await import('./ManyLines')).ManyLines);
const NeckFigure = later('The neck', async () => (await import('./NeckFigure')).NeckFigure);
const PlanTable = later('The plan as a table', async () => (await import('./PlanTable')).PlanTable);
const WhyLines = later('The reason', async () => (await import('../../ui/WhyLines')).WhyLines);
const ComparisonPanel = later(
  'The comparison',
  async () => (await import('./ComparisonPanel')).ComparisonPanel,
);

interface Props {
  readonly response: PlanResponse;
  /** Null where no fingering fits the brief: the music is shown all the same. */
  readonly plan: Plan | null;
  readonly request: PlanRequest;
  readonly speech: Speech;
}

const FRAME = {
  tabIndex: 0,
  role: 'application',
  'aria-label':
    'Staff, strings and hand trail; left and right arrows move the cursor, 0 to 4 put a finger, up and down another string, Delete sets free',
  className: 'rounded-lg border border-rule bg-sheet',
} as const;

const NO_PLAN: Plan = { cost: 0, terms: {}, steps: [], shifts: [], reach: [], frames: [] };

/** The picture of one plan: staff, string row and hand trail over one another, with one cursor through all. */
export function Stage({ response, plan: planned, request, speech }: Props) {
  const plan = planned ?? NO_PLAN;
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  const student = useStudent(useBench((state) => state.record.studentId));
  const { zoom, names: shownNames, lines, neck } = useLook();
  const { room, frame } = useRoom();
  const { events, problems } = response;
  const laid = besideOf({ beside }, response);
  const other = laid?.plan;
  const setup = useMemo(() => resolveSetup(request), [request]);
  const clefs = useMemo(
    () => clefsRead(events, request.instrument, student),
    [events, request.instrument, student],
  );
  const demanded = useMemo(() => demandedAt(request), [request]);
  const trouble = useMemo(
    () => [...new Set(problems.flatMap(({ at, fight = [] }) => (at === undefined ? fight : [at, ...fight])))],
    [problems],
  );

  const box = usePictureKeys({ request, response, plan, cursor, marking, planned: planned !== null });
  const strings = useMemo(() => setup.strings.map(({ name }) => name), [setup]);
  const score = useMemo(
    () =>
      sameScore({
        music: response,
        steps: plan.steps,
        strings,
        instrument: request.instrument,
        clefs,
        barred: true,
      }),
    [response, plan.steps, strings, request.instrument, clefs],
  );
  const names = namesToWrite(shownNames, student?.noteNames);
  const needs = useMemo(() => needsOf(score), [score]);
  const extent = useMemo(
    () => extentOf(events, clefs, request.instrument),
    [events, clefs, request.instrument],
  );
  const under = useMemo(() => hasBows(events) || restezMarks(plan.steps).length > 0, [events, plan.steps]);
  const { fifths } = response.key;
  const shape = useMemo(
    () =>
      room &&
      shapeOf({ ...needs, extent, fifths, room, zoom, lines, under, names: !!names, beside: !!other }),
    [needs, extent, fifths, room, zoom, lines, under, names, other],
  );

  const picture: Picture = {
    response,
    events,
    plan,
    setup,
    score,
    speech,
    clefs,
    names,
    other,
    hand: useMemo(() => resolveHand(setup, request.hand), [setup, request.hand]),
    demanded,
    cursor,
    selection,
    trouble,
  };
  const Layout = shape?.many ? ManyLines : OneLine;
  const shift = plan.shifts.find((candidate) => candidate.to === cursor);

  return (
    <section aria-label="The plan" className="flex flex-col gap-1">
      <StageTools response={response} setup={setup} />
      <div ref={box}>
        <div ref={frame} className="picture-room" data-testid="picture">
          {shape && (
            <Layout
              picture={picture}
              shape={shape}
              frame={FRAME}
              onPoint={(at, mark) => moveCursor(at, mark || marking)}
            />
          )}
        </div>
      </div>
      <div className="flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <p role="status" aria-live="polite" data-testid="cursor-words" className="text-[1.02rem]">
          {cursorWords(response, plan, cursor, speech)}
        </p>
        <Marked speech={speech} />
      </div>
      <NoteEditor response={response} plan={plan} request={request} />
      {planned && (
        <NeckFigure
          {...{ response, plan, request, setup, cursor }}
          level={student?.level ?? 'middle'}
          large={neck}
        />
      )}
      {planned && <EditOutcome plan={plan} speech={speech} />}
      {planned && laid && other && (
        <ComparisonPanel plan={plan} other={other} words={laid.words} speech={speech} />
      )}
      {planned && asksWideHand(request) && <Caution />}
      {planned && <PlanTable response={response} plan={plan} speech={speech} />}
      {shift && <WhyLines shift={shift} speech={speech} />}
    </section>
  );
}

interface Room {
  readonly width: number;
  readonly height: number;
}

/** The room that the picture has; null before it is measured. */
function useRoom() {
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
  return { room, frame };
}

/** True where the whole passage keeps the hand wide open. */
function asksWideHand({ material }: PlanRequest): boolean {
  return (
    material.type === 'double-stops' && ['octave', 'fingered-octave', 'tenth'].includes(material.interval)
  );
}

/** The note at the cursor, said aloud. */
function cursorWords({ events }: PlanResponse, plan: Plan, cursor: number, speech: Speech): string {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const event = events[cursor];
  const place = barWords(speech.place(cursor));
  if (!event || !('pitches' in event)) return `Rest, ${place}`;
  if (!step)
    return `${noteCount(events, cursor)}, ${place}: ${listed(event.pitches.map(spoken))}, not planned`;
  return stepWords(step, speech);
}
