import { useEffect, useState } from 'react';
import { standingIn } from '../../app/path/standing';
import { editPath } from '../../app/path/doing';
import { useOverview, type Overview } from '../../app/practice/overview';
import type { PlanRecord, StudentRecord } from '../../core';
import { skillsWords } from '../../wording/path';
import * as benchPlanText from '../../wording/rooms/benchPlan';
import { skillsOfPlans } from '../../work/pathfinder';

interface Props {
  readonly record: PlanRecord;
  readonly student: StudentRecord;
}

/** What a plan has that is new for its student; worked out when it is asked for. */
export function NewFor({ record, student }: Props) {
  const [asked, setAsked] = useState(false);
  if (asked) return <Told record={record} student={student} />;
  return (
    <button type="button" className="cursor-pointer self-start text-dove underline" onClick={() => setAsked(true)}>
      {benchPlanText.whatIsNewFor(student.name)}
    </button>
  );
}

interface New {
  readonly fresh: readonly string[];
  readonly atWork: readonly string[];
}

async function newIn(record: PlanRecord, student: StudentRecord, overview: Overview): Promise<New> {
  const { id, request, choice } = record;
  const kept = 'fingering' in choice ? { kept: choice.fingering } : {};
  const [skills, standing] = await Promise.all([
    skillsOfPlans([{ planId: id, request, ...kept }]),
    standingIn(student, overview),
  ]);
  const how = new Map(standing.map((one) => [one.id, one.standing]));
  const ids = (skills.get(id) ?? []).map((skill) => skill.id);
  return { fresh: ids.filter((one) => !how.has(one)), atWork: ids.filter((one) => how.get(one) === 'at-work') };
}

function Told({ record, student }: Props) {
  const overview = useOverview(student.id);
  const [told, setTold] = useState<New | 'failed' | null>(null);
  useEffect(() => {
    let here = true;
    if (!overview) return;
    newIn(record, student, overview).then(
      (one) => here && setTold(one),
      () => here && setTold('failed'),
    );
    return () => {
      here = false;
    };
  }, [record, student, overview]);
  if (told === null) return <p className="text-faded">{benchPlanText.lookingWhatIsNew}</p>;
  if (told === 'failed') return <p role="alert">{benchPlanText.couldNotTellWhatIsNew}</p>;
  const { instrument } = record.request;
  const toIt = async () => {
    const set = await editPath(student, () => ({ goal: { kind: 'plan', planId: record.id } }));
    if (set) location.assign(`/path?student=${student.id}`);
  };
  return (
    <p role="status" data-testid="new-for">
      {told.fresh.length > 0
        ? benchPlanText.newFor(student.name, skillsWords(told.fresh, instrument))
        : benchPlanText.nothingNewFor(student.name)}{' '}
      {told.atWork.length > 0 && `${benchPlanText.atWorkAre(skillsWords(told.atWork, instrument))} `}
      <button type="button" className="cursor-pointer text-dove underline" onClick={() => void toIt()}>
        {benchPlanText.thePathToIt}
      </button>
    </p>
  );
}
