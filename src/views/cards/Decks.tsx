import { useState } from 'react';
import { meaningOf } from '../../app/meaning';
import { say } from '../../app/notices';
import {
  addCards,
  addedWords,
  CARD_KEYS,
  cardPositions,
  deckName,
  PLAN_DECKS,
  planQuizzes,
  positionQuizzes,
  type PlanDeck,
} from '../../app/practice/decks';
import type { Overview } from '../../app/practice/overview';
import { remove } from '../../app/writes';
import type { Quiz } from '../../core';
import type { CardRecord, StudentRecord } from '../../core';
import { Pick } from '../../ui/fields';
import { counted } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import { printedKey } from '../../wording/notes';
import { positionWords } from '../../wording/places';
import * as cardBoxText from '../../wording/rooms/cardBox';

interface Props {
  readonly student: StudentRecord;
  readonly overview: Overview;
}

/** Decks are made of a position and a key, or of a plan. */
export function Decks({ student, overview }: Props) {
  const { cards, plans } = overview;
  const positions = cardPositions(student);
  const { instrument } = student.plays;
  const [position, setPosition] = useState(() => positions[0] ?? 1);
  const [key, setKey] = useState<string>(CARD_KEYS[2]);
  const [planId, setPlanId] = useState(() => plans[0]?.id ?? '');
  const [deck, setDeck] = useState<PlanDeck>('shifts');
  const put = async (name: string, quizzes: readonly Quiz[], plan?: string) => {
    if (quizzes.length === 0) {
      say({ kind: 'done', message: cardBoxText.thereIsNothingTo });
      return;
    }
    const count = await addCards(student.id, name, quizzes, cards, plan);
    if (count !== null) say({ kind: 'done', message: addedWords(count) });
  };
  const fromPlan = async () => {
    const plan = plans.find(({ id }) => id === planId);
    const words = PLAN_DECKS.find(([name]) => name === deck)?.[1] ?? '';
    if (!plan) return;
    const state = await meaningOf(plan);
    if (state.kind === 'there') await put(deckName(plan, words), planQuizzes(state.meaning, deck), plan.id);
    else if (state.kind === 'nothing') say({ kind: 'trouble', message: state.message });
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <section aria-labelledby="make" className="flex flex-col gap-4 rounded-lg border border-rule bg-sheet px-4 py-3">
        <h2 id="make" className="font-serif text-xl font-semibold">
          {cardBoxText.makeADeck}
        </h2>
        <div className="flex flex-wrap items-end gap-3">
          <Pick
            label={cardBoxText.position}
            value={String(position)}
            choices={positions.map((one) => [String(one), positionWords(one, instrument)] as const)}
            onPick={(value) => setPosition(Number(value))}
          />
          <Pick
            label={cardBoxText.key}
            value={key}
            choices={CARD_KEYS.map((name) => [name, printedKey(name)] as const)}
            onPick={setKey}
          />
          <button
            type="button"
            className="button min-h-10"
            onClick={() =>
              void put(
                `${printedKey(key)}, ${positionWords(position, instrument)}`,
                positionQuizzes(student, position, key),
              )
            }
          >
            {cardBoxText.makeCards}
          </button>
        </div>
        {plans.length > 0 && (
          <div className="flex flex-wrap items-end gap-3">
            <Pick
              label={cardBoxText.plan}
              value={planId}
              choices={plans.map((plan) => [plan.id, planTitle(plan)] as const)}
              onPick={setPlanId}
            />
            <Pick
              label={cardBoxText.about}
              value={deck}
              choices={PLAN_DECKS}
              onPick={(value) => setDeck(value as PlanDeck)}
            />
            <button type="button" className="button min-h-10" onClick={() => void fromPlan()}>
              {cardBoxText.makeCardsOfIt}
            </button>
          </div>
        )}
      </section>
      <section aria-labelledby="box" className="rounded-lg border border-rule bg-sheet px-4 py-3">
        <h2 id="box" className="font-serif text-xl font-semibold">
          {cardBoxText.inTheBox}
        </h2>
        <ul>
          {decksOf(cards).map(([name, own]) => (
            <li key={name} className="flex min-h-11 items-center gap-3 border-t border-rule first:border-t-0">
              <span className="flex-1">{name}</span>
              <span className="text-faded">{counted(own.length, 'card')}</span>
              <button
                type="button"
                className="button"
                aria-label={cardBoxText.remove(name)}
                onClick={() => void takeOut(name, own)}
              >
                {cardBoxText.takeOut}
              </button>
            </li>
          ))}
        </ul>
        {cards.length === 0 && <p className="text-faded">{cardBoxText.nothingYet}</p>}
      </section>
    </div>
  );
}

function decksOf(cards: readonly CardRecord[]): [string, CardRecord[]][] {
  const decks = new Map<string, CardRecord[]>();
  for (const card of cards) decks.set(card.deck, [...(decks.get(card.deck) ?? []), card]);
  return [...decks].sort(([a], [b]) => a.localeCompare(b));
}

function takeOut(name: string, cards: readonly CardRecord[]) {
  return remove(
    cards.map((record) => ({ kind: 'removed', table: 'cards', record })),
    cardBoxText.theDeckWasRemoved(name),
    `Cards: ${name}`,
  );
}
