import { buildMusic, placesIn, type InstrumentName, type PlaceRule, type PlanRequest, type Rules } from '../core';
import { patternWords, sparedWords, wishWords } from './brief';
import { listed } from './grammar';
import { barWords, positionRuleWords, stretchWords, stringWords, type PlaceOf } from './places';

/*
 * What is asked of a stretch of the music.
 */

type Demands = Omit<PlaceRule, 'from' | 'to'>;

/** "on the G string, no open strings". */
export function placeRuleWords(demands: Demands, instrument: InstrumentName): string {
  const { positions, strings, fingers, patterns, style } = demands;
  const said = [
    strings && `on the ${listed(strings.map(stringWords))}`,
    positions && `in ${positionRuleWords(positions, instrument)}`,
    ...wishWords(demands),
    ...(fingers?.never ?? []).map(sparedWords),
    ...(patterns ?? []).map(patternWords),
    style,
  ];
  return said.filter(Boolean).join(', ');
}

/** "the same as from bar 5, beat 1". */
export const sameWords = (as: number, place: PlaceOf) => `the same as from ${barWords(place(as))}`;

/** "in place for bar 12, beat 1 already". */
export const preparedWords = ({ for: goal }: { readonly for: number }, place: PlaceOf) =>
  `in place for ${barWords(place(goal))} already`;

interface Made {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  /** Without where it is. */
  readonly short: string;
  readonly words: string;
  /** The request without it. */
  readonly request: PlanRequest;
}

/** All that is asked of stretches, each with the request without it. */
export function stretchesMade(request: PlanRequest): Made[] {
  const { places = [], same = [], prepare = [] } = request.rules ?? {};
  if (places.length + same.length + prepare.length === 0) return [];
  const place = placesIn(buildMusic(request.material));
  const without = <T>(name: 'places' | 'same' | 'prepare', list: readonly T[], one: T): PlanRequest => {
    const others = list.filter((other) => other !== one);
    return { ...request, rules: { ...request.rules, [name]: others.length > 0 ? others : undefined } as Rules };
  };
  const made = (id: string, from: number, to: number, short: string, left: PlanRequest): Made => ({
    id: `${id}-${from}-${to}`,
    from,
    to,
    short,
    words: `${stretchWords(place, from, to)}: ${short}`,
    request: left,
  });
  return [
    ...places.map((one) =>
      made('place', one.from, one.to, placeRuleWords(one, request.instrument), without('places', places, one)),
    ),
    ...same.map((one) => made('same', one.from, one.to, sameWords(one.as, place), without('same', same, one))),
    ...prepare.map((one) =>
      made('prepare', one.from, one.for, preparedWords(one, place), without('prepare', prepare, one)),
    ),
  ];
}
