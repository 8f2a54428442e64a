import { memo } from 'react';
import { useBench } from '../../app/bench';
import { choosePlan, layBeside } from '../../app/edits';
import type { Plan } from '../../core';
import { characterWords, dearestTerms, planWords, type Speech } from '../../wording/plans';

interface Props {
  readonly plans: readonly Plan[];
  readonly chosen: number;
  /** True where the last is the saved fingering, which the planner would no longer offer. */
  readonly own: boolean;
  readonly speech: Speech;
}

/** The different plans found, cheapest first, each with what makes its cost. */
export const Alternatives = memo(function Alternatives({ plans, chosen, own, speech }: Props) {
  const beside = useBench((state) => state.beside);
  if (plans.length === 0) return null;
  return (
    <section aria-labelledby="alternatives">
      <h2 id="alternatives" className="font-serif text-lg font-semibold">
        {plans.length === 1 ? 'One way' : `${plans.length} ways`}
      </h2>
      <ol className="mt-1 flex flex-col gap-2">
        {plans.map((plan, at) => (
          <li key={at} className="relative">
            <button
              type="button"
              aria-pressed={at === chosen}
              onClick={() => choosePlan(at)}
              className={`w-full cursor-pointer rounded-md border-2 px-3 py-1 text-left ${
                at === chosen ? 'border-dove bg-haze' : 'border-rule bg-sheet hover:border-dove'
              }`}
            >
              <span className="flex items-baseline justify-between gap-2 font-semibold">
                <span className="first-letter:uppercase">
                  {nameOf(plan, own && at === plans.length - 1, speech)}
                </span>
                <span className="whitespace-nowrap text-sm">cost {plan.cost.toFixed(1)}</span>
              </span>
              <span className="block truncate text-sm">{planWords(plan, speech.instrument)}</span>
              <span className={`block text-sm text-faded ${at === chosen ? '' : 'pr-20'}`}>
                {dearestTerms(plan, 2)
                  .map(({ words, cost }) => `${words} ${cost.toFixed(1)}`)
                  .join(' · ') || 'nothing difficult'}
              </span>
            </button>
            {at !== chosen && (
              <button
                type="button"
                aria-pressed={at === beside}
                aria-label={`Compare way ${at + 1} with the one chosen`}
                onClick={() => layBeside(at === beside ? null : at)}
                className="absolute right-0 bottom-0 min-h-8 cursor-pointer px-3 text-sm text-dove underline"
              >
                {at === beside ? 'close' : 'compare'}
              </button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
});

function nameOf(plan: Plan, own: boolean, speech: Speech): string {
  if (own) return 'the saved fingering';
  return plan.traits ? characterWords(plan.traits, speech) : planWords(plan, speech.instrument);
}
