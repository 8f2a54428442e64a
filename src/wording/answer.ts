import {
  resolveSetup,
  stopMm,
  type FingerPlaces,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Problem,
  type Reason,
  type Step,
  type PlanAnswer,
  type WordedPlan,
  type WordedProblem,
} from '../core';
import { meaningOf } from './meaning';
import { placeName } from './places';
import { speechOf, type Speech } from './plans';
import { changesWords, problemWords } from './problems';
import { reasonWords } from './reasons';
import { tradeWords, wayWords } from './ways';

/** A response with its sentences and names, as the contract shows it; the same at every door. */
export function wordedAnswer(request: PlanRequest, response: PlanResponse): PlanAnswer {
  const speech = speechOf(request.instrument, response);
  const counted = countedFromEnd(request);
  return {
    ...response,
    plans: response.plans.map((plan) => ({
      ...wordedPlan(counted(plan), speech),
      ...(request.meaning ? { meaning: meaningOf(request, response, plan, speech) } : {}),
    })),
    problems: response.problems.map((problem) => wordedProblem(problem, request, speech)),
  };
}

/** On a bass with an extension everything on the lowest string is counted from the extension's end, so that nothing lies below the nut. */
function countedFromEnd(request: PlanRequest): (plan: Plan) => Plan {
  const { extensionSemitones: more, strings, lengthMm } = resolveSetup(request);
  if (more === 0) return (plan) => plan;
  const [{ name: lowest }] = strings;
  const longer = lengthMm * 2 ** (more / 12);
  const mmAt = (semitones: number) => Math.round(stopMm(longer, semitones) * 10) / 10;
  const raised = (places: FingerPlaces) =>
    Object.fromEntries(Object.entries(places).map(([finger, semitones]) => [finger, semitones + more])) as FingerPlaces;
  const countedStep = (step: Step): Step => {
    if (!step.stops.some(({ string }) => string === lowest)) return step;
    const hand = raised(step.hand);
    const places = Object.values(hand);
    return {
      ...step,
      hand,
      handMm: [mmAt(Math.min(...places)), mmAt(Math.max(...places))],
      stops: step.stops.map((stop) =>
        stop.string === lowest
          ? { ...stop, semitones: stop.semitones + more, stopMm: mmAt(stop.semitones + more) }
          : stop,
      ),
    };
  };
  return (plan) => ({
    ...plan,
    steps: plan.steps.map(countedStep),
    frames: plan.frames.map((frame) =>
      frame.string === lowest ? { ...frame, fingers: raised(frame.fingers) } : frame,
    ),
  });
}

function wordedPlan(plan: Plan, speech: Speech): WordedPlan {
  const worded = (reasons: readonly Reason[]) =>
    reasons.map((reason) => ({ ...reason, message: reasonWords(reason, speech) }));
  return {
    ...plan,
    ...(plan.way ? { name: wayWords(plan.way, speech) } : {}),
    ...(plan.changes ? { message: tradeWords(plan.changes) } : {}),
    steps: plan.steps.map(({ reasons, ...step }) => ({
      ...step,
      positionName: placeName(step, speech.instrument),
      ...(reasons ? { reasons: worded(reasons) } : {}),
    })),
    shifts: plan.shifts.map((shift) => ({ ...shift, reasons: worded(shift.reasons) })),
  };
}

function wordedProblem(problem: Problem, request: PlanRequest, speech: Speech): WordedProblem {
  const { ways, ...rest } = problem;
  const words = ways?.map((way) => ({ ...way, words: changesWords(way.changes, speech) }));
  return { ...rest, message: problemWords(problem, request, speech), ...(words ? { ways: words } : {}) };
}
