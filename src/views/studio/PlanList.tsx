import { useState } from 'react';
import { openedAt } from '../../app/lastOpened';
import { planFor } from '../../app/studio';
import { withDrills } from '../../app/under';
import { ARCHIVED } from '../../app/tags';
import type { PlanRecord, StudentRecord } from '../../core';
import { Choose } from '../../ui/Choose';
import { useGrowing } from '../../ui/useGrowing';
import { PlanRow } from './PlanRow';
import { inOrder, ORDERS, tagsOf, type Order } from './search';
import * as studioViewsText from '../../wording/rooms/studioViews';

interface Props {
  readonly heading: string;
  readonly plans: readonly PlanRecord[];
  readonly students: readonly StudentRecord[];
  /** Whose plans these are, where they are one student's. */
  readonly student: StudentRecord | undefined;
  /** True where the plans are what a search found. */
  readonly searched: boolean;
}

/** Plans, to be opened on the Bench, given to another student or deleted; narrowed to a tag at a click. */
export function PlanList({ heading, plans, students, student, searched }: Props) {
  const [tag, setTag] = useState<string | null>(null);
  const [order, setOrder] = useState<Order>('changed');
  const tags = tagsOf(plans);
  const asked = tag && tags.includes(tag) ? tag : null;
  const opened = openedAt();
  const kept = inOrder(
    plans.filter((plan) => (asked ? plan.tags.includes(asked) : !plan.tags.includes(ARCHIVED))),
    order,
    opened,
    students,
  );
  const rows = withDrills(kept);
  const { shown, isWhole, more, end } = useGrowing(rows.length);
  return (
    <section aria-labelledby="plans">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="plans" className="font-serif text-xl font-semibold">
          {heading}
        </h2>
        {student && (
          <button type="button" className="button" onClick={() => void planFor(student)}>
            {studioViewsText.newPlanFor(student.name || studioViewsText.thisStudent)}
          </button>
        )}
        <Choose
          label={studioViewsText.orderOfThePlans}
          value={order}
          choices={ORDERS}
          onChoose={(value) => setOrder(value as Order)}
        />
        {tags.length > 0 && (
          <span role="group" aria-label={studioViewsText.onlyPlansWithThis} className="flex flex-wrap gap-2">
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
      <ul className="mt-2 grid gap-2 2xl:grid-cols-2">
        {rows.slice(0, shown).map(({ plan, under }) => (
          <PlanRow key={plan.id} plan={plan} under={under} students={students} named={!student} />
        ))}
      </ul>
      {!isWhole && (
        <button ref={end} type="button" className="button mt-2" onClick={more}>
          {studioViewsText.showMorePlans(shown, rows.length)}
        </button>
      )}
      {kept.length === 0 && (
        <p className="mt-1 text-faded">{searched ? studioViewsText.nothingHasAllOf : studioViewsText.noPlanHereYet}</p>
      )}
    </section>
  );
}
