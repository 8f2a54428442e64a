import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { ActMenu } from '../../ui/ActMenu';
import { ifOnce } from '../../ui/focus';
import { planTitle } from '../../wording/material';
import type { PlanRecord, StudentRecord } from '../../store/records';
import { tagsOf } from './search';
import { givePlan, planFor, removePlan } from '../../app/studio';
import { withDrills } from '../../app/under';

interface Props {
  readonly heading: string;
  readonly plans: readonly PlanRecord[];
  readonly students: readonly StudentRecord[];
  /** Whose plans these are, where they are one student's. */
  readonly student: StudentRecord | undefined;
}

/** Plans, to be opened on the Bench, given to another student or deleted; narrowed to a tag at a click. */
export function PlanList({ heading, plans, students, student }: Props) {
  const [tag, setTag] = useState<string | null>(null);
  const tags = tagsOf(plans);
  const kept = tag && tags.includes(tag) ? plans.filter((plan) => plan.tags.includes(tag)) : plans;
  return (
    <section aria-labelledby="plans">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="plans" className="font-serif text-xl font-semibold">
          {heading}
        </h2>
        {student && (
          <button type="button" className="button" onClick={() => void planFor(student)}>
            New plan for {student.name || 'this student'}
          </button>
        )}
        {tags.length > 0 && (
          <span role="group" aria-label="Only plans with this tag" className="flex flex-wrap gap-2">
            {tags.map((name) => (
              <button
                key={name}
                type="button"
                aria-pressed={name === tag}
                onClick={() => setTag(name === tag ? null : name)}
                className={`min-h-8 cursor-pointer rounded-full border px-3 text-sm ${
                  name === tag ? 'border-dove bg-dove text-sheet' : 'border-rule bg-sheet hover:border-dove'
                }`}
              >
                {name}
              </button>
            ))}
          </span>
        )}
      </div>
      <ul className="mt-2 grid gap-2 xl:grid-cols-2">
        {withDrills(kept).map(({ plan, under }) => (
          <PlanRow key={plan.id} plan={plan} under={under} students={students} named={!student} />
        ))}
      </ul>
      {kept.length === 0 && <p className="mt-1 text-faded">No plan here yet.</p>}
    </section>
  );
}

interface RowProps {
  readonly plan: PlanRecord;
  /** True for a drill that stands under its plan. */
  readonly under: boolean;
  readonly students: readonly StudentRecord[];
  /** True where the student's name is said too. */
  readonly named: boolean;
}

function PlanRow({ plan, under, students, named }: RowProps) {
  const owner = students.find(({ id }) => id === plan.studentId);
  const words = planTitle(plan, named ? owner : undefined);
  const others = students.filter(({ id }) => id !== plan.studentId);
  return (
    <li
      className={`long-row flex items-center gap-2 rounded-md border border-rule bg-sheet pl-3 ${under ? 'ml-6' : ''}`}
    >
      <a
        href={`/?plan=${plan.id}`}
        className="flex min-h-11 flex-1 flex-col justify-center leading-tight hover:text-dove"
      >
        {words}
        {plan.tags.length > 0 && <span className="text-sm text-faded">{plan.tags.join(', ')}</span>}
      </a>
      {others.length > 0 && (
        <ActMenu
          label={`Give ${words} to`}
          words="Give to …"
          acts={others.map(({ id, name }) => ({ id, words: name || 'no name yet' }))}
          onAct={(id) => {
            const student = others.find((one) => one.id === id);
            if (student) void givePlan(plan, student);
          }}
        />
      )}
      <button
        type="button"
        aria-label={`Delete ${words}`}
        onClick={(event) => ifOnce(event, () => void removePlan(plan, words))}
        className="min-h-11 cursor-pointer p-2 text-faded hover:text-madder"
      >
        <Trash2 size={18} aria-hidden />
      </button>
    </li>
  );
}
