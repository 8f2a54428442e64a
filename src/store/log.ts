import {
  heardOf,
  reachedIn,
  standing,
  USUAL_TIMES,
  type AnswerRecord,
  type Judged,
  type PlanRecord,
  type Repetition,
  type SessionRecord,
} from '../core';
import type { Change } from './changes';
import { db } from './db';
import { deviceId } from './device';
import { withPlayed } from './minutes';
import { reading, writing } from './waiting';
import { validOf } from './read';
import type { ChoiceRow } from '../core';
import { commit, inOneGo, writeAll } from './write';

/*
 * What is written as somebody practises and chooses: repetitions, answers to cards, choices. Repetitions and answers are only ever added.
 */

/**
 * Writes a repetition, or that one was taken back, with its session; both or neither. What the session heard follows from all its repetitions, also those that
 * another page has written; words that were written into the log meanwhile stay.
 * @param minutes that it took
 * @returns the repetitions of the session that stand
 */
export function addRepetition(repetition: Repetition, session: SessionRecord, minutes: number): Promise<Judged[]> {
  const work = inOneGo(['sessions', 'repetitions'], async () => {
    const [here, log] = await Promise.all([
      db.sessions.get(session.id),
      db.repetitions.where('sessionId').equals(session.id).toArray(),
    ]);
    // Tried again after it had come through.
    if (log.some(({ id }) => id === repetition.id)) return standing(log);
    const judged = standing([...log, repetition]);
    const { endedAt } = session;
    const { byEar } = session;
    const to = {
      ...withPlayed(here ?? session, minutes, deviceId()),
      ...heardIn(here ?? session, judged),
      endedAt,
      ...(byEar ? { byEar } : {}),
    };
    const played: Change = here
      ? { kind: 'updated', table: 'sessions', id: session.id, from: {}, to }
      : { kind: 'added', table: 'sessions', record: { ...session, ...to } };
    await writeAll([{ kind: 'added', table: 'repetitions', record: repetition }, played], '', Date.now());
    return judged;
  });
  return writing(work, 'sessions', 'repetitions');
}

/** What follows of a session from its repetitions that stand. */
export function heardIn({ task, reached: before }: Pick<SessionRecord, 'task' | 'reached'>, judged: readonly Judged[]) {
  const reached = task && reachedIn(judged, { ...task, times: Math.min(task.times, USUAL_TIMES) });
  // What was taken back takes its tempo with it.
  return { heard: heardOf(judged), ...(reached === undefined && before === undefined ? {} : { reached }) };
}

/** Writes an answer; when the card comes again follows from it. */
export async function addAnswer(answer: AnswerRecord): Promise<void> {
  await commit([{ kind: 'added', table: 'answers', record: answer }]);
}

/** Keeps what was chosen in a plan against the first, or that nothing is any more. Drills are made, not chosen. It only ever helps: where it cannot be written nothing is lost. */
export async function keepChoice({ id, request, choice, drillFor, studentId }: PlanRecord): Promise<void> {
  if (drillFor) return;
  const { locks = [], never = [] } = request.rules ?? {};
  const way = choice.kind === 'way' ? choice.fingering : undefined;
  const before = await reading(db.choices.get(id), 'choices');
  const chosen = way ? { request, way } : { request };
  const row: ChoiceRow = { id, studentId, chosen, changedAt: Date.now() };
  const isChoice = way !== undefined || locks.length + never.length > 0;
  if (!isChoice && before) await commit([{ kind: 'removed', table: 'choices', record: before }]);
  else if (isChoice && before)
    await commit([{ kind: 'updated', table: 'choices', id, from: {}, to: { studentId, chosen } }]);
  else if (isChoice) await commit([{ kind: 'added', table: 'choices', record: row }]);
}

/** What was chosen, for one student or for anybody. */
export async function listChoices(studentId: string | null) {
  const rows = await validOf('choices', await reading(db.choices.toArray(), 'choices'));
  return rows.filter((row) => studentId === null || row.studentId === studentId).map(({ chosen }) => chosen);
}
