import { useEffect, useState } from 'react';
import type { Aim, Findings, Plan, PlanRequest, PlanResponse } from '../core';
import { storageFault } from '../store/db';
import { newRecord } from '../store/records';
import type { PlanRecord, StudentRecord } from '../core';
import { listPlans, listStudents } from '../store/read';
import { fingerNamesOf, speechOf, type Speech } from '../wording/plans';
import { readingTroubleWords } from '../wording/storage';
import { findingsInWorker, planInWorker, PlannerLost } from '../work/planner';
import { aimFor } from '../core';
import { briefAddress } from './brief/address';
import { keepFingeringsLater } from './kept';
import { findPlan, lookAt } from './looking';
import { practiceAddress } from './practice/address';
import { recover } from './recovery';
import * as appText from '../wording/rooms/app';
import { levelOf } from './brief/words';

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
  /** How it is spoken of. */
  readonly speech: Speech;
}

export type MeaningState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'nothing'; readonly message: string }
  | { readonly kind: 'there'; readonly meaning: Meaning };

/** @param part what the view sets of the aim of the ear; a new object is worked out anew */
export function useMeaning(part?: Partial<Aim>): MeaningState {
  const [state, setState] = useState<MeaningState>({ kind: 'loading' });
  useEffect(() => {
    let here = true;
    const show = (next: MeaningState) => here && setState(next);
    load(part).then(show, (error) => show({ kind: 'nothing', message: troubleWords(error) }));
    return () => {
      here = false;
    };
  }, [part]);
  return state;
}

function troubleWords(error: unknown): string {
  return error instanceof PlannerLost ? appText.thePlannerStoppedBefore : readingTroubleWords(storageFault(error));
}

const nothing = (message: string): MeaningState => ({ kind: 'nothing', message });

async function load(part: Partial<Aim> = {}): Promise<MeaningState> {
  const asked = new URLSearchParams(location.search).get('plan');
  await recover();
  const record = (asked ? await findPlan(asked) : (await listPlans())[0]) ?? (await fromAddress(asked));
  if (!record && asked) return nothing(appText.thePlanInThis);
  if (!record) return nothing(appText.noPlanIsSaved);
  keepFingeringsLater();
  return meaningOf(record, part);
}

/** A plan that is not kept here, from the brief in the address; none where there is no brief that can be read. */
async function fromAddress(id: string | null): Promise<PlanRecord | undefined> {
  if (!location.hash) return undefined;
  const reading = (await import('./brief/addressReading')).readAddress(location.hash);
  if (reading.kind !== 'brief') return undefined;
  const record = newRecord(reading.request, Date.now(), id ? { id } : {});
  lookAt(record);
  return record;
}

/** What a plan means for its student. @throws where the store or the planner does */
export async function meaningOf(record: PlanRecord, part: Partial<Aim> = {}): Promise<MeaningState> {
  const student = (await listStudents()).find(({ id }) => id === record.studentId);
  const { request, choice, written } = record;
  const own = written ? { written } : {};
  const ask = 'fingering' in choice ? { request, kept: choice.fingering, ...own } : { request, ...own };
  const answer = await planInWorker(ask);
  if (answer.kind === 'refused' || answer.response.plans.length === 0) return nothing(appText.noFingeringFitsThis);
  const { response } = answer;
  const number = choice.kind === 'number' ? choice.number : (answer.found ?? 0);
  const chosen = Math.min(number, response.plans.length - 1);
  const aim = aimFor(levelOf(request, student), part);
  const findings = await findingsInWorker(ask, chosen, aim);
  if (!findings) return nothing(appText.noWayIsChosen);
  const speech = speechOf(request.instrument, response, student?.noteNames, fingerNamesOf(student, aim.level));
  const plan = response.plans[chosen];
  return { kind: 'there', meaning: { record, student, request, response, plan, aim, findings, speech } };
}

/** Opens a drill, a rehearsal or another way on the Bench, to be looked at. */
export function openAsPlan(
  request: PlanRequest,
  name: string,
  from: PlanRecord,
  tags: readonly string[] = ['drill'],
  at = 0,
) {
  const { id } = lookAtDrill(request, name, from, tags);
  location.assign(`/?plan=${id}${at > 0 ? `&at=${at}` : ''}${briefAddress(request)}`);
}

/** Opens it to be worked at; it is kept with the first session. */
export function practiseAsPlan(
  request: PlanRequest,
  name: string,
  from: PlanRecord,
  tags: readonly string[] = ['drill'],
  asked: Parameters<typeof practiceAddress>[1] = {},
) {
  location.assign(practiceAddress(lookAtDrill(request, name, from, tags).id, asked));
}

function lookAtDrill(request: PlanRequest, name: string, from: PlanRecord, tags: readonly string[]) {
  const plan = newRecord(request, Date.now(), { name, studentId: from.studentId, tags, drillFor: from.id });
  lookAt(plan);
  return plan;
}
