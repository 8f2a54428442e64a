import { NO_FRAME, THUMB, type Hold, type Stop } from '../hand/hold';
import { widestPair, type WidestPair } from '../hand/grips';
import type { MusicEvent, SoundingEvent } from '../material/events';
import { midiOf } from '../pitch/pitch';
import { holdAllowed, lockHeld } from './limits';
import type { Forbidding, Lock } from './request';
import { contentTag, type Grip, type Stage } from './scene';
import {
  chargeEntry,
  chargeMove,
  chargePlay,
  chargeReframe,
  chargeStay,
  leastMove,
  sameFrame,
} from './charges';
import { stringsApart, type Between, type Touch } from './terms';
import type { Block, Layer, Trellis } from './trellis';
import { hasteFor } from './weights';

/*
 * Weaves the trellis: all holds of each event that the demands leave, and the cost of every step between them. Equal events share a
 * layer and equal neighbours a block, so a long piece costs little more than its different notes do.
 */

/** A layer with the holds behind its numbers. */
export interface HoldLayer extends Layer {
  readonly grips: readonly Grip[];
  readonly touchList: readonly Touch[];
  /** The numbers of the touches in each position, where there are any. */
  readonly touchesAt: readonly (readonly number[])[];
  /** Where the hand would lie for this event were there no demands, in semitones above the nut. */
  readonly lowest: number;
  readonly beats: number;
}

export interface Web extends Trellis {
  readonly layers: readonly HoldLayer[];
  readonly between: readonly Between[];
}

/** Weaves the web for all events; an event that the demands leave without a hold gets an empty layer, and nothing is joined then. */
export function weave(stage: Stage): Web {
  const known = new Map<string, HoldLayer>();
  const numbers = new Map<HoldLayer, number>();
  const layers: HoldLayer[] = [];
  for (const event of stage.sounding) {
    const before = layers[layers.length - 1];
    const locks = locksAt(stage, event);
    const ringing = event.pitches.some((pitch) => isOpen(stage, midiOf(pitch)));
    const tag = [
      contentTag(event),
      event.beats,
      event.octave,
      ringing ? numbers.get(before) : '',
      locks.length > 0 || forbidden(stage, event).length > 0 ? event.at : '',
    ].join('|');
    const layer = known.get(tag) ?? holdLayer(stage, event, locks, positionsBefore(stage, before));
    known.set(tag, layer);
    if (!numbers.has(layer)) numbers.set(layer, numbers.size);
    layers.push(layer);
  }
  const between = betweenAll(stage);
  const whole = layers.every(({ nodes }) => nodes > 0);
  return { layers, between, blocks: whole ? blocksFor(stage, layers, numbers, between) : [] };
}

function isOpen(stage: Stage, midi: number): boolean {
  const { strings, extensionSemitones } = stage.setup;
  const extended = midi < strings[0].midi && midi >= strings[0].midi - extensionSemitones;
  return extended || strings.some((open) => open.midi === midi);
}

/**
 * How many semitones above where the hand would lie a note is looked for, where nobody asks for more: an octave. Nobody plays a note
 * higher up a lower string but for a string or position that was demanded.
 */
const MOST_ABOVE = 12;
/** The same for a hand with the thumb up: a fifth. The thumb is laid on the strings for what the neck hand does not have near. */
const THUMB_ABOVE = 7;

/** Holds of an event that the demands and locks leave; a spread beyond the hand stands only where locked. */
export function allowedGrips(stage: Stage, event: SoundingEvent, locks: readonly Lock[]): Grip[] {
  const rules = stage.request.rules ?? {};
  const anyHeight = rules.strings !== undefined || rules.positions !== undefined || locks.length > 0;
  const never = forbidden(stage, event);
  const { setup, model, scene } = stage;
  const { all, lowest } = stage.holdsOf(event);
  const highestFor = ({ position }: Hold) =>
    anyHeight ? Infinity : lowest + (model.thumbUp(position) ? THUMB_ABOVE : MOST_ABOVE);
  const grips: Grip[] = [];
  for (const hold of all) {
    if (hold.frame !== NO_FRAME && model.anchor(hold.position) > highestFor(hold)) continue;
    if (!takesOctave(event, hold)) continue;
    if (!holdAllowed(setup, model, rules, hold)) continue;
    if (never.some((one) => !('shift' in one) && lockHeld(setup, model, one, hold))) continue;
    if (!locks.every((lock) => lockHeld(setup, model, lock, hold))) continue;
    const widest = widestPair(hold, scene.hand, scene.stops);
    if (tooWide(widest) && locks.length === 0) continue;
    grips.push({ hold, widest });
  }
  return grips;
}

/** True where a hold asks more than this hand's fullest spread. */
export function beyondHand({ scene }: Stage, hold: Hold): boolean {
  return tooWide(widestPair(hold, scene.hand, scene.stops));
}

function tooWide(widest: WidestPair | null): boolean {
  return widest !== null && widest.share > 1 + 1e-9;
}

/** True where an octave is taken as the material wants it; a lock may ask for what it likes. */
function takesOctave({ octave }: SoundingEvent, hold: Hold): boolean {
  return octave === undefined || neighbouringFingers(hold) === (octave === 'fingered');
}

/** True where two notes are taken by 1 and 3 or by 2 and 4. */
function neighbouringFingers(hold: Hold): boolean {
  const fingers = hold.stops.map((stop) => stop.finger).sort();
  return fingers.join() === '1,3' || fingers.join() === '2,4';
}

/** What must not be at an event. */
function forbidden(stage: Stage, event: SoundingEvent): Forbidding[] {
  return (stage.request.rules?.never ?? []).filter((one) => one.at === event.at);
}

function locksAt(stage: Stage, event: SoundingEvent): Lock[] {
  return (stage.request.rules?.locks ?? []).filter((lock) => lock.at === event.at);
}

/**
 * Where the hand can be while an open string sounds: where it was before. At the opening it already lies where the first pressed notes
 * want it, for to move there later would only cost more.
 */
function positionsBefore(stage: Stage, before: HoldLayer | undefined): Set<number> {
  if (before) return new Set(before.touchList.map((touch) => touch.position));
  const positions = new Set<number>();
  for (const event of stage.sounding) {
    const grips = allowedGrips(stage, event, locksAt(stage, event));
    for (const { hold } of grips) if (hold.frame !== NO_FRAME) positions.add(hold.position);
    if (grips.every(({ hold }) => hold.frame !== NO_FRAME)) return positions;
  }
  return positions.add(stage.model.home);
}

function holdLayer(
  stage: Stage,
  event: SoundingEvent,
  locks: readonly Lock[],
  positions: ReadonlySet<number>,
): HoldLayer {
  const grips = allowedGrips(stage, event, locks).filter(
    ({ hold }) => hold.frame !== NO_FRAME || positions.has(hold.position),
  );
  const touchOf = new Int32Array(grips.length);
  const starts: number[] = [];
  let tag = -1;
  grips.forEach(({ hold }, node) => {
    const own = touchTag(hold);
    if (own !== tag) starts.push(node);
    tag = own;
    touchOf[node] = starts.length - 1;
  });
  const touchList = starts.map((node) => touchOfHold(stage, grips[node].hold));
  const touchesAt: number[][] = [];
  touchList.forEach(({ position }, touch) => (touchesAt[position] ??= []).push(touch));
  const { lowest } = stage.holdsOf(event);
  const { beats } = event;
  return {
    nodes: grips.length,
    touches: starts.length,
    touchStart: new Int32Array([...starts, grips.length]),
    touchOf,
    grips,
    touchList,
    touchesAt,
    lowest,
    beats,
    place: new Int32Array(touchList.map((touch) => touch.place)),
    cost: new Float64Array(grips.map((grip) => chargePlay(stage, grip, beats, lowest))),
    entry: new Float64Array(grips.map(({ hold }) => chargeEntry(stage, hold))),
  };
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

function touchOfHold(stage: Stage, hold: Hold): Touch {
  const { stops } = hold;
  let lead: Stop | undefined;
  for (const stop of stops)
    if (stop.finger > 0 && (!lead || stop.finger % THUMB < lead.finger % THUMB)) lead = stop;
  return {
    position: hold.position,
    string: stops[0].string,
    topString: stops[stops.length - 1].string,
    finger: lead?.finger ?? 0,
    semitones: lead?.semitones ?? 0,
    leadString: lead?.string ?? stops[0].string,
    place: placeOf(stage, hold),
    fourth: stops.some((stop) => stop.finger === 4),
    thumbUp: stage.model.thumbUp(hold.position),
    landmark: hold.position === stage.model.landmark,
    chord: stops.length > 1 ? chordTag(hold) : 0,
  };
}

/** Numbers of open places lie above all others. */
export const OPEN_PLACE = 1_000_000;

/** An open string and the fourth finger just below it count as one place, whatever the hand does meanwhile. */
function placeOf(stage: Stage, hold: Hold): number {
  const [low] = hold.stops;
  const strings = hold.stops[hold.stops.length - 1].string * 100 + low.string;
  const open = hold.stops.every((stop) => stop.finger === 0);
  if (open) return OPEN_PLACE + strings;
  const { strings: tuned } = stage.setup;
  const above = low.string + 1;
  const unison =
    hold.stops.length === 1 &&
    low.finger === 4 &&
    above < tuned.length &&
    tuned[low.string].midi + low.semitones === tuned[above].midi;
  return unison ? OPEN_PLACE + above * 101 : strings * 100 + hold.position;
}

function betweenAll(stage: Stage): Between[] {
  const { events } = stage.music;
  const { sounding } = stage;
  const onsets: number[] = [];
  events.reduce((onset, event) => (onsets.push(onset), onset + event.beats), 0);
  const top = sounding.map((event) => midiOf(event.pitches[event.pitches.length - 1]));
  return sounding.slice(1).map((event, t) => {
    const before = sounding[t];
    const beats = onsets[event.at] - onsets[before.at];
    const came = t > 0 ? top[t] - top[t - 1] : 0;
    const goes = top[t + 1] - top[t];
    return {
      haste: hasteFor(Math.max(0.01, beats * stage.secondsPerBeat)),
      semitone: Math.abs(goes) === 1,
      turn: came * goes < 0,
      onBeat: Number.isInteger(onsets[event.at]),
      rest: hasRest(events, before.at, event.at),
      noShift: forbidden(stage, event).some((one) => 'shift' in one),
    };
  });
}

function hasRest(events: readonly MusicEvent[], from: number, to: number): boolean {
  return to - from > 1 && events.slice(from + 1, to).some((event) => event.kind === 'rest');
}

/** Between two layers: one block for each different pair of layers and moment. */
function blocksFor(
  stage: Stage,
  layers: readonly HoldLayer[],
  numbers: ReadonlyMap<HoldLayer, number>,
  between: readonly Between[],
): Block[] {
  const known = new Map<string, Block>();
  return between.map((moment, t) => {
    const { haste, semitone, turn, onBeat, rest, noShift } = moment;
    const tag = `${numbers.get(layers[t])}.${numbers.get(layers[t + 1])}.${haste.shift}.${semitone}${turn}${onBeat}${rest}${noShift}`;
    let block = known.get(tag);
    if (!block) {
      block = blockBetween(stage, layers[t], layers[t + 1], moment);
      known.set(tag, block);
    }
    return block;
  });
}

function blockBetween(stage: Stage, from: HoldLayer, to: HoldLayer, between: Between): Block {
  const { stayStart, stayTo, stayCost } = staysBetween(stage, from, to, between);
  return {
    moves: new Float64Array(from.touches * to.touches).fill(NaN),
    workOut(row, column) {
      const [a, b] = [from.touchList[row], to.touchList[column]];
      return between.noShift || !mayMove(stage, a, b) ? Infinity : chargeMove(stage, a, b, between);
    },
    least: leastMoves(stage, from, to, between),
    stayStart,
    stayTo,
    stayCost,
  };
}

function leastMoves(stage: Stage, from: HoldLayer, to: HoldLayer, between: Between): Float64Array {
  const open = from.touchList.some(({ finger }) => finger === 0);
  const least = new Float64Array(to.touches);
  for (let column = 0; column < to.touches; column++)
    least[column] = leastMove(stage, open, to.touchList[column], between);
  return least;
}

/** What goes on in one position: every hold of a touch joined to every hold of each touch there. */
function staysBetween(
  stage: Stage,
  from: HoldLayer,
  to: HoldLayer,
  between: Between,
): Pick<Block, 'stayStart' | 'stayTo' | 'stayCost'> {
  const stayStart = new Int32Array(from.nodes + 1);
  const room = countStays(from, to);
  const stayTo = new Int32Array(room);
  const stayCost = new Float64Array(room);
  let at = 0;
  for (let row = 0; row < from.touches; row++) {
    const a = from.touchList[row];
    const columns = to.touchesAt[a.position];
    for (let u = from.touchStart[row]; u < from.touchStart[row + 1]; u++) {
      const { hold } = from.grips[u];
      for (const column of columns ?? []) {
        const b = to.touchList[column];
        const shared = chargeStay(stage, a, b, between);
        const oneString = stringsApart(a, b) === 0;
        for (let v = to.touchStart[column]; v < to.touchStart[column + 1]; v++) {
          const next = to.grips[v].hold;
          stayTo[at] = v;
          stayCost[at++] = sameFrame(hold, next)
            ? shared
            : shared + to.entry[v] + chargeReframe(stage, oneString, hold, next, b.finger);
        }
      }
      stayStart[u + 1] = at;
    }
  }
  return { stayStart, stayTo, stayCost };
}

function countStays(from: HoldLayer, to: HoldLayer): number {
  let count = 0;
  from.touchList.forEach(({ position }, row) => {
    for (const column of to.touchesAt[position] ?? []) count += sizeOf(from, row) * sizeOf(to, column);
  });
  return count;
}

const sizeOf = ({ touchStart }: HoldLayer, touch: number) => touchStart[touch + 1] - touchStart[touch];

/** The hand travels to press a note, not to let an open string ring; a weak little finger may be kept out of it. */
export function mayMove(stage: Stage, from: Touch, to: Touch): boolean {
  if (from.position === to.position || to.finger === 0) return false;
  return stage.request.rules?.fourthFinger !== 'no-shift' || !(from.fourth || to.fourth);
}
