import { FINGER_SLOTS, THUMB } from '../../hand/finger';
import type { Hold, Stop } from '../../hand/hold';
import type { Setup } from '../../instrument/setup';
import { isLongNote } from '../../material/tempo';
import type { Candidate, Context } from './context';
import { slideInPlace, type Held } from './held';
import type { PricedTransition, Sounded, Transition } from './moment';
import {
  alternationTerm,
  againstLineTerm,
  bareShift,
  barTerm,
  colourTerm,
  contractionTerm,
  crossingTerm,
  crowdingTerm,
  displaceTerm,
  easiestShift,
  extensionHeldTerm,
  extensionTakenTerm,
  fourthTerm,
  heightTerm,
  hopTerm,
  irregularTerm,
  lowStringTerm,
  lowThumbTerm,
  openTerm,
  patternTerm,
  octaveTerm,
  reachTerm,
  reshapeTerm,
  ringingTerm,
  shiftEase,
  skipTerm,
  stringsUp,
  trapTerm,
  travelTerm,
  wideSlideTerm,
  type Slide,
  type Touch,
} from './terms';
import { TERM_NAMES, type TermName, type Weights } from '../../vocabulary';
/*
 * What a note or a step costs, out of its terms. Every function returns the sum and, where a tally is handed in, lays each term into its
 * slot: the search asks for sums, the answer for names, and both keep the same account.
 */

export type Tally = Float64Array;

export const newTally = (): Tally => new Float64Array(TERM_NAMES.length);

const SLOT = Object.fromEntries(TERM_NAMES.map((name, at) => [name, at])) as Record<TermName, number>;

/** The tally by name; terms of zero are left out. */
export function namedTerms(tally: Tally): Partial<Record<TermName, number>> {
  return Object.fromEntries(TERM_NAMES.map((name) => [name, tally[SLOT[name]]]).filter(([, cost]) => cost !== 0));
}

function add(tally: Tally | undefined, term: TermName, cost: number): number {
  if (tally) tally[SLOT[term]] += cost;
  return cost;
}

/** What a hold is charged each time it is played. */
export function chargePlay(context: Context, candidate: Candidate, sounded: Sounded, tally?: Tally): number {
  const { beats, lowest } = sounded;
  const { weights, hand } = context.pricing;
  const { hold, widest } = candidate;
  let cost = add(tally, 'extension', extensionHeldTerm(weights, hold.extended > 0));
  if (hold.reread) cost += add(tally, 'frame', weights.reread);
  if (widest) cost += add(tally, 'reach', reachTerm(weights, hand, widest.share));
  let pressed = false;
  let below = 0;
  for (const stop of hold.stops) {
    if (stop.finger === 0) {
      cost += add(tally, 'open', openTerm(weights, beats));
      if (weights.openHeld > 0 && isLongNote(beats, context.secondsPerBeat))
        cost += add(tally, 'open', weights.openHeld);
      if (weights.fourthMissed > 0 && couldStop(context, stop)) cost += add(tally, 'fourth', weights.fourthMissed);
    } else {
      pressed = true;
      cost += chargePressed(context, hold, stop, sounded, tally);
      // The thumb lies across two strings by nature; another finger has to be laid flat.
      if (stop.finger === below && below !== THUMB) cost += add(tally, 'frame', weights.bar);
    }
    below = stop.finger;
  }
  if (!pressed) return cost;
  const { model, setup } = context;
  const place = model.anchor(hold.position);
  if (model.thumbUp(hold.position)) {
    cost += add(tally, 'height', lowThumbTerm(weights, place));
    if (liesOnNextPair(setup, hold)) cost += add(tally, 'height', weights.pastOctave);
  }
  const climbed = place - model.anchor(model.home);
  // Of a line; double stops go where both strings have them.
  const [stop] = hold.stops;
  if (hold.stops.length === 1 && climbed > 0 && liesLowAbove(setup, stop))
    cost += add(tally, 'height', lowStringTerm(weights, setup, stop.string, climbed));
  return cost + add(tally, 'height', heightTerm(weights, place - lowest));
}

function chargePressed(context: Context, hold: Hold, stop: Stop, sounded: Sounded, tally?: Tally): number {
  const { weights, hand, stops } = context.pricing;
  const { finger, semitones } = stop;
  let cost = 0;
  if (finger === 4) {
    cost += add(tally, 'fourth', fourthTerm(weights, semitones, sounded));
    if (sounded.heldTop && hold.extended === 4) cost += add(tally, 'extension', weights.topStretched);
    if (isChromatic(context)) cost += add(tally, 'fourth', weights.chromaticFourth);
  }
  if (weights.openMissed > 0 && couldRing(context, stop)) cost += add(tally, 'open', weights.openMissed);
  const below = hold.frame[finger - 1];
  if (finger !== THUMB && semitones - below === 1)
    cost += add(tally, 'frame', crowdingTerm(weights, hand, stops[semitones] - stops[below]));
  return cost;
}

function isChromatic({ request: { material } }: Context): boolean {
  return 'scale' in material && material.scale === 'chromatic';
}

/** True where a stopped note is in unison with an open string. */
export function couldRing(context: Context, stop: Pick<Stop, 'string' | 'semitones'>): boolean {
  const midi = context.setup.strings[stop.string].midi + stop.semitones;
  return context.setup.strings.some((open) => open.midi === midi);
}

/** The lowest stop, in semitones, that the thumb holds at ease: the heel of the neck. */
const THUMB_FROM = 7;

/** True of a double stop whose lower note the next pair of strings has where the thumb lies at ease. */
function liesOnNextPair({ strings }: Setup, { stops }: Hold): boolean {
  if (stops.length !== 2) return false;
  const [{ string, semitones }] = stops;
  if (string + 2 >= strings.length) return false;
  return strings[string].midi + semitones - strings[string + 1].midi >= THUMB_FROM;
}

/** True where a higher string has a stopped note open or in first position. */
function liesLowAbove(
  { instrument: { firstPosition }, strings }: Setup,
  { string, semitones }: Pick<Stop, 'string' | 'semitones'>,
): boolean {
  for (let above = string + 1; above < strings.length; above++) {
    const there = strings[string].midi + semitones - strings[above].midi;
    if (there >= 0 && there <= firstPosition) return true;
  }
  return false;
}

/** True where an open string's note lies under the hand in first position on the string below. */
export function couldStop({ setup }: Context, { string }: Pick<Stop, 'string'>): boolean {
  const below = setup.strings[string - 1];
  return below !== undefined && setup.strings[string].midi - below.midi <= setup.instrument.firstPosition;
}

/** What setting the hand into a hold's frame costs, on arrival or when the frame changes. */
export function chargeEntry(context: Context, hold: Hold, tally?: Tally): number {
  return (
    add(tally, 'frame', patternTerm(context.pricing.weights, hold.unsteady)) +
    add(tally, 'frame', contractionTerm(context.pricing.weights, hold.contracted > 0)) +
    add(tally, 'extension', extensionTakenTerm(context.pricing.weights, hold.extended > 0))
  );
}

/** What it costs to begin on an open string with the hand up the neck: no less than going there from home while the string sounds. */
export function chargeOpening({ model, pricing }: Context, hold: Hold, tally?: Tally): number {
  if (hold.stops.some(({ finger }) => finger > 0)) return 0;
  const [home, place] = [model.home, hold.position].map((position) => Math.round(model.anchor(position)));
  if (place <= home) return 0;
  const { weights, stops } = pricing;
  return add(tally, 'shift', weights.shiftOverOpen * travelTerm(pricing, stops[place] - stops[home]));
}

/**
 * What taking the hand to another place costs; the entry into the new frame comes on top.
 * @param slide the guiding finger's way
 */
export function chargeMove(
  { pricing, model }: Context,
  from: Touch,
  to: Touch,
  transition: PricedTransition,
  slide: Slide,
  tally?: Tally,
): number {
  const ease = shiftEase(from, to);
  const shift = bareShift(pricing, from, to, ease, slide) * transition.shares[ease];
  const landing =
    pricing.landings[from.finger * FINGER_SLOTS + to.finger] +
    (goesInBlocks(model, from, to) ? irregularTerm(pricing.weights, from.finger, to.finger, transition) : 0);
  const across = chargeAcross(pricing.weights, stringsUp(from, to), transition, tally);
  if (tally) {
    add(tally, 'shift', shift);
    add(tally, 'landing', landing);
  }
  return shift + landing + across + chargeJoined(pricing.weights, from, to, transition, tally);
}

/** Blocks go up one string where the hand lies in frames; by letters over the strings too. */
function goesInBlocks({ fixedFrames }: Context['model'], from: Touch, to: Touch): boolean {
  return !fixedFrames || from.finger === 0 || from.leadString === to.leadString;
}

/** What a move of the hand within its position costs; the entry into the new frame comes on top. */
export function chargeInPlace(
  context: Context,
  from: Held,
  to: Held,
  transition: PricedTransition,
  tally?: Tally,
): number {
  return chargeMove(context, from.touch, to.touch, transition, slideInPlace(context.model, from, to), tally);
}

/** What two notes pay for belonging together, whether the hand moves between them or not. */
function chargeJoined(weights: Weights, from: Touch, to: Touch, transition: Transition, tally?: Tally): number {
  return (
    add(tally, 'frame', octaveTerm(weights, from, to)) +
    add(tally, 'displace', hopTerm(weights, from, to, transition)) +
    add(tally, 'displace', wideSlideTerm(weights, from, to, transition)) +
    add(tally, 'open', ringingTerm(weights, from, to, transition)) +
    add(tally, 'crossing', alternationTerm(weights, from, to, transition))
  );
}

/** What leaving a place costs more where the hand had come to it for this one note. */
export function chargeStone({ stone }: PricedTransition, tally?: Tally): number {
  return add(tally, 'shift', stone);
}

/** No move to a touch costs less than this; Infinity to an open string, for which no hand travels. */
export function leastMove({ pricing }: Context, fromOpen: boolean, to: Touch, transition: PricedTransition): number {
  if (to.finger === 0) return Infinity;
  const { shiftBase, landing } = pricing.weights;
  return shiftBase * transition.shares[easiestShift(fromOpen, to)] + landing[to.finger];
}

/** What going to a string so many strings away costs, by what has been worked out beforehand where only the sum is asked for. */
function chargeAcross(weights: Weights, up: number, transition: PricedTransition, tally?: Tally): number {
  const { across } = transition;
  return tally ? acrossCost(weights, up, transition, tally) : across[up + (across.length >> 1)];
}

/** What going to a string so many strings away costs. */
export function acrossCost(weights: Weights, up: number, transition: Transition, tally?: Tally): number {
  if (up === 0) return 0;
  const apart = Math.abs(up);
  return (
    add(tally, 'crossing', againstLineTerm(weights, up, transition)) +
    add(tally, 'crossing', crossingTerm(weights, apart, transition)) +
    add(tally, 'skip', skipTerm(weights, apart, transition)) +
    add(tally, 'colour', colourTerm(weights, apart, transition))
  );
}

/** What going on in the same position costs, whatever the idle fingers do. */
export function chargeStay(
  context: Context,
  from: Touch,
  to: Touch,
  transition: PricedTransition,
  tally?: Tally,
): number {
  const up = stringsUp(from, to);
  return (
    chargeAcross(context.pricing.weights, up, transition, tally) +
    chargeJoined(context.pricing.weights, from, to, transition, tally) +
    chargeCrossed(context, Math.abs(up), from, to, transition, tally)
  );
}

/** What a finger pays that is taken to the next string. */
function chargeCrossed(
  context: Context,
  apart: number,
  from: Touch,
  to: Touch,
  transition: Transition,
  tally?: Tally,
): number {
  if (apart !== 1) return 0;
  const { weights } = context.pricing;
  return (
    add(tally, 'displace', trapTerm(weights, from, to, transition)) + add(tally, 'frame', barTerm(weights, from, to))
  );
}

/**
 * What taking another frame costs in a stay, its entry left out: fingers moved on the string, or another pattern on the next one.
 * @param playing the finger that plays next
 */
export function chargeReframe(
  context: Context,
  oneString: boolean,
  { frame: from }: Hold,
  { frame: to }: Hold,
  playing: number,
  tally?: Tally,
): number {
  const { weights } = context.pricing;
  return oneString
    ? add(tally, 'displace', displaceTerm(weights, from, to, playing))
    : add(tally, 'frame', reshapeTerm(weights, from, to));
}

/** What coming back another way than the line went is charged, once for the whole plan. */
export function chargeReturn(context: Context, same: boolean, tally?: Tally): number {
  return same ? 0 : add(tally, 'return', context.pricing.weights.otherWayBack);
}

/** What singing is charged that climbs for a few notes only, for the whole plan. */
export function chargeStays(cost: number, tally?: Tally): number {
  return cost === 0 ? 0 : add(tally, 'colour', cost);
}

/** What music that comes again with other fingers is charged, for the whole plan. */
export function chargeAgain(cost: number, tally?: Tally): number {
  return cost === 0 ? 0 : add(tally, 'repeat', cost);
}

/** True where every finger lies in the same place in both holds. */
export function sameFrame({ frame: a }: Hold, { frame: b }: Hold): boolean {
  if (a === b) return true;
  for (let finger = 1; finger < a.length; finger++)
    if (a[finger] !== b[finger] && !(Number.isNaN(a[finger]) && Number.isNaN(b[finger]))) return false;
  return true;
}
