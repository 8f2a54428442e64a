import { useState } from 'react';
import { partsOfDay, type DayPart, type LessonRecord, type PlanRecord, type WeekItem } from '../../core';
import { data } from '../../store/browserState';
import { practiceAddress } from './address';
import { dayNumber } from './calendar';
import { workAtPlace } from './trendDrill';

/*
 * The day's work as one: its parts in turn, ticked off, broken off and gone on with.
 */

/** Which parts of a day are done, by their numbers. */
interface Ticked {
  readonly day: string;
  readonly done: readonly number[];
}

const ticked = (studentId: string) =>
  data<Ticked>('local', `dove-path-day:${studentId}`, (found) => {
    const { day, done } = (found ?? {}) as Partial<Ticked>;
    const sound = typeof day === 'string' && Array.isArray(done) && done.every(Number.isInteger);
    return sound ? { day, done } : { day: '', done: [] };
  });

/** Where the session that is asked for belongs in the day. */
export interface PartAsked {
  readonly part: number;
  readonly minutes: number;
}

/** The part of the day that an address asks for; null where it asks for none. */
export function partAsked(asked = new URLSearchParams(location.search)): PartAsked | null {
  const [part, minutes] = ['part', 'min'].map((name) => Number(asked.get(name) ?? NaN));
  return Number.isInteger(part) && part >= 0 && minutes > 0 ? { part, minutes } : null;
}

/** Ticks a part off. */
export function tick(studentId: string, day: string, part: number) {
  const state = ticked(studentId);
  const before = state.read();
  const done = before.day === day ? before.done : [];
  state.write({ day, done: [...new Set([...done, part])] });
}

/** The parts of today, which of them are done, and how one is ticked by hand. */
export function useDay(studentId: string, today: string, items: LessonRecord['items']) {
  const [, again] = useState(0);
  const parts = partsOfDay(items, dayNumber(today));
  const kept = ticked(studentId).read();
  const done = new Set(kept.day === today ? kept.done : []);
  return {
    parts,
    done,
    next: parts.findIndex((_, at) => !done.has(at)),
    check: (part: number) => {
      tick(studentId, today, part);
      again((n) => n + 1);
    },
  };
}

/** Goes to a part of the day: the session of its plan, the hard place, the cards. */
export async function openPart(
  { item, minutes }: DayPart,
  part: number,
  { studentId, plans, lesson }: { studentId: string; plans: readonly PlanRecord[]; lesson: LessonRecord },
): Promise<void> {
  const asked = { part, min: minutes };
  if (item.kind === 'cards') location.assign(`/cards?student=${studentId}&part=${part}&min=${minutes}`);
  else if (item.kind === 'place') await workAtPlace(item, plans, asked);
  else {
    const plan = planOf(item, lesson);
    if (plan) location.assign(practiceAddress(plan, { ...asked, ...(item.kind === 'again' ? { up: 1 } : {}) }));
  }
}

function planOf({ planId }: WeekItem, { assigned }: LessonRecord): string | undefined {
  return planId ?? assigned[0]?.planId;
}
