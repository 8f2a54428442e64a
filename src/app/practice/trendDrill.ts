import { drillLike, kindsOfNotes, playedNotes, type Trend, type PlanRecord } from '../../core';
import { trendGoal } from '../../wording/practice';
import { meaningOf, practiseAsPlan } from '../meaning';
import { say } from '../notices';
import { practiceAddress } from './address';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * From a trend to work: the drill most like a shift of its kind in one of the student's plans, or the place itself with its neighbours.
 */

/** Notes before and after a place that it is worked at with. */
const AROUND = 2;

export async function workAtTrend(trend: Trend, plans: readonly PlanRecord[]): Promise<void> {
  for (const record of plans) {
    const state = await meaningOf(record);
    if (state.kind !== 'there') continue;
    const { request, response, plan, findings } = state.meaning;
    const kinds = kindsOfNotes(playedNotes(response.events, plan, findings.setup), findings);
    const [at] = [...kinds].find(([, own]) => own.includes(trend.kind)) ?? [];
    if (at === undefined) continue;
    const shift = /^(up|down|shift)/.test(trend.kind) && findings.shifts.find((one) => one.shift.to === at);
    if (shift)
      practiseAsPlan(drillLike(request, response, plan, findings.setup, shift), `Drill: ${trendGoal(trend)}`, record);
    else {
      const last = response.events.length - 1;
      const part = { from: Math.max(0, at - AROUND), to: Math.min(last, at + AROUND), target: at };
      location.assign(practiceAddress(record.id, { ...part, goal: trendGoal(trend) }));
    }
    return;
  }
  say({ kind: 'done', message: practiceAppText.noneOfTheStudents });
}
