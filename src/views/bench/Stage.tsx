import { useMemo } from 'react';
import { useBench } from '../../app/bench';
import { demandedAt } from '../../app/brief/demands';
import { useLook } from '../../app/look';
import { besideOf } from '../../app/session/state';
import { useStudent } from '../../app/students';
import { resolveSetup, type Plan, type PlanRequest, type PlanResponse } from '../../core';
import { Caution } from '../../ui/Caution';
import { later } from '../../ui/later';
import { listed } from '../../wording/grammar';
import { spoken } from '../../wording/notes';
import { barWords } from '../../wording/places';
import { noteCount, stepWords, type Speech } from '../../wording/plans';
import { usePictureKeys } from './keys';
import { EditOutcome, NoteEditor } from './NoteEditor';
import { PlanPicture } from './PlanPicture';
import { Marked, StageTools } from './StageTools';

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
  /** What the response answers: the request as it was before an edit that is still worked at. */
  readonly asked: PlanRequest;
  readonly speech: Speech;
}

const NO_PLAN: Plan = { cost: 0, terms: {}, steps: [], shifts: [], reach: [], frames: [] };

/** The picture of one plan: staff, string row and hand trail over one another, with one cursor through all. */
export function Stage({ response, plan: planned, request, asked, speech }: Props) {
  const plan = planned ?? NO_PLAN;
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  const student = useStudent(useBench((state) => state.record.studentId));
  const { neck } = useLook();
  const laid = besideOf({ beside }, response);
  const other = laid?.plan;
  const setup = useMemo(() => resolveSetup(asked), [asked]);
  const { rules } = request;
  const demanded = useMemo(() => demandedAt({ rules }), [rules]);
  const box = usePictureKeys({ request, response, plan, cursor, marking, planned: planned !== null });
  const shift = plan.shifts.find((candidate) => candidate.to === cursor);

  return (
    <section aria-label="The plan" className="flex flex-col gap-1">
      <StageTools response={response} setup={setup} />
      <div ref={box}>
        <PlanPicture
          {...{ response, plan, asked, setup, student, speech, demanded, other, cursor, selection, marking }}
        />
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
          {...{ response, plan, request: asked, setup, cursor }}
          level={student?.level ?? 'middle'}
          large={neck}
        />
      )}
      {planned && <EditOutcome plan={plan} speech={speech} />}
      {planned && laid && other && (
        <ComparisonPanel plan={plan} other={other} words={laid.words} speech={speech} />
      )}
      {planned && asksWideHand(asked) && <Caution />}
      {planned && <PlanTable response={response} plan={plan} speech={speech} />}
      {shift && <WhyLines shift={shift} speech={speech} />}
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
function cursorWords({ events }: PlanResponse, plan: Plan, cursor: number, speech: Speech): string {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const event = events[cursor];
  const place = barWords(speech.place(cursor));
  if (!event || !('pitches' in event)) return `Rest, ${place}`;
  if (!step)
    return `${noteCount(events, cursor)}, ${place}: ${listed(event.pitches.map(spoken))}, not planned`;
  return stepWords(step, speech);
}
