import { beatGroup, onsetsOf, readTime } from '../../material/bars';
import { returnsTo, SECOND } from '../../material/neighbours';
import { isLongNote } from '../../material/tempo';
import type { MusicEvent, SoundingEvent } from '../../material/events';
import { midiOf } from '../../pitch/pitch';
import { forbidden, locksAt } from './candidates';
import { acrossCost, contextTo, type Context } from '../cost';
import { NO_STRING, SHIFT_EASES, shiftShare, stoneTerm, type Transition, type PricedTransition } from '../cost';
import { hasteFor } from '../cost';

/*
 * What lies between two neighbouring notes, whatever the fingering. Most moments of a piece are alike; equal ones are one.
 */

/** The moments of a stage, one between each two neighbouring sounding events. */
export function transitionsOf(context: Context): PricedTransition[] {
  const { events, pickup } = context.music;
  const { sounding, phrases, parts } = context;
  const strings = rockingStrings(context);
  const alternating = alternatingSeconds(context);
  const figured = insideFigures(context);
  const bowed = sounding.some(({ slur }) => slur === true);
  const onsets: number[] = [];
  events.reduce((onset, event) => (onsets.push(onset), onset + event.beats), 0);
  const top = topsOf(context);
  return sounding.slice(1).map((event, t) => {
    const own = contextTo(context, t + 1);
    const before = sounding[t];
    const beats = onsets[event.at] - onsets[before.at];
    const came = t > 0 && !parts.has(t) ? top[t] - top[t - 1] : 0;
    const goes = top[t + 1] - top[t];
    const line = Math.sign(goes);
    const seconds = Math.max(0.01, beats * context.secondsPerBeat);
    const quick = seconds < QUICK;
    const lockedFingers = [before, event].map((one) => locksAt(context, one).map(({ finger }) => finger));
    const moment: Omit<Transition, 'haste'> = {
      semitone: Math.abs(goes) === 1,
      line,
      rocks: [strings[t], strings[t + 1]],
      turn: came * goes < 0,
      onBeat: isWhole(onsets[event.at] - pickup),
      alternates: alternating[t] && (!context.model.fixedFrames || before.slur === true || quick),
      byStep: goesByStep(context, top, t) ? line : 0,
      byThrees: goesByThrees(context) ? line : 0,
      bow: !bowed ? undefined : before.slur === true ? 'goes-on' : 'changes',
      quick,
      rest: hasRest(events, before.at, event.at),
      free: parts.has(t + 1),
      phrase: phrases.has(t + 1),
      inFigure: figured[t],
      short: before.short === true,
      glides: lockedFingers[0].some((finger) => finger !== undefined && lockedFingers[1].includes(finger)),
      noShift:
        forbidden(context, event).some((one) => 'shift' in one) ||
        isPrepared(context, event) ||
        waitsForSemitone(own, top, t),
      mustShift: locksAt(context, event).some(({ shift }) => shift),
    };
    const tag = `${beats} ${Object.values(moment).join(' ')}`;
    const known = own.tables.transitions;
    let transition = known.get(tag);
    if (!transition) {
      transition = priced(own, { ...moment, haste: hasteFor(seconds) }, known.size);
      known.set(tag, transition);
    }
    return transition;
  });
}

/** The highest pitch of each event. */
function topsOf({ sounding }: Context): number[] {
  return sounding.map(({ pitches }) => midiOf(pitches[pitches.length - 1]));
}

/** Sums of thirds differ in the last bits. */
const EXACT = 1e-6;
const isWhole = (beats: number) => Math.abs(beats - Math.round(beats)) < EXACT;

/** True where the hand is to be in the place of a later note already. */
function isPrepared({ request }: Context, { at }: SoundingEvent): boolean {
  return (request.rules?.prepare ?? []).some(({ from, for: goal }) => from < at && at <= goal);
}

/** Of each two neighbours whether they lie inside a figure of a piece. */
function insideFigures(context: Context): boolean[] {
  const { sounding, music, request, parts, phrases } = context;
  const inside = sounding.map(() => false);
  if (request.material.type !== 'notes') return inside;
  const single = singlePitches(context);
  const parted = (t: number) => parts.has(t) || phrases.has(t);
  for (let t = 0; t + 2 < sounding.length; t++)
    if (!parted(t + 1) && !parted(t + 2) && returnsTo(single, t)) inside.fill(true, t, t + 2);
  const onsets = onsetsOf(music.events);
  const places = barsPlaces(music);
  for (let from = 0, to = 1; from < sounding.length; from = to++) {
    const group = places(onsets[sounding[from].at]);
    while (to < sounding.length && places(onsets[sounding[to].at]) === group && isNext(sounding, to)) to++;
    if (to - from >= FIGURE) inside.fill(true, from, to - 1);
  }
  return inside;
}

/** Notes of one beat from which they are a figure. */
const FIGURE = 3;

const isNext = (sounding: readonly SoundingEvent[], t: number) => sounding[t].at === sounding[t - 1].at + 1;

/** Which beat of its bars something lies in that begins so many beats from the start: a quarter, or a dotted one where eighths go by threes. */
function barsPlaces({ time, pickup }: Context['music']): (onset: number) => number {
  const group = (beatGroup(time) * readTime(time).of) / 4;
  return (onset) => Math.floor((onset - pickup) / group + EXACT);
}

/** Of each event whether it is the top of a line and long, accented or repeated. */
export function heldTops(context: Context): boolean[] {
  const { sounding, parts, secondsPerBeat } = context;
  const top = topsOf(context);
  const height = (t: number, edge: number) => (t < 0 || t >= top.length || parts.has(edge) ? -Infinity : top[t]);
  return sounding.map(({ accent, beats }, t) => {
    let [first, last] = [t, t];
    while (height(first - 1, first) === top[t]) first--;
    while (height(last + 1, last + 1) === top[t]) last++;
    const above = top[t] > height(first - 1, first) && top[t] > height(last + 1, last + 1);
    return above && (last > first || accent === true || isLongNote(beats, secondsPerBeat));
  });
}

/** Octaves from which a scale goes up the neck in blocks. */
const IN_BLOCKS = 3;

/** True of a step of a scale so long; where the hand lies in frames, of its upper octaves alone: below it has the strings to go to. */
function goesByStep({ request: { material }, model }: Context, top: readonly number[], t: number): boolean {
  if (material.type !== 'scale' || material.octaves < IN_BLOCKS || material.scale === 'chromatic') return false;
  const lowest = Math.min(top[0], top[top.length - 1]);
  return !model.fixedFrames || Math.min(top[t], top[t + 1]) >= lowest + 12;
}

/** True of a chromatic scale where the hand goes in groups of three. */
function goesByThrees({ request: { material }, pricing }: Context): boolean {
  return material.type === 'scale' && material.scale === 'chromatic' && pricing.weights.chromaticFourth > 0;
}

/** How many notes before and after a step a semitone is near enough to be waited for. */
const NEAR = 2;

/** True of a step wider than a semitone with a semitone step near, where shifts are to arrive on semitones. */
function waitsForSemitone({ request, parts }: Context, top: readonly number[], t: number): boolean {
  if (request.rules?.shiftOn !== 'semitone') return false;
  const isSemitone = (at: number) => !parts.has(at + 1) && Math.abs(top[at + 1] - top[at]) === 1;
  const near = Array.from({ length: 2 * NEAR + 1 }, (_, n) => t - NEAR + n);
  return !isSemitone(t) && near.some(isSemitone);
}

/** Notes from which a second alternates: fewer are the turning point of a line. */
const ALTERNATING = 4;
/** Seconds a note below which hands that lie in frames do not cross to a neighbour and back. */
const QUICK = 0.3;

const singlePitches = ({ sounding }: Context) =>
  sounding.map(({ pitches }) => (pitches.length === 1 ? midiOf(pitches[0]) : NaN));

/** Of each two neighbours whether they lie in a second that alternates. */
function alternatingSeconds(context: Context): boolean[] {
  const single = singlePitches(context);
  const inside = single.map(() => false);
  const isSecond = (t: number) =>
    !context.parts.has(t + 1) && single[t] !== single[t + 1] && Math.abs(single[t + 1] - single[t]) <= SECOND;
  for (let from = 0; from + 1 < single.length;) {
    let to = from;
    while (isSecond(to) && (to === from || single[to + 1] === single[to - 1])) to++;
    if (to - from + 1 >= ALTERNATING) inside.fill(true, from, to);
    from = Math.max(to, from + 1);
  }
  return inside;
}

/** Of each event the open string that sounds it, where it comes again with another note, a leap away, between; else NO_STRING. */
function rockingStrings(context: Context): number[] {
  const { sounding, setup, parts } = context;
  const single = singlePitches(context);
  const rocks = sounding.map(() => NO_STRING);
  for (let t = 2; t < single.length; t++) {
    if (parts.has(t) || parts.has(t - 1)) continue;
    if (single[t] !== single[t - 2] || Math.abs(single[t] - single[t - 1]) <= SECOND) continue;
    rocks[t] = rocks[t - 2] = setup.strings.findIndex(({ midi }) => midi === single[t]);
  }
  return rocks;
}

function priced({ pricing, setup }: Context, transition: Transition, number: number): PricedTransition {
  const { weights } = pricing;
  const shares = new Float64Array(SHIFT_EASES);
  for (let ease = 0; ease < SHIFT_EASES; ease++) shares[ease] = shiftShare(weights, ease, transition);
  const across = new Float64Array(2 * setup.strings.length - 1);
  for (let at = 0; at < across.length; at++) across[at] = acrossCost(weights, at - (across.length >> 1), transition);
  return { ...transition, number, shares, across, stone: stoneTerm(weights, transition) };
}

function hasRest(events: readonly MusicEvent[], from: number, to: number): boolean {
  return to - from > 1 && events.slice(from + 1, to).some((event) => event.kind === 'rest');
}
