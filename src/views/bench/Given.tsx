import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { differencesBetween } from '../../wording/differences';
import { getPlan } from '../../store/read';
import type { Plan, PlanRecord, PlanResponse } from '../../core';
import { chosenOf, type Chosen } from '../../app/chosenWay';
import { useStudent } from '../../app/students';
import * as benchBriefText from '../../wording/rooms/benchBrief';

interface Props {
  readonly record: PlanRecord;
  readonly response: PlanResponse | null;
  readonly plan: Plan | undefined;
}

/** For a plan that was given from another student's: what came out differently for this hand and instrument. */
export function GivenDifferences({ record, response, plan: is }: Props) {
  const source = useLiveQuery(
    () => (record.givenFrom ? getPlan(record.givenFrom).catch(() => undefined) : undefined),
    [record.givenFrom],
  );
  const [away, setAway] = useState<string | null>(null);
  const giver = useStudent(source?.studentId ?? null);
  const was = useChosen(source);
  if (!source || !record.givenFrom || !was || !response || !is || away === record.id) return null;
  const differences = differencesBetween(
    { request: source.request, ...was },
    { request: record.request, response, plan: is },
  );
  return (
    <section aria-labelledby="given" className="border-l-4 border-dove bg-sheet px-3 py-2" data-testid="given">
      <div className="flex items-baseline justify-between gap-3">
        <h2 id="given" className="font-serif text-lg font-semibold">
          {benchBriefText.copiedFromPlanWhats(giver ? `${giver.name}’s` : benchBriefText.another)}
        </h2>
        <button type="button" className="button" onClick={() => setAway(record.id)}>
          {benchBriefText.close}
        </button>
      </div>
      <ul className="flex list-disc flex-wrap gap-x-8 pl-5">
        {differences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  );
}

/** The plan that a record stands for, worked out anew. */
function useChosen(record: PlanRecord | undefined): Chosen | null {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  useEffect(() => {
    let here = true;
    if (!record) return;
    const show = (next: Chosen | null) => here && setChosen(next);
    chosenOf(record).then(show, () => show(null));
    return () => {
      here = false;
    };
  }, [record]);
  return record ? chosen : null;
}
