import type { PlanRequest } from '../core';
import type { Change } from './changes';
import { additions, listAll, type Kept } from './read';
import { commit } from './write';
import { DEMO_PATHS } from './demoPaths';
import { EXAMPLE, isExample, newRecord } from './records';
import type { StudentRecord } from '../core';

type DemoStudent = Omit<StudentRecord, 'id' | 'createdAt' | 'changedAt'>;

/** The made-up studio "Quayside String Room": who comes this week … */
const STUDENTS: readonly DemoStudent[] = [
  {
    name: 'Wren',
    lessonAt: { weekday: 1, time: '16:30' },
    plays: { instrument: 'violin', hand: 'medium' },
    level: 'middle',
    positions: { from: 1, to: 5 },
    clefs: ['treble'],
    noteNames: 'letters',
    remark: 'Left thumb grips in third position; slow bow first.',
  },
  {
    name: 'Pip',
    lessonAt: { weekday: 1, time: '15:45' },
    plays: { instrument: 'violin', size: '1/2', hand: { relaxedMm: 58, fullMm: 70, fingertipMm: 9 } },
    level: 'first-year',
    positions: { from: 1, to: 1 },
    clefs: ['treble'],
    noteNames: 'letters',
    remark: 'Growing fast: measure again each term.',
  },
  {
    name: 'Marlow',
    lessonAt: { weekday: 3, time: '17:15' },
    plays: { instrument: 'viola', size: '15.5', hand: 'medium' },
    level: 'middle',
    clefs: ['alto', 'treble'],
    noteNames: 'fixed-do',
    remark: '',
  },
  {
    name: 'Juno',
    lessonAt: { weekday: 4, time: '18:00' },
    plays: { instrument: 'cello', hand: 'medium' },
    level: 'advanced',
    clefs: ['bass', 'tenor', 'treble'],
    noteNames: 'letters',
    remark: 'Thumb position since spring; short turns only.',
  },
  {
    name: 'Otis',
    lessonAt: { weekday: 5, time: '10:30' },
    plays: { instrument: 'bass', size: '3/4', hand: 'medium', school: 'one-two-four' },
    level: 'early',
    clefs: ['bass'],
    noteNames: 'german',
    remark: '',
  },
];

interface DemoPlan {
  readonly student: string;
  /** Left out where the brief says it all. */
  readonly name?: string;
  readonly tags: readonly string[];
  readonly request: PlanRequest;
}

/** … and what is on the stand. */
const PLANS: readonly DemoPlan[] = [
  {
    student: 'Wren',
    tags: ['lesson'],
    request: {
      instrument: 'violin',
      hand: 'medium',
      style: 'secure',
      material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
      rules: { positions: { from: 1, to: 3 } },
    },
  },
  {
    student: 'Pip',
    name: 'A major in first position',
    tags: ['lesson', 'first position'],
    request: {
      instrument: 'violin',
      size: '1/2',
      hand: { relaxedMm: 58, fullMm: 70, fingertipMm: 9 },
      style: 'early',
      material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
      rules: { positions: { from: 1, to: 1 } },
    },
  },
  {
    student: 'Marlow',
    name: 'A flat major without open strings',
    tags: ['colour'],
    request: {
      instrument: 'viola',
      size: '15.5',
      hand: 'medium',
      style: 'singing',
      material: { type: 'scale', tonic: 'Ab3', scale: 'major', octaves: 2, direction: 'updown' },
      rules: { openStrings: 'never' },
    },
  },
  {
    student: 'Wren',
    tags: ['lesson'],
    request: {
      instrument: 'violin',
      hand: 'medium',
      style: 'secure',
      material: { type: 'arpeggio', tonic: 'F#4', chord: 'minor', octaves: 2, direction: 'updown' },
    },
  },
  {
    student: 'Juno',
    name: 'D major into thumb position',
    tags: ['thumb'],
    request: {
      instrument: 'cello',
      hand: 'medium',
      style: 'secure',
      material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 4, direction: 'updown' },
    },
  },
  {
    student: 'Otis',
    tags: ['lesson'],
    request: {
      instrument: 'bass',
      size: '3/4',
      hand: 'medium',
      school: 'one-two-four',
      style: 'secure',
      material: { type: 'scale', tonic: 'F1', scale: 'major', octaves: 2, direction: 'updown' },
    },
  },
  {
    student: 'Wren',
    tags: ['double stops'],
    request: {
      instrument: 'violin',
      hand: 'medium',
      style: 'secure',
      material: {
        type: 'double-stops',
        interval: 'third',
        tonic: 'D4',
        scale: 'major',
        octaves: 1,
        direction: 'updown',
      },
    },
  },
];

const BRIEFS: readonly { readonly name: string; readonly request: PlanRequest }[] = [
  {
    name: 'Term scale, two octaves, secure',
    request: {
      instrument: 'violin',
      style: 'secure',
      material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 2, direction: 'updown' },
      rules: { positions: { from: 1, to: 3 } },
    },
  },
];

const exampleId = () => EXAMPLE + crypto.randomUUID();

/** The whole demo studio; plans are newest first in the order above. */
export function demoStudio(now: number): Kept {
  const students = STUDENTS.map((student) => ({
    ...student,
    path: DEMO_PATHS[student.name],
    id: exampleId(),
    createdAt: now,
    changedAt: now,
  }));
  const idOf = (name: string) => students.find((student) => student.name === name)?.id ?? null;
  return {
    students,
    plans: PLANS.map(({ student, name = '', tags, request }, at) =>
      newRecord(request, now - at * 60_000, { id: exampleId(), name, tags, studentId: idOf(student) }),
    ),
    briefs: BRIEFS.map((brief) => ({ ...brief, id: exampleId(), createdAt: now })),
  };
}

/** Puts the made-up studio beside what is kept, where it is not there yet. @returns whether it did */
export async function fillWithDemo(): Promise<boolean> {
  const { plans, students } = await listAll();
  if ([...plans, ...students].some(({ id }) => isExample(id))) return false;
  const { kind } = await commit(additions(demoStudio(Date.now())));
  return kind === 'written';
}

/** What takes the made-up studio away again; plans of one's own for its students stay, for anyone. */
export async function demoRemoval(): Promise<{
  readonly changes: Change[];
  readonly students: number;
  readonly plans: number;
}> {
  const { plans, students, briefs } = await listAll();
  const [theirs, people] = [plans.filter(({ id }) => isExample(id)), students.filter(({ id }) => isExample(id))];
  const own = plans.filter(({ id, studentId }) => !isExample(id) && studentId !== null && isExample(studentId));
  const changes: Change[] = [
    ...theirs.map((record): Change => ({ kind: 'removed', table: 'plans', record })),
    ...people.map((record): Change => ({ kind: 'removed', table: 'students', record })),
    ...briefs.filter(({ id }) => isExample(id)).map((record): Change => ({ kind: 'removed', table: 'briefs', record })),
    ...own.map(({ id, studentId }): Change => ({
      kind: 'updated',
      table: 'plans',
      id,
      from: { studentId },
      to: { studentId: null },
    })),
  ];
  return { changes, students: people.length, plans: theirs.length };
}
