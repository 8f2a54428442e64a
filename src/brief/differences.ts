import {
  heldAlike,
  INSTRUMENTS,
  resolveSetup,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../core';
import { positionWords } from './brief';
import { sizeWords } from './material';
import { printed } from './words';

/** A request with the plan that was chosen for it. */
export interface Placed {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
}

/** What is otherwise in a plan than in the one it was given from, in sentences a teacher would say. */
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

function instrumentWords(request: PlanRequest): string {
  const { label, defaultSize } = INSTRUMENTS[request.instrument];
  const mm = Math.round(resolveSetup(request).lengthMm);
  return `${sizeWords(request.instrument, request.size ?? defaultSize)} ${label} (string ${mm} mm)`;
}

function instrumentDifference(source: PlanRequest, given: PlanRequest): string | null {
  const [was, is] = [instrumentWords(source), instrumentWords(given)];
  return was === is ? null : `On a ${is} rather than a ${was}.`;
}

function startDifference(source: PlanResponse, given: PlanResponse): string | null {
  const [was, is] = [source, given].map(({ events }) => events.find((event) => 'pitches' in event));
  if (!was || !is || !('pitches' in was) || !('pitches' in is) || was.pitches[0] === is.pitches[0])
    return null;
  const name = (pitch: string) => printed(pitch) + pitch.at(-1);
  return `Begins on ${name(is.pitches[0])} rather than ${name(was.pitches[0])}.`;
}

function positionDifference(source: PlanRequest, given: PlanRequest): string | null {
  const [was, is] = [source, given].map(({ rules, instrument }) =>
    positionWords(rules?.positions, instrument),
  );
  return was === is ? null : `In ${is} rather than ${was}.`;
}

const demands = ({ rules }: PlanRequest) => (rules?.locks?.length ?? 0) + (rules?.never?.length ?? 0);

function demandDifference(source: PlanRequest, given: PlanRequest): string | null {
  const lost = demands(source) - demands(given);
  if (lost <= 0) return null;
  return lost === 1
    ? 'One demand at a single note was left behind: it belongs to other strings.'
    : `${lost} demands at single notes were left behind: they belong to other strings.`;
}

const counted = (n: number) => (n === 0 ? 'No shift' : `${n} ${n === 1 ? 'shift' : 'shifts'}`);

function shiftDifference({ shifts: source }: Plan, { shifts: given }: Plan): string | null {
  if (source.length === given.length) return null;
  return `${counted(given.length)} instead of ${source.length}.`;
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
  if (was.length !== is.length) return `${is.length} notes instead of ${was.length}.`;
  const sameStrings = source.request.instrument === given.request.instrument;
  const alike = (at: number) =>
    sameStrings
      ? heldAlike(was[at], is[at])
      : was[at].stops.every((stop, voice) => stop.finger === is[at].stops[voice].finger);
  const changed = is.flatMap((step, at) => (alike(at) ? [] : [step.at + 1]));
  if (changed.length === 0) return 'Every finger is the same.';
  return `Other ${sameStrings ? 'fingers, strings or positions' : 'fingers'} at note ${ranges(changed)}.`;
}

/** "1, 3–5, 9" */
function ranges(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of numbers) {
    const last = runs[runs.length - 1];
    if (last && last[1] === n - 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
