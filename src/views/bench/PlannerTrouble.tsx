import { session } from '../../app/bench';
import type { Planning, PlannerFault } from '../../app/session/state';
import * as benchPlanText from '../../wording/rooms/benchPlan';

const SENTENCES: Readonly<Record<PlannerFault, string>> = {
  died: benchPlanText.thePlannerStoppedBefore,
  silent: benchPlanText.thePlannerHasNot,
  broken: benchPlanText.thePlannerFailedOn,
};

/** Said where the planner did not get to an answer; what stands is what it answered last. */
export function PlannerTrouble({ planning }: { readonly planning: Planning }) {
  if (planning.kind !== 'failed') return null;
  return (
    <section
      role="alert"
      aria-label={benchPlanText.thePlanner}
      className="flex flex-wrap items-center gap-3 border-l-4 border-madder bg-sheet px-3 py-2"
      data-testid="planner-trouble"
    >
      <p className="flex-1">{benchPlanText.yourBriefIsSafe(SENTENCES[planning.why])}</p>
      <button type="button" className="button" onClick={() => void session.replan()}>
        {benchPlanText.tryAgain}
      </button>
    </section>
  );
}
