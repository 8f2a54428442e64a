import type { Trend } from './trends';
import type { WeekItem } from '../vocabulary';

/*
 * Next week: what was assigned, what is weakest, what is due, in an order that fits the minutes at hand.
 */

type ItemKind = WeekItem['kind'];

/** What next week is made from. */
export interface WeekGiven {
  /** Plans that the teacher assigned, the scale first. */
  readonly assigned: readonly string[];
  readonly trends: readonly Trend[];
  /** Plans learned some weeks ago that come back for one clean playing. */
  readonly old?: readonly string[];
  /** A hard place to work at where the log says nothing yet: the plan it is in. */
  readonly hardPlace?: string;
  readonly cardsDue: number;
  readonly minutes: number;
}

/** How much of the time each part takes, and in what order a short day gives them up, the first first. */
const SHARES: Readonly<Record<ItemKind, number>> = { tune: 1, plan: 4, place: 2, again: 3, old: 1, cards: 2 };
const GIVEN_UP: readonly ItemKind[] = ['old', 'again', 'cards', 'tune', 'place'];
/** An old plan comes back on one day of the week. */
const OLD_EVERY = 7;
/** Hard places that are worked at in turn. */
const MOST_PLACES = 3;

/**
 * The day's work for next week. It is never longer than the minutes (at least one), and always has what was assigned: where that is more than the day has room
 * for, plans take turns.
 */
export function proposeWeek({ assigned, trends, old = [], hardPlace, cardsDue, minutes }: WeekGiven): WeekItem[] {
  const day = Math.max(1, Math.floor(minutes));
  const [scale, ...others] = assigned;
  const item = (kind: ItemKind, part: Partial<WeekItem> = {}): WeekItem => ({ kind, minutes: 1, every: 1, ...part });
  const weak = [...new Set(trends.filter(({ mended }) => !mended).map(({ kind }) => kind))].slice(0, MOST_PLACES);
  const places =
    weak.length > 0
      ? weak.map((about) => item('place', { about }))
      : hardPlace
        ? [item('place', { planId: hardPlace })]
        : [];
  const wanted: (WeekItem | null)[] = [
    item('tune'),
    scale === undefined ? null : item('plan', { planId: scale }),
    ...places,
    ...others.map((planId) => item('plan', { planId })),
    scale === undefined ? null : item('again', { planId: scale }),
    ...old.slice(0, 1).map((planId) => item('old', { planId, every: OLD_EVERY })),
    cardsDue > 0 ? item('cards') : null,
  ];
  let items = wanted.filter((one): one is WeekItem => one !== null);
  for (const kind of GIVEN_UP) if (items.length > day) items = items.filter((one) => one.kind !== kind);
  // More was assigned than the day has minutes: a minute each, on every second day, every third …
  if (items.length > day) {
    const every = Math.ceil(items.length / day);
    return items.map((one) => ({ ...one, every }));
  }
  return withMinutes(items, day);
}

/** The minutes given out by shares, whole ones, none less than one. */
function withMinutes(items: readonly WeekItem[], day: number): WeekItem[] {
  const all = items.reduce((sum, { kind }) => sum + SHARES[kind], 0);
  const given = items.map(({ kind }) => Math.max(1, Math.floor((SHARES[kind] * day) / all)));
  let sum = given.reduce((a, b) => a + b, 0);
  // The shortest parts were rounded up to a minute: the longest give that back.
  for (; sum > day; sum--) given[given.indexOf(Math.max(...given))]--;
  const wants = (at: number) => (SHARES[items[at].kind] * day) / all - given[at];
  for (; sum < day; sum++) {
    const next = items.map((_, at) => at).sort((a, b) => wants(b) - wants(a))[0];
    if (next === undefined) break;
    given[next]++;
  }
  return items.map((one, at) => ({ ...one, minutes: given[at] }));
}
