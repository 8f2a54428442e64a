import { memo, useEffect, useState } from 'react';
import { aimFor } from '../../core';
import { resolveSetup, type Finding, type Lesson, type Level } from '../../core';
import { drillTitle, findingName, findingWords } from '../../wording/findings';
import { Help } from '../../ui/Help';
import { REACH_UNKNOWN } from '../../wording/instruments';
import { findingDrillInWorker, weightiestInWorker } from '../../work/planner';
import type { Weightiest } from '../../work/plan.worker';
import { select } from '../../app/edits';
import { say } from '../../app/notices';
import { openDrill, practise } from '../../app/opening';
import { partAround } from '../../app/practice/address';
import type { Shown } from './shown';
import * as benchPlanText from '../../wording/rooms/benchPlan';

interface Props {
  readonly planId: string;
  readonly level: Level;
  readonly shown: Shown;
}

/** Shown before "all" is asked for. */
const FIRST = 3;
/** Shown at most: nobody works through more in one lesson. */
const MOST = 60;

const AT_HAND = ['/hand', benchPlanText.seeTheHand] as const;
const BY_EAR = ['/ear', benchPlanText.hearIt] as const;
const AS_SHIFT = ['/shifts', benchPlanText.takeItApart] as const;

/** Where each kind of finding is looked at closely. */
const VIEWS: Readonly<Record<Exclude<Finding['kind'], 'lesson'>, readonly [string, string]>> = {
  shift: AS_SHIFT,
  stretch: AT_HAND,
  crowding: AT_HAND,
  trap: AT_HAND,
  comma: BY_EAR,
  'no-check': BY_EAR,
  opened: AS_SHIFT,
  'low-first': AS_SHIFT,
  skip: AT_HAND,
  apart: AT_HAND,
  octaves: AS_SHIFT,
};

/** Lessons for the ear; the others are of the hand. */
const HEARD: ReadonlySet<Lesson['kind']> = new Set(['four-open', 'rings', 'tonic', 'begins']);

function viewOf(finding: Finding): readonly [string, string] {
  if (finding.kind !== 'lesson') return VIEWS[finding.kind];
  return HEARD.has(finding.lesson.kind) ? BY_EAR : AT_HAND;
}

/** What is worth attention in this plan for this student, the weightiest first; each selects its notes and leads to its close-up. */
export const FindingsList = memo(function FindingsList({ planId, level, shown: answer }: Props) {
  const { planned, response, chosen, speech } = answer;
  const { ask } = planned;
  const [weightiest, setFound] = useState<Weightiest | null>(null);
  const { first: found, count } = weightiest ?? { first: [], count: 0 };
  const [all, setAll] = useState(false);
  useEffect(() => {
    let here = true;
    if (!response.plans[chosen]) return;
    weightiestInWorker(ask, chosen, aimFor(level), MOST).then(
      (weighed) => here && setFound(weighed),
      // Where the planner is lost, the Bench says so.
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [ask, response, chosen, level]);
  const shown = (all ? found : found.slice(0, FIRST)).filter(({ events }) => events.every((at) => response.events[at]));
  const setup = resolveSetup(ask.request);
  const drill = async (finding: Finding) => {
    try {
      const made = await findingDrillInWorker(ask, chosen, finding);
      if (made) await openDrill(made, drillTitle(finding, speech));
    } catch {
      say({ kind: 'trouble', message: benchPlanText.theDrillCouldNot });
    }
  };
  return (
    <section aria-labelledby="findings" data-testid="findings">
      <div className="flex items-center gap-2">
        <h2 id="findings" className="font-serif text-lg font-semibold">
          {benchPlanText.findings}
        </h2>
        <Help word="finding" />
      </div>
      {ask.request.hand === undefined && <p className="text-sm text-faded">{REACH_UNKNOWN}</p>}
      {weightiest?.count === 0 && <p className="text-faded">{benchPlanText.nothingHereNeedsSpecial}</p>}
      <ol className="flex flex-col gap-1">
        {shown.map((finding, at) => {
          const [view, words] = viewOf(finding);
          const last = finding.events[finding.events.length - 1];
          return (
            <li
              key={`${finding.kind}.${finding.events.join('.')}.${at}`}
              className="rounded-md border border-rule bg-sheet px-3 py-1 text-[0.95rem] leading-snug"
            >
              <button
                type="button"
                className="cursor-pointer text-left hover:text-dove"
                onClick={() => select(finding.events[0], last)}
              >
                <span className={`font-semibold ${finding.kind === 'shift' ? 'text-copper' : ''}`}>
                  {findingName(finding)}
                </span>{' '}
                {findingWords(finding, setup, speech)}
              </button>{' '}
              <span className="flex gap-4">
                <a className="whitespace-nowrap text-dove underline" href={`${view}?plan=${planId}&at=${last}`}>
                  {words}
                </a>
                <button
                  type="button"
                  className="cursor-pointer whitespace-nowrap text-dove underline"
                  onClick={() => void drill(finding)}
                >
                  {benchPlanText.drillIt}
                </button>
                <button
                  type="button"
                  className="cursor-pointer whitespace-nowrap text-dove underline"
                  onClick={() => void practise(partAround(finding.events, speech.events.length))}
                >
                  {benchPlanText.practiseIt}
                </button>
              </span>
            </li>
          );
        })}
      </ol>
      {found.length > FIRST && (
        <button type="button" className="mt-1 cursor-pointer text-dove underline" onClick={() => setAll(!all)}>
          {all
            ? benchPlanText.onlyTheWeightiest
            : count > MOST
              ? benchPlanText.theFirstOf(MOST, count)
              : benchPlanText.all(count)}
        </button>
      )}
    </section>
  );
});
