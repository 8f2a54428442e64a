import { memo, useState } from 'react';
import { useBench } from '../../app/bench';
import { choosePlan, demandWay, layWayBeside } from '../../app/edits';
import type { Plan } from '../../core';
import { Help } from '../../ui/Help';
import { counted } from '../../wording/grammar';
import { planWords, type Speech } from '../../wording/plans';
import { planName, tradeWords } from '../../wording/ways';
import { CompareWith } from './CompareWith';
import type { Shown } from './shown';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** Ways shown before "all" is asked for. */
const FIRST = 3;

/** The best plan and the ways beside it, each with what it buys and pays; the bar is its difficulty. */
export const Alternatives = memo(function Alternatives({ shown: answer }: { readonly shown: Shown }) {
  const { planned, response, chosen, more, speech } = answer;
  const { plans } = response;
  const beside = useBench((state) => state.beside);
  const [all, setAll] = useState(false);
  if (plans.length === 0) return null;
  const shown = all || chosen >= FIRST ? plans : plans.slice(0, FIRST);
  const demand = plans[chosen]?.demand;
  const dearest = Math.max(...plans.filter(hasDifficulty).map(({ cost }) => cost));
  return (
    <section aria-labelledby="alternatives">
      <div className="ways-head" data-testid="ways-head">
        <h2 id="alternatives" className="font-serif text-lg font-semibold whitespace-nowrap">
          {more ? benchPlanText.ways : plans.length === 1 ? benchPlanText.oneWay : counted(plans.length, 'way')}
        </h2>
        <Help word="way" />
        <CompareWith />
      </div>
      <p role="status" className="sr-only" data-testid="announced">
        {more ? '' : resultWords(plans, speech)}
      </p>
      <ol className="ways mt-1">
        {shown.map((plan, at) => (
          <li key={keyOf(plan, planned.own && at === plans.length - 1)} className="relative">
            <button
              type="button"
              aria-pressed={at === chosen}
              onClick={() => choosePlan(plan)}
              title={plan.changes ? tradeWords(plan.changes) : undefined}
              className={`way relative w-full cursor-pointer rounded-md border-2 px-2.5 pt-0.5 pb-1.5 text-left ${
                at === chosen ? 'border-dove bg-haze' : 'border-rule bg-sheet hover:border-dove'
              }`}
            >
              <span className="block truncate leading-snug font-semibold first-letter:uppercase">
                {nameOf(plan, planned.own && at === plans.length - 1, speech)}
              </span>
              <span className="sr-only">, </span>
              <span className={`block truncate text-sm leading-snug ${at === chosen ? '' : 'pr-18'}`}>
                {planWords(plan, speech.instrument)}
              </span>
              <span className="more-words text-sm leading-tight text-faded">
                {plan.changes ? tradeWords(plan.changes) : benchPlanText.theEasiestForThis}
              </span>
              <span className="sr-only">, </span>
              {hasDifficulty(plan) && <Difficulty share={dearest > 0 ? plan.cost / dearest : 0} />}
            </button>
            {at !== chosen && (
              <button
                type="button"
                aria-pressed={at === beside}
                aria-label={benchPlanText.compareWayWithThe(at + 1)}
                onClick={() => layWayBeside(at === beside ? null : plan)}
                className="absolute top-6 right-0 min-h-6 cursor-pointer px-3 text-sm text-dove underline"
              >
                {at === beside ? benchPlanText.close : benchPlanText.compare}
              </button>
            )}
          </li>
        ))}
        {more &&
          Array.from({ length: Math.max(0, FIRST - plans.length) }, (_, at) => (
            <li key={plans.length + at} aria-hidden className="way rounded-md border-2 border-rule opacity-50" />
          ))}
        {!more && plans.length === 1 && (
          <li className="more-words px-1 text-sm text-faded">{benchPlanText.noOtherWayIs}</li>
        )}
      </ol>
      <p className="flex h-9 items-center justify-between gap-2 overflow-hidden">
        {shown.length < plans.length && (
          <button
            type="button"
            onClick={() => setAll(true)}
            className="min-h-8 cursor-pointer text-sm text-dove underline"
          >
            {benchPlanText.allWays(plans.length)}
          </button>
        )}
        {demand && (
          <button
            type="button"
            onClick={() => demandWay(plans[chosen])}
            className="min-h-8 min-w-0 cursor-pointer truncate text-left text-sm text-dove underline"
          >
            {benchPlanText.putIntoTheBrief(planName(plans[chosen], speech))}
          </button>
        )}
      </p>
    </section>
  );
});

/** What came out, for those who hear it: "3 ways; first: 2 shifts: 1st – 3rd – 1st". */
function resultWords([first, ...others]: readonly Plan[], speech: Speech): string {
  const count = others.length === 0 ? benchPlanText.oneWay : counted(others.length + 1, 'way');
  return benchPlanText.first(count, planWords(first, speech.instrument));
}

/** A way is the same button from answer to answer: what is pressed is what was seen. */
function keyOf({ way }: Plan, own: boolean): string {
  return own ? 'own' : JSON.stringify(way ?? 'best');
}

function nameOf(plan: Plan, own: boolean, speech: Speech): string {
  return own ? benchPlanText.theSavedFingering : planName(plan, speech);
}

/** Another school counts its hand by other frames: what it costs says nothing beside the rest. */
const hasDifficulty = ({ way }: Plan) => way?.code !== 'school';

/** How hard a way is beside the hardest shown, as a bar at its foot. */
function Difficulty({ share }: { readonly share: number }) {
  return (
    <span
      role="img"
      aria-label={benchPlanText.difficultyOf100(Math.round(share * 100))}
      title={benchPlanText.difficultyBesideTheHardest}
      className="absolute inset-x-2.5 bottom-0.5 h-1 overflow-hidden rounded-full bg-rule"
    >
      <span className="block h-full bg-dove" style={{ width: `${Math.max(4, share * 100)}%` }} />
    </span>
  );
}
