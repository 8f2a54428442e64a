import { Dexie, type EntityTable, type Transaction } from 'dexie';
import type { StorageFault } from '../wording/storage';
import type { Chosen } from '../core';
import type { Change } from './changes';
import type { Repetition } from '../core';
import type { DaySum } from './days';
import type { Memory } from './memory';
import type {
  AnswerRecord,
  BookRecord,
  BriefRecord,
  CardRecord,
  LessonRecord,
  PlanRecord,
  SessionRecord,
  StudentRecord,
} from './records';
import { planOfVersion2, planOfVersion3 } from './versions';

/** Something that was deleted, as it was then: what brings it back turned round. */
export interface Binned {
  readonly id: string;
  readonly deletedAt: number;
  /** What it is called in the list of what was deleted. */
  readonly words: string;
  readonly changes: readonly Change[];
}

/** What a teacher chose in one plan, against what was planned: kept by itself, so that it outlives the plan. */
export interface ChoiceRow {
  /** The plan's. */
  readonly id: string;
  readonly chosen: Chosen;
  readonly studentId: string | null;
  readonly changedAt: number;
}

/** The browser's own database; nothing of it leaves the machine but by a backup file. */
export const db = new Dexie('dove-path') as Dexie & {
  plans: EntityTable<PlanRecord, 'id'>;
  students: EntityTable<StudentRecord, 'id'>;
  briefs: EntityTable<BriefRecord, 'id'>;
  bin: EntityTable<Binned, 'id'>;
  choices: EntityTable<ChoiceRow, 'id'>;
  sessions: EntityTable<SessionRecord, 'id'>;
  repetitions: EntityTable<Repetition, 'id'>;
  /** Sums of the two above, by student and day; made of them, never by themselves. */
  days: EntityTable<DaySum, 'id'>;
  cards: EntityTable<CardRecord, 'id'>;
  answers: EntityTable<AnswerRecord, 'id'>;
  /** When cards come again; made of the answers, never by itself. */
  memories: EntityTable<Memory, 'id'>;
  lessons: EntityTable<LessonRecord, 'id'>;
  books: EntityTable<BookRecord, 'id'>;
};
db.version(1).stores({ plans: 'id, changedAt' });
db.version(2)
  .stores({ plans: 'id, changedAt, studentId', students: 'id, name', briefs: 'id, name' })
  .upgrade((step) => eachPlan(step, planOfVersion2));
db.version(3).upgrade((step) => eachPlan(step, (plan) => planOfVersion3(plan, 'browser')));
db.version(4).stores({ bin: 'id, deletedAt' });
db.version(5).stores({ choices: 'id' });
db.version(6).stores({
  sessions: 'id, [studentId+day]',
  repetitions: 'id, sessionId',
  days: 'id, [studentId+day]',
  cards: 'id, studentId',
  answers: 'id, cardId, studentId',
  memories: 'id, studentId',
  lessons: 'id, [studentId+day]',
});
db.version(7).stores({ books: 'id, studentId' });
/** The version this app writes. */
const VERSION = 7;

function eachPlan(step: Transaction, become: (plan: object) => object) {
  return step
    .table<object>('plans')
    .toCollection()
    .modify((plan, place) => {
      place.value = become(plan);
    });
}

/** What went wrong with the storage, and nothing else. */
export class StorageTrouble extends Error {
  constructor(readonly fault: StorageFault) {
    super(fault);
  }
}

/** Milliseconds after which a storage that does not answer is taken for one that never will. */
export const PATIENCE_MS = 3000;

/**
 * Waits for the storage, but not for ever.
 * @throws StorageTrouble 'silent' where it does not answer
 */
export function answered<T>(work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout>;
  const patience = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new StorageTrouble('silent')), PATIENCE_MS);
  });
  return Promise.race([work, patience]).finally(() => clearTimeout(timer));
}

/**
 * Opens the database for writing.
 * @throws StorageTrouble 'newer' where a later version of the app made it: it is read only then
 */
export async function openForWriting(): Promise<void> {
  await answered(Promise.resolve(db.open()));
  if (db.backendDB().version / 10 > VERSION) throw new StorageTrouble('newer');
}

/** Why a read or a write failed. */
export function storageFault(error: unknown): StorageFault {
  if (error instanceof StorageTrouble) return error.fault;
  const { name = '', message = '' } = error instanceof Error ? error : {};
  if (name === 'QuotaExceededError' || /quota/i.test(message)) return 'full';
  if (name === 'VersionError') return 'newer';
  return BLOCKED.has(name) ? 'blocked' : 'unknown';
}

const BLOCKED: ReadonlySet<string> = new Set([
  'MissingAPIError',
  'SecurityError',
  'InvalidStateError',
  'OpenFailedError',
  'NotAllowedError',
  'DatabaseClosedError',
  'UnknownError',
]);
