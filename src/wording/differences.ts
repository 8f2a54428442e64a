import {
  comparePlans,
  heldAlike,
  instrumentRecord,
  resolveSetup,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../core';
import { counted } from './grammar';
import { instrumentWords, sizeWords } from './instruments';
import { noteWords } from './notes';
import { placesWords, positionRuleWords, stretchWords } from './places';
import { speechOf, type Speech } from './plans';
import { tradeBetween } from './ways';

/*
 * What differs between two plans.
 */

/** A request with the plan that was chosen for it. */
export interface Placed {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
}

/** What differs in a plan from the one it was given from, in sentences a teacher would say. */
export function differencesBetween(source: Placed, given: Placed): string[] {
  return [
    instrumentDifference(source.request, given.request),
    startDifference(source.response, given.response),
    positionDifference(source.request, given.request),
    demandDifference(source.request, given.request),
    shiftDifference(source.plan, given.plan),
    spreadDifference(source.plan, given.plan),
    fingerDifference(source, given),
  ].filter((sentence) => sentence !== null);
}

/** What differs between a saved fingering and the planner's choice of now, and what that buys and pays. */
export function fingeringDifferences(saved: Plan, now: Plan, speech: Speech): string[] {
  return [
    shiftDifference(saved, now),
    spreadDifference(saved, now),
    `Other fingers, strings or positions at ${changedPlaces(saved, now, speech)}.`,
    tradeSentence(now, saved, speech),
  ].filter((sentence) => sentence !== null);
}

/** Where two plans of one answer part: "bar 1, beat 2, bar 3, beats 1–4". */
export function changedPlaces(a: Plan, b: Plan, { place }: Speech): string {
  return placesWords(comparePlans(a, b).places.map(({ from, to }) => stretchWords(place, from, to)));
}

function tradeSentence(plan: Plan, other: Plan, { events }: Speech): string | null {
  const words = tradeBetween(plan, other, { events });
  return words && `Against it: ${words}.`;
}

function onWords(request: PlanRequest): string {
  const { defaultSize } = instrumentRecord(request.instrument);
  const length = Math.round(resolveSetup(request).lengthMm);
  const size = sizeWords(request.instrument, request.size ?? defaultSize);
  return `${size} ${instrumentWords(request.instrument)} (string ${length} mm)`;
}

function instrumentDifference(source: PlanRequest, given: PlanRequest): string | null {
  const [was, is] = [onWords(source), onWords(given)];
  return was === is ? null : `On a ${is} instead of a ${was}.`;
}

function startDifference(source: PlanResponse, given: PlanResponse): string | null {
  const [was, is] = [source, given].map(({ events }) => events.find((event) => 'pitches' in event));
  if (!was || !is || !('pitches' in was) || !('pitches' in is) || was.pitches[0] === is.pitches[0]) return null;
  return `Begins on ${noteWords(is.pitches[0])} instead of ${noteWords(was.pitches[0])}.`;
}

function positionDifference(source: PlanRequest, given: PlanRequest): string | null {
  const [was, is] = [source, given].map(({ rules, instrument }) => positionRuleWords(rules?.positions, instrument));
  return was === is ? null : `In ${is} instead of ${was}.`;
}

const demands = ({ rules }: PlanRequest) => (rules?.locks?.length ?? 0) + (rules?.never?.length ?? 0);

function demandDifference(source: PlanRequest, given: PlanRequest): string | null {
  const lost = demands(source) - demands(given);
  if (lost <= 0) return null;
  return lost === 1
    ? 'One demand at a single note was left out: it belongs to other strings.'
    : `${lost} demands at single notes were left out: they belong to other strings.`;
}

function shiftDifference({ shifts: source }: Plan, { shifts: given }: Plan): string | null {
  if (source.length === given.length) return null;
  const now = given.length === 0 ? 'No shift' : counted(given.length, 'shift');
  return `${now} instead of ${source.length}.`;
}

/** The widest spread of a plan against the hand it was planned for. */
function widest({ reach }: Plan) {
  return reach.reduce<Plan['reach'][number] | null>(
    (most, one) => (most && most.share >= one.share ? most : one),
    null,
  );
}

function spreadDifference(source: Plan, given: Plan): string | null {
  const [was, is] = [widest(source), widest(given)];
  if (!was || !is || (was.verdict === is.verdict && Math.abs(was.share - is.share) < 0.02)) return null;
  const words = ({ spreadMm, verdict }: typeof is) => `${spreadMm} mm, ${verdict}`;
  return `Widest spread ${words(is)} for this hand (was ${words(was)}).`;
}

function fingerDifference(source: Placed, given: Placed): string | null {
  const [was, is] = [source.plan.steps, given.plan.steps];
  if (was.length !== is.length) return `${counted(is.length, 'note')} instead of ${was.length}.`;
  const sameStrings = source.request.instrument === given.request.instrument;
  const alike = (at: number) =>
    sameStrings
      ? heldAlike(was[at], is[at])
      : was[at].stops.every((stop, voice) => stop.finger === is[at].stops[voice].finger);
  const { place } = speechOf(given.request.instrument, given.response);
  const runs: [number, number][] = [];
  is.forEach((step, t) => {
    if (alike(t)) return;
    const last = runs[runs.length - 1];
    if (last && last[1] === (is[t - 1]?.at ?? -1)) last[1] = step.at;
    else runs.push([step.at, step.at]);
  });
  if (runs.length === 0) return 'Every finger is the same.';
  const places = placesWords(runs.map(([from, to]) => stretchWords(place, from, to)));
  return `Other ${sameStrings ? 'fingers, strings or positions' : 'fingers'} at ${places}.`;
}
