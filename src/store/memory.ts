import { createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { answered, db, openForWriting } from './db';
import type { AnswerRecord } from './records';

/*
 * When a card is asked again, by a published scheme of spaced repetition. It follows from the answers alone; what is kept of it is only there to be found fast.
 */

/** What is remembered of a card. */
export interface Memory {
  /** The card's. */
  readonly id: string;
  readonly studentId: string;
  /** When it is to be asked again, in ms. */
  readonly due: number;
  readonly answers: number;
  readonly wrong: number;
}

/** No chance in it: the same answers give the same day on every computer. */
const scheduler = fsrs({ enable_fuzz: false });

/** A right answer that took longer was hard to find, in ms; a quick one was easy. */
const SLOW = 20_000;
const QUICK = 4_000;

function ratingOf({ right, took }: Pick<AnswerRecord, 'right' | 'took'>) {
  if (!right) return Rating.Again;
  return took > SLOW ? Rating.Hard : took < QUICK ? Rating.Easy : Rating.Good;
}

/** What is remembered after some answers to one card, in whatever order they come. */
export function memoryOf(answers: readonly AnswerRecord[]): Memory | null {
  const inOrder = [...answers].sort((a, b) => a.at - b.at || a.id.localeCompare(b.id));
  const [first] = inOrder;
  if (!first) return null;
  let card = createEmptyCard(first.at);
  for (const answer of inOrder) card = scheduler.next(card, answer.at, ratingOf(answer)).card;
  return {
    ...{ id: first.cardId, studentId: first.studentId, due: card.due.getTime() },
    ...{ answers: inOrder.length, wrong: inOrder.filter(({ right }) => !right).length },
  };
}

/** Writes an answer, and when the card comes again. */
export async function addAnswer(answer: AnswerRecord): Promise<void> {
  await openForWriting();
  await answered(
    Promise.resolve(
      db.transaction('rw', db.answers, db.memories, async () => {
        await db.answers.put(answer);
        await recall([answer.cardId]);
      }),
    ),
  );
}

/** Works out anew what is remembered of some cards; inside a transaction over answers and memories. */
export async function recall(cardIds: readonly string[]): Promise<void> {
  const all = await db.answers.where('cardId').anyOf(cardIds).toArray();
  const byCard = new Map<string, AnswerRecord[]>();
  for (const answer of all) byCard.set(answer.cardId, [...(byCard.get(answer.cardId) ?? []), answer]);
  const memories = [...byCard.values()].flatMap((answers) => memoryOf(answers) ?? []);
  await db.memories.bulkPut(memories);
}

/** What is remembered of a student's cards. */
export function memoriesOf(studentId: string): Promise<Memory[]> {
  return answered(Promise.resolve(db.memories.where('studentId').equals(studentId).toArray()));
}
