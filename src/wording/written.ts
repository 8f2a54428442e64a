import { changesWithin, type Lock, type PlaceCompared, type Plan, type ReachAnswer, type Unplayable } from '../core';
import { mm, sentence } from './grammar';
import { barWords, fingerWords, stretchWords, stringWords } from './places';
import type { Speech } from './plans';
import { tradeWords } from './ways';

/*
 * A written fingering against ours.
 */

/** "Bar 3, beats 1–2: written 1 3 on …; ours is easier there." */
export function differenceWords(
  { from, to }: Pick<PlaceCompared, 'from' | 'to'>,
  written: Plan | null,
  best: Plan | undefined,
  speech: Speech,
): string {
  const where = sentence(stretchWords(speech.place, from, to));
  const [theirs, ours] = [written, best].map((plan) => fingersIn(plan ?? null, from, to));
  const felt = written && best ? ` ${sentence(feltWords(best, written, from, to, speech))}.` : '';
  return `${where}: written ${theirs}, ours ${ours}.${felt}`;
}

/** What ours buys and pays against the written one in a stretch, in what a player feels. */
export function feltWords(ours: Plan, written: Plan, from: number, to: number, { events }: Speech): string {
  const changes = changesWithin(ours, written, events, from, to);
  const words = tradeWords(changes);
  if (words === '') return 'no difference that is felt';
  const onlyColour = changes.every(({ trait }) => trait === 'colour' || trait === 'crossings');
  return onlyColour ? `ours keeps the colour otherwise: ${words}` : `ours: ${words}`;
}

/** Fingers of a stretch, with the position they begin in. */
function fingersIn(plan: Plan | null, from: number, to: number): string {
  const steps = plan?.steps.filter(({ at }) => at >= from && at <= to) ?? [];
  const shown = steps.slice(0, MOST_FINGERS).map(({ stops }) => stops.map(({ finger }) => finger).join('+'));
  const more = steps.length > MOST_FINGERS ? ' …' : '';
  return `${shown.join(' ')}${more}`;
}

const MOST_FINGERS = 8;

/** "Bar 2, beat 1: 92 mm from 1 to 4, beyond this hand." */
export function beyondWords({ at, fingers: [low, high], spreadMm, share }: ReachAnswer, { place }: Speech): string {
  return `${sentence(barWords(place(at)))}: ${mm(spreadMm)} from ${low} to ${high}, beyond this hand (full spread ${mm(spreadMm / share)}).`;
}

/** Why a written finger was left out. */
export function unplayableWords({ lock, why }: Unplayable, { place }: Speech): string {
  const what = lockWords(lock);
  const where = sentence(barWords(place(lock.at)));
  return why === 'alone'
    ? `${where}: ${what} cannot have this note.`
    : `${where}: ${what} cannot follow what is written before it.`;
}

function lockWords({ finger, string }: Lock): string {
  const by = finger === undefined ? '' : finger === 0 ? 'the open string' : fingerWords(finger);
  const on = string === undefined ? '' : `the ${stringWords(string)}`;
  return by && on ? (finger === 0 ? `${on} open` : `${by} on ${on}`) : by || on;
}
