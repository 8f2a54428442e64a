import { useState } from 'react';
import { planTitle } from '../../brief/words';
import { comparePlans, priceWords, type FingerName, type PlanRequest } from '../../core';
import { openAsPlan, type Meaning } from '../../ui/meaning';
import { planInWorker } from '../../work/planner';

interface Props {
  readonly meaning: Meaning;
  readonly at: number;
  readonly finger: FingerName;
}

interface Way {
  readonly words: string;
  /** Null where there is none. */
  readonly request: PlanRequest | null;
}

/** The cheapest plan that does not take this note with this finger, asked for at a click, and opened at another. */
export function WayRound({ meaning, at, finger }: Props) {
  const [way, setWay] = useState<Way | null>(null);
  const { record, student } = meaning;
  if (!way)
    return (
      <button
        type="button"
        className="cursor-pointer text-dove underline"
        onClick={() => void wayRound(meaning, at, finger).then(setWay)}
      >
        find a way round
      </button>
    );
  const { words, request } = way;
  const name = `Without finger ${finger} on note ${at + 1} (${planTitle(record, student)})`.slice(0, 120);
  return (
    <span>
      {words}{' '}
      {request && (
        <button
          type="button"
          className="cursor-pointer text-dove underline"
          onClick={() => void openAsPlan(request, name, record, [])}
        >
          open it
        </button>
      )}
    </span>
  );
}

async function wayRound({ request, plan }: Meaning, at: number, finger: FingerName): Promise<Way> {
  const never = [...(request.rules?.never ?? []), { at, finger }];
  const asked = { ...request, rules: { ...request.rules, never } };
  const answer = await planInWorker({ ...asked, alternatives: 1, explain: 'nothing' });
  const other = 'error' in answer ? undefined : answer.plans[0];
  if (!other) return { words: 'There is no other way within this brief.', request: null };
  const places = comparePlans(plan, other).places.map(({ from, to }) =>
    from === to ? `${from + 1}` : `${from + 1}–${to + 1}`,
  );
  const words = `Another way changes note ${places.join(', ')} and ${priceWords(other.cost - plan.cost)}.`;
  return { words, request: asked };
}
