import { useState } from 'react';
import type { Finger, PlanRequest } from '../../core';
import { changedPlaces } from '../../wording/differences';
import { planTitle } from '../../wording/material';
import { barWords, fingerWords } from '../../wording/places';
import { problemHelp, problemWords } from '../../wording/problems';
import { tradeBetween } from '../../wording/ways';
import { openAsPlan, type Meaning } from '../../app/meaning';
import { planInWorker } from '../../work/planner';
import * as handViewsText from '../../wording/rooms/handViews';

interface Props {
  readonly meaning: Meaning;
  readonly at: number;
  readonly finger: Finger;
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
        {handViewsText.findAnotherWay}
      </button>
    );
  const { words, request } = way;
  const where = barWords(meaning.speech.place(at));
  const name = handViewsText.withoutAt(fingerWords(finger), where, planTitle(record, student)).slice(0, 120);
  return (
    <span>
      {words}{' '}
      {request && (
        <button
          type="button"
          className="cursor-pointer text-dove underline"
          onClick={() => openAsPlan(request, name, record, [])}
        >
          {handViewsText.openIt}
        </button>
      )}
    </span>
  );
}

async function wayRound({ request, plan, speech }: Meaning, at: number, finger: Finger): Promise<Way> {
  const never = [...(request.rules?.never ?? []), { at, finger }];
  const asked = { ...request, rules: { ...request.rules, never } };
  const answer = await planInWorker({ request: asked });
  if (answer.kind === 'refused') return { words: handViewsText.thisCannotBeAsked, request: null };
  const [other] = answer.response.plans;
  if (other) {
    const trade = tradeBetween(other, plan, speech);
    const words = handViewsText.anotherWayChanges(changedPlaces(plan, other, speech), trade && `: ${trade}`);
    return { words, request: asked };
  }
  // Within this brief there is none: the smallest widening that gives one.
  const [problem] = answer.response.problems;
  if (!problem?.relax) return { words: problemWords(problem, asked, speech), request: null };
  const wider = { ...asked, rules: { ...asked.rules, ...problem.relax } };
  return { words: handViewsText.withinThisBriefThere(problemHelp(problem, speech)), request: wider };
}
