import { expose } from 'comlink';
import {
  findingsOf,
  type Aim,
  type Finding,
  type Findings,
  type PlanRequest,
  type PlanResponse,
} from '../core';
import { answerValue, isError } from './answer';

/** The answer given last: what is asked next is mostly about it, and long answers are slow to send to and fro. */
let last: { readonly text: string; readonly response: PlanResponse } | undefined;

function plan(request: PlanRequest) {
  const answer = answerValue(request);
  if (!isError(answer)) last = { text: JSON.stringify(request), response: answer };
  return answer;
}

/** What one plan of the answer to a request means for its student; null where it has no such plan. */
function findings(request: PlanRequest, chosen: number, aim: Aim): Findings | null {
  const known = last?.text === JSON.stringify(request) ? last.response : plan(request);
  const found = isError(known) ? undefined : known.plans[chosen];
  return isError(known) || !found ? null : findingsOf(request, known, found, aim);
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
const planner = { planText, findings, weightiest };
export type Planner = typeof planner;

expose(planner);
