import type { Lock, PlaceCompared, Plan, ReachAnswer, Unplayable } from '../core';
import { mm, number, sentence } from './grammar';
import { barWords, fingerWords, stretchWords, stringWords } from './places';
import type { Speech } from './plans';

/*
 * A written fingering against ours.
 */

/** "Bar 3, beats 1–2: written 1 3 on …; ours is easier there." */
export function differenceWords(
  { from, to, firstCost, secondCost }: PlaceCompared,
  written: Plan | null,
  best: Plan | undefined,
  { place }: Speech,
): string {
  const where = sentence(stretchWords(place, from, to));
  const [theirs, ours] = [written, best].map((plan) => fingersIn(plan ?? null, from, to));
  const saved = firstCost - secondCost;
  const verdict =
    saved > 0.05
      ? `Ours is easier there, by ${number(saved, 1)}.`
      : saved < -0.05
        ? 'The written one is easier there; ours pays elsewhere.'
        : 'Both are as easy there.';
  return `${where}: written ${theirs}, ours ${ours}. ${verdict}`;
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
