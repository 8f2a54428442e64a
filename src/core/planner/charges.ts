import { FINGER_SLOTS, THUMB, type Hold, type Stop } from '../hand/hold';
import type { Grip, Stage } from './scene';
import {
  bareShift,
  barTerm,
  colourTerm,
  crossingTerm,
  crowdingTerm,
  displaceTerm,
  easiestShift,
  extensionHeldTerm,
  extensionTakenTerm,
  fourthTerm,
  heightTerm,
  landingTerm,
  lowThumbTerm,
  openTerm,
  patternTerm,
  reachTerm,
  reshapeTerm,
  shiftEase,
  shiftTerm,
  skipTerm,
  stringsApart,
  TERM_NAMES,
  trapTerm,
  type Between,
  type Moment,
  type TermName,
  type Touch,
} from './terms';
import type { Weights } from './weights';

/*
 * What a note or a step costs, out of its terms. Every function returns the sum and, where a tally is handed in, lays each term into its
 * slot: the search asks for sums, the answer for names, and both keep the same account.
 */

export type Tally = Float64Array;

export const newTally = (): Tally => new Float64Array(TERM_NAMES.length);

const SLOT = Object.fromEntries(TERM_NAMES.map((name, at) => [name, at])) as Record<TermName, number>;

/** The tally by name; terms of zero are left out. */
export function namedTerms(tally: Tally): Partial<Record<TermName, number>> {
  return Object.fromEntries(
    TERM_NAMES.map((name) => [name, tally[SLOT[name]]]).filter(([, cost]) => cost !== 0),
  );
}

function lay(tally: Tally | undefined, term: TermName, cost: number): number {
  if (tally) tally[SLOT[term]] += cost;
  return cost;
}

/**
 * What a hold is charged each time it is played.
 * @param lowest where the hand would lie for this event were there no demands, in semitones above the nut
 */
export function chargePlay(stage: Stage, grip: Grip, beats: number, lowest: number, tally?: Tally): number {
  const { weights, hand } = stage.scene;
  const { hold, widest } = grip;
  let cost = lay(tally, 'extension', extensionHeldTerm(weights, hold.extended > 0));
  if (hold.reread) cost += lay(tally, 'frame', weights.reread);
  if (widest) cost += lay(tally, 'reach', reachTerm(weights, hand, widest.share));
  let pressed = false;
  let below = 0;
  for (const stop of hold.stops) {
    if (stop.finger === 0) {
      cost += lay(tally, 'open', openTerm(weights, beats));
    } else {
      pressed = true;
      cost += chargePressed(stage, hold, stop, beats, tally);
      // The thumb lies across two strings by nature; another finger has to be laid flat.
      if (stop.finger === below && below !== THUMB) cost += lay(tally, 'frame', weights.bar);
    }
    below = stop.finger;
  }
  if (!pressed) return cost;
  const { model } = stage;
  const place = model.anchor(hold.position);
  if (model.thumbUp(hold.position)) cost += lay(tally, 'height', lowThumbTerm(weights, place));
  return cost + lay(tally, 'height', heightTerm(weights, place - lowest));
}

function chargePressed(stage: Stage, hold: Hold, stop: Stop, beats: number, tally?: Tally): number {
  const { weights, hand, stops } = stage.scene;
  const { finger, semitones } = stop;
  let cost = 0;
  if (finger === 4) cost += lay(tally, 'fourth', fourthTerm(weights, semitones, beats));
  if (weights.openMissed > 0 && couldRing(stage, stop)) cost += lay(tally, 'open', weights.openMissed);
  const below = hold.frame[finger - 1];
  if (finger !== THUMB && semitones - below === 1)
    cost += lay(tally, 'frame', crowdingTerm(weights, hand, stops[semitones] - stops[below]));
  return cost;
}

/** True where a stopped note is in unison with an open string. */
function couldRing(stage: Stage, stop: Stop): boolean {
  const midi = stage.setup.strings[stop.string].midi + stop.semitones;
  return stage.setup.strings.some((open) => open.midi === midi);
}

/** What setting the hand into a hold's frame costs, on arrival or when the frame changes. */
export function chargeEntry(stage: Stage, hold: Hold, tally?: Tally): number {
  return (
    lay(tally, 'frame', patternTerm(stage.scene.weights, hold.unsteady)) +
    lay(tally, 'extension', extensionTakenTerm(stage.scene.weights, hold.extended > 0))
  );
}

/** What taking the hand to another position costs; the entry into the new frame comes on top. */
export function chargeMove(stage: Stage, from: Touch, to: Touch, between: Between, tally: Tally): number {
  return (
    lay(tally, 'shift', shiftTerm(stage.scene, from, to, between)) +
    lay(tally, 'landing', landingTerm(stage.scene.weights, from.finger, to.finger)) +
    acrossCost(stage.scene.weights, stringsApart(from, to), between, tally)
  );
}

/** The same as a sum only, by what has been worked out beforehand. */
export function moveSum({ scene }: Stage, from: Touch, to: Touch, moment: Moment): number {
  const ease = shiftEase(from, to);
  return (
    bareShift(scene, from, to, ease) * moment.shares[ease] +
    scene.landings[from.finger * FINGER_SLOTS + to.finger] +
    moment.across[stringsApart(from, to)]
  );
}

/** No move to a touch costs less than this; Infinity to an open string, for which no hand travels. */
export function leastMove({ scene }: Stage, fromOpen: boolean, to: Touch, moment: Moment): number {
  if (to.finger === 0) return Infinity;
  const { shiftBase, landing } = scene.weights;
  return shiftBase * moment.shares[easiestShift(fromOpen, to)] + landing[to.finger];
}

/** What going to a string so many strings away costs. */
export function acrossCost(weights: Weights, apart: number, between: Between, tally?: Tally): number {
  if (apart === 0) return 0;
  return (
    lay(tally, 'crossing', crossingTerm(weights, apart, between)) +
    lay(tally, 'skip', skipTerm(weights, apart, between)) +
    lay(tally, 'colour', colourTerm(weights, apart, between))
  );
}

/** What going on in the same position costs, whatever the idle fingers do. */
export function chargeStay(stage: Stage, from: Touch, to: Touch, between: Between, tally: Tally): number {
  const apart = stringsApart(from, to);
  return (
    acrossCost(stage.scene.weights, apart, between, tally) + chargeCrossed(stage, apart, from, to, tally)
  );
}

/** The same as a sum only, by what has been worked out beforehand. */
export function staySum(stage: Stage, from: Touch, to: Touch, moment: Moment): number {
  const apart = stringsApart(from, to);
  return moment.across[apart] + chargeCrossed(stage, apart, from, to);
}

/** What a finger pays that is taken to the next string. */
function chargeCrossed(stage: Stage, apart: number, from: Touch, to: Touch, tally?: Tally): number {
  if (apart !== 1) return 0;
  const { weights } = stage.scene;
  return (
    lay(tally, 'displace', trapTerm(weights, from, to)) + lay(tally, 'frame', barTerm(weights, from, to))
  );
}

/**
 * What taking another frame costs in a stay, its entry left out: fingers moved on the string, or another pattern on the next one.
 * @param playing the finger that plays next
 */
export function chargeReframe(
  stage: Stage,
  oneString: boolean,
  { frame: from }: Hold,
  { frame: to }: Hold,
  playing: number,
  tally?: Tally,
): number {
  const { weights } = stage.scene;
  return oneString
    ? lay(tally, 'displace', displaceTerm(weights, from, to, playing))
    : lay(tally, 'frame', reshapeTerm(weights, from, to));
}

/** What coming back another way than the line went is charged, once for the whole plan. */
export function chargeReturn(stage: Stage, same: boolean, tally?: Tally): number {
  return same ? 0 : lay(tally, 'return', stage.scene.weights.otherWayBack);
}

/** True where every finger lies in the same place in both holds. */
export function sameFrame({ frame: a }: Hold, { frame: b }: Hold): boolean {
  if (a === b) return true;
  for (let finger = 1; finger < a.length; finger++)
    if (a[finger] !== b[finger] && !(Number.isNaN(a[finger]) && Number.isNaN(b[finger]))) return false;
  return true;
}
