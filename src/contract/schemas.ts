import { CHORDS, SCALES } from '../core';
import {
  AnswerRecord,
  BookRecord,
  BriefRecord,
  CardRecord,
  ChoiceRow,
  DaySum,
  ErrorAnswer,
  Faults,
  LessonRecord,
  Memory,
  PathAsk,
  PathGoal,
  PlanAnswer,
  PlanRecord,
  PlanRequest,
  Repetition,
  SentPlan,
  SessionRecord,
  StudentRecord,
  Trashed,
} from '../core/vocabulary/records';

/*
 * The JSON Schemas of what comes in, goes out and is kept: made of the vocabulary's records, with what only the theory package can name.
 */

const NAMES = { scale: { enum: [...SCALES] }, chord: { enum: [...CHORDS] } };

const ID = { type: 'string', pattern: '^[\\w-]{1,64}$' };

/** The JSON Schemas by the name of their file. */
export const SCHEMAS: Readonly<Record<string, object>> = {
  request: schema('request', 'A planning request, contract version 1', PlanRequest, NAMES),
  response: schema('response', 'A planning response, contract version 1', PlanAnswer),
  error: schema('error', 'What is answered to a request that cannot be understood', ErrorAnswer),
  plan: schema('plan', 'A kept plan', PlanRecord, { id: ID }),
  student: schema('student', 'A student', StudentRecord, { id: ID }),
  brief: schema('brief', 'A kept brief', BriefRecord, { id: ID }),
  session: schema('session', 'An entry of the practice log', SessionRecord, { id: ID }),
  repetition: schema('repetition', 'A repetition as it was judged', Repetition, { id: ID }),
  card: schema('card', 'A card', CardRecord, { id: ID }),
  answer: schema('answer', 'An answer to a card', AnswerRecord, { id: ID }),
  lesson: schema('lesson', 'A lesson', LessonRecord, { id: ID }),
  book: schema('book', 'A book of plans', BookRecord, { id: ID }),
  day: schema('day', 'Sums of a day of practice', DaySum, { id: ID }),
  memory: schema('memory', 'When a card comes again', Memory, { id: ID }),
  choice: schema('choice', 'What was chosen in a plan', ChoiceRow, { id: ID }),
  binned: schema('binned', 'Something that was deleted', Trashed, { id: ID }),
  path: schema('path', 'What is asked about what comes next', PathAsk, { ...NAMES, goal: PathGoal }),
  faults: schema('faults', 'What a made-up player does wrong', Faults),
  'sent-plan': schema('sent-plan', 'A plan sent to somebody, version 1', SentPlan),
};

/** The schema of a file of ours: its head, and the rows of some tables, each by the schema of its own. */
export function fileSchema(kind: string, title: string, lists: Readonly<Record<string, string>>): object {
  const rows = (name: string) => ({ type: 'array', items: { $ref: name } });
  const head = { format: { const: `dove-path-${kind}` }, version: { type: 'integer' }, savedAt: { type: 'string' } };
  const tables = Object.fromEntries(Object.entries(lists).map(([name, of]) => [name, rows(of)]));
  return schema(kind, title, { type: 'object', required: ['format', 'version'], properties: { ...head, ...tables } });
}

function schema(name: string, title: string, described: object, defs?: object): object {
  return { $id: `dove-path/${name}`, title, ...described, ...(defs ? { $defs: defs } : {}) };
}
