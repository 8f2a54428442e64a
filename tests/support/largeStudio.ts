import type { CardRecord, Judged, PlanRecord, SessionRecord, StudentRecord } from '../../src/core';
import { demoStudio } from '../../src/store/demoStudio';
import { judged, sessionFor } from './log';

/** How much there is in a large studio. */
export interface Size {
  readonly students: number;
  readonly plans: number;
  readonly repetitions: number;
  readonly cards: number;
}

const PER_SESSION = 20;
const DAYS = 250;
const SOME_DAY = Date.parse('2026-01-05T12:00:00Z');
const PITCHES = ['D4', 'E4', 'F4', 'G4', 'A4', 'B4', 'C5'];
const HEARD = ['in', 'in', 'low', 'in', 'high'] as const;

/** A studio of many years, as the lists of a backup file. */
export function largeStudio({ students, plans, repetitions, cards }: Size) {
  const demo = demoStudio(1_700_000_000_000);
  const count = <T>(n: number, make: (at: number) => T) => Array.from({ length: n }, (_, at) => make(at));
  const people = count(students, (at): StudentRecord => {
    const like = demo.students[at % demo.students.length];
    return { ...like, id: `student-${at}`, name: `${like.name} ${at}` };
  });
  const pieces = count(plans, (at): PlanRecord => {
    const owner = people[at % students];
    const like = demo.plans.find(({ request }) => request.instrument === owner.plays.instrument) ?? demo.plans[0];
    return { ...like, id: `plan-${at}`, name: `Study ${at}`, studentId: owner.id, changedAt: like.changedAt + at };
  });
  const sessions = count(repetitions / PER_SESSION, (at): SessionRecord => {
    const day = new Date(SOME_DAY + (at % DAYS) * 86_400_000).toISOString().slice(0, 10);
    const owner = people[at % students];
    return sessionFor(owner.id, day, { id: `session-${at}`, planId: `plan-${at % plans}`, minutes: 10 });
  });
  const log = sessions.flatMap((session) =>
    count(PER_SESSION, (at): Judged => judged(session, at, HEARD[at % HEARD.length])),
  );
  const quizzes = count(cards, (at): CardRecord => {
    const pitch = PITCHES[at % PITCHES.length];
    const quiz = { ask: { kind: 'elsewhere', pitch, string: 'G3' }, right: [pitch] } as const;
    return {
      ...{ id: `card-${at}`, studentId: people[at % students].id, deck: 'Notes', quiz },
      createdAt: 1,
      changedAt: 1,
    };
  });
  return { plans: pieces, students: people, briefs: [], sessions, repetitions: log, cards: quizzes };
}
