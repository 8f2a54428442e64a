import type { PlanRecord, StudentRecord } from '../../core';
import { standingOf, type PlanSkills, type SkillStanding } from '../../core/path';
import { judgedInAll } from '../../store/read';
import { skillsOfPlans } from '../../work/pathfinder';
import type { Overview } from '../practice/overview';

/*
 * Where a student stands with each skill, from their plans and their log.
 */

/** The student's own plans, as they are practised. */
const practised = (plans: readonly PlanRecord[], { id }: StudentRecord) =>
  plans.filter(({ studentId, drillFor }) => studentId === id && !drillFor);

export async function standingIn(student: StudentRecord, overview: Overview): Promise<SkillStanding[]> {
  const own = practised(overview.plans, student);
  const asked = own.map(({ id, request, choice }) => ({
    planId: id,
    request,
    ...('fingering' in choice ? { kept: choice.fingering } : {}),
  }));
  const sessions = new Map(overview.sessions.flatMap(({ id, planId }) => (planId ? [[id, planId] as const] : [])));
  const [skills, judged] = await Promise.all([skillsOfPlans(asked), judgedInAll([...sessions.keys()])]);
  const assigned = new Map((overview.lessons[0]?.assigned ?? []).map((one) => [one.planId, one.goalBpm]));
  const plans = own.map(({ id, request }): PlanSkills => {
    const goalBpm = assigned.get(id) ?? request.tempo?.bpm;
    return {
      planId: id,
      skills: skills.get(id) ?? [],
      assigned: assigned.has(id),
      ...(goalBpm === undefined ? {} : { goalBpm }),
    };
  });
  return standingOf({
    plans,
    days: overview.days.flatMap(({ day, plans: byPlan }) =>
      Object.entries(byPlan).map(([planId, { reached }]) => ({ day, planId, ...(reached ? { reached } : {}) })),
    ),
    tried: judged.flatMap(({ sessionId, at, from, to, heard, place }) => {
      const planId = sessions.get(sessionId);
      return planId ? [{ planId, at, from, to, clean: heard === 'in', place }] : [];
    }),
    said: student.path?.words ?? [],
    now: Date.now(),
  });
}
