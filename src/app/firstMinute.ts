import { useLiveQuery } from 'dexie-react-hooks';
import type { HandSize, InstrumentName, Level, PlanRequest, Stage } from '../core';
import { instrumentRecord, type StudentRecord } from '../core';
import { newRecord } from '../store/records';
import { listPlans, listStudents } from '../store/read';
import { session } from './bench';
import { forStudent } from './brief/student';
import { withOwnTaste } from './taste';
import { save } from './writes';

/*
 * The first minute: three questions, and a scale is planned for somebody.
 */

/** True where neither a student nor a plan is kept; false while that is not known. */
export function useNothingKept(): boolean {
  const kept = useLiveQuery(
    () =>
      Promise.all([listPlans(), listStudents()]).then(
        ([plans, students]) => plans.length + students.length > 0,
        () => true,
      ),
    [],
  );
  return kept === false;
}

/** What a beginner of each stage is taken for. */
const LEVELS: Readonly<Record<Stage, Level>> = {
  'first-position': 'first-year',
  'first-shifts': 'early',
  everywhere: 'middle',
};

export interface Answers {
  /** May be empty. */
  readonly name: string;
  readonly instrument: InstrumentName;
  readonly size: string;
  /** Null where the hand is not measured and no word is put to it. */
  readonly hand: HandSize | null;
  readonly stage: Stage;
}

/** The student that the answers make, and the first scale for them. */
export function firstOf(
  answers: Answers,
  now: number,
): { readonly student: StudentRecord; readonly request: PlanRequest } {
  const { instrument, size, hand, stage, name } = answers;
  const { clefs, firstScales } = instrumentRecord(instrument);
  const { positions, octaves, tonic } = firstScales[stage];
  const student: StudentRecord = {
    id: crypto.randomUUID(),
    name: name.trim(),
    plays: { instrument, size, ...(hand ? { hand } : {}) },
    level: LEVELS[stage],
    ...(positions ? { positions } : {}),
    clefs,
    noteNames: 'letters',
    remark: '',
    createdAt: now,
    changedAt: now,
  };
  const material = { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' } as const;
  const request = forStudent({ instrument, style: 'secure', material }, student);
  return { student, request };
}

/** Keeps the student and puts their first scale on the Bench. */
export async function planFirst(answers: Answers) {
  const now = Date.now();
  const { student, request } = firstOf(answers, now);
  const plan = newRecord(withOwnTaste(request), now, { studentId: student.id });
  await save(
    [
      { kind: 'added', table: 'students', record: student },
      { kind: 'added', table: 'plans', record: plan },
    ],
    () => void session.stand(plan),
  );
}
