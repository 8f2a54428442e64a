import type { Described } from '../core/described';
import type * as Schema from './describe';

/*
 * The types of what comes in, goes out and is kept, made of its one description.
 */

export type PlanAnswer = Described<typeof Schema.ResponseDescribed>;
export type WordedPlan = PlanAnswer['plans'][number];
export type WordedMeaning = NonNullable<WordedPlan['meaning']>;
export type WordedProblem = PlanAnswer['problems'][number];
export type ErrorAnswer = Described<typeof Schema.ErrorDescribed>;
export type ErrorIssue = ErrorAnswer['error']['issues'][number];

export type PlanRecord = Described<typeof Schema.PlanRecordDescribed>;
export type Choice = PlanRecord['choice'];
export type Playing = Described<typeof Schema.PlayingDescribed>;
export type StudentRecord = Described<typeof Schema.StudentRecordDescribed>;
export type BriefRecord = Described<typeof Schema.BriefRecordDescribed>;
export type SessionRecord = Described<typeof Schema.SessionRecordDescribed>;
export type CardRecord = Described<typeof Schema.CardRecordDescribed>;
export type AnswerRecord = Described<typeof Schema.AnswerRecordDescribed>;
export type LessonRecord = Described<typeof Schema.LessonRecordDescribed>;
export type BookRecord = Described<typeof Schema.BookRecordDescribed>;
export type SentPlan = Described<typeof Schema.SentPlanDescribed>;
export type PracticeFile = Described<typeof Schema.PracticeFileDescribed>;
export type Backup = Described<typeof Schema.BackupDescribed>;
