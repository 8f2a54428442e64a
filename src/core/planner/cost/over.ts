import type { PlaceRule, Rules } from '../../vocabulary';

/*
 * What a place of a piece says of its own events.
 */

/** The demands of a place, without where it lies. */
export type Over = Omit<PlaceRule, 'from' | 'to'>;

/** Rules with those of a place over them. */
export function rulesOver(rules: Rules | undefined, over: Over): Rules {
  const demands: { -readonly [Name in keyof Over]: Over[Name] } = { ...over };
  delete demands.style;
  return { ...rules, ...demands };
}

/** What the places say of an event; of two that name one thing the later wins. */
export function overAt(places: readonly PlaceRule[], at: number): Over {
  const here = places.filter(({ from, to }) => from <= at && at <= to);
  const over = Object.assign({}, ...here) as { -readonly [Name in keyof PlaceRule]?: PlaceRule[Name] };
  delete over.from;
  delete over.to;
  return over;
}
