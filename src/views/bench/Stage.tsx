import { useMemo } from 'react';
import { useBench } from '../../app/bench';
import { demandedAt } from '../../app/brief/demands';
import { besideOf } from '../../app/session/state';
import { useStudent } from '../../app/students';
import { resolveSetup, type PlanRequest } from '../../core';
import { usePictureKeys } from './keys';
import { NO_PLAN, PlanPicture } from './PlanPicture';
import type { Shown } from './shown';
import { StageTools } from './StageTools';
import { UnderPicture } from './UnderPicture';

interface Props {
  /** What the picture shows: an answer to the request as it was before an edit that is still worked at. */
  readonly now: Shown;
  /** What is told about it. */
  readonly after: Shown;
  readonly request: PlanRequest;
}

/** The picture of one plan: staff, string row and hand trail over one another, with one cursor through all; and what there is to say about it. */
export function Stage({ now, after, request }: Props) {
  const { response, speech, planned } = now;
  const plan = now.plan ?? NO_PLAN;
  const asked = planned.ask.request;
  const cursor = useBench((state) => state.cursor);
  const beside = useBench((state) => state.beside);
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  const student = useStudent(useBench((state) => state.record.studentId));
  const other = besideOf({ beside }, response)?.plan;
  const setup = useMemo(() => resolveSetup(asked), [asked]);
  const { rules } = request;
  const demanded = useMemo(() => demandedAt({ rules }), [rules]);
  const box = usePictureKeys({ request, response, plan, cursor, marking, planned: now.plan !== null });
  return (
    <section aria-label="The plan" className="flex flex-col gap-1">
      <StageTools shown={after} />
      <div ref={box}>
        <PlanPicture
          {...{ response, plan, asked, setup, student, speech, demanded, other, cursor, selection, marking }}
        />
      </div>
      <UnderPicture shown={after} request={request} />
    </section>
  );
}
