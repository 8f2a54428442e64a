import { setRequest } from '../../app/edits';
import type { PlanRequest, PlanResponse } from '../../core';
import { tasteWords } from '../../wording/taste';
import * as benchBriefText from '../../wording/rooms/benchBrief';

interface Props {
  readonly request: PlanRequest;
  readonly taste: NonNullable<PlanResponse['taste']>;
}

/** Said where an accepted taste decided this plan, or where a rule of the brief overrules it. */
export function TasteLine({ request, taste: { decided, overruled } }: Props) {
  const named = (names: typeof decided) =>
    tasteWords(Object.fromEntries(names.map((name) => [name, request.preferences?.[name]])));
  if (decided.length + overruled.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-dove px-3" data-testid="taste-line">
      {decided.length > 0 && benchBriefText.yourTasteDecidedHere(named(decided))}
      {overruled.length > 0 && benchBriefText.aRuleOfThe(named(overruled))}
      <button type="button" className="button" onClick={() => setRequest({ ...request, preferences: undefined })}>
        {benchBriefText.planWithoutIt}
      </button>
    </p>
  );
}
