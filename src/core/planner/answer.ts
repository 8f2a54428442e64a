import { alongString, fingerAt, THUMB, type FingerPlaces } from '../hand/finger';
import type {
  Finger,
  FrameAnswer,
  HandFrame,
  Plan,
  ReachAnswer,
  ResponseEvent,
  Shift,
  ShiftKind,
  Step,
} from '../vocabulary';
import { NO_FRAME, type HandModel, type Hold, type Stop } from '../hand/hold';
import { handMoves } from '../hand/moves';
import { reachVerdict } from '../hand/reach';
import { stopMm } from '../instrument/geometry';
import { bowing } from '../material/bows';
import { keysAt } from '../material/keys';
import type { MusicEvent } from '../material/events';
import { spellInKey } from '../pitch/inkey';
import { midiOf, pitchName } from '../pitch/pitch';
import { chargeAgain, chargeReturn, chargeStays, namedTerms, newTally } from './cost';
import { heldAlong } from './opened';
import { placeOf } from './place';
import { slideInPlace, type Candidate, type Context, type Held } from './cost';
import { chargeEvent } from './graph';
import { guideOf, lowerFinger, type Slide, type Touch } from './cost';
import type { Path } from './graph';
import { comesBackAlike, paidAgain, paidStays } from './graph';
import type { HoldTrellis } from './graph';

/*
 * Turns a path through the web into the plan that the contract describes.
 */

function responseEvent(event: MusicEvent): ResponseEvent {
  const bar = {
    ...(event.bar ? { bar: event.bar } : {}),
    ...(event.bars ? { bars: [...event.bars] } : {}),
    ...(event.doubleBar ? { doubleBar: event.doubleBar } : {}),
  };
  if (event.kind === 'rest') return { at: event.at, rest: true, beats: event.beats, ...bar };
  return {
    at: event.at,
    pitches: event.pitches.map(pitchName),
    midi: event.pitches.map(midiOf),
    beats: event.beats,
    ...bar,
    ...bowing(event),
    ...(event.accent ? { accent: event.accent } : {}),
    ...(event.short ? { short: event.short } : {}),
    ...(event.left ? { left: pitchName(event.left) } : {}),
  };
}

/** The events of an answer, with where phrases begin. */
export function responseEvents({ written, sounding, phrases }: Context): ResponseEvent[] {
  const begins = new Map([...phrases].map(([t, phrase]) => [sounding[t].at, phrase]));
  return written.events.map((event) => {
    const phrase = begins.get(event.at);
    return phrase ? { ...responseEvent(event), phrase } : responseEvent(event);
  });
}

export function plansOf(context: Context, trellis: HoldTrellis, paths: readonly Path[]): Plan[] {
  const known = new Map<Hold, HeldStep>();
  const heldStep = (hold: Hold): HeldStep => {
    const step = known.get(hold) ?? heldStepOf(context, hold);
    known.set(hold, step);
    return step;
  };
  return paths.map((path) => planOf(context, trellis, path, heldStep));
}

function planOf(context: Context, trellis: HoldTrellis, path: Path, heldStep: (hold: Hold) => HeldStep): Plan {
  const candidates = Array.from(path, (node, t) => trellis.layers[t].candidates[node]);
  const held = heldAlong(context, trellis, path);
  const tally = newTally();
  const costs = candidates.map((_, t) => chargeEvent(context, trellis, path, t, tally));
  chargeReturn(context, comesBackAlike(context, trellis, path), tally);
  chargeAgain(paidAgain(trellis, trellis.again, path), tally);
  if (trellis.stays) chargeStays(paidStays(trellis.stays, path), tally);
  const terms = namedTerms(tally);
  return {
    cost: Object.values(terms).reduce((sum, cost) => sum + cost, 0),
    terms,
    steps: held.map(({ hold }, t) => ({ ...heldStep(hold), at: context.sounding[t].at, cost: costs[t] })),
    shifts: shiftsOf(context, held),
    reach: candidates.flatMap((candidate, t) => reachOf(context, candidate, context.sounding[t].at)),
    frames: framesOf(context, held),
  };
}

/** A step that is yet to be given its time and cost; what it says of its hold is the same wherever that is taken. */
type HeldStep = Omit<Step, 'reasons'>;

function heldStepOf(context: Context, hold: Hold): HeldStep {
  const hand = handOf(context, hold);
  return {
    at: 0,
    cost: 0,
    stops: hold.stops.map((stop) => ({
      string: context.setup.strings[stop.string].name,
      finger: fingerAt(stop.finger),
      semitones: stop.semitones,
      stopMm: rounded(stopMm(context.setup.lengthMm, stop.semitones)),
      harmonic: stop.harmonic,
      ...(stop.harmonic ? { touch: stop.semitones } : {}),
    })),
    ...placeOf(context.model, hold.position),
    extended: hold.extended > 0,
    contracted: hold.contracted > 0,
    ...(hold.leaned ? { leaned: true as const } : {}),
    ...framed(context.model, hold),
    handMm: handMm(context, hand),
    hand,
  };
}

const FRAME_BY_SIDE: Readonly<Record<number, HandFrame>> = { 0: 'closed', 1: 'forward', [-1]: 'back' };

/** How a hand in frames lies, where it has several; nothing of other hands. */
function framed(model: HandModel, { position, side }: Hold): { readonly frame?: HandFrame } {
  const opens = [1, -1].some((aside) => model.frameAside(position, aside) !== NO_FRAME);
  return opens ? { frame: FRAME_BY_SIDE[side] } : {};
}

/** Where each finger lies; fingers without a place of their own rest in the position. */
function handOf(context: Context, hold: Hold): FingerPlaces {
  const string = hold.stops[0].string;
  const hand: { -readonly [Name in keyof FingerPlaces]: number } = {};
  for (let finger = 1; finger <= THUMB; finger++) {
    const own = hold.frame[finger];
    const stop = Number.isNaN(own) ? context.pricing.resting(hold.position, string, finger) : own;
    if (!Number.isNaN(stop)) hand[nameOf(finger)] = stop;
  }
  return hand;
}

/** A pressing finger as the answer's field for it. */
function nameOf(slot: number): keyof FingerPlaces {
  return String(fingerAt(slot) as Exclude<Finger, 0>) as keyof FingerPlaces;
}

/** From the lowest to the highest finger. */
function handMm({ pricing }: Context, hand: FingerPlaces): [number, number] {
  const stops = Object.values(hand);
  return [rounded(pricing.stops[Math.min(...stops)]), rounded(pricing.stops[Math.max(...stops)])];
}

/** To a tenth: no finger is placed more finely. */
function rounded(mm: number): number {
  return Math.round(mm * 10) / 10;
}

function shiftsOf(context: Context, held: readonly Held[]): Shift[] {
  return held.slice(1).flatMap((to, t) => {
    const from = held[t];
    return handMoves(from.hold, to.hold) ? [shiftOf(context, from, to, t)] : [];
  });
}

function shiftOf(context: Context, from: Held, to: Held, t: number): Shift {
  const { setup, model, sounding, music } = context;
  const kind = shiftKind(from.touch, to.touch);
  const { finger, string, start, end } = guideHeld(context, from, to, kind);
  const { stops } = context.pricing;
  // Unheard is the place in the old position that the new finger sets out from, or else the one in the new position.
  const guideStop = kind === 'new-finger' ? start : end;
  const [stays, leans] = [from.touch.position === to.touch.position, from.hold.leaned && to.hold.leaned];
  const frames = stays ? [framed(model, from.hold).frame, framed(model, to.hold).frame] : [];
  return {
    from: sounding[t].at,
    to: sounding[t + 1].at,
    fromFinger: fingerAt(from.touch.finger),
    toFinger: fingerAt(to.touch.finger),
    fromPosition: model.label(from.touch.position),
    toPosition: model.label(to.touch.position),
    ...(frames[0] && frames[1] ? { fromFrame: frames[0], toFrame: frames[1] } : {}),
    semitones: Math.abs(end - start),
    travelMm: rounded(Math.abs(stops[end] - stops[start])),
    kind,
    // Into thumb position no note guides: arm and first finger carry, and the thumb is set down. From pivot to pivot the thumb stays and guides.
    ...(kind === 'to-thumb' || (stays && leans)
      ? {}
      : {
          guide: {
            finger: fingerAt(finger),
            string: setup.strings[string].name,
            pitch: pitchName(spellInKey(keysAt(music)(sounding[t + 1].at), setup.strings[string].midi + guideStop)),
          },
        }),
    reasons: [],
  };
}

/** The guiding finger's way between two hands: on one string between the places it has in their frames, where it moves between them. */
function guideHeld({ pricing, model }: Context, from: Held, to: Held, kind: ShiftKind): Slide {
  if (from.touch.position === to.touch.position) return slideInPlace(model, from, to);
  const guide = guideOf(pricing, from.touch, to.touch);
  if (kind !== 'old-finger' && kind !== 'new-finger') return guide;
  const own = { ...guide };
  if (guide.finger !== from.touch.finger) own.start = placed(from.hold, guide.finger, guide.start);
  if (guide.finger !== to.touch.finger) own.end = placed(to.hold, guide.finger, guide.end);
  return own.start === own.end ? guide : own;
}

function placed({ frame }: Hold, finger: number, otherwise: number): number {
  return Number.isNaN(frame[finger]) ? otherwise : frame[finger];
}

function shiftKind(from: Touch, to: Touch): ShiftKind {
  if (from.thumbUp !== to.thumbUp) return to.thumbUp ? 'to-thumb' : 'from-thumb';
  if (from.finger === 0) return 'open-string';
  if (from.leadString !== to.leadString) return 'across-strings';
  if (from.finger === to.finger) return 'same-finger';
  return lowerFinger(from.finger, to.finger) === from.finger ? 'old-finger' : 'new-finger';
}

function reachOf(context: Context, candidate: Candidate, at: number): ReachAnswer[] {
  const { widest } = candidate;
  if (!widest) return [];
  return [
    {
      at,
      fingers: [fingerAt(widest.fingers[0]), fingerAt(widest.fingers[1])],
      spreadMm: rounded(widest.spreadMm),
      share: Math.round(widest.share * 1000) / 1000,
      verdict: reachVerdict(context.pricing.hand, widest.share),
    },
  ];
}

/** A run of notes on one string in one position. */
interface Frame {
  readonly from: number;
  to: number;
  readonly hold: Hold;
  readonly string: number;
  /** Where each finger that has played lies; NaN where it has not. */
  readonly places: number[];
}

/** Runs of notes on one string in one position with every finger in one place; open strings belong to none, each string of a double stop to its own. */
function framesOf(context: Context, held: readonly Held[]): FrameAnswer[] {
  const frames: Frame[] = [];
  const lastOn = new Map<number, Frame>();
  held.forEach(({ hold }, t) => {
    const { at } = context.sounding[t];
    for (const stop of hold.stops) {
      if (!pressed(stop)) continue;
      const last = lastOn.get(stop.string);
      const goesOn =
        last !== undefined &&
        last.hold.position === hold.position &&
        last.to === (context.sounding[t - 1]?.at ?? -1) &&
        hasRoom(last.places, stop);
      const frame = goesOn
        ? last
        : { from: at, to: at, hold, string: stop.string, places: [NaN, NaN, NaN, NaN, NaN, NaN] };
      if (!goesOn) frames.push(frame);
      frame.to = at;
      frame.places[stop.finger] = stop.semitones;
      lastOn.set(stop.string, frame);
    }
  });
  return frames.map(({ from, to, string, hold, places }) => {
    const laid = FROM_THE_THUMB.filter((finger) => !Number.isNaN(places[finger]));
    return {
      from,
      to,
      string: context.setup.strings[string].name,
      ...placeOf(context.model, hold.position),
      fingers: Object.fromEntries(laid.map((finger) => [nameOf(finger), places[finger]])),
      gaps: laid.slice(1).map((finger, at) => places[finger] - places[laid[at]]),
    };
  });
}

const FROM_THE_THUMB = [THUMB, 1, 2, 3, 4];

function pressed({ finger }: Stop): boolean {
  return finger > 0;
}

/** True where a finger can lie down beside the others: in its one place, and not below a lower finger. */
function hasRoom(places: readonly number[], { finger, semitones }: Stop): boolean {
  return FROM_THE_THUMB.every((other) => {
    const place = places[other];
    if (Number.isNaN(place)) return true;
    if (other === finger) return place === semitones;
    return alongString(other) < alongString(finger) ? place <= semitones : place >= semitones;
  });
}
