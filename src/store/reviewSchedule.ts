import { group } from 'd3-array';
import { createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import type { AnswerRecord } from '../core';
import type { Change } from './changes';
import { db } from './db';
import { rowIssue } from './valid';
import { reading } from './waiting';
import type { Memory } from '../core';

/*
 * When a card is asked again, by a published scheme of spaced repetition. It follows from the answers alone; what is kept of it is only there to be found fast.
 */

/** No chance in it: the same answers give the same day on every computer. */
const scheduler = fsrs({ enable_fuzz: false });

/** Of so few choices one may be right by guessing. */
const GUESSABLE = 2;

/**
 * How well an answer was known. Speed is not knowledge: that it was easy, or guessed, only the student says. The first right answer among two choices may be
 * luck, and counts for less.
 */
function ratingOf(
  { right, among = Infinity }: AnswerRecord,
  said: AnswerRecord['said'],
  before: AnswerRecord | undefined,
) {
  if (!right) return Rating.Again;
  if (said) return said === 'easy' ? Rating.Easy : Rating.Hard;
  return among <= GUESSABLE && !before?.right ? Rating.Hard : Rating.Good;
}

/** In ms. What is dated later than tomorrow comes from a clock that went wrong. */
const A_DAY = 86_400_000;

/** What is remembered after some answers to one card, in whatever order they come; those dated ahead are set aside. */
function memoryOf(answers: readonly AnswerRecord[], now: number): Memory | null {
  const counted = answers.filter(({ at }) => at <= now + A_DAY);
  const said = new Map(counted.flatMap((one) => (one.about ? [[one.about, one.said] as const] : [])));
  const inOrder = counted
    .filter(({ about }) => about === undefined)
    .sort((a, b) => a.at - b.at || a.id.localeCompare(b.id));
  const [first] = inOrder;
  if (!first) return null;
  let card = createEmptyCard(first.at);
  inOrder.forEach((answer, n) => {
    card = scheduler.next(card, answer.at, ratingOf(answer, said.get(answer.id), inOrder[n - 1])).card;
  });
  return {
    id: first.cardId,
    studentId: first.studentId,
    due: card.due.getTime(),
    answers: inOrder.length,
    wrong: inOrder.filter(({ right }) => !right).length,
  };
}

/** Works out anew when the cards come again that some changes touch; inside a transaction over answers and memories. */
export async function recallCards(changes: readonly Change[], now: number): Promise<void> {
  const cards = new Set<string>();
  for (const change of changes)
    if (change.table === 'answers' && change.kind !== 'updated') cards.add(change.record.cardId);
  if (cards.size > 0) await recall([...cards], now);
}

/** Works out anew when some cards come again, from what is sound of their answers. */
export async function recall(cards: readonly string[], now: number): Promise<void> {
  const all = await db.answers.where('cardId').anyOf(cards).toArray();
  const sound = all.filter((answer) => rowIssue('answers', answer) === null);
  const byCard = group(sound, ({ cardId }) => cardId);
  await db.memories.bulkPut([...byCard.values()].flatMap((answers) => memoryOf(answers, now) ?? []));
}

/**
 * Works out anew what was remembered by a clock that had gone ahead, so that it hides no card.
 * @returns how many answers are dated ahead, and set aside until their day
 */
export async function setAnswersAheadAside(studentId: string, now: number): Promise<number> {
  const isAhead = ({ at }: AnswerRecord) => at > now + A_DAY;
  const ahead = await reading(db.answers.where('studentId').equals(studentId).filter(isAhead).toArray(), 'answers');
  if (ahead.length === 0) return 0;
  const cards = [...new Set(ahead.map(({ cardId }) => cardId))];
  await db.transaction('rw', db.answers, db.memories, async () => {
    await db.memories.bulkDelete(cards);
    await recall(cards, now);
  });
  return ahead.length;
}
