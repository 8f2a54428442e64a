import { memo, useMemo } from 'react';
import { useBench } from '../../app/bench';
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
import { EditOutcome, NoteEditor } from './NoteEditor';
import { NO_PLAN } from './PlanPicture';
import type { Shown } from './shown';
import { FingersShown, Marked } from './StageTools';
import * as benchPictureText from '../../wording/rooms/benchPicture';
import { levelOf } from '../../app/brief/words';

const NeckFigure = later(benchPictureText.theNeck, async () => (await import('./NeckFigure')).NeckFigure);
const PlanTable = later(benchPictureText.thePlanAsA, async () => (await import('./PlanTable')).PlanTable);
const WhyLines = later(benchPictureText.theReason, async () => (await import('../../ui/WhyLines')).WhyLines);
const ComparisonPanel = later(
  benchPictureText.theComparison,
  async () => (await import('./ComparisonPanel')).ComparisonPanel,
);

interface Props {
  readonly shown: Shown;
  readonly request: PlanRequest;
}

/** Under the picture: the note at the cursor in words, what it can be made to be, and what there is to know of it and of the plan. */
export const UnderPicture = memo(function UnderPicture({ shown, request }: Props) {
  const { response, planned, speech } = shown;
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const student = useStudent(useBench((state) => state.record.studentId));
  const { neck } = useLook();
  const asked = planned.ask.request;
  const setup = useMemo(() => resolveSetup(asked), [asked]);
  const plan = shown.plan ?? NO_PLAN;
  const laid = besideOf({ beside }, response);
  const shift = plan.shifts.find((candidate) => candidate.to === cursor);
  return (
    <>
      <div className="flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <p role="status" aria-live="polite" data-testid="cursor-words" className="text-[1.02rem]">
          {cursorWords(response, plan, cursor, speech)}
        </p>
        <Marked speech={speech} response={response} />
        <FingersShown />
      </div>
      <NoteEditor response={response} plan={plan} request={request} />
      {shown.plan && (
        <>
          <NeckFigure
            {...{ response, plan, request: asked, setup, cursor }}
            level={levelOf(request, student)}
            large={neck}
          />
          <EditOutcome plan={plan} speech={speech} />
          {laid && <ComparisonPanel plan={plan} other={laid.plan} words={laid.words} speech={speech} />}
          {asksWideHand(asked) && <Caution />}
          <PlanTable response={response} plan={plan} speech={speech} />
        </>
      )}
      {shift && <WhyLines shift={shift} speech={speech} />}
    </>
  );
});

/** True where the whole passage keeps the hand wide open. */
function asksWideHand({ material }: PlanRequest): boolean {
  return material.type === 'double-stops' && ['octave', 'fingered-octave', 'tenth'].includes(material.interval);
}

/** The note at the cursor, said aloud. */
function cursorWords({ events }: PlanResponse, plan: Plan, cursor: number, speech: Speech): string {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const event = events[cursor];
  const place = barWords(speech.place(cursor));
  if (!event || !('pitches' in event)) return benchPictureText.rest(place);
  if (!step) return benchPictureText.notPlanned(noteCount(events, cursor), place, listed(event.pitches.map(spoken)));
  return stepWords(step, speech);
}
