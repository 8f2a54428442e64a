import type { ErrorObject } from 'ajv';
import { requestIssues, type Fault, type Issue, type IssueData, type PathAsk, type PlanRequest } from '../core';
import { pathIssues } from '../core/path';
import { faults as validFaults, path as validPath, request as validRequest } from '#generated/validators.js';

/** A request that cannot be understood; thrown by readRequest and answered as the contract's error object. */
export class BadRequest extends Error {
  constructor(readonly issues: readonly Issue[]) {
    super(issues.map(({ path, code }) => `${path || '/'}: ${code}`).join('\n'));
  }
}

/**
 * Checks that a value is a request the core understands.
 * @throws BadRequest with a path and a code for each thing wrong
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

/**
 * Reads JSON text into what a made-up player does wrong.
 * @throws BadRequest with a path and a code for each thing wrong
 */
export function parseFaults(text: string): readonly Fault[] {
  const value = parseJson(text);
  if (!validFaults(value)) throw new BadRequest(shapeIssues(validFaults.errors ?? []));
  return value as readonly Fault[];
}

/**
 * Checks that a value asks about what comes next in a way the core understands.
 * @throws BadRequest with a path and a code for each thing wrong
 */
export function readPathAsk(value: unknown): PathAsk {
  if (!validPath(value)) throw new BadRequest(shapeIssues(validPath.errors ?? []));
  const ask = value as PathAsk;
  const issues = pathIssues(ask);
  if (issues.length > 0) throw new BadRequest(issues);
  return ask;
}

/** @throws BadRequest where the text is no JSON */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new BadRequest([{ path: '', code: 'no-json' }]);
  }
}

/** The validator's errors as issues, one a place; the noise of untaken branches is left out. */
export function shapeIssues(errors: readonly ErrorObject[]): Issue[] {
  const issues = new Map<string, Issue>();
  for (const error of errors) {
    if (error.keyword === 'if' || error.keyword === 'oneOf') continue;
    const issue = shapeIssue(error);
    if (!issues.has(issue.path)) issues.set(issue.path, issue);
  }
  return [...issues.values()];
}

function shapeIssue({ keyword, instancePath: path, params }: ErrorObject): Issue {
  const { missingProperty, additionalProperty, allowedValues, allowedValue, type, limit, comparison } =
    params as Params;
  switch (keyword) {
    case 'required':
      return { path: `${path}/${missingProperty}`, code: 'missing' };
    case 'additionalProperties':
      return {
        path: `${path}/${additionalProperty}`,
        // The one thing that a rest may not have and a note must.
        code: additionalProperty === 'pitches' ? 'rest-with-pitches' : 'unknown-field',
      };
    case 'enum':
      return { path, code: 'not-one-of', data: { allowed: allowedValues ?? [] } };
    case 'const':
      return { path, code: 'must-be', data: { value: allowedValue ?? null } };
    case 'type':
      return { path, code: 'wrong-type', data: { type: String(type) } };
    case 'discriminator':
      return { path: `${path}/type`, code: 'no-material' };
    case 'multipleOf':
      return { path, code: 'not-by-halves' };
    case 'minItems':
    case 'minProperties':
      return { path, code: 'too-few', data: { limit: limit ?? 1 } };
    case 'maxItems':
      return { path, code: 'too-many', data: { limit: limit ?? 1 } };
    case 'pattern':
      return { path, code: path.endsWith('/time') ? 'no-time' : 'no-text-like-it' };
    default:
      return { path, code: 'out-of-bounds', data: { comparison: comparison ?? '', limit: limit ?? 0 } };
  }
}

/** What the validator says of one error, by its keyword. */
interface Params {
  readonly missingProperty?: string;
  readonly additionalProperty?: string;
  readonly allowedValues?: Extract<IssueData[string], readonly unknown[]>;
  readonly allowedValue?: string | number | boolean | null;
  readonly type?: string;
  readonly limit?: number;
  readonly comparison?: string;
}
