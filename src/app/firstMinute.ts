import { useLiveQuery } from 'dexie-react-hooks';
import type { HandSize, InstrumentKind, Level, PlanRequest, PositionRule } from '../core';
import { instrumentData } from '../core';
import { newRecord, type StudentRecord } from '../store/records';
import { listPlans, listStudents } from '../store/rows';
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

/** How far somebody has come: what they may use of the neck, and the scale that suits it. */
export type Stage = 'first-position' | 'first-shifts' | 'everywhere';

interface Suited {
  readonly level: Level;
  readonly positions?: PositionRule;
  readonly octaves: number;
  /** Tonic by instrument: a key that lies well in these positions. */
  readonly tonic: Readonly<Record<InstrumentKind, string>>;
}

/** Keys that teachers begin with at each stage; the low instruments have their first shifts in fourth position. */
const SUITED: Readonly<Record<Stage, (kind: InstrumentKind) => Suited>> = {
  'first-position': (kind) => ({
    level: 'first-year',
    positions: kind === 'bass' ? { from: 0.5, to: 1 } : { from: 1, to: 1 },
    octaves: 1,
    tonic: { violin: 'D4', viola: 'G3', cello: 'D3', bass: 'G1' },
  }),
  'first-shifts': (kind) => ({
    level: 'early',
    positions: kind === 'violin' || kind === 'viola' ? { from: 1, to: 3 } : { from: 0.5, to: 4 },
    octaves: kind === 'bass' ? 1 : 2,
    tonic: { violin: 'A3', viola: 'D3', cello: 'G2', bass: 'C2' },
  }),
  everywhere: () => ({
    level: 'middle',
    octaves: 3,
    tonic: { violin: 'G3', viola: 'C3', cello: 'C2', bass: 'E1' },
  }),
};

export interface Answers {
  /** May be empty. */
  readonly name: string;
  readonly instrument: InstrumentKind;
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
  const { level, positions, octaves, tonic } = SUITED[stage](instrument);
  const student: StudentRecord = {
    id: crypto.randomUUID(),
    name: name.trim(),
    plays: { instrument, size, ...(hand ? { hand } : {}) },
    level,
    ...(positions ? { positions } : {}),
    clefs: instrumentData(instrument).clefs,
    noteNames: 'letters',
    remark: '',
    createdAt: now,
    changedAt: now,
  };
  const material = {
    type: 'scale',
    tonic: tonic[instrument],
    scale: 'major',
    octaves,
    direction: 'updown',
  } as const;
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
