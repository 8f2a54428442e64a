import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { differencesBetween } from '../../brief/differences';
import type { PlanRequest, PlanResponse } from '../../core';
import { getPlan } from '../../store/db';
import type { PlanRecord } from '../../store/records';
import { planInWorker } from '../../work/planner';
import { givePlan } from './opening';
import { ALTERNATIVES } from './planning';
import { useStudent, useStudents } from './students';

/** Gives the plan on the stand to another student. */
export function GiveTo({ studentId }: { readonly studentId: string | null }) {
  const others = useStudents().filter(({ id }) => id !== studentId);
  if (others.length === 0) return null;
  return (
    <select
      aria-label="Give this plan to"
      className="min-h-9 cursor-pointer rounded-md border border-dove bg-sheet px-2 text-dove"
      value=""
      onChange={(event) => {
        const student = others.find(({ id }) => id === event.target.value);
        if (student) void givePlan(student);
      }}
    >
      <option value="">Give to …</option>
      {others.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

interface Props {
  readonly record: PlanRecord;
  readonly response: PlanResponse | null;
}

/** For a plan that was given from another student's: what came out otherwise for this hand and instrument. */
export function GivenDifferences({ record, response }: Props) {
  const source = useLiveQuery(
    () => (record.givenFrom ? getPlan(record.givenFrom).catch(() => undefined) : undefined),
    [record.givenFrom],
  );
  const [away, setAway] = useState<string | null>(null);
  const giver = useStudent(source?.studentId ?? null);
  const answer = useAnswer(source?.request ?? null);
  const [was, is] = [source && answer?.plans[source.chosen], response?.plans[record.chosen]];
  if (!source || !record.givenFrom || !answer || !was || !response || !is || away === record.id) return null;
  const differences = differencesBetween(
    { request: source.request, response: answer, plan: was },
    { request: record.request, response, plan: is },
  );
  return (
    <section
      aria-labelledby="given"
      className="border-l-4 border-dove bg-sheet px-3 py-2"
      data-testid="given"
    >
      <div className="flex items-baseline justify-between gap-3">
        <h2 id="given" className="font-serif text-lg font-semibold">
          Given from {giver ? `${giver.name}’s` : 'another'} plan: what is otherwise here
        </h2>
        <button type="button" className="button" onClick={() => setAway(record.id)}>
          Put away
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

function useAnswer(request: PlanRequest | null): PlanResponse | null {
  const [answer, setAnswer] = useState<PlanResponse | null>(null);
  useEffect(() => {
    let here = true;
    if (!request) return;
    void planInWorker({ ...request, alternatives: ALTERNATIVES, explain: 'nothing' }).then((found) => {
      if (here) setAnswer('error' in found ? null : found);
    });
    return () => {
      here = false;
    };
  }, [request]);
  return request ? answer : null;
}
