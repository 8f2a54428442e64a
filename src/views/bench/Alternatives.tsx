import { memo } from 'react';
import { useBench } from '../../app/bench';
import { choosePlan, demandWay, layBeside } from '../../app/edits';
import type { Plan } from '../../core';
import { counted } from '../../wording/grammar';
import { planWords, type Speech } from '../../wording/plans';
import { WAYS } from '../../work/ask';
import { planName, tradeWords } from '../../wording/ways';

interface Props {
  readonly plans: readonly Plan[];
  readonly chosen: number;
  /** True where the last is the saved fingering, which the planner would no longer offer. */
  readonly own: boolean;
  /** True while ways are still looked for: their places are kept. */
  readonly more: boolean;
  readonly speech: Speech;
}

/** The best plan and the ways beside it, each with what it buys and pays; the bar is its difficulty. */
export const Alternatives = memo(function Alternatives({ plans, chosen, own, more, speech }: Props) {
  const beside = useBench((state) => state.beside);
  if (plans.length === 0) return null;
  const dearest = Math.max(...plans.map(({ cost }) => cost));
  return (
    <section aria-labelledby="alternatives">
      <h2 id="alternatives" className="font-serif text-lg font-semibold">
        {more ? 'Ways' : plans.length === 1 ? 'One way' : counted(plans.length, 'way')}
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
                <Difficulty share={dearest > 0 ? plan.cost / dearest : 0} />
              </span>
              <span className="block truncate text-sm">{planWords(plan, speech.instrument)}</span>
              <span className={`block text-sm text-faded ${at === chosen ? '' : 'pr-20'}`}>
                {plan.changes ? tradeWords(plan.changes) : 'the easiest for this hand and brief'}
              </span>
            </button>
            {at === chosen && plan.demand && (
              <button
                type="button"
                onClick={() => demandWay(plan)}
                className="min-h-8 cursor-pointer px-3 text-sm text-dove underline"
              >
                put “{planName(plan, speech)}” into the brief
              </button>
            )}
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
        {more &&
          Array.from({ length: WAYS - plans.length }, (_, at) => (
            <li
              key={plans.length + at}
              aria-hidden
              className="h-24 rounded-md border-2 border-rule opacity-50"
            />
          ))}
      </ol>
    </section>
  );
});

function nameOf(plan: Plan, own: boolean, speech: Speech): string {
  return own ? 'the saved fingering' : planName(plan, speech);
}

/** How hard a way is beside the hardest shown, as a short bar. */
function Difficulty({ share }: { readonly share: number }) {
  return (
    <span
      role="img"
      aria-label={`difficulty ${Math.round(share * 100)} of 100`}
      title="Difficulty beside the hardest way shown"
      className="h-2 w-14 shrink-0 self-center overflow-hidden rounded-full bg-rule"
    >
      <span className="block h-full bg-dove" style={{ width: `${Math.max(4, share * 100)}%` }} />
    </span>
  );
}
