import type { WeekItem } from '../vocabulary';

/*
 * A day of practice as one: its parts in their turn, and old plans that come back.
 */

/** A part of the day. */
export interface DayPart {
  readonly item: WeekItem;
  readonly minutes: number;
}

/** Places that are worked at in turn go round so often: three places three times round are better than nine times one. */
const ROUNDS = 3;

/** The last and the first of the day, whatever stands between. */
const rank = ({ kind }: WeekItem) => (kind === 'tune' ? 0 : kind === 'cards' ? 2 : 1);

/**
 * The parts of a day in their order: tuning first, cards last, hard places in turn.
 * @param dayNumber days since any day, by which parts that are not for every day take turns
 */
export function partsOfDay(items: readonly WeekItem[], dayNumber: number): DayPart[] {
  const today = items.filter(({ every }, at) => (dayNumber + at) % every === 0);
  const places = today.filter(({ kind }) => kind === 'place');
  const rounds = Math.max(1, Math.min(ROUNDS, ...places.map(({ minutes }) => minutes)));
  const inTurn = places.length > 1 ? inRounds(places, rounds) : places.map(whole);
  const [firstPlace] = places;
  return [...today]
    .sort((a, b) => rank(a) - rank(b))
    .flatMap((item) => (item.kind !== 'place' ? [whole(item)] : item === firstPlace ? inTurn : []));
}

const whole = (item: WeekItem): DayPart => ({ item, minutes: item.minutes });

/** Each place in every round, the minutes that do not divide in the first ones. */
function inRounds(places: readonly WeekItem[], rounds: number): DayPart[] {
  return Array.from({ length: rounds }, (_, round) =>
    places.map((item): DayPart => {
      const more = round < item.minutes % rounds ? 1 : 0;
      return { item, minutes: Math.floor(item.minutes / rounds) + more };
    }),
  ).flat();
}

/** Days after which what was learned comes back for one clean playing: two weeks, and four more. */
const RETURNS = [14, 28];
/** A plan that was not played for so many days is not being learned any more. */
const AWAY = 14;

/**
 * Whether a plan comes back today.
 * @param played the days on which it was practised, as numbers of days, in order
 */
export function comesBack(played: readonly number[], today: number): boolean {
  const [first] = played;
  if (first === undefined) return false;
  let returns = 0;
  for (let at = 1; at < played.length; at++) returns = played[at] - played[at - 1] >= AWAY ? returns + 1 : 0;
  const wait = RETURNS[returns];
  return wait !== undefined && today - played[played.length - 1] >= wait;
}
