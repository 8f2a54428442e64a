import { isLongNote } from '../../material/tempo';
import type { Context } from '../cost';
import type { HoldLayer } from './layers';

/*
 * Singing goes up a low string for a phrase that stays there, never for a few notes: a stay that lies farther up than the piece is played securely must
 * last.
 */

/** Notes on one string from which a climb is a stay. */
const LEAST_STAY = 8;
/** Semitones farther up than in secure style from which a note is climbed to. */
const CLIMBED = 5;

export interface Stays {
  readonly events: number;
  /** What a climb costs that does not last. */
  readonly price: number;
  /** The string of a node of event t; NO_STRING where several sound. */
  readonly string: (t: number, node: number) => number;
  /** True where a node lies farther up its string than securely. */
  readonly climbed: (t: number, node: number) => boolean;
  /** True where a rest, or a new phrase, ends what went before. */
  readonly begins: (t: number) => boolean;
}

const NO_STRING = -1;

/** A stay as a number: twice how many notes it has, up to LEAST_STAY, and one more where it has climbed. */
type Stay = number;
export const NO_STAY: Stay = 0;

export function staysIn(context: Context, layers: readonly HoldLayer[]): Stays | null {
  const { secure, sounding, phrases, pricing, secondsPerBeat } = context;
  if (!secure) return null;
  // A long note is stopped in singing, wherever it lies open.
  const long = sounding.map(({ beats }) => isLongNote(beats, secondsPerBeat));
  const stopAt = (t: number, node: number) => layers[t].candidates[node].hold.stops;
  return {
    events: layers.length,
    price: pricing.weights.shortStay,
    string: (t, node) => (stopAt(t, node).length === 1 ? stopAt(t, node)[0].string : NO_STRING),
    climbed: (t, node) => {
      const [{ finger, semitones }] = stopAt(t, node);
      if (secure[t] < 0 || finger === 0 || (secure[t] === 0 && long[t])) return false;
      return semitones - secure[t] > CLIMBED;
    },
    begins: (t) => t === 0 || phrases.has(t) || sounding[t].at > sounding[t - 1].at + 1,
  };
}

/** The stay after event t, and what is paid there for one that ends too soon. */
export function stayAfter(
  { events, price, string, climbed, begins }: Stays,
  stay: Stay,
  t: number,
  from: number,
  to: number,
): { readonly state: Stay; readonly cost: number } {
  const own = string(t, to);
  const goesOn = !begins(t) && own !== NO_STRING && own === string(t - 1, from);
  const [length, before] = goesOn ? [stay >> 1, stay % 2] : [0, 0];
  const has = before === 1 || (own !== NO_STRING && climbed(t, to)) ? 1 : 0;
  const state = 2 * Math.min(LEAST_STAY, length + 1) + has;
  const ended = goesOn ? 0 : tooShort(stay);
  const last = t === events - 1 ? tooShort(state) : 0;
  return { state, cost: price * (ended + last) };
}

const tooShort = (stay: Stay): number => (stay % 2 === 1 && stay >> 1 < LEAST_STAY ? 1 : 0);

/** What a path pays for climbs that do not last. */
export function paidStays(stays: Stays, path: ArrayLike<number>): number {
  let [stay, sum] = [NO_STAY, 0];
  for (let t = 0; t < path.length; t++) {
    const after = stayAfter(stays, stay, t, t === 0 ? -1 : path[t - 1], path[t]);
    stay = after.state;
    sum += after.cost;
  }
  return sum;
}
