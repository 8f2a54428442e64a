import { useEffect, useState } from 'react';
import { startAsking, stopAsking, useAsking } from '../../app/practice/asking';
import { useAnswersAhead } from '../../app/practice/due';
import { useOverview } from '../../app/practice/overview';
import { partAsked, tick } from '../../app/practice/today';
import { usePlayer } from '../../app/practice/player';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { Nobody, PlayerPick } from '../../ui/PlayerPick';
import { Section } from '../../ui/Section';
import { counted } from '../../wording/grammar';
import { Ask } from './Ask';
import { Decks } from './Decks';
import * as cardBoxText from '../../wording/rooms/cardBox';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Cards: what is due is asked; decks are made of positions, keys and plans. */
function Cards() {
  const player = usePlayer();
  const { student } = player;
  const overview = useOverview(student?.id);
  const asking = useAsking();
  // The part of the day that the cards are, where they are one.
  const [asked] = useState(() => partAsked());
  useEffect(() => stopAsking, [student?.id]);
  const ahead = useAnswersAhead(student?.id);
  const over = asking.answered > 0 && !asking.card;
  // As a part of the day it is ticked off, and the day goes on.
  useEffect(() => {
    if (!over || !asked || !student || !overview) return;
    tick(student.id, overview.today, asked.part);
    location.assign(`/practice?student=${student.id}`);
  }, [over, asked, student, overview]);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/cards" student={student?.id} />
      <NoticeBar />
      <main
        id="main"
        tabIndex={-1}
        data-ready={player.ready && (overview !== undefined || !student)}
        className="flex flex-col gap-4"
      >
        <PlayerPick heading={cardBoxText.cards} player={player} />
        {player.ready && !student && <Nobody />}
        {student && overview && asking.card && (
          <Section name={cardBoxText.theCard} on={[asking.card]}>
            <Ask student={student} asking={asking} />
          </Section>
        )}
        {student && overview && !asking.card && (
          <>
            <section aria-labelledby="due" className="rounded-lg border border-rule bg-sheet px-4 py-3">
              <h2 id="due" className="font-serif text-xl font-semibold">
                {over
                  ? `${counted(asking.answered, 'answer')}, ${asking.wrong === 0 ? cardBoxText.allRight : cardBoxText.wrong(asking.wrong)}.`
                  : dueWords(overview.cardsDue, overview.cards.length)}
              </h2>
              {ahead > 0 && <p role="alert">{cardBoxText.answersAhead(counted(ahead, 'answer'))}</p>}
              {over && overview.cardsDue > 0 && <p>{cardBoxText.stillToAnswer(counted(overview.cardsDue, 'card'))}</p>}
              {overview.cardsDue > 0 && (
                <button
                  type="button"
                  className="button mt-2 min-h-12 px-6 text-lg"
                  onClick={() => void startAsking(student.id, asked?.minutes)}
                >
                  {over ? cardBoxText.goOn : asked ? cardBoxText.minutesOfCards(asked.minutes) : cardBoxText.begin}
                </button>
              )}
            </section>
            <Section name={cardBoxText.theDecks} on={[overview]}>
              <Decks student={student} overview={overview} />
            </Section>
          </>
        )}
      </main>
    </div>
  );
}

function dueWords(due: number, all: number): string {
  if (all === 0) return cardBoxText.theBoxIsEmpty;
  return due === 0 ? cardBoxText.inTheBoxNone(counted(all, 'card')) : cardBoxText.ofToAnswer(counted(due, 'card'), all);
}

export default view(sharedText.viewNames.Cards, Cards);
