import { parseRequest } from '../../src/contract/read';
import { plan, type Plan, type PlanRequest, type PlanResponse } from '../../src/core';
import { answerText, isError } from '../../src/work/answering';
import { readText, refuse, understood } from './door';
import * as commandsText from '../../src/wording/rooms/commands';

export interface ChosenWay {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
}

/** The plan of a request that a command is about: the first, or the way that is asked for. Ends with the error object where there is none. */
export function chosenWay(file: string, options: ReadonlyMap<string, string>, usage: string): ChosenWay {
  const way = Number(options.get('way') ?? 0);
  if (!Number.isInteger(way) || way < 0) refuse(commandsText.aWayIsCounted);
  const request = understood(() => parseRequest(readText(file, usage)));
  const response = plan({ ...request, alternatives: Math.max(request.alternatives ?? 3, way + 1) });
  const one = response.plans[way];
  if (one) return { request, response, plan: one };
  if (response.plans.length > 0) refuse(commandsText.thereIsNoWay(way, response.plans.length));
  const answer = answerText(JSON.stringify(request));
  const why = isError(answer) ? '' : answer.problems.map(({ message }) => message).join(' ');
  return refuse(commandsText.noFingeringFitsThis(why).trim());
}
