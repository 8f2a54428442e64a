import type { ErrorObject } from 'ajv';
import { requestIssues, type ChoiceIssue, type PlanRequest } from '../core';
import { validRequest } from './validators.generated.js';

/** A request that cannot be understood; thrown by readRequest and answered as the contract's error object. */
export class BadRequest extends Error {
  constructor(readonly issues: readonly ChoiceIssue[]) {
    super(issues.map(({ path, message }) => `${path || '/'}: ${message}`).join('\n'));
  }
}

export interface ErrorAnswer {
  readonly error: { readonly code: 'bad-request'; readonly issues: readonly ChoiceIssue[] };
}

export function errorAnswer(issues: readonly ChoiceIssue[]): ErrorAnswer {
  return { error: { code: 'bad-request', issues } };
}

/**
 * Checks that a value is a request the core understands.
 * @throws BadRequest with a path and a sentence for each thing wrong
 */
export function readRequest(value: unknown): PlanRequest {
  if (!validRequest(value)) throw new BadRequest(shapeIssues(validRequest.errors ?? []));
  const request = value as PlanRequest;
  const issues = requestIssues(request);
  if (issues.length > 0) throw new BadRequest(issues);
  return request;
}

/**
 * Reads JSON text into a request.
 * @throws BadRequest also where the text is no JSON
 */
export function parseRequest(text: string): PlanRequest {
  return readRequest(parseJson(text));
}

/** @throws BadRequest where the text is no JSON */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new BadRequest([
      { path: '', message: 'This is not JSON. Send one JSON object, in double quotes.' },
    ]);
  }
}

/** Most issues named in one answer; a wholly foreign file has thousands. */
const MOST_ISSUES = 20;

/** The validator's errors as sentences, one a place; the noise of untaken branches is left out. */
export function shapeIssues(errors: readonly ErrorObject[]): ChoiceIssue[] {
  const issues = new Map<string, ChoiceIssue>();
  for (const error of errors) {
    if (error.keyword === 'if' || error.keyword === 'oneOf') continue;
    const issue = shapeIssue(error);
    if (!issues.has(issue.path)) issues.set(issue.path, issue);
  }
  return [...issues.values()].slice(0, MOST_ISSUES);
}

function shapeIssue({ keyword, instancePath, params, message }: ErrorObject): ChoiceIssue {
  switch (keyword) {
    case 'required':
      return { path: `${instancePath}/${params.missingProperty}`, message: 'This is missing; put it in.' };
    case 'additionalProperties':
      return {
        path: `${instancePath}/${params.additionalProperty}`,
        message: 'Nothing is known by this name; check the spelling or leave it out.',
      };
    case 'enum':
      return { path: instancePath, message: `Choose one of ${params.allowedValues.join(', ')}.` };
    case 'const':
      return { path: instancePath, message: `This must be ${JSON.stringify(params.allowedValue)}.` };
    case 'type':
      return { path: instancePath, message: `This must be ${article(params.type)}.` };
    case 'discriminator':
      return {
        path: `${instancePath}/type`,
        message:
          'Choose one of scale, arpeggio, broken-thirds, broken-fourths, broken-sixths, double-stops, notes.',
      };
    case 'false schema':
      return { path: instancePath, message: 'A rest has no pitches; leave one of the two out.' };
    case 'multipleOf':
      return { path: instancePath, message: 'Positions go by halves: 0.5, 1, 1.5, 2, …' };
    case 'minItems':
      return { path: instancePath, message: `Put at least ${params.limit} in.` };
    case 'maxItems':
      return { path: instancePath, message: `At most ${params.limit} fit here.` };
    default:
      return { path: instancePath, message: `This ${message ?? 'cannot be read'}.` };
  }
}

function article(type: string): string {
  return /^[aeiou]/.test(type) ? `an ${type}` : `a ${type}`;
}
