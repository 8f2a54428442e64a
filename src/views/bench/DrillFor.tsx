import { useLiveQuery } from 'dexie-react-hooks';
import { useBench } from '../../app/bench';
import { keepLooked, openPlan } from '../../app/opening';
import { getPlan } from '../../store/read';
import { planTitle } from '../../wording/material';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** Of a drill: the plan it was made for and the way back to it; it is kept when asked or worked at. */
export function DrillFor({ id }: { readonly id: string }) {
  const plan = useLiveQuery(() => getPlan(id).catch(() => undefined), [id]);
  const unsaved = useBench(({ save }) => save === 'unsaved');
  if (!plan) return null;
  return (
    <p className="border-l-4 border-dove px-3">
      {benchPlanText.madeFor}{' '}
      <button type="button" className="cursor-pointer text-dove underline" onClick={() => void openPlan(plan.id)}>
        {planTitle(plan, undefined)}
      </button>
      {unsaved && (
        <>
          {benchPlanText.drillForNotSavedYet}{' '}
          <button type="button" className="button" onClick={() => void keepLooked()}>
            {benchPlanText.keepItWithThis}
          </button>
        </>
      )}
    </p>
  );
}
