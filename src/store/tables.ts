import type {
  AnswerRecord,
  BookRecord,
  BriefRecord,
  CardRecord,
  LessonRecord,
  PlanRecord,
  Repetition,
  SessionRecord,
  StudentRecord,
} from '../core';
import { ENTRY_WORDS, type EntryWords, type FileKind } from '../wording/storage';
import type { ChoiceRow, DaySum, Memory, Trashed } from '../core';
import { belongsToNobody, keepsItsFingering, type Upgrade } from './steps';

/*
 * The registry of what is kept: a row a table. Versions of the database, checks, backup, restoring, merging, damaged entries and the bin follow from it.
 */

/**
 * How rows that come from elsewhere join those that are here.
 * `beside`: one that differs from its namesake is added as a copy. `by-field`: whoever wrote a field last has it. `by-id`: what is not here is added.
 * `by-writes`: one that was written on one side alone is as that side has it; written on both, both are kept. `never`: it follows from other tables.
 */
type Join = 'beside' | 'by-field' | 'by-id' | 'by-writes' | 'never';

interface Table<T> {
  /** The indexes of the database, by the version from which they hold; the first is the one that the table came with. */
  readonly indexes: Readonly<Record<number, string>>;
  /** The schema that its rows are checked by. */
  readonly schema: string;
  /** True where a row holds a planning request, which is checked as a request too. */
  readonly holdsRequest?: true;
  /** What became of rows of older shapes, in order. */
  readonly steps: readonly Upgrade[];
  readonly join: Join;
  /** How rows join that a student brings, where that is otherwise. */
  readonly joinBrought?: Join;
  /** True where two rows say the same, of those that are joined `beside`. */
  readonly alike?: (a: T, b: T) => boolean;
  /** The files that have it, and since which version of them. */
  readonly files: { readonly [Kind in FileKind]?: number };
  /** True where what is deleted goes to the bin. */
  readonly bin: boolean;
  /** What a row goes with when that is gone for good. */
  readonly of?: { readonly table: 'students' | 'sessions'; readonly field: 'studentId' | 'sessionId' };
  /** The tables that its rows follow from; they are counted anew with these. */
  readonly from?: readonly string[];
  readonly words: EntryWords;
}

const table = <T extends { readonly id: string }>(row: Table<T>): Table<T> => row;

const OF_STUDENT = { table: 'students', field: 'studentId' } as const;
const OF_SESSION = { table: 'sessions', field: 'sessionId' } as const;

const sameValue = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

const toldByPlan = ({ name, typed, request, studentId, tags, written, sheet }: PlanRecord) => [
  ...[name, typed, request, studentId, tags],
  ...[written, sheet],
];
/** A plan whose fingering was not chosen yet is like one that was opened since. */
const samePlan = (a: PlanRecord, b: PlanRecord) =>
  sameValue(toldByPlan(a), toldByPlan(b)) &&
  (a.choice.kind === 'unplanned' || b.choice.kind === 'unplanned' || sameValue(a.choice, b.choice));

const toldByStudent = (student: StudentRecord) => {
  const { name, plays, level, positions, clefs, noteNames, fingerNames, remark, preferences, path } = student;
  return [name, plays, level, positions, clefs, noteNames, remark, preferences, fingerNames, path];
};

/** Students come first: what is theirs follows them where they join as a copy. */
export const TABLES = {
  students: table<StudentRecord>({
    indexes: { 2: 'id, name' },
    schema: 'student',
    steps: [],
    join: 'beside',
    alike: (a, b) => sameValue(toldByStudent(a), toldByStudent(b)),
    files: { backup: 2 },
    bin: true,
    words: ENTRY_WORDS.student,
  }),
  plans: table<PlanRecord>({
    indexes: { 1: 'id, changedAt', 2: 'id, changedAt, studentId' },
    schema: 'plan',
    holdsRequest: true,
    steps: [belongsToNobody, keepsItsFingering],
    join: 'beside',
    joinBrought: 'by-writes',
    alike: samePlan,
    files: { backup: 1, practice: 1 },
    bin: true,
    words: ENTRY_WORDS.plan,
  }),
  briefs: table<BriefRecord>({
    indexes: { 2: 'id, name' },
    schema: 'brief',
    holdsRequest: true,
    steps: [],
    join: 'beside',
    alike: (a, b) => sameValue([a.name, a.request], [b.name, b.request]),
    files: { backup: 2 },
    bin: true,
    words: ENTRY_WORDS.brief,
  }),
  books: table<BookRecord>({
    indexes: { 7: 'id, studentId' },
    schema: 'book',
    steps: [],
    join: 'by-id',
    files: { backup: 5 },
    bin: true,
    words: ENTRY_WORDS.book,
  }),
  sessions: table<SessionRecord>({
    indexes: { 6: 'id, [studentId+day]' },
    schema: 'session',
    steps: [],
    join: 'by-field',
    files: { backup: 4, practice: 1 },
    bin: true,
    of: OF_STUDENT,
    words: ENTRY_WORDS.session,
  }),
  repetitions: table<Repetition>({
    indexes: { 6: 'id, sessionId' },
    schema: 'repetition',
    steps: [],
    join: 'by-id',
    files: { backup: 4, practice: 1 },
    bin: false,
    of: OF_SESSION,
    words: ENTRY_WORDS.repetition,
  }),
  cards: table<CardRecord>({
    indexes: { 6: 'id, studentId' },
    schema: 'card',
    steps: [],
    join: 'by-id',
    files: { backup: 4, practice: 1 },
    bin: true,
    of: OF_STUDENT,
    words: ENTRY_WORDS.card,
  }),
  answers: table<AnswerRecord>({
    indexes: { 6: 'id, cardId, studentId' },
    schema: 'answer',
    steps: [],
    join: 'by-id',
    files: { backup: 4, practice: 1 },
    bin: false,
    of: OF_STUDENT,
    words: ENTRY_WORDS.answer,
  }),
  lessons: table<LessonRecord>({
    indexes: { 6: 'id, [studentId+day]' },
    schema: 'lesson',
    steps: [],
    join: 'by-field',
    files: { backup: 4, practice: 1 },
    bin: true,
    of: OF_STUDENT,
    words: ENTRY_WORDS.lesson,
  }),
  /** Sums by student and day. */
  days: table<DaySum>({
    indexes: { 6: 'id, [studentId+day]' },
    schema: 'day',
    steps: [],
    join: 'never',
    files: {},
    bin: false,
    of: OF_STUDENT,
    from: ['sessions', 'repetitions'],
    words: ENTRY_WORDS.day,
  }),
  /** When cards come again. */
  memories: table<Memory>({
    indexes: { 6: 'id, studentId' },
    schema: 'memory',
    steps: [],
    join: 'never',
    files: {},
    bin: false,
    of: OF_STUDENT,
    from: ['answers'],
    words: ENTRY_WORDS.memory,
  }),
  choices: table<ChoiceRow>({
    indexes: { 5: 'id' },
    schema: 'choice',
    steps: [],
    join: 'by-id',
    files: { backup: 6 },
    bin: false,
    words: ENTRY_WORDS.choice,
  }),
  bin: table<Trashed>({
    indexes: { 4: 'id, deletedAt' },
    schema: 'binned',
    steps: [],
    join: 'by-id',
    files: { backup: 6 },
    bin: false,
    words: ENTRY_WORDS.binned,
  }),
};

export type TableName = keyof typeof TABLES;
/** The records of each table. */
export type Tables = { readonly [Name in TableName]: (typeof TABLES)[Name] extends Table<infer T> ? T : never };

export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** The row of a table, as one of them all. */
export const tableOf = (name: TableName): Table<never> => TABLES[name] as unknown as Table<never>;

/** What the Studio is made of: read whole when it opens. */
export const STUDIO = ['plans', 'students', 'briefs'] as const satisfies readonly TableName[];
export type StudioTable = (typeof STUDIO)[number];

/** Tables that a file has, in the order of the registry. */
export const tablesOfFile = (file: FileKind) => TABLE_NAMES.filter((name) => tableOf(name).files[file] !== undefined);

/** The version of the database that this program writes: the last that any table names. */
export const DATABASE_VERSION = Math.max(
  ...TABLE_NAMES.flatMap((name) => [
    ...Object.keys(tableOf(name).indexes).map(Number),
    ...tableOf(name).steps.map(({ database }) => database),
  ]),
);

/** The version of each file that this program writes; it reads it and all before. */
export const FILE_VERSIONS: Readonly<Record<FileKind, number>> = { backup: 6, practice: 1 };
