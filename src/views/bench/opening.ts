import { readAddress } from '../../brief/address';
import { givenTo } from '../../brief/student';
import { requestWords } from '../../brief/words';
import { deletePlan, getPlan, listPlans, savePlan, storageTrouble } from '../../store/db';
import { fillWithDemo } from '../../store/demo';
import { newRecord, type PlanRecord, type StudentRecord } from '../../store/records';
import type { PlanRequest } from '../../core';
import { dismissNotice, say } from '../../ui/notices';
import { replan } from './planning';
import { forgetChanges, lastOpen, putOnStand, saveNow, saveSoon } from './saving';
import { FIRST_REQUEST, useBench } from './state';

/*
 * Which plan stands on the Bench: opened, made, given away, deleted, brought back.
 */

const { getState: get, setState: set } = useBench;

/** Opens what the address asks for, or what was on the stand last; with `demo` an empty studio is filled first. */
export async function start() {
  const asked = new URLSearchParams(location.search);
  const { hash } = location;
  try {
    if (asked.has('demo')) await fillWithDemo();
    const kept = await firstOf([asked.get('plan'), hash ? null : lastOpen()]);
    if (kept) await putOnStand(kept);
    else await openAddress(hash);
  } catch (error) {
    set({ save: 'failed' });
    say({ kind: 'trouble', message: storageTrouble(error) });
    await replan();
  }
  set({ ready: true });
}

async function firstOf(ids: readonly (string | null)[]): Promise<PlanRecord | undefined> {
  for (const id of ids) {
    const kept = id ? await getPlan(id) : undefined;
    if (kept) return kept;
  }
  return undefined;
}

/** Opens the brief in an address: the plan here that has the same, or else a new one. */
export async function openAddress(hash: string) {
  const reading = readAddress(hash);
  const plans = await listPlans();
  if (reading.kind === 'brief') {
    const text = JSON.stringify(reading.request);
    const alike = plans.find(({ request }) => JSON.stringify(request) === text);
    await (alike ? putOnStand(alike) : standNew(reading.request));
    return;
  }
  const kept = (await firstOf([lastOpen()])) ?? plans[0];
  await (kept ? putOnStand(kept) : standNew(FIRST_REQUEST));
  if (reading.kind === 'trouble') say(reading);
}

/** Puts a plan on the stand that is not kept yet. */
async function standNew(request: PlanRequest) {
  await putOnStand(newRecord(request, Date.now()));
  saveSoon();
}

/** A fresh plan beside the others, beginning from what is on the stand or from a brief. */
export async function newPlan(request: PlanRequest = get().record.request) {
  const { studentId } = get().record;
  await keepAndStand(newRecord(request, Date.now(), { studentId }));
}

/** Gives the plan on the stand to another student: a copy on their instrument, for their hand. */
export async function givePlan(student: StudentRecord) {
  await saveNow();
  await keepAndStand(givenTo(get().record, student, Date.now()));
}

/** Puts a drill for the plan on the stand beside the others, for the same student. */
export async function openDrill(request: PlanRequest, what: string) {
  await saveNow();
  const { record } = get();
  const name = `${what} (${record.name || requestWords(record.request)})`.slice(0, 120);
  await keepAndStand(newRecord(request, Date.now(), { name, studentId: record.studentId, tags: ['drill'] }));
}

async function keepAndStand(record: PlanRecord) {
  try {
    await savePlan(record);
    await putOnStand(record);
  } catch (error) {
    say({ kind: 'trouble', message: storageTrouble(error) });
  }
}

export async function openPlan(id: string) {
  const record = await getPlan(id);
  if (record) await putOnStand(record);
}

/** Deletes a plan and offers it back. */
export async function removePlan(listed: PlanRecord, words: string) {
  const onStand = get().record.id === listed.id;
  const record = onStand ? get().record : listed;
  if (onStand) {
    await forgetChanges();
    const next = (await listPlans()).find(({ id }) => id !== record.id);
    await (next ? putOnStand(next) : standNew(FIRST_REQUEST));
  }
  await deletePlan(record.id);
  const act = () => void bringBack(record);
  say({ kind: 'done', message: `“${words}” was deleted.`, offer: { words: 'Undo', act } });
}

async function bringBack(record: PlanRecord) {
  await keepAndStand(record);
  dismissNotice();
}
