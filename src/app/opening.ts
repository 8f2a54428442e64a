import type { PlanRequest } from '../core';
import { commit, getPlan, listPlans, storageFault } from '../store/db';
import { newRecord, type PlanRecord, type StudentRecord } from '../store/records';
import { requestWords } from '../wording/material';
import { storageWords } from '../wording/storage';
import { lastOpen, session } from './bench';
import { givenTo } from './brief/student';
import { keepFingerings } from './kept';
import { dismissNotice, say } from './notices';
import { FIRST_REQUEST } from './session/state';

/*
 * Which plan stands on the Bench: opened, made, given away, deleted, brought back.
 */

const { getState: get, setState: set } = session.store;

/** Opens what the address asks for, or what was on the stand last; with `demo` an empty studio is filled first. */
export async function start() {
  const asked = new URLSearchParams(location.search);
  const { hash } = location;
  try {
    if (asked.has('demo')) await (await import('../store/demo')).fillWithDemo();
    const kept = await firstOf([asked.get('plan'), hash ? null : lastOpen()]);
    if (kept) await session.stand(kept);
    else await openAddress(hash);
    void keepFingerings().catch(() => undefined);
  } catch (error) {
    set({ save: 'failed' });
    sayTrouble(error);
    await session.replan();
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
  const reading = hash
    ? (await import('./brief/addressReading')).readAddress(hash)
    : { kind: 'none' as const };
  const plans = await listPlans();
  if (reading.kind === 'brief') {
    const text = JSON.stringify(reading.request);
    const alike = plans.find(({ request }) => JSON.stringify(request) === text);
    await (alike ? session.stand(alike) : standNew(reading.request));
    return;
  }
  const kept = (await firstOf([lastOpen()])) ?? plans[0];
  await (kept ? session.stand(kept) : standNew(FIRST_REQUEST));
  if (reading.kind === 'trouble') say(reading);
}

/** Puts a plan on the stand that is not saved yet. */
async function standNew(request: PlanRequest) {
  await session.stand(newRecord(request, Date.now()), null);
}

/** A fresh plan beside the others, beginning from what is on the stand or from a brief. */
export async function newPlan(request: PlanRequest = get().record.request) {
  const { studentId } = get().record;
  await saveAndStand(newRecord(request, Date.now(), { studentId }));
}

/** Gives the plan on the stand to another student: a copy on their instrument, for their hand. */
export async function givePlan(student: StudentRecord) {
  await session.saveNow();
  await saveAndStand(givenTo(get().record, student, Date.now()));
}

/** Puts a drill for the plan on the stand beside the others, for the same student. */
export async function openDrill(request: PlanRequest, what: string) {
  await session.saveNow();
  const { record } = get();
  const name = `${what} (${record.name || requestWords(record.request)})`.slice(0, 120);
  await saveAndStand(newRecord(request, Date.now(), { name, studentId: record.studentId, tags: ['drill'] }));
}

async function saveAndStand(record: PlanRecord) {
  try {
    await commit([{ kind: 'added', table: 'plans', record }]);
    await session.stand(record);
  } catch (error) {
    sayTrouble(error);
  }
}

export async function openPlan(id: string) {
  const record = await getPlan(id);
  if (record) await session.stand(record);
}

/** Deletes a plan and offers it back. */
export async function removePlan(listed: PlanRecord, words: string) {
  const onStand = get().record.id === listed.id;
  const record = onStand ? get().record : listed;
  if (onStand) {
    await session.forget();
    const next = (await listPlans()).find(({ id }) => id !== record.id);
    await (next ? session.stand(next) : standNew(FIRST_REQUEST));
  }
  await commit([{ kind: 'removed', table: 'plans', record }]);
  const act = () => void bringBack(record);
  say({ kind: 'done', message: `“${words}” was deleted.`, offer: { words: 'Undo', act } });
}

async function bringBack(record: PlanRecord) {
  await saveAndStand(record);
  dismissNotice();
}

function sayTrouble(error: unknown) {
  say({ kind: 'trouble', message: storageWords(storageFault(error)) });
}
