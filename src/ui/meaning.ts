import { useEffect, useState } from 'react';
import { aimFor } from '../brief/findings';
import type { Aim, Findings, Plan, PlanRequest, PlanResponse } from '../core';
import { getPlan, listPlans, listStudents, savePlan, storageTrouble } from '../store/db';
import { newRecord, type PlanRecord, type StudentRecord } from '../store/records';
import { findingsInWorker, planInWorker } from '../work/planner';
import { say } from './notices';

/*
 * The plan that Hand, Shifts and Ear look at: the one in the address, or the one changed last, with what it means.
 */

export interface Meaning {
  readonly record: PlanRecord;
  readonly student: StudentRecord | undefined;
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly aim: Aim;
  readonly findings: Findings;
}

export type MeaningState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'nothing'; readonly message: string }
  | { readonly kind: 'there'; readonly meaning: Meaning };

/** Alternatives planned, as on the Bench, so that the same one is chosen. */
const ALTERNATIVES = 5;

/** @param part what the view sets of the aim of the ear; a new object is worked out anew */
export function useMeaning(part?: Partial<Aim>): MeaningState {
  const [state, setState] = useState<MeaningState>({ kind: 'loading' });
  useEffect(() => {
    let here = true;
    const show = (next: MeaningState) => here && setState(next);
    load(part).then(show, (error) => show({ kind: 'nothing', message: storageTrouble(error) }));
    return () => {
      here = false;
    };
  }, [part]);
  return state;
}

async function load(part: Partial<Aim> = {}): Promise<MeaningState> {
  const asked = new URLSearchParams(location.search).get('plan');
  const record = (asked ? await getPlan(asked) : undefined) ?? (await listPlans())[0];
  if (!record)
    return { kind: 'nothing', message: 'No plan is kept here yet. Make one on the Bench, then come back.' };
  const student = (await listStudents()).find(({ id }) => id === record.studentId);
  const { request } = record;
  const asking = { ...request, alternatives: ALTERNATIVES };
  const response = await planInWorker(asking);
  if ('error' in response || response.plans.length === 0)
    return {
      kind: 'nothing',
      message:
        'No fingering fits this plan’s brief. Open it on the Bench: it says which note and what would help.',
    };
  const chosen = Math.min(record.chosen, response.plans.length - 1);
  const aim = aimFor(response, student?.level ?? 'middle', part);
  const findings = await findingsInWorker(asking, chosen, aim);
  if (!findings)
    return { kind: 'nothing', message: 'This plan has no way chosen. Open it on the Bench and choose one.' };
  return {
    kind: 'there',
    meaning: { record, student, request, response, plan: response.plans[chosen], aim, findings },
  };
}

/** Keeps a drill, a rehearsal or another way as a plan of its own and opens it on the Bench. */
export async function openAsPlan(
  request: PlanRequest,
  name: string,
  from: PlanRecord,
  tags: readonly string[] = ['drill'],
) {
  const plan = newRecord(request, Date.now(), { name, studentId: from.studentId, tags });
  try {
    await savePlan(plan);
    location.assign(`/?plan=${plan.id}`);
  } catch (error) {
    say({ kind: 'trouble', message: storageTrouble(error) });
  }
}
