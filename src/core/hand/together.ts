import type { Setup } from '../instrument/setup';
import {
  HARMONIC_UNSTEADY,
  makeHold,
  makeStop,
  NO_FRAME,
  type DemandedPitch,
  type HandModel,
  type Hold,
  type Stop,
} from './hold';
import { alongString, THUMB } from './finger';
import { reachShare } from './reach';
import type { HandProfile } from '../instrument/record';

/** Widest span in semitones that two fingers of one hand are tried at; the student's hand decides below it. */
const MOST_SPAN = 10;

/**
 * Every way to sound some pitches at once: one string for each, neighbours, low pitch on low string, all in one position.
 * @param pitches low to high
 */
export function holdsFor(setup: Setup, model: HandModel, pitches: readonly DemandedPitch[]): Hold[] {
  const found: Hold[] = [];
  for (let lowest = 0; lowest + pitches.length <= setup.strings.length; lowest++) {
    const perVoice = pitches.map((pitch, voice) => voiceHolds(setup, model, lowest + voice, pitch));
    if (perVoice.length === 1) found.push(...perVoice[0]);
    else if (perVoice.every((voice) => voice.length > 0)) found.push(...together(perVoice, model.fixedFrames));
  }
  return found;
}

/** Pressed holds of one pitch on one string, and the open string (or its extension) with the hand in any position. */
function voiceHolds(setup: Setup, model: HandModel, string: number, pitch: DemandedPitch): readonly Hold[] {
  const pressed = model.holds(string, pitch);
  const semitones = pitch.midi - setup.strings[string].midi;
  if (semitones !== 0 && !(string === 0 && semitones < 0 && -semitones <= setup.extensionSemitones)) return pressed;
  const stops = [makeStop(string, 0, semitones)];
  const found = pressed.slice();
  for (let position = 0; position < model.positionCount; position++)
    for (const side of SIDES)
      if (side === 0 || model.frameAside(position, side) !== NO_FRAME)
        found.push(makeHold(position, stops, NO_FRAME, { side }));
  return found;
}

const SIDES = [0, 1, -1];

/**
 * Joins one hold a voice into grips; idle fingers are left out of the frame, so equal grips are kept once, in their
 * steadiest shape.
 * @param shared true where all voices must lie in one and the same shape
 */
function together(perVoice: readonly (readonly Hold[])[], shared: boolean): Hold[] {
  let partial: Hold[] = [...perVoice[0]];
  for (const voice of perVoice.slice(1)) {
    partial = partial.flatMap((low) =>
      voice
        .filter((high) => (!shared || inOneShape(low, high)) && low.side === high.side && agree(low, high))
        .map((high) => joined(low, high)),
    );
    if (!shared) partial = distinct(partial.map(pinned));
  }
  const grips = distinct(partial.map(pinned).map(shared ? (hold) => hold : asGrip));
  return shared ? grips : [...grips, ...grips.flatMap((hold) => pressed(hold) ?? [])];
}

/** A grip whose little finger only touches its string, with the finger pressed down instead; null of any other. */
function pressed(hold: Hold): Hold | null {
  if (!hold.stops.some(({ harmonic }) => harmonic)) return null;
  const stops = hold.stops.map((stop) => ({ ...stop, harmonic: false }));
  return makeHold(hold.position, stops, hold.frame, {
    ...hold,
    extended: LITTLE_FINGER,
    unsteady: hold.unsteady - HARMONIC_UNSTEADY,
  });
}

const LITTLE_FINGER = 4;

/** Notes that make a chord: its fingers are what they are, wherever the idle ones would rest in a key. */
export const CHORD_NOTES = 3;

/** A grip of the letter hand in its own place, a chord with nothing of the idle fingers. */
function asGrip(hold: Hold): Hold {
  const placed = firstAtHome(hold);
  if (hold.stops.length < CHORD_NOTES) return placed;
  const touched = hold.stops.some(({ harmonic }) => harmonic);
  return makeHold(placed.position, placed.stops, placed.frame, {
    ...placed,
    unsteady: touched ? HARMONIC_UNSTEADY : 0,
  });
}

/** A fingered octave by 1 and 3 lies where its first finger is at home and the third reaches: 2 and 4 take the next one in the same position. */
function firstAtHome(hold: Hold): Hold {
  const [low, high] = hold.stops;
  const octave = hold.extended === 1 && hold.position > 0 && low.finger === 1 && high?.finger === 3;
  return octave ? makeHold(hold.position - 1, hold.stops, hold.frame, { ...hold, extended: 3 }) : hold;
}

/** Frames of fixed shapes are shared objects; an open string goes with any. */
function inOneShape(low: Hold, high: Hold): boolean {
  return low.frame === high.frame || low.frame === NO_FRAME || high.frame === NO_FRAME;
}

/** The hold with only its playing fingers placed. */
function pinned(hold: Hold): Hold {
  if (hold.frame === NO_FRAME) return hold;
  const frame = NO_FRAME.slice();
  for (const stop of hold.stops) if (stop.finger > 0) frame[stop.finger] = stop.semitones;
  return makeHold(hold.position, hold.stops, frame, hold);
}

function distinct(holds: readonly Hold[]): Hold[] {
  const seen = new Map<string, Hold>();
  for (const hold of holds) {
    const side = hold.frame === NO_FRAME ? `${hold.side}` : '';
    const tag = hold.position + side + hold.stops.map((stop) => `|${stop.string}:${stop.finger}`).join('');
    const known = seen.get(tag);
    if (!known || oddness(hold) < oddness(known)) seen.set(tag, hold);
  }
  return [...seen.values()];
}

/** Of equal grips the one that is written, closed and steady. */
function oddness(hold: Hold): number {
  return (hold.reread ? 1 : 0) + (hold.extended > 0 || hold.contracted > 0 ? 1 : 0) + hold.unsteady;
}

/** True where the two can be one hand: same position, not opened and drawn in at once, fingers in their order, one finger on two strings only as a bar. */
function agree(low: Hold, high: Hold): boolean {
  if (low.position !== high.position) return false;
  if ((low.extended > 0 && high.contracted > 0) || (low.contracted > 0 && high.extended > 0)) return false;
  return low.stops.every((a) => high.stops.every((b) => ordered(a, b)));
}

function ordered(a: Stop, b: Stop): boolean {
  if (a.finger === 0 || b.finger === 0) return true;
  if (a.finger === b.finger)
    return a.semitones === b.semitones && Math.abs(a.string - b.string) === 1 && a.finger !== THUMB
      ? true
      : a.finger === THUMB && a.semitones === b.semitones;
  const [lower, higher] = alongString(a.finger) < alongString(b.finger) ? [a, b] : [b, a];
  const gap = higher.semitones - lower.semitones;
  return gap >= alongString(higher.finger) - alongString(lower.finger) - 1 && gap <= MOST_SPAN;
}

function joined(low: Hold, high: Hold): Hold {
  const frame = low.frame === NO_FRAME ? high.frame : low.frame;
  return makeHold(low.position, [...low.stops, ...high.stops], frame, {
    extended: low.extended || high.extended,
    contracted: low.contracted || high.contracted,
    leaned: low.leaned || high.leaned,
    side: low.side || high.side,
    reread: low.reread || high.reread,
    unsteady: Math.max(low.unsteady, high.unsteady),
  });
}

export interface WidestPair {
  /** Their slots. */
  readonly fingers: readonly [number, number];
  readonly spreadMm: number;
  readonly share: number;
}

/**
 * The pair of fingers that asks most of the hand in a hold: for one stop the first finger and the neighbour below against the playing
 * finger (a first finger reaching back against the second and third), for several all playing pairs.
 * @param stops distance from the nut in mm of each whole semitone
 * @returns null where nothing is spread (open strings, a first finger in its place)
 */
export function widestPair(hold: Hold, hand: HandProfile, stops: ArrayLike<number>): WidestPair | null {
  const pairs = hold.stops.length === 1 ? pairsOfOne(hold) : pairsOfMany(hold);
  let widest: WidestPair | null = null;
  for (const fingers of pairs) {
    const a = hold.frame[fingers[0]];
    const b = hold.frame[fingers[1]];
    if (Number.isNaN(a + b)) continue;
    const spread = Math.abs(stops[a] - stops[b]);
    const share = reachShare(hand, fingers[0], fingers[1], spread);
    if (!widest || share > widest.share) widest = { fingers, spreadMm: spread, share };
  }
  return widest;
}

type Pair = readonly [number, number];

/** Pairs by the one playing finger, on the neck and in thumb position; the thumb itself spreads nothing. */
const NECK_PAIRS: readonly (readonly Pair[])[] = [[], [], [[1, 2]], [[1, 3], [2, 3]], [[1, 4], [3, 4]], []]; // prettier-ignore
const THUMB_PAIRS: readonly (readonly Pair[])[] = [[], [[THUMB, 1]], [[THUMB, 2]], [[THUMB, 3]], [[THUMB, 4]], []]; // prettier-ignore
const REACHING_BACK: readonly Pair[] = [[1, 2], [1, 3]]; // prettier-ignore

function pairsOfOne({ stops: [{ finger }], frame, extended }: Hold): readonly Pair[] {
  if (!Number.isNaN(frame[THUMB])) return THUMB_PAIRS[finger];
  return finger === 1 && extended === 1 ? REACHING_BACK : NECK_PAIRS[finger];
}

function pairsOfMany(hold: Hold): readonly Pair[] {
  const playing = [...new Set(hold.stops.map((stop) => stop.finger))]
    .filter((finger) => finger > 0)
    .sort((a, b) => alongString(a) - alongString(b));
  if (playing.length === 0) return [];
  if (playing.length === 1) return pairsOfOne({ ...hold, stops: hold.stops.filter(({ finger }) => finger > 0) });
  return playing.flatMap((low, at) => playing.slice(at + 1).map((high): Pair => [low, high]));
}
