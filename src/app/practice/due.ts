import { useEffect, useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { setAnswersAheadAside } from '../../store/reviewSchedule';
import { daysOf } from '../../store/read';
import { sessionsOf } from '../../store/read';
import type { StudentRecord } from '../../core';
import { counted } from '../../wording/grammar';
import { dayOf, daysBetween, daysFrom } from './calendar';
import { dueCards } from './dueCards';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * Due work of each student at a glance, for the list in the Studio.
 */

/** Days looked back on. */
const LOOK_BACK = 14;

/** By student: what is due, in a few words; nothing for those of whom nothing was ever kept. */
export function useDueWork(students: readonly StudentRecord[]): ReadonlyMap<string, string> {
  const ids = students.map(({ id }) => id).join();
  return useLiveQuery(() => dueWork(students.map(({ id }) => id)), [ids]) ?? NONE;
}

const NONE: ReadonlyMap<string, string> = new Map();

async function dueWork(ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const now = Date.now();
  const today = dayOf(now);
  const words = await Promise.all(ids.map(async (id) => [id, await wordsFor(id, now, today)] as const));
  return new Map(words.filter(([, one]) => one !== ''));
}

async function wordsFor(id: string, now: number, today: string): Promise<string> {
  const [days, cards, sessions] = await Promise.all([
    daysOf(id, daysFrom(today, -LOOK_BACK), today),
    dueCards(id, now),
    sessionsOf(id, daysFrom(today, -7), today),
  ]);
  const last = days.at(-1);
  const away = last ? daysBetween(last.day, today) : null;
  const asks = sessions.filter(({ question }) => question !== '').length;
  const parts = [
    away === null
      ? ''
      : away === 0
        ? practiceAppText.practisedToday
        : away === 1
          ? practiceAppText.practisedYesterday
          : practiceAppText.practisedDaysAgo(away),
    cards > 0 ? practiceAppText.due(counted(cards, 'card')) : '',
    asks > 0 ? counted(asks, 'question') : '',
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** How many answers of a student are dated ahead; what they made the cards forget is put right. */
export function useAnswersAhead(studentId: string | undefined): number {
  const [ahead, setAhead] = useState(0);
  useEffect(() => {
    let here = true;
    if (studentId === undefined) return;
    setAnswersAheadAside(studentId, Date.now()).then(
      (count) => here && setAhead(count),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [studentId]);
  return ahead;
}
