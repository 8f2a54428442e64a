import { useMemo, type KeyboardEvent } from 'react';
import { resolveSetup, type Plan, type PlanRequest, type PlanResponse } from '../../core';
import { clefsRead } from '../../brief/clefs';
import { demandedAt } from '../../brief/demands';
import { printedPitches, spoken, stepWords } from '../../brief/words';
import { ComparisonPanel } from './Beside';
import { COLUMN } from './columns';
import { moveCursor } from './edits';
import { editByKey } from './keys';
import { listen } from './listening';
import { namesToWrite, useLook } from './look';
import { ManyLines } from './ManyLines';
import { Neck } from './Neck';
import { EditOutcome, NoteEditor } from './NoteEditor';
import { OneLine } from './OneLine';
import { StageTools } from './StageTools';
import { useBench } from './state';
import type { Picture } from './Strip';
import { useStudent } from './students';
import { Caution } from '../../ui/Caution';

interface Props {
  readonly response: PlanResponse;
  /** Null where no fingering fits the brief: the music is shown all the same. */
  readonly plan: Plan | null;
  readonly request: PlanRequest;
}

const FRAME = {
  tabIndex: 0,
  role: 'application',
  'aria-label':
    'Staff, strings and hand trail; left and right arrows move the cursor, 0 to 4 put a finger, up and down another string, Delete sets free',
  className: 'rounded-lg border border-rule bg-sheet',
} as const;

const NO_PLAN: Plan = { cost: 0, terms: {}, steps: [], shifts: [], reach: [], frames: [] };

const KEY_MOVES: Readonly<Record<string, (cursor: number, last: number) => number>> = {
  ArrowRight: (cursor) => cursor + 1,
  ArrowLeft: (cursor) => cursor - 1,
  Home: () => 0,
  End: (_, last) => last,
};

/** The picture of one plan: staff, string row and hand trail over one another, with one cursor through all. */
export function Stage({ response, plan: planned, request }: Props) {
  const plan = planned ?? NO_PLAN;
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  const student = useStudent(useBench((state) => state.record.studentId));
  const { zoom, names: shownNames, lines } = useLook();
  const { events, problems } = response;
  const other = beside === null ? undefined : response.plans[beside];
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

  const onKeyDown = (event: KeyboardEvent) => {
    if (editByKey(event, request, response, plan, cursor)) {
      event.preventDefault();
      return;
    }
    const move = KEY_MOVES[event.key];
    if (!move && event.key !== ' ') return;
    event.preventDefault();
    if (move) moveCursor(move(cursor, events.length - 1), event.shiftKey || marking);
    else if (planned) listen();
  };

  const picture: Picture = {
    response,
    events,
    plan,
    setup,
    instrument: request.instrument,
    clefs,
    names: namesToWrite(shownNames, student?.noteNames),
    other,
    demanded,
    cursor,
    selection,
    trouble,
    width: events.length * COLUMN,
  };
  const Layout = lines ? ManyLines : OneLine;
  const shift = plan.shifts.find((candidate) => candidate.to === cursor);

  return (
    <section aria-label="The plan" className="flex flex-col gap-1">
      {planned && <StageTools response={response} setup={setup} />}
      <Layout
        picture={picture}
        zoom={zoom}
        frame={{ ...FRAME, onKeyDown }}
        onPoint={(at, mark) => moveCursor(at, mark || marking)}
      />
      <p role="status" aria-live="polite" data-testid="cursor-words" className="px-1 text-[1.02rem]">
        {cursorWords(response, plan, cursor)}
      </p>
      <NoteEditor response={response} plan={plan} request={request} />
      {planned && <EditOutcome plan={plan} />}
      {planned && other && <ComparisonPanel plan={plan} other={other} />}
      {planned && <Neck events={events} plan={plan} request={request} setup={setup} cursor={cursor} />}
      {planned && asksWideHand(request) && <Caution />}
      {shift && (
        <p className="border-l-4 border-copper px-3 text-[1.02rem]" data-testid="why">
          <strong className="text-copper">Why the shift: </strong>
          {printedPitches(shift.reasons.map((reason) => reason.message).join(' '))}
        </p>
      )}
    </section>
  );
}

/** True where the whole passage keeps the hand wide open. */
function asksWideHand({ material }: PlanRequest): boolean {
  return (
    material.type === 'double-stops' && ['octave', 'fingered-octave', 'tenth'].includes(material.interval)
  );
}

/** The note at the cursor, said aloud. */
function cursorWords({ events }: PlanResponse, plan: Plan, cursor: number): string {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const event = events[cursor];
  const place = `Note ${cursor + 1} of ${events.length}`;
  if (!event || !('pitches' in event)) return `${place}: rest`;
  if (!step) return `${place}: ${event.pitches.map(spoken).join(' and ')}, not planned`;
  return stepWords(step, event.pitches, cursor, events.length);
}
