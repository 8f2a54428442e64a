import {
  drillLike,
  isKind,
  kindsOfNotes,
  playedNotes,
  type Kind,
  type Trend,
  type PlanRecord,
  type WeekItem,
} from '../../core';
import { kindWords, trendGoal } from '../../wording/practice';
import { meaningOf, practiseAsPlan } from '../meaning';
import { say } from '../notices';
import { partAround, practiceAddress } from './address';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * From what is weak to work: the drill most like a shift of its kind in one of the student's plans, or the place itself with its neighbours.
 */

/** Notes before and after a place that it is worked at with. */
const AROUND = 2;

export function workAtTrend(trend: Trend, plans: readonly PlanRecord[]): Promise<void> {
  return workAtKind(trend.kind, trendGoal(trend), plans);
}

/** Where it belongs in the day. */
type PartOfDay = Pick<NonNullable<Parameters<typeof practiceAddress>[1]>, 'part' | 'min'>;

async function workAtKind(
  kind: Kind,
  goal: string,
  plans: readonly PlanRecord[],
  asked: PartOfDay = {},
): Promise<void> {
  for (const record of plans) {
    const state = await meaningOf(record);
    if (state.kind !== 'there') continue;
    const { request, response, plan, findings } = state.meaning;
    const kinds = kindsOfNotes(playedNotes(response.events, plan, findings.setup), findings);
    const [at] = [...kinds].find(([, own]) => own.includes(kind)) ?? [];
    if (at === undefined) continue;
    const shift = /^(up|down|shift)/.test(kind) && findings.shifts.find((one) => one.shift.to === at);
    if (shift)
      practiseAsPlan(
        drillLike(request, response, plan, findings.setup, shift),
        `Drill: ${goal}`,
        record,
        ['drill'],
        asked,
      );
    else {
      const last = response.events.length - 1;
      const part = { from: Math.max(0, at - AROUND), to: Math.min(last, at + AROUND), target: at };
      location.assign(practiceAddress(record.id, { ...part, goal, ...asked }));
    }
    return;
  }
  say({ kind: 'done', message: practiceAppText.noneOfTheStudents });
}

/** One hard place of the day: of the kind that is weak, or else the weightiest thing found in its plan. */
export async function workAtPlace(
  { about, planId, words }: WeekItem,
  plans: readonly PlanRecord[],
  asked: PartOfDay = {},
): Promise<void> {
  if (about !== undefined && isKind(about)) return workAtKind(about, words ?? kindWords(about), plans, asked);
  const record = plans.find(({ id }) => id === planId) ?? plans[0];
  const state = record && (await meaningOf(record));
  if (state?.kind !== 'there') return;
  const { ranked } = state.meaning.findings;
  const [hardest] = ranked.filter(({ kind }) => kind !== 'lesson' && kind !== 'no-check' && kind !== 'comma');
  const part = hardest ? partAround(hardest.events, state.meaning.response.events.length) : {};
  location.assign(practiceAddress(record.id, { ...part, ...asked }));
}
