import { memo, useState } from 'react';
import { setTags } from '../../app/edits';
import { GiveTo } from './GiveTo';
import { ShareLink } from './ShareLink';
import { SaveAs } from './SaveAs';
import * as benchPlanText from '../../wording/rooms/benchPlan';

interface Props {
  readonly id: string;
  readonly tags: readonly string[];
  readonly studentId: string | null;
}

/** What is kept with the plan on the stand, and who else may have it. */
export const ThisPlan = memo(function ThisPlan({ id, tags, studentId }: Props) {
  return (
    <section aria-label={benchPlanText.thisPlanThisPlan} className="flex flex-wrap items-center gap-3">
      <Tags key={id} tags={tags} />
      <GiveTo studentId={studentId} />
      <SaveAs />
      <ShareLink />
    </section>
  );
});

/** The plan's tags in one line, taken up when the box is left. */
function Tags({ tags }: { readonly tags: readonly string[] }) {
  const shown = tags.join(', ');
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="flex flex-1 items-center gap-1 text-sm text-faded">
      {benchPlanText.tags}
      <input
        className="min-h-9 w-full rounded-md border border-rule bg-sheet px-2 text-ink"
        value={typed ?? shown}
        maxLength={400}
        placeholder={benchPlanText.withCommasBetween}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed !== null && typed !== shown) setTags(typed);
          setTyped(null);
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </label>
  );
}
