import type { PlanRequest, PlanResponse, School } from '../core';
import type { StudentRecord } from '../core';
import { getPlan } from '../store/read';
import { counted } from '../wording/grammar';
import { schoolWords } from '../wording/instruments';
import { planTitle } from '../wording/material';
import { planInWorker, PlannerLost } from '../work/planner';
import type { Ask } from '../work/ask';
import { session } from './bench';
import { forStudent } from './brief/student';
import { layBeside } from './edits';
import { say } from './notices';
import { responseOf } from './session/state';
import * as appText from '../wording/rooms/app';

/*
 * What the plan on the stand is laid beside, beyond its own ways: another school, another student, another plan.
 */

/** Lays the same music by another school of fingering beside the plan. */
export function compareSchool(school: School) {
  const { request } = session.store.getState().record;
  return compareWith({ request: { ...request, school } }, schoolWords(school));
}

/** Lays the same music for another student, on their instrument and for their hand, beside the plan. */
export function compareStudent(student: StudentRecord) {
  const { request } = session.store.getState().record;
  return compareWith(
    { request: forStudent(withoutPlaces(request), student) },
    appText.thePlanFor(student.name || appText.theOtherStudent),
  );
}

/** Lays another plan with as many notes beside the plan. */
export async function comparePlan(id: string) {
  const record = await getPlan(id).catch(() => undefined);
  if (!record) {
    say({ kind: 'trouble', message: appText.theOtherPlanIs });
    return;
  }
  const { request, choice } = record;
  const kept = 'fingering' in choice ? { kept: choice.fingering } : {};
  await compareWith({ request, ...kept }, planTitle(record));
}

/** Demands at single notes belong to the plan they were made for. */
function withoutPlaces(request: PlanRequest): PlanRequest {
  return { ...request, rules: { ...request.rules, locks: undefined, never: undefined } };
}

async function compareWith(ask: Ask, words: string) {
  const asked = session.store.getState().record;
  try {
    const answer = await planInWorker(ask);
    // Another plan came onto the stand, or this one was changed, while it was worked out.
    if (session.store.getState().record.request !== asked.request) return;
    const here = responseOf(session.store.getState());
    const plan = answer.kind === 'planned' ? answer.response.plans[answer.found ?? 0] : undefined;
    if (answer.kind !== 'planned' || !plan || !here) {
      say({ kind: 'trouble', message: appText.noFingeringFitsThere(words) });
      return;
    }
    const trouble = apart(here, answer.response);
    if (trouble) say({ kind: 'trouble', message: appText.onlyPlansOfThe(trouble) });
    else layBeside({ plan, words });
  } catch (error) {
    const why = error instanceof PlannerLost ? appText.thePlannerStopped : appText.itCouldNotBe;
    say({ kind: 'trouble', message: appText.tryAgainYourPlan(why) });
  }
}

/** What keeps two pieces of music from being laid note under note; null where nothing does. */
function apart(here: PlanResponse, there: PlanResponse): string | null {
  const notes = ({ events }: PlanResponse) => events.map((event) => 'pitches' in event);
  const [a, b] = [notes(here), notes(there)];
  const same = a.length === b.length && a.every((sounds, at) => sounds === b[at]);
  const count = (all: readonly boolean[]) => counted(all.filter(Boolean).length, 'note');
  return same ? null : appText.thisPlanHasThe(count(a), count(b));
}
