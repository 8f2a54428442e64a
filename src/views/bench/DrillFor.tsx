import { useLiveQuery } from 'dexie-react-hooks';
import { openPlan } from '../../app/opening';
import { getPlan } from '../../store/rows';
import { planTitle } from '../../wording/material';

/** Of a drill: the plan it was made for, and the way back to it. */
export function DrillFor({ id }: { readonly id: string }) {
  const plan = useLiveQuery(() => getPlan(id).catch(() => undefined), [id]);
  if (!plan) return null;
  return (
    <p className="border-l-4 border-dove px-3">
      Made for{' '}
      <button
        type="button"
        className="cursor-pointer text-dove underline"
        onClick={() => void openPlan(plan.id)}
      >
        {planTitle(plan, undefined)}
      </button>
    </p>
  );
}
