import { useState } from 'react';
import { comparePlans } from '../../core';
import type { Meaning } from '../../ui/meaning';
import { planInWorker } from '../../work/planner';

interface Props {
  readonly meaning: Meaning;
  readonly at: number;
}

/** The cheapest plan that does not take this note with this finger, asked for at a click. */
export function WayRound({ meaning, at }: Props) {
  const [words, setWords] = useState<string | null>(null);
  const { request, plan } = meaning;
  const finger = plan.steps.find((step) => step.at === at)?.stops[0].finger;
  const find = async () => {
    if (finger === undefined) return;
    const never = [...(request.rules?.never ?? []), { at, finger }];
    const answer = await planInWorker({
      ...request,
      alternatives: 1,
      explain: 'nothing',
      rules: { ...request.rules, never },
    });
    const other = 'error' in answer ? undefined : answer.plans[0];
    if (!other) {
      setWords('There is no other way within this brief.');
      return;
    }
    const places = comparePlans(plan, other).places.map(({ from, to }) =>
      from === to ? `${from + 1}` : `${from + 1}–${to + 1}`,
    );
    const more = other.cost - plan.cost;
    setWords(
      `Another way changes note ${places.join(', ')} and costs ${Math.abs(more).toFixed(1)} ${more < 0 ? 'less' : 'more'}.`,
    );
  };
  return words ? (
    <p className="text-[0.95rem]">{words}</p>
  ) : (
    <button type="button" className="ml-2 cursor-pointer text-dove underline" onClick={() => void find()}>
      find a way round
    </button>
  );
}
