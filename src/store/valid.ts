import * as validators from '#generated/validators.js';
import { shapeIssues } from '../contract/read';
import { requestIssues, type Issue, type PlanRequest } from '../core';
import { tableOf, type TableName } from './tables';

/** What is wrong with a row of a table; null where it is sound. */
export function rowIssue(table: TableName, row: unknown): Issue | null {
  const { schema, holdsRequest } = tableOf(table);
  const valid = validators[schema as keyof typeof validators];
  if (!valid(row)) return shapeIssues(valid.errors ?? [])[0];
  if (!holdsRequest) return null;
  const [issue] = requestIssues((row as { readonly request: PlanRequest }).request);
  return issue ? { ...issue, path: `/request${issue.path}` } : null;
}
