import { alongString, THUMB } from '../../hand/finger';
import type { Hold, Stop } from '../../hand/hold';
import type { SoundingEvent } from '../../material/events';
import { isThird } from './candidates';
import { chargeEntry, chargeOpening, chargePlay } from '../cost';
import type { Candidate, Context } from '../cost';
import type { Sounded, Touch } from '../cost';
import type { Layer } from './trellis';

/*
 * One event in numbers: what may be held there, gathered by what the hand touches, and what each costs.
 */

/** Layers of one request alone, which are not kept for the next, are numbered from here. */
export const OWN_LAYERS = 1_000_000;

/** A layer with the holds behind its numbers. */
export interface HoldLayer extends Layer, Sounded {
  readonly number: number;
  readonly candidates: readonly Candidate[];
  readonly touchList: readonly Touch[];
  /** The numbers of the touches in each position, where there are any. */
  readonly touchesAt: readonly (readonly number[])[];
}

/** @param number of the layer, in the order they are made */
export function holdLayer(
  context: Context,
  event: SoundingEvent,
  number: number,
  candidates: readonly Candidate[],
  heldTop: boolean,
): HoldLayer {
  const touchOf = new Int32Array(candidates.length);
  const starts: number[] = [];
  let tag = -1;
  candidates.forEach(({ hold }, node) => {
    const own = touchTag(hold);
    if (own !== tag) starts.push(node);
    tag = own;
    touchOf[node] = starts.length - 1;
  });
  const touchList = starts.map((node) => touchOfHold(context, candidates[node].hold));
  const touchesAt: number[][] = [];
  touchList.forEach(({ position }, touch) => (touchesAt[position] ??= []).push(touch));
  const { lowest } = context.holdsOf(event);
  const sounded: Sounded = { beats: event.beats, lowest, accent: event.accent === true, heldTop };
  return {
    ...sounded,
    number,
    nodes: candidates.length,
    touches: starts.length,
    touchStart: new Int32Array([...starts, candidates.length]),
    touchOf,
    candidates,
    touchList,
    touchesAt,
    place: new Int32Array(touchList.map((touch) => touch.place)),
    cost: new Float64Array(candidates.map((candidate) => chargePlay(context, candidate, sounded))),
    entry: new Float64Array(candidates.map(({ hold }) => chargeEntry(context, hold))),
  };
}

/** The first event of all, or of a part: the hand is set without a step. */
export function openingLayer(
  context: Context,
  event: SoundingEvent,
  number: number,
  candidates: readonly Candidate[],
  heldTop: boolean,
): HoldLayer {
  const layer = holdLayer(context, event, number, candidates, heldTop);
  return { ...layer, entry: layer.entry.map((set, node) => set + chargeOpening(context, candidates[node].hold)) };
}

/** Strings and fingers of a hold as one number. */
function chordTag(hold: Hold): number {
  let tag = 0;
  for (const stop of hold.stops) tag = tag * 128 + (stop.harmonic ? 64 : 0) + stop.string * 8 + stop.finger;
  return tag;
}

/** Holds with the same position, strings and fingers are one touch. */
function touchTag(hold: Hold): number {
  return chordTag(hold) * 64 + hold.position;
}

function touchOfHold(context: Context, hold: Hold): Touch {
  const { stops } = hold;
  let lead: Stop | undefined;
  for (const stop of stops)
    if (stop.finger > 0 && (!lead || alongString(stop.finger) < alongString(lead.finger))) lead = stop;
  const octave = octaveOf(context, hold);
  return {
    position: hold.position,
    string: stops[0].string,
    topString: stops[stops.length - 1].string,
    finger: lead?.finger ?? 0,
    semitones: lead?.semitones ?? 0,
    leadString: lead?.string ?? stops[0].string,
    place: placeOf(context, hold),
    fourth: stops.some((stop) => stop.finger === 4),
    thumbUp: context.model.thumbUp(hold.position),
    landmark: hold.position === context.model.landmark,
    chord: stops.length > 1 && octave !== 'fingered' && !alternates(context, hold) ? chordTag(hold) : 0,
    octave,
    fingers: stops.map(({ finger }) => finger).join(),
    pair: stops.length === 2 ? [stops[0].finger, stops[1].finger] : null,
  };
}

/** Thirds of the letter hand alternate 3-1 and 4-2: the hand moves for two of them, and does not slide with one pair. */
function alternates({ model, setup }: Context, { stops }: Hold): boolean {
  return !model.fixedFrames && isThird(setup, stops);
}

/** How two notes an octave apart are held; null where there are none. */
function octaveOf({ setup }: Context, { stops }: Hold): Touch['octave'] {
  if (stops.length !== 2) return null;
  const [low, high] = stops.map(({ string, semitones }) => setup.strings[string].midi + semitones);
  if (high - low !== 12) return null;
  const fingers = stops.map(({ finger }) => finger).sort();
  // The thumb is no neighbour: with the third finger it is a frame that slides.
  return fingers[1] - fingers[0] === 2 && fingers[0] > 0 && fingers[1] !== THUMB ? 'fingered' : 'framed';
}

/** Numbers of open places lie above all others. */
export const OPEN_PLACE = 1_000_000;

/** An open string and the fourth finger just below it count as one place, whatever the hand does meanwhile. */
function placeOf(context: Context, hold: Hold): number {
  const [low] = hold.stops;
  const strings = hold.stops[hold.stops.length - 1].string * 100 + low.string;
  const open = hold.stops.every((stop) => stop.finger === 0);
  if (open) return OPEN_PLACE + strings;
  const { strings: tuned } = context.setup;
  const above = low.string + 1;
  const unison =
    hold.stops.length === 1 &&
    low.finger === 4 &&
    above < tuned.length &&
    tuned[low.string].midi + low.semitones === tuned[above].midi;
  return unison ? OPEN_PLACE + above * 101 : strings * 100 + hold.position;
}
