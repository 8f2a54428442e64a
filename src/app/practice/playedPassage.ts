import {
  eventsOfStep,
  isKind,
  kindsOfNotes,
  playedNotes,
  resolveSetup,
  type JudgedPlace,
  type LadderStep,
  type Passage,
  type Plan,
  type ResponseEvent,
} from '../../core';
import { excerptOf, type Excerpt } from '../../audio/heardScore';
import type { Meaning } from '../meaning';

/*
 * A plan as it is practised: its bars, its places by kind, what is heard of it on a step.
 */

export function passageOf({ response, speech }: Pick<Meaning, 'response' | 'speech'>): Passage {
  const { events } = response;
  const bar = (at: number) => speech.place(at).bar;
  const barStarts = events.flatMap(({ at }) => (at === 0 || bar(at) !== bar(at - 1) ? [at] : []));
  return { events, barStarts };
}

/** The places that a session judges: one, or every note of the passage. */
export function placesOf(
  { response, plan, findings }: Pick<Meaning, 'response' | 'plan' | 'findings'>,
  { from, to, target }: { readonly from: number; readonly to: number; readonly target?: number },
): JudgedPlace[] {
  const kinds = kindsOfNotes(playedNotes(response.events, plan, findings.setup), findings);
  return [...kinds]
    .filter(([at]) => (target === undefined ? at >= from && at <= to : at === target))
    .map(([at, own]) => ({ at, kinds: own.filter(isKind) }));
}

function shiftsFrom(plan: Plan): ReadonlySet<number> {
  return new Set(plan.shifts.map(({ from }) => from));
}

/** The lower note of a double stop is played a little stronger: the other so much softer. */
const SOFTER = 0.5;

/** What is played on a step. */
export function eventsOn(meaning: Pick<Meaning, 'response' | 'plan'>, step: LadderStep): ResponseEvent[] {
  return eventsOfStep(meaning.response.events, step, shiftsFrom(meaning.plan));
}

/** What is heard of a step where we play along. */
export function excerptOn(meaning: Pick<Meaning, 'response' | 'plan' | 'request'>, step: LadderStep): Excerpt {
  const events = eventsOn(meaning, step);
  const excerpt = excerptOf(events, meaning.plan, resolveSetup(meaning.request), 0, events.length - 1);
  if (step.voices !== 'lower-stronger') return excerpt;
  const lowest = new Map(events.map((event) => [event.at, 'midi' in event ? event.midi[0] : 0]));
  const notes = excerpt.notes.map((note) => (note.midi === lowest.get(note.at) ? note : { ...note, strength: SOFTER }));
  return { ...excerpt, notes };
}
