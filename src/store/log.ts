import type { AnswerRecord, PlanRecord, Repetition, SessionRecord } from '../core';
import type { Change } from './changes';
import { db } from './db';
import { reading } from './waiting';
import { getSession, validOf } from './read';
import type { ChoiceRow } from '../core';
import { commit } from './write';

/*
 * What is written as somebody practises and chooses: repetitions, answers to cards, choices. Repetitions and answers are only ever added.
 */

/**
 * Writes a repetition, or that one was taken back, with its session as it then is; both or neither. Words that were written into the log meanwhile, on
 * another page, stay.
 */
export async function addRepetition(repetition: Repetition, session: SessionRecord): Promise<void> {
  const added: Change = { kind: 'added', table: 'repetitions', record: repetition };
  const { id, minutes, reached, heard, endedAt } = session;
  const played: Change = { kind: 'updated', table: 'sessions', id, from: {}, to: { minutes, reached, heard, endedAt } };
  const first: Change = { kind: 'added', table: 'sessions', record: session };
  const known = (await getSession(id)) !== undefined;
  const outcome = await commit([added, known ? played : first]);
  // Deleted, or begun, on another page since it was looked for.
  if (outcome.kind === 'conflict') await commit([added, known ? first : played]);
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
