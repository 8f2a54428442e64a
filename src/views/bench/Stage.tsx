import { useMemo } from 'react';
import { useBench } from '../../app/bench';
import { demandedAt } from '../../app/brief/demands';
import { besideOf } from '../../app/session/state';
import { useStudent } from '../../app/students';
import { resolveSetup, type PlanRequest } from '../../core';
import { usePictureKeys } from './keys';
import { PictureRoom, type Room } from './PictureRoom';
import { NO_PLAN, PlanPicture } from './PlanPicture';
import type { Shown } from './shown';
import { StageTools } from './StageTools';
import { UnderPicture } from './UnderPicture';
import * as benchPictureText from '../../wording/rooms/benchPicture';

interface Props {
  /** What the picture shows: an answer to the request as it was before an edit that is still worked at. */
  readonly now: Shown | null;
  /** What is told about it. */
  readonly after: Shown | null;
  readonly request: PlanRequest;
}

/** The picture of one plan with its tools, and what there is to say about it. Its place is there before the plan. */
export function Stage({ now, after, request }: Props) {
  const tools = after ?? now;
  return (
    <section aria-label={benchPictureText.thePlan} className="flex flex-col gap-1">
      {tools ? <StageTools shown={tools} /> : <div className="min-h-8.5" />}
      <PictureRoom>{(room) => now && <Picture shown={now} request={request} room={room} />}</PictureRoom>
      {after && <UnderPicture shown={after} request={request} />}
    </section>
  );
}

interface PictureProps {
  readonly shown: Shown;
  readonly request: PlanRequest;
  readonly room: Room;
}

/** Staff, string row and hand trail over one another, with one cursor through all, and its keys. */
function Picture({ shown, request, room }: PictureProps) {
  const { response, speech, planned } = shown;
  const plan = shown.plan ?? NO_PLAN;
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
  const box = usePictureKeys({ request, response, plan, cursor, marking, planned: shown.plan !== null });
  return (
    <div ref={box} className="h-full">
      <PlanPicture
        {...{ response, plan, asked, setup, student, speech, demanded, other, room }}
        {...{ cursor, selection, marking }}
      />
    </div>
  );
}
