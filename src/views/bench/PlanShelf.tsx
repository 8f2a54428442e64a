import { ifOnce } from '../../ui/focus';
import { memo } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { Plus, Trash2 } from 'lucide-react';
import type { StudentRecord } from '../../core';
import { listPlans } from '../../store/read';
import { ActMenu } from '../../ui/ActMenu';
import { BackupButtons } from '../../ui/BackupButtons';
import { newPlanFor, openPlan, removePlan } from '../../app/opening';
import { session } from '../../app/bench';
import { useStudents } from '../../app/students';
import { withDrills } from '../../app/under';
import { planTitle } from '../../wording/material';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** All plans saved in this browser. */
export const PlanShelf = memo(function PlanShelf({ openId }: { readonly openId: string }) {
  const plans = useLiveQuery(() => listPlans().catch(() => []), []) ?? [];
  const students = useStudents();
  return (
    <section aria-labelledby="shelf">
      <div className="flex items-center justify-between">
        <h2 id="shelf" className="font-serif text-lg font-semibold">
          {benchPlanText.savedPlans}
        </h2>
        <NewPlan students={students} />
      </div>
      <ul className="mt-1 flex max-h-56 flex-col overflow-y-auto rounded-md border border-rule bg-sheet">
        {withDrills(plans).map(({ plan, under }) => {
          const student = students.find(({ id }) => id === plan.studentId);
          const words = planTitle(plan, student);
          const open = plan.id === openId;
          return (
            <li
              key={plan.id}
              className={`long-row flex items-center border-b border-rule ${under ? 'pl-4' : ''} ${open ? 'bg-haze' : ''}`}
            >
              <button
                type="button"
                aria-current={open ? 'true' : undefined}
                onClick={() => void openPlan(plan.id)}
                className="min-h-9 flex-1 cursor-pointer px-3 py-1 text-left text-[0.95rem] leading-tight hover:text-dove"
              >
                {words}
              </button>
              <button
                type="button"
                aria-label={benchPlanText.deleteIt(words)}
                onClick={(event) => ifOnce(event, () => void removePlan(plan, words))}
                className="cursor-pointer p-2 text-faded hover:text-madder"
              >
                <Trash2 size={17} aria-hidden />
              </button>
            </li>
          );
        })}
        {plans.length === 0 && <li className="px-3 py-2 text-faded">{benchPlanText.nothingIsSavedYet}</li>}
      </ul>
      <div className="mt-2">
        <BackupButtons before={standing} />
      </div>
    </section>
  );
});

/** Saves what is on the stand; a backup has it even where the browser could not. */
async function standing() {
  await session.saveNow();
  const { record, save } = session.store.getState();
  return save === 'failed' ? record : null;
}

/** A new plan begins with the question for whom. */
function NewPlan({ students }: { readonly students: readonly StudentRecord[] }) {
  if (students.length === 0)
    return (
      <button type="button" className="button flex items-center gap-1" onClick={() => void newPlanFor(null)}>
        <Plus size={17} aria-hidden /> {benchPlanText.newPlan}
      </button>
    );
  const acts = [
    ...students.map(({ id, name }) => ({
      id,
      words: benchPlanText.planShelfForIt(name || benchPlanText.aStudentWithoutA),
    })),
    { id: '', words: benchPlanText.forNobodyInParticular },
  ];
  return (
    <ActMenu
      label={benchPlanText.newPlan}
      words={benchPlanText.newPlanMenu}
      acts={acts}
      onAct={(id) => void newPlanFor(students.find((student) => student.id === id) ?? null)}
    />
  );
}
