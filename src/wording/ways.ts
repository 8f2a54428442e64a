import { changesBetween, type InstrumentName, type Plan, type PlanResponse } from '../core';
import { countWords } from './grammar';
import { schoolWords } from './instruments';
import { barWords, positionWords, stringWords } from './places';
import { planWords, type Speech } from './plans';
import { pitchesAt } from './reasons';

/*
 * The ways to play something: what each is called by, and what it buys and pays.
 */

type WayName = NonNullable<Plan['way']>;
type Change = NonNullable<Plan['changes']>[number];

/** What a way is called by: its demand, in a teacher's words. */
export function wayWords(way: WayName, { instrument, place, events, names }: Speech): string {
  switch (way.code) {
    case 'no-open-string':
      return 'without open strings';
    case 'more-open-strings':
      return 'open strings wherever they fit';
    case 'no-little-finger':
      return 'without the little finger';
    case 'little-finger':
      return 'little finger for open strings';
    case 'no-little-shifts':
      return 'no shift with the little finger';
    case 'no-extension':
      return 'without extensions';
    case 'same-back':
      return 'the same fingers back down';
    case 'fewer-shifts':
      return way.fewer === 1 ? 'one shift fewer' : `${countWords(way.fewer)} shifts fewer`;
    case 'no-shift':
      return 'without a shift';
    case 'as-written':
      return 'as written';
    case 'low':
      return `staying low, up to ${positionWords(way.position, instrument)}`;
    case 'in-position':
      return `all in ${positionWords(way.position, instrument)}`;
    case 'on-string':
      return `all on the ${stringWords(way.string)}`;
    case 'shift-elsewhere':
      return way.instead === undefined
        ? `without the shift at ${barWords(place(way.at))}`
        : `the shift on ${pitchesAt(events, way.instead, { names })}, ${barWords(place(way.instead))}`;
    case 'as-secure':
      return 'as secure';
    case 'phrase':
      return `${phraseWay(way, instrument)}, ${barWords(place(way.from))} to ${barWords(place(way.to))}`;
    case 'school':
      return `with ${schoolWords(way.school)}`;
  }
}

/** What one phrase is played like. */
function phraseWay(
  { position, string, style }: Extract<WayName, { code: 'phrase' }>,
  instrument: InstrumentName,
): string {
  if (position !== undefined) return `in ${positionWords(position, instrument)}`;
  return string === undefined ? `${style ?? 'secure'}` : `on the ${stringWords(string)}`;
}

/** What stands over a plan: the best, or the way's own name. */
export function planName(plan: Plan, speech: Speech): string {
  return plan.way ? wayWords(plan.way, speech) : 'the best plan';
}

/** Things told of one side at most. */
const MOST_TOLD = 3;

/** What a way buys and what it pays against another: "no little finger; 2 more string crossings". Empty where nothing is felt. */
export function tradeWords(changes: readonly Change[]): string {
  const told = (side: readonly Change[]) =>
    side
      .map((change) => changeWords(change, changes))
      .filter((words) => words !== null)
      .slice(0, MOST_TOLD)
      .join(', ');
  const [buys, pays] = [changes.filter(({ from, to }) => to < from), changes.filter(({ from, to }) => to > from)];
  return [told(buys), told(pays)].filter((words) => words !== '').join('; ');
}

/** The same of two plans of one answer. */
export function tradeBetween(plan: Plan, other: Plan, { events }: Pick<PlanResponse, 'events'>): string {
  return tradeWords(changesBetween(plan, other, events));
}

/** One change; null where another one says it already. */
function changeWords({ trait, from, to }: Change, all: readonly Change[]): string | null {
  const more = to - from;
  const said = (other: Change['trait']) =>
    all.some((change) => change.trait === other && change.to - change.from > 0 === more > 0);
  const number = (one: string, many: string) => {
    if (to === 0) return `no ${one}`;
    const by = Math.abs(more);
    return `${countWords(by)} ${by === 1 ? one : many} ${more > 0 ? 'more' : 'fewer'}`;
  };
  switch (trait) {
    case 'shifts':
      return number('shift', 'shifts');
    case 'farthest':
      if (from === 0 || to === 0) return null;
      return more < 0
        ? `no shift farther than ${Math.round(to)} mm`
        : `a shift of ${Math.round(to)} mm instead of ${Math.round(from)}`;
    case 'crossings':
      return number('string crossing', 'string crossings');
    case 'little-fingers':
      return to === 0 ? 'no little finger' : number('note on the little finger', 'notes on the little finger');
    case 'extensions':
      return to === 0 ? 'no extension' : number('note with the hand opened', 'notes with the hand opened');
    case 'height':
      return more < 0 ? 'lower on the neck' : 'higher on the neck';
    case 'stretches':
      return number('stretch', 'stretches');
    case 'colour':
      return said('crossings') ? null : more < 0 ? 'fewer changes of colour' : 'more changes of colour';
    case 'open-strings':
      return number('open string', 'open strings');
    case 'same-back':
      return more < 0 ? 'the same fingers come back down' : 'another way back down';
  }
}

/** A plan in one line, for lists: its name and the way it goes. */
export function planLine(plan: Plan, speech: Speech): string {
  return `${planName(plan, speech)}: ${planWords(plan, speech.instrument)}`;
}
