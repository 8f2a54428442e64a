import type { PlanRequest, RunSpec } from '../core';
import { db, storageFault } from '../store/db';
import { isExample, newRecord } from '../store/records';
import type { PlanRecord, StudentRecord } from '../core';
import { fetchCheck, getPlan, listPlans, storageAnswers } from '../store/read';
import { requestWords } from '../wording/material';
import { readingTroubleWords } from '../wording/storage';
import { ahead } from './ahead';
import { failedOpening, isStepping, lastOpen, markOpening, session, whileStepping } from './bench';
import { forStudent, givenTo } from './brief/student';
import { goOnWithDemo, openDemo } from './demo';
import { keepFingeringsLater } from './kept';
import { lookAt, lookedAt } from './looking';
import { practiceAddress } from './practice/address';
import { say } from './notices';
import { recover } from './recovery';
import { FIRST_REQUEST, responseOf } from './session/state';
import { inOwnTaste, withOwnTaste } from './taste';
import { remove, save } from './writes';
import * as appText from '../wording/rooms/app';

/*
 * Which plan stands on the Bench: opened, made, given away, deleted, brought back.
 */

/** The Bench shows nothing of the practice: the plan comes first. In ms. */
const IN_PEACE = 8000;

const { getState: get, setState: set } = session.store;
ahead(fetchCheck);

/** Opens the browser's storage before anything is asked of it. Where it cannot be had, whoever asks says so. */
export function wakeStore() {
  void db.open().catch(() => undefined);
}

/** Opens what the address asks for, or what was on the stand last; with `demo` an empty studio is filled first. */
export async function start() {
  const asked = new URLSearchParams(location.search);
  const { hash } = location;
  try {
    const demo = asked.has('demo');
    if (demo) await openDemo(IN_PEACE);
    else goOnWithDemo(IN_PEACE);
    await recover();
    await storageAnswers();
    const open = async () => openAsked(asked.get('plan') ?? (demo && !hash ? await exampleToOpen() : null), hash);
    if (get().ready) sayAnswered(open);
    else await open();
    const at = Number(asked.get('at'));
    if (at > 0) set({ cursor: Math.min(at, (responseOf(get())?.events.length ?? 1) - 1) });
    keepFingeringsLater();
  } catch (error) {
    set({ save: 'failed' });
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
    await session.replan();
  }
  set({ ready: true });
}

/** Puts a scale on the stand while the storage has not answered; nothing is saved in the place of what was asked for. */
export async function planMeanwhile() {
  await lookAtFirst();
  set({ ready: true });
}

/** The storage has answered after all: what was asked for waits until the user wants it. */
function sayAnswered(open: () => Promise<void>) {
  say({ kind: 'done', message: appText.theStorageAnswers, offer: { words: appText.openWhatWasAsked, act: open } });
}

/** The plan of the example studio that was open last, or its first. */
async function exampleToOpen(): Promise<string | null> {
  const last = lastOpen();
  if (last && isExample(last) && (await getPlan(last))) return last;
  return (await listPlans()).find(({ id }) => isExample(id))?.id ?? null;
}

/** Puts the example studio in and opens it. */
export async function takeDemo() {
  await openDemo(IN_PEACE);
  const id = await exampleToOpen();
  if (id) await openPlan(id);
}

/** Opens a plan by its id, with the brief in the address as what is left of it where it is not here. */
async function openAsked(id: string | null, hash: string) {
  const stuck = failedOpening();
  const wanted = id ?? (hash ? null : lastOpen());
  if (stuck && stuck === wanted) {
    markOpening(null);
    sayStuck(stuck);
    const other = (await listPlans()).find((plan) => plan.id !== stuck);
    await (other ? standSaved(other) : lookAtFirst());
    return;
  }
  const plan = wanted ? await getPlan(wanted) : undefined;
  const looked = id && !plan ? lookedAt(id) : undefined;
  if (looked) return session.look(looked);
  await (plan ? standSaved(plan) : openAddress(hash));
  if (id && !plan)
    say({ kind: 'trouble', message: hash ? appText.openingThePlanInThis : appText.thePlanInThisAddress });
}

/** A plan that may have ended the page before is opened only where the user wants it. */
function sayStuck(id: string) {
  say({
    kind: 'trouble',
    message: appText.thePlanThatWas,
    offer: { words: appText.openItAllThe, act: () => openPlan(id) },
  });
}

/** The page goes by the user's own will. @returns false where something would be lost */
export function leave(): boolean {
  markOpening(null);
  return session.leave();
}

function standSaved(plan: PlanRecord) {
  markOpening(plan.id);
  return session.stand(plan);
}

/** Follows what the user does with the address: Back, Forward, or another brief. @returns ends it */
export function followAddress(): () => void {
  const step = () => {
    const id = new URLSearchParams(location.search).get('plan');
    if (id && id !== get().record.id) void whileStepping(id, () => openPlan(id));
  };
  const linked = () => {
    if (!isStepping()) void openAddress(location.hash);
  };
  addEventListener('popstate', step);
  addEventListener('hashchange', linked);
  return () => {
    removeEventListener('popstate', step);
    removeEventListener('hashchange', linked);
  };
}

/** Opens the brief in an address: the plan here that has the same, or else a new one. */
async function openAddress(hash: string) {
  const reading = hash ? (await import('./brief/addressReading')).readAddress(hash) : { kind: 'none' as const };
  const plans = await listPlans();
  if (reading.kind === 'brief') {
    const text = JSON.stringify(reading.request);
    const alike = plans.find(({ request }) => JSON.stringify(request) === text);
    await (alike ? session.stand(alike) : standNew(reading.request));
    return;
  }
  const kept = plans.find(({ id }) => id === lastOpen()) ?? plans[0];
  await (kept ? standSaved(kept) : lookAtFirst());
  if (reading.kind === 'trouble') say(reading);
}

/** Where nothing is kept a scale stands there to be looked at: nothing is kept of a mere visit. */
async function lookAtFirst() {
  const first = newRecord(FIRST_REQUEST, Date.now());
  lookAt(first);
  await session.look(first);
}

/** Puts a plan on the stand that is not saved yet. */
async function standNew(request: PlanRequest) {
  await session.stand(newRecord(request, Date.now()), null);
}

/** A fresh plan beside the others from a brief that was kept. */
export async function newPlan(request: PlanRequest) {
  const { studentId } = get().record;
  await saveAndStand(newRecord(withOwnTaste(request), Date.now(), { studentId }));
}

/** A fresh plan that begins clean: for a student, on their instrument and within what they know; or for nobody in particular. */
export async function newPlanFor(student: StudentRecord | null) {
  const clean: PlanRequest = { ...FIRST_REQUEST, material: { ...FIRST_REQUEST.material, octaves: 1 } as RunSpec };
  const request = student ? forStudent(clean, student) : { ...FIRST_REQUEST };
  await saveAndStand(newRecord(withOwnTaste(request), Date.now(), { studentId: student?.id ?? null }));
}

/** Gives the plan on the stand to another student: a copy on their instrument, for their hand. */
export async function givePlan(student: StudentRecord) {
  await session.saveNow();
  await saveAndStand(inOwnTaste(givenTo(get().record, student, Date.now())));
}

/** Puts a drill for the plan on the stand, for the same student, to be looked at. */
export async function openDrill(request: PlanRequest, what: string) {
  const { record } = get();
  const name = `${what} (${record.name || requestWords(record.request)})`.slice(0, 120);
  const part = { name, studentId: record.studentId, tags: ['drill'], drillFor: record.id };
  const drill = newRecord(request, Date.now(), part);
  lookAt(drill);
  await session.look(drill);
}

/** Goes to practise the plan on the stand: what is marked of it, some part, or all. */
export async function practise(part: Parameters<typeof practiceAddress>[1] = get().selection ?? {}) {
  if (get().save !== 'unsaved') await session.saveNow();
  location.assign(practiceAddress(get().record.id, part));
}

/** Keeps what was only looked at. */
export function keepLooked() {
  session.saveSoon();
  return session.saveNow();
}

function saveAndStand(record: PlanRecord): Promise<boolean> {
  return save(
    [{ kind: 'added', table: 'plans', record }],
    () => void session.stand(record, record, record.givenFrom === undefined),
  );
}

/** @returns whether it is there to be opened */
export async function openPlan(id: string): Promise<boolean> {
  try {
    const record = await getPlan(id);
    const looked = record ? undefined : lookedAt(id);
    if (record) await standSaved(record);
    else if (looked) await session.look(looked);
    else say({ kind: 'trouble', message: appText.thisPlanWasDeleted });
    return (record ?? looked) !== undefined;
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
    return false;
  }
}

/** Deletes a plan and offers it back. One that is on the stand is saved first, so that the bin has it as it stood. */
export async function removePlan(listed: PlanRecord, words: string) {
  const onStand = get().record.id === listed.id;
  if (onStand) await session.saveNow();
  // An edit that could not be saved would not be in the bin either; what is wrong has been said.
  if (onStand && get().save === 'failed') return;
  const record = onStand ? get().record : listed;
  // It is about to go from the store by this page's own doing.
  if (onStand) session.unwatch();
  const message = appText.wasDeleted(words);
  const gone = await remove(
    [{ kind: 'removed', table: 'plans', record }],
    message,
    words,
    () => void openPlan(record.id),
  );
  if (!onStand) return;
  if (!gone) {
    session.watchAgain();
    return;
  }
  await session.forget();
  const next = (await listPlans()).find(({ id }) => id !== record.id);
  await (next ? session.stand(next) : lookAtFirst());
}
