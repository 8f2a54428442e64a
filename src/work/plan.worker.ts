import { expose } from 'comlink';
import { findingsOf, type Aim, type Findings, type PlanRequest, type PlanResponse } from '../core';
import { answerValue } from './answer';

/** What one plan of an answer means for its student. */
function findings(request: PlanRequest, response: PlanResponse, chosen: number, aim: Aim): Findings {
  return findingsOf(request, response, response.plans[chosen], aim);
}

/** What the worker offers to the page. */
const planner = { plan: answerValue, findings };
export type Planner = typeof planner;

expose(planner);
