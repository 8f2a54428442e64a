import {
  validBook,
  validBrief,
  validCard,
  validLesson,
  validPlan,
  validSession,
  validStudent,
} from '#generated/validators.js';
import { shapeIssues } from '../contract/read';
import { requestIssues, type Issue } from '../core';
import type { TableName } from './changes';
import type { BriefRecord, PlanRecord } from './records';

const VALIDATORS = {
  plans: validPlan,
  students: validStudent,
  briefs: validBrief,
  sessions: validSession,
  cards: validCard,
  lessons: validLesson,
  books: validBook,
};

/** What is wrong with a row of a table; null where it is sound. */
export function rowIssue(table: TableName, row: unknown): Issue | null {
  const valid = VALIDATORS[table];
  if (!valid(row)) return shapeIssues(valid.errors ?? [])[0];
  if (table !== 'plans' && table !== 'briefs') return null;
  const { request } = row as PlanRecord | BriefRecord;
  const [issue] = requestIssues(request);
  return issue ? { ...issue, path: `/request${issue.path}` } : null;
}
