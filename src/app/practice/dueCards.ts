import { cardsOf, answersOf, memoriesOf, type Practised } from '../../store/read';
import type { CardRecord } from '../../core';

/*
 * Which cards are asked now: those whose time has come, and a few new ones a day, so that they do not pile up.
 */

/** New cards of one day. */
const NEW_A_DAY = 10;

interface Due {
  /** Those due longest first, new ones last. */
  readonly cards: readonly CardRecord[];
  /** The latest answer, by which a clock that was set back is known. */
  readonly latest: number;
}

export async function dueNow(studentId: string, now: number): Promise<Due> {
  const [cards, memories, answers] = await Promise.all([
    cardsOf(studentId),
    memoriesOf(studentId),
    answersOf(studentId),
  ]);
  return dueOf({ cards, memories, answers }, now);
}

/** Of a student's cards those that are asked now. */
export function dueOf(
  { cards, memories, answers }: Pick<Practised, 'cards' | 'memories' | 'answers'>,
  now: number,
): Due {
  const due = new Map(memories.map((memory) => [memory.id, memory.due]));
  const first = new Map<string, number>();
  let latest = 0;
  for (const { cardId, at } of answers) {
    first.set(cardId, Math.min(first.get(cardId) ?? Infinity, at));
    if (at <= now + A_DAY) latest = Math.max(latest, at);
  }
  const today = new Date(now).setHours(0, 0, 0, 0);
  const begun = [...first.values()].filter((at) => at >= today && at <= now + A_DAY).length;
  const known = cards
    .filter(({ id }) => (due.get(id) ?? Infinity) <= now)
    .sort((a, b) => (due.get(a.id) ?? 0) - (due.get(b.id) ?? 0));
  const fresh = cards.filter(({ id }) => !due.has(id)).sort((a, b) => a.createdAt - b.createdAt);
  return { cards: [...known, ...fresh.slice(0, Math.max(0, NEW_A_DAY - begun))], latest };
}

/** In ms. What is dated later comes from a clock that went wrong. */
const A_DAY = 86_400_000;

/** How many cards are to be asked now. */
export async function dueCards(studentId: string, now: number): Promise<number> {
  return (await dueNow(studentId, now)).cards.length;
}
