import { alongString, THUMB } from '../../hand/finger';
import type { HandProfile } from '../../instrument/record';
import type { Setup } from '../../instrument/setup';
import type { Sounded, Transition } from './moment';
import type { Weights } from '../../vocabulary';

/*
 * What a plan is charged for, one named function a term. Costs are in the unit of weights.ts. All functions are pure; the search
 * and the answer call the same ones, so a plan's terms always add up to its cost.
 */

/** What stays the same while one request is planned. */
export interface Pricing {
  readonly weights: Weights;
  readonly hand: HandProfile;
  /** Distance from the nut in mm of each whole semitone, from the open string up. */
  readonly stops: Float64Array;
  /** Where a finger falls when the hand rests in a position, in semitones; NaN where it has no place. */
  readonly resting: (position: number, string: number, finger: number) => number;
  /** Which finger arrives, from which one: landingTerm at [from * FINGER_SLOTS + finger]. */
  readonly landings: Float64Array;
}

/**
 * The part of a hold that the outside sees: where the hand is and what it touches. Two holds with the same touch differ only in
 * how the idle fingers lie.
 */
export interface Touch {
  readonly position: number;
  /** Lowest and highest string touched. */
  readonly string: number;
  readonly topString: number;
  /** The finger that leads: the lowest-numbered one pressed, 0 where all is open. */
  readonly finger: number;
  /** Its stop in semitones above its string. */
  readonly semitones: number;
  readonly leadString: number;
  /** Number of the place by which plans are told apart. */
  readonly place: number;
  /** True where the little finger presses anything. */
  readonly fourth: boolean;
  /** True in thumb position, where the thumb has left the neck. */
  readonly thumbUp: boolean;
  /** True where the hand meets the body of the instrument. */
  readonly landmark: boolean;
  /** Fingers and strings of a double stop or chord whose frame may slide as one, as a number; 0 for a single stop, and for a fingered octave, which is taken so as not to slide. */
  readonly chord: number;
  /** Two notes an octave apart: by 1 and 3 or 2 and 4, or in another frame; null for all else. */
  readonly octave: 'fingered' | 'framed' | null;
  /** The fingers that press, from the lowest string on. */
  readonly fingers: string;
  /** Of a double stop the finger on each of its strings, 0 where it is open; null for all else. */
  readonly pair: readonly [low: number, high: number] | null;
}

/** Which finger slides on which string, from stop to stop in semitones. */
export interface Slide {
  readonly finger: number;
  readonly string: number;
  readonly start: number;
  readonly end: number;
}

/** The lower of two fingers along the string, the thumb lowest; out of an open string the one that arrives. */
export function lowerFinger(from: number, to: number): number {
  return from !== 0 && alongString(from) < alongString(to) ? from : to;
}

/**
 * The finger that carries the hand through a shift, and its way. The lower-numbered of the two does, up and down alike: to a higher finger the old one
 * slides to its own place in the new position, to a lower one the new one slides in from its own place in the old. Where the thumb comes up or goes
 * down, and where the finger has no place in one of the positions, the first finger carries.
 */
export function guideOf({ resting }: Pricing, from: Touch, to: Touch): Slide {
  const lower = lowerFinger(from.finger, to.finger);
  const oneString = from.finger !== 0 && from.leadString === to.leadString;
  const changesThumb = from.thumbUp !== to.thumbUp;
  const old = !changesThumb && lower !== to.finger;
  const string = old ? from.leadString : to.leadString;
  const finger = changesThumb || Number.isNaN(resting(old ? to.position : from.position, string, lower)) ? 1 : lower;
  const start = from.finger === finger && (old || oneString) ? from.semitones : resting(from.position, string, finger);
  const end = to.finger === finger && !old ? to.semitones : resting(to.position, string, finger);
  return { finger, string, start, end };
}

/** What makes a shift easier or harder at any moment, as bits of one number: it leaves an open string, … */
const FROM_OPEN = 1;
/** … goes from one string to another, … */
const ACROSS = 2;
/** … reaches the place where the hand meets the body, … */
const TO_LANDMARK = 4;
/** … or keeps the fingers of a double stop. */
const SLIDES = 8;
export const SHIFT_EASES = 16;

export function shiftEase(from: Touch, to: Touch): number {
  let ease = to.landmark ? TO_LANDMARK : 0;
  if (from.finger === 0) ease += FROM_OPEN;
  else if (from.leadString !== to.leadString) ease += ACROSS;
  return to.chord > 0 && to.chord === from.chord ? ease + SLIDES : ease;
}

/** The same of the easiest shift there is to a touch. */
export function easiestShift(fromOpen: boolean, to: Touch): number {
  return (fromOpen ? FROM_OPEN : 0) + (to.landmark ? TO_LANDMARK : 0) + (to.chord > 0 ? SLIDES : 0);
}

/** The disturbance of a shift so many mm long. */
export function travelTerm({ weights, hand }: Pricing, mm: number): number {
  const spans = mm / hand.relaxedMm;
  return weights.shiftBase + weights.shiftTravel * spans + weights.shiftTravelSquared * spans * spans;
}

/**
 * The disturbance and the travel, whatever the moment; Infinity where the guiding finger would not move, for then the hand does not.
 * @param slide the guiding finger's way
 */
export function bareShift(pricing: Pricing, from: Touch, to: Touch, ease: number, { start, end }: Slide): number {
  const { weights, stops } = pricing;
  if (start === end) return Infinity;
  let bare = travelTerm(pricing, Math.abs(stops[end] - stops[start]));
  if ((ease & ACROSS) > 0) bare += weights.shiftAcross;
  return from.thumbUp === to.thumbUp ? bare : bare + weights.thumbChange;
}

/** What is left of a shift's bare cost, by its ease, the moment and the time there is. */
export function shiftShare(weights: Weights, ease: number, transition: Transition): number {
  let share = 1;
  if (transition.semitone && (ease & ACROSS) === 0) share -= weights.shiftOnSemitone;
  if (transition.turn) share -= weights.shiftAtTurn;
  if (transition.bow === 'changes' || transition.phrase) share -= weights.shiftWithBow;
  else if (transition.bow === 'goes-on' && transition.quick) share += weights.shiftInSlur;
  if (transition.line === 0) share -= weights.shiftAtRepeat;
  if (transition.inFigure) share += weights.shiftInFigure;
  if ((ease & TO_LANDMARK) > 0) share -= weights.shiftToLandmark;
  if ((ease & SLIDES) > 0) share -= weights.frameSlides;
  if (!transition.onBeat) share += weights.shiftOffBeat;
  if ((ease & FROM_OPEN) > 0 || transition.rest) share *= weights.shiftOverOpen;
  return share * transition.haste.shift;
}

/** Which finger arrives after a shift from which one: the lower of the two guided it there. */
export function landingTerm(weights: Weights, from: number, finger: number): number {
  const same = from === finger ? weights.sameFinger[finger] : 0;
  return weights.landing[finger] + weights.guiding[lowerFinger(from, finger)] + same;
}

/**
 * A scale of three octaves goes in blocks that begin with the first finger: up, a shift lands on it; down, the hand goes on until it has played. The
 * semitone decides between such places, not against them. A chromatic one goes in groups of three, each played out before the hand moves. An open string
 * and the thumb are as good.
 */
export function irregularTerm(
  weights: Weights,
  from: number,
  finger: number,
  { byStep, byThrees }: Pick<Transition, 'byStep' | 'byThrees'>,
): number {
  const turns = byStep > 0 ? finger : byStep < 0 ? from : 1;
  if (turns !== 1 && turns !== 0 && turns !== THUMB) return weights.irregular;
  if (byThrees === 0 || from === 0 || finger === THUMB || from === THUMB) return 0;
  const [lower, upper] = byThrees > 0 ? [finger, from] : [from, finger];
  return (lower === 1 ? 0 : weights.irregular) + (upper === 3 ? 0 : weights.irregular);
}

/** How many strings up from one touch to the next: 0 where they share one, 1 or -1 for neighbours. */
export function stringsUp(from: Touch, to: Touch): number {
  if (to.string > from.topString) return to.string - from.topString;
  return from.string > to.topString ? to.topString - from.string : 0;
}

/** A stepping stone: the hand leaves a place before it has settled there. A rest lets it settle; the less time there is, the worse. */
export function stoneTerm(weights: Weights, { rest, haste }: Transition): number {
  return rest ? 0 : weights.steppingStone * haste.shift ** 2;
}

/** Going to a lower string while the line rises, or to a higher one while it falls: the bow goes back on its way. */
export function againstLineTerm(weights: Weights, strings: number, { line, haste }: Transition): number {
  return strings * line < 0 ? weights.againstLine * haste.crossing : 0;
}

/** Going to the next string. */
export function crossingTerm(weights: Weights, apart: number, transition: Transition): number {
  if (apart === 0) return 0;
  const { bow, quick, phrase, short, haste } = transition;
  const slurred = bow === 'goes-on' && quick && !phrase;
  const share = slurred ? 1 + weights.slurredCrossing : short ? weights.crossingWhenShort : 1;
  return weights.crossing * haste.crossing * share;
}

/** Jumping over strings. */
export function skipTerm(weights: Weights, apart: number, transition: Transition): number {
  return apart > 1 ? weights.skip * (apart - 1) * transition.haste.crossing : 0;
}

/** Leaving a string inside a phrase; a rest ends the phrase. */
export function colourTerm(weights: Weights, apart: number, transition: Transition): number {
  return apart > 0 && !transition.rest && !transition.phrase ? weights.colour * transition.haste.colour : 0;
}

/** Opening the hand beyond its frame. */
export function extensionTakenTerm(weights: Weights, extended: boolean): number {
  return extended ? weights.extensionTaken : 0;
}

/** Keeping it open for a note. */
export function extensionHeldTerm(weights: Weights, extended: boolean): number {
  return extended ? weights.extensionHeld : 0;
}

/**
 * A spread against this student's hand: nothing while comfortable, rising to the full spread; beyond it only a lock lets it stand.
 * @param share of the fullest spread, the widest pair of the hold
 */
export function reachTerm(weights: Weights, hand: HandProfile, share: number): number {
  const comfortable = hand.relaxedMm / hand.fullMm;
  if (share <= comfortable) return 0;
  if (share > 1 + 1e-9) return weights.beyond * share;
  return (weights.stretch * (share - comfortable)) / (1 - comfortable);
}

/** The little finger, more on long and accented notes and above the octave. */
export function fourthTerm(weights: Weights, semitones: number, { beats, accent }: Sounded): number {
  const long = Math.min(3, Math.max(0, beats - 1)) * weights.fourthLong;
  return weights.fourth + long + (semitones > 12 ? weights.fourthHigh : 0) + (accent ? weights.fourthAccented : 0);
}

/** One finger that slides a whole tone or more along its string from one note to the next. */
export function wideSlideTerm(weights: Weights, from: Touch, to: Touch, { rest, glides }: Transition): number {
  if (weights.wideSlide === 0 || rest || glides || from.pair || to.pair) return 0;
  const slides = from.finger > 0 && from.finger === to.finger && from.leadString === to.leadString;
  return slides && Math.abs(from.semitones - to.semitones) >= 2 ? weights.wideSlide : 0;
}

/** An open string, more on long notes. */
export function openTerm(weights: Weights, beats: number): number {
  return weights.open + Math.min(3, Math.max(0, beats - 1)) * weights.openLong;
}

/**
 * Fingers moved by semitones while the hand stays, on one string.
 * @param playing the finger that plays next
 */
export function displaceTerm(
  weights: Weights,
  from: readonly number[],
  to: readonly number[],
  playing: number,
): number {
  let cost = 0;
  for (let finger = 1; finger < to.length; finger++) {
    const moved = Math.abs(to[finger] - from[finger]);
    if (moved > 0)
      cost += moved * (finger === playing ? weights.displace * weights.slideOf[finger] : weights.displaceIdle);
  }
  return cost;
}

/** The same finger wanted low on one string and high on the other straight after; at speed it has no time to hop. */
export function trapTerm(weights: Weights, from: Touch, to: Touch, { haste }: Transition): number {
  if (from.finger === 0 || from.finger !== to.finger) return 0;
  return weights.trap * Math.abs(from.semitones - to.semitones) * haste.crossing;
}

/**
 * Octaves run in one frame; an open string, or another pair of fingers, breaks it, and has its place at an end of the run. Fingered octaves alternate 1-3 and
 * 2-4: the same pair twice running slides, which is what they are taken to avoid.
 */
export function octaveTerm(weights: Weights, from: Touch, to: Touch): number {
  if (from.octave === null || from.octave !== to.octave) return 0;
  const alike = from.fingers === to.fingers;
  if (to.octave === 'framed') return alike ? 0 : weights.octaveFrame;
  return alike && from.string === to.string ? weights.octaveAgain : 0;
}

/** At speed no finger hops across the strings of a double stop: 1-2, then 2-3 on the same two strings. */
export function hopTerm(weights: Weights, from: Touch, to: Touch, { quick }: Transition): number {
  if (!quick || !from.pair || !to.pair || from.string !== to.string) return 0;
  const [[low, high], [nextLow, nextHigh]] = [from.pair, to.pair];
  return (low > 0 && low === nextHigh) || (high > 0 && high === nextLow) ? weights.hop : 0;
}

export const NO_STRING = -1;

/** A figure that rocks over an open string with its neighbours is to ring: lost where a finger stops that note, or where the other one is on the same string. */
export function ringingTerm(weights: Weights, from: Touch, to: Touch, { rocks, haste }: Transition): number {
  const lost = isDamped(rocks[0], from, to) || isDamped(rocks[1], to, from);
  return lost ? weights.ringing * haste.crossing : 0;
}

/** A second that alternates (a trill, a–b–a–b) is played on one string by a hand that lies still: what leaves either breaks it. */
export function alternationTerm(weights: Weights, from: Touch, to: Touch, { alternates }: Transition): number {
  if (!alternates) return 0;
  return from.string === to.string && from.position === to.position ? 0 : weights.alternation;
}

function isDamped(string: number, rocking: Touch, other: Touch): boolean {
  if (string === NO_STRING || Math.abs(other.string - string) > 1) return false;
  return rocking.finger !== 0 || other.string === string;
}

/** How far the hand lies from where it must be for a note, in semitones: above it, or below first position. */
export function heightTerm(weights: Weights, semitonesAway: number): number {
  return weights.height * Math.abs(semitonesAway);
}

/**
 * A climb up a low string to a note that the next string has low down; worse the thicker the string.
 * @param climbed semitones that the hand lies above its home
 */
export function lowStringTerm(weights: Weights, { strings }: Setup, string: number, climbed: number): number {
  return (weights.lowString * climbed * (strings.length - 1 - string)) / (strings.length - 1);
}

/** The thumb laid on the strings below their octave. */
export function lowThumbTerm(weights: Weights, semitones: number): number {
  return weights.lowThumb * Math.max(0, 12 - semitones);
}

/** A finger drawn in to the place of the one below. */
export function contractionTerm(weights: Weights, contracted: boolean): number {
  return contracted ? weights.contraction : 0;
}

/** How rare or unsteady the pattern under the fingers is. */
export function patternTerm(weights: Weights, unsteady: number): number {
  return weights.pattern * unsteady;
}

/** The pattern changing as the hand crosses to another string. */
export function reshapeTerm(weights: Weights, from: readonly number[], to: readonly number[]): number {
  let moved = 0;
  for (let finger = 1; finger < 5; finger++) {
    const gap = Math.abs(to[finger] - from[finger]);
    if (gap > 0) moved += gap;
  }
  return weights.reshape * moved;
}

/** One finger laid over two neighbouring strings, note after note. */
export function barTerm(weights: Weights, from: Touch, to: Touch): number {
  const flat = from.finger !== 0 && from.finger === to.finger && from.semitones === to.semitones;
  return flat ? weights.bar : 0;
}

/** Neighbouring fingers a semitone apart where a fingertip is wider than the space between them. */
export function crowdingTerm(weights: Weights, hand: HandProfile, roomMm: number): number {
  return roomMm < hand.fingertipMm ? weights.crowding * (1 - roomMm / hand.fingertipMm) : 0;
}
