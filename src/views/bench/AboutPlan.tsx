import { memo } from 'react';
import type { Standing } from '../../app/session/state';
import type { PlanRecord } from '../../core';
import { later } from '../../ui/later';
import type { Shown } from './shown';
import { TasteLine } from './TasteLine';
import * as benchBriefText from '../../wording/rooms/benchBrief';

const AsWritten = later(benchBriefText.whatWasWritten, async () => (await import('./AsWritten')).AsWritten);
const GivenDifferences = later(
  benchBriefText.whatDiffersForThis,
  async () => (await import('./Given')).GivenDifferences,
);
const SavedFingering = later(
  benchBriefText.theSavedFingering,
  async () => (await import('./SavedFingering')).SavedFingering,
);

interface Props {
  readonly shown: Shown;
  readonly record: PlanRecord;
  readonly standing: Standing;
}

/** What stands under the picture of a plan that came from somewhere: taste, another student, a saved or a written fingering. */
export const AboutPlan = memo(function AboutPlan({ shown, record, standing }: Props) {
  const { response, plan, chosen, speech } = shown;
  return (
    <>
      {response.taste && <TasteLine request={record.request} taste={response.taste} />}
      {record.givenFrom && <GivenDifferences record={record} response={response} plan={plan ?? undefined} />}
      {standing !== 'as-planned' && (
        <SavedFingering standing={standing} plans={response.plans} chosen={chosen} speech={speech} />
      )}
      {record.written && <AsWritten written={record.written} speech={speech} />}
    </>
  );
});
