import { expose } from 'comlink';
import {
  drillForFinding,
  findingsOf,
  onePositionDrill,
  resolveSetup,
  type Aim,
  type Finding,
  type Findings,
  type PlanRequest,
  type PlanResponse,
  type PositionDrill,
} from '../core';
import { answerValue, isError } from './answer';

/** The answer given last: what is asked next is mostly about it, and long answers are slow to send to and fro. */
let last: { readonly text: string; readonly response: PlanResponse } | undefined;

function plan(request: PlanRequest) {
  const answer = answerValue(request);
  if (!isError(answer)) last = { text: JSON.stringify(request), response: answer };
  return answer;
}

/** One plan of the answer to a request; null where it has no such plan. */
function chosenOf(request: PlanRequest, chosen: number) {
  const response = last?.text === JSON.stringify(request) ? last.response : plan(request);
  return isError(response) || !response.plans[chosen] ? null : { response, plan: response.plans[chosen] };
}

/** What one plan of the answer to a request means for its student. */
function findings(request: PlanRequest, chosen: number, aim: Aim): Findings | null {
  const one = chosenOf(request, chosen);
  return one && findingsOf(request, one.response, one.plan, aim);
}

/** The drill for something found in a plan. */
function findingDrill(request: PlanRequest, chosen: number, finding: Finding): PlanRequest | null {
  const one = chosenOf(request, chosen);
  return one && drillForFinding(request, one.response, one.plan, resolveSetup(request), finding);
}

/** A drill in one position; null where the position has no octave of the key. */
function positionDrill(request: PlanRequest, asked: PositionDrill): PlanRequest | null {
  return onePositionDrill(request, resolveSetup(request), asked);
}

/** The weightiest findings alone, and how many there are. */
function weightiest(request: PlanRequest, chosen: number, aim: Aim, most: number): Weightiest {
  const ranked = findings(request, chosen, aim)?.ranked ?? [];
  return { first: ranked.slice(0, most), count: ranked.length };
}

export interface Weightiest {
  readonly first: readonly Finding[];
  readonly count: number;
}

/** As JSON text: for a thousand notes the page reads that much sooner than a copied object. */
const planText = (request: PlanRequest) => JSON.stringify(plan(request));

/** What the worker offers to the page. */
const planner = { planText, findings, weightiest, findingDrill, positionDrill };
export type Planner = typeof planner;

expose(planner);
