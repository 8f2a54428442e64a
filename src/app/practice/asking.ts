import { create } from 'zustand';
import { drawnQuiz, hertzOf, isRight, type Level, type Quiz, type AnswerRecord, type CardRecord } from '../../core';
import { getStudent } from '../../store/read';
import { addAnswer } from '../../store/log';
import { dueNow } from './dueCards';
import { tellFailed } from '../failures';
import { say } from '../notices';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * Cards that are asked: those that are due, one after the other. A wrong answer shows where it is before the next one comes, and the card comes again.
 */

export interface Asking {
  readonly queue: readonly CardRecord[];
  readonly card: CardRecord | null;
  /** What was answered; null while it is thought about. */
  readonly answer: string | null;
  readonly right: boolean | null;
  readonly answered: number;
  readonly wrong: number;
}

const NOTHING: Asking = { queue: [], card: null, answer: null, right: null, answered: 0, wrong: 0 };
export const useAsking = create<Asking>(() => NOTHING);
const { getState: get, setState: set } = useAsking;

let askedAt = 0;
/** Of the student who is asked. */
let level: Level = 'middle';
/** The latest answer before: a clock that was set back does not turn the order round. */
let latest = 0;
/** When the minutes for cards are over. */
let until = Infinity;
/** The answer that was given last. */
let last: AnswerRecord | null = null;
/** Cards of one go, where no minutes are set. */
const MOST = 20;

/** Takes the cards that are due, those due longest first and new ones last. @param minutes for them, where the day sets any */
export async function startAsking(studentId: string, minutes?: number, now = Date.now()) {
  const [due, student] = await Promise.all([dueNow(studentId, now), getStudent(studentId)]);
  level = student?.level ?? 'middle';
  latest = due.latest;
  until = minutes === undefined ? Infinity : now + 60_000 * minutes;
  set({ ...NOTHING, queue: minutes === undefined ? due.cards.slice(0, MOST) : due.cards });
  nextCard();
}

export function stopAsking() {
  set(NOTHING);
}

export function nextCard() {
  const [next, ...queue] = Date.now() > until ? [] : get().queue;
  last = null;
  const card = next ? { ...next, quiz: drawnQuiz(next.quiz, level, Math.random) } : null;
  set({ queue, card, answer: null, right: null });
  askedAt = performance.now();
  if (card) void soundCard(card.quiz);
}

export async function answerCard(answer: string) {
  const { card, answer: before, queue, answered, wrong } = get();
  if (!card || before !== null) return;
  const right = isRight(card.quiz, answer);
  set({
    answer,
    right,
    answered: answered + 1,
    wrong: wrong + Number(!right),
    // What was not known comes once more before the end.
    queue: right ? queue : [...queue, card],
  });
  const record: AnswerRecord = {
    id: crypto.randomUUID(),
    cardId: card.id,
    studentId: card.studentId,
    at: Math.max(Date.now(), latest),
    right,
    took: Math.round(performance.now() - askedAt),
    ...(card.quiz.options ? { among: card.quiz.options.length } : {}),
  };
  latest = record.at;
  last = record;
  await keepAnswer(record);
}

/** What the student says of the right answer just given: speed alone says nothing. */
export async function sayOfAnswer(said: 'easy' | 'guessed') {
  if (!last) return;
  const { cardId, studentId, id: about } = last;
  await keepAnswer({ id: crypto.randomUUID(), cardId, studentId, at: last.at, right: true, took: 0, said, about });
  nextCard();
}

async function keepAnswer(record: AnswerRecord): Promise<boolean> {
  try {
    await addAnswer(record);
    return true;
  } catch (error) {
    tellFailed(record.id, error, () => keepAnswer(record));
    return false;
  }
}

const SECONDS = 1.3;
/** What a card lets hear: two notes by ear, else nothing. */
export async function soundCard({ ask, right }: Quiz) {
  if (ask.kind !== 'ear-which' && ask.kind !== 'ear-side') return;
  const [target, other] = [hertzOf(ask.midi), hertzOf(ask.midi, ask.cents)];
  const second = ask.kind === 'ear-which' && right[0] === 'second';
  try {
    const player = await import('../../audio/player');
    await player.soundLine(second ? [other, target] : [target, other], SECONDS);
  } catch {
    say({ kind: 'trouble', message: practiceAppText.askingNoSoundTheBrowser });
  }
}
