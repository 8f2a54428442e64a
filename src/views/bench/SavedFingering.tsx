import { useBench } from '../../app/bench';
import { choosePlan, layBeside } from '../../app/edits';
import type { Standing } from '../../app/session/state';
import type { Plan } from '../../core';
import { fingeringDifferences } from '../../wording/differences';
import type { Speech } from '../../wording/plans';
import * as benchPlanText from '../../wording/rooms/benchPlan';

interface Props {
  readonly standing: Standing;
  readonly plans: readonly Plan[];
  readonly chosen: number;
  readonly speech: Speech;
}

/** Said where the saved fingering and the planner's choice of now are not the same: the saved one stays until the teacher takes the other. */
export function SavedFingering({ standing, plans, chosen, speech }: Props) {
  const beside = useBench((state) => state.beside);
  const [best] = plans;
  const saved = plans[chosen];
  if (standing === 'as-planned' || !best || !saved) return null;
  return (
    <section
      aria-labelledby="saved-fingering"
      className="border-l-4 border-ochre bg-sheet px-3 py-2"
      data-testid="saved-fingering"
      data-standing={standing}
    >
      <h2 id="saved-fingering" className="font-serif text-lg font-semibold">
        {HEADINGS[standing]}
      </h2>
      <p>{SENTENCES[standing]}</p>
      {standing === 'kept' && (
        <>
          <ul className="flex list-disc flex-wrap gap-x-8 pl-5">
            {fingeringDifferences(saved, best, speech).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
          <div className="mt-1 flex flex-wrap gap-2">
            <button type="button" className="button" onClick={() => layBeside(beside === 0 ? null : 0)}>
              {beside === 0 ? benchPlanText.closeTheComparison : benchPlanText.compareTheTwo}
            </button>
            <button type="button" className="button" onClick={() => choosePlan(best)}>
              {benchPlanText.useTheNewFingering}
            </button>
          </div>
        </>
      )}
      {standing !== 'kept' && (
        <button type="button" className="button mt-1" onClick={() => choosePlan(saved)}>
          {benchPlanText.keepThisOne}
        </button>
      )}
    </section>
  );
}

const HEADINGS: Readonly<Record<Exclude<Standing, 'as-planned'>, string>> = {
  kept: benchPlanText.theSavedFingeringIs,
  unplayable: benchPlanText.theSavedFingeringCannot,
  lost: benchPlanText.thisPlanComesFrom,
};

const SENTENCES: Readonly<Record<Exclude<Standing, 'as-planned'>, string>> = {
  kept: benchPlanText.thisPlanWasSaved,
  unplayable: benchPlanText.theBriefNoLonger,
  lost: benchPlanText.itHoldsOnlyThe,
};
