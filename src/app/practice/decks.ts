import {
  checkCard,
  drillKey,
  earCards,
  elsewhereCard,
  namesCards,
  positionCards,
  positionsKnown,
  resolveSetup,
  shiftCards,
  type PositionNumber,
  type PositionRule,
  type Quiz,
  type CardRecord,
  type PlanRecord,
  type StudentRecord,
} from '../../core';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import type { Meaning } from '../meaning';
import { save } from '../writes';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * Decks of cards: of a student's positions and keys, or of a plan.
 */

/** Keys that cards begin with, the nearest first. */
export const CARD_KEYS = [
  'C major',
  'G major',
  'D major',
  'A major',
  'F major',
  'Bb major',
  'Eb major',
  'E minor',
  'A minor',
] as const;

function knows(rule: PositionRule | undefined, position: PositionNumber): boolean {
  if (position === 'thumb') return false;
  if (!rule) return position >= 1 && position <= 3;
  if ('only' in rule) return rule.only.includes(position);
  return position >= rule.from && (rule.to === 'thumb' || position <= rule.to);
}

/** The numbered positions that a student's cards are made for. */
export function cardPositions({ plays, positions }: StudentRecord): PositionNumber[] {
  return positionsKnown(resolveSetup(plays), plays.school, (position) => knows(positions, position));
}

export function positionQuizzes({ plays }: StudentRecord, position: PositionNumber, key: string): Quiz[] {
  return positionCards({ setup: resolveSetup(plays), school: plays.school, positions: [position], keys: [key] });
}

/** What a plan can be asked about. */
export const PLAN_DECKS = [
  ['shifts', practiceAppText.itsShiftsAndTheir],
  ['names', practiceAppText.itsNamesForwardAnd],
  ['checks', practiceAppText.itsChecks],
  ['elsewhere', practiceAppText.whereElseItsNotes],
  ['ear', practiceAppText.itsNotesByEar],
] as const;
export type PlanDeck = (typeof PLAN_DECKS)[number][0];

export function planQuizzes({ findings, response }: Meaning, deck: PlanDeck): Quiz[] {
  const { setup, shifts, heard } = findings;
  const once = <T>(list: readonly T[], tag: (one: T) => string) => [
    ...new Map(list.map((one) => [tag(one), one])).values(),
  ];
  const notes = once(heard, ({ note }) => `${note.string} ${note.semitones}`).filter(({ note }) => note.finger !== 0);
  const found = (quiz: Quiz | null) => (quiz ? [quiz] : []);
  switch (deck) {
    case 'shifts':
      return once(
        shifts.flatMap((shift) => shiftCards(shift, setup)),
        JSON.stringify,
      );
    case 'names':
      return namesCards(drillKey(response));
    case 'checks':
      return notes.flatMap((one) => found(checkCard(setup, one)));
    case 'elsewhere':
      return notes.flatMap(({ note }) => found(elsewhereCard(setup, note.pitch, note.string)));
    case 'ear':
      return notes.flatMap(({ note }) => earCards(note.pitch));
  }
}

/** Puts cards into a student's box; those that are there already are left out. @returns how many are new, or null where they could not be written */
export async function addCards(
  studentId: string,
  deck: string,
  quizzes: readonly Quiz[],
  here: readonly CardRecord[],
  planId?: string,
): Promise<number | null> {
  const known = new Set(here.map(({ quiz }) => JSON.stringify(quiz.ask)));
  const now = Date.now();
  const fresh = quizzes.filter(({ ask }) => !known.has(JSON.stringify(ask)));
  // One after the other, so that a deck is asked in its order.
  const cards = fresh.map((quiz, at): CardRecord => ({
    id: crypto.randomUUID(),
    studentId,
    deck,
    quiz,
    createdAt: now + at,
    changedAt: now + at,
    ...(planId ? { planId } : {}),
  }));
  if (cards.length === 0) return 0;
  const written = await save(cards.map((record) => ({ kind: 'added', table: 'cards', record })));
  return written ? cards.length : null;
}

export function deckName(plan: PlanRecord, words: string): string {
  return `${planTitle(plan)}: ${words}`;
}

export function addedWords(count: number): string {
  return count === 0
    ? practiceAppText.allOfTheseCards
    : practiceAppText.putIntoTheBox(counted(count, practiceAppText.newCard));
}
