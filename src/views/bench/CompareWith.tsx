import { useLiveQuery } from 'dexie-react-hooks';
import { useBench } from '../../app/bench';
import { comparePlan, compareSchool, compareStudent } from '../../app/compare';
import { useStudents } from '../../app/students';
import { instrumentRecord, type School, schoolsOf } from '../../core';
import { listPlans } from '../../store/read';
import { ActMenu } from '../../ui/ActMenu';
import { schoolChoices } from '../../wording/instruments';
import { planTitle } from '../../wording/material';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** Plans offered at most, the newest first; the rest is opened and compared from there. */
const MOST_PLANS = 30;

/** Lays something else beside the plan: another school, another student, another plan. */
export function CompareWith() {
  const record = useBench((state) => state.record);
  const students = useStudents();
  const plans = useLiveQuery(() => listPlans().catch(() => []), []) ?? [];
  const { instrument, school = schoolsOf(instrumentRecord(instrument)).at(0) } = record.request;
  const acts = [
    ...schoolChoices(instrument)
      .filter(([name]) => name !== school)
      .map(([name, words]) => ({
        id: benchPlanText.school(name),
        words: benchPlanText.withIt(words),
        group: benchPlanText.anotherSchool,
      })),
    ...students
      .filter(({ id }) => id !== record.studentId)
      .map(({ id, name }) => ({
        id: benchPlanText.student(id),
        words: benchPlanText.forIt(name || benchPlanText.noNameYet),
        group: benchPlanText.anotherStudent,
      })),
    ...plans
      .filter(({ id }) => id !== record.id)
      .slice(0, MOST_PLANS)
      .map((plan) => ({
        id: benchPlanText.plan(plan.id),
        words: planTitle(
          plan,
          students.find(({ id }) => id === plan.studentId),
        ),
        group: benchPlanText.anotherPlan,
      })),
  ];
  if (acts.length === 0) return null;
  return (
    <ActMenu
      label={benchPlanText.compareThisPlanWith}
      words={benchPlanText.compareWith}
      acts={acts}
      onAct={(act) => {
        const [what, id] = act.split(' ');
        const student = students.find((one) => one.id === id);
        if (what === 'school') void compareSchool(id as School);
        else if (what === 'student' && student) void compareStudent(student);
        else if (what === 'plan') void comparePlan(id);
      }}
    />
  );
}
