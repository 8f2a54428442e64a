import { THUMB, type Hold, type Stop } from '../hand/hold';
import { reachVerdict } from '../hand/reach';
import { stopMm } from '../instrument/geometry';
import type { MusicEvent } from '../material/events';
import { spellInKey } from '../pitch/inkey';
import { midiOf, pitchName } from '../pitch/pitch';
import { chargeReturn, namedTerms, newTally } from './charges';
import type {
  FingerName,
  FrameAnswer,
  Plan,
  ReachAnswer,
  ResponseEvent,
  Shift,
  ShiftKind,
  Step,
} from './response';
import type { Grip, Stage } from './scene';
import { chargeEvent } from './tally';
import { slide, slideIn, type Between, type Touch } from './terms';
import type { Path } from './trellis';
import { comesBackAlike } from './wayback';
import type { Web } from './weave';

/*
 * Turns a path through the web into the plan that the contract describes.
 */

export function fingerName(finger: number): FingerName {
  return finger === THUMB ? 'T' : (finger as FingerName);
}

export function responseEvent(event: MusicEvent): ResponseEvent {
  const bar = event.bar ? { bar: event.bar } : {};
  if (event.kind === 'rest') return { at: event.at, rest: true, beats: event.beats, ...bar };
  return {
    at: event.at,
    pitches: event.pitches.map(pitchName),
    midi: event.pitches.map(midiOf),
    beats: event.beats,
    ...bar,
  };
}

export function plansOf(stage: Stage, web: Web, paths: readonly Path[]): Plan[] {
  const known = new Map<Hold, HeldStep>();
  const heldStep = (hold: Hold): HeldStep => {
    const step = known.get(hold) ?? heldStepOf(stage, hold);
    known.set(hold, step);
    return step;
  };
  return paths.map((path) => planOf(stage, web, path, heldStep));
}

function planOf(stage: Stage, web: Web, path: Path, heldStep: (hold: Hold) => HeldStep): Plan {
  const grips = Array.from(path, (node, t) => web.layers[t].grips[node]);
  const touches = Array.from(path, (node, t) => web.layers[t].touchList[web.layers[t].touchOf[node]]);
  const tally = newTally();
  const costs = grips.map((_, t) => chargeEvent(stage, web, path, t, tally));
  chargeReturn(stage, comesBackAlike(stage, web, path), tally);
  const terms = namedTerms(tally);
  return {
    cost: Object.values(terms).reduce((sum, cost) => sum + cost, 0),
    terms,
    steps: grips.map(({ hold }, t) => ({ ...heldStep(hold), at: stage.sounding[t].at, cost: costs[t] })),
    shifts: shiftsOf(stage, web, touches),
    reach: grips.flatMap((grip, t) => reachOf(stage, grip, stage.sounding[t].at)),
    frames: framesOf(stage, grips),
  };
}

/** A step that is yet to be given its time and cost; what it says of its hold is the same wherever that is taken. */
type HeldStep = Omit<Step, 'reasons'>;

function heldStepOf(stage: Stage, hold: Hold): HeldStep {
  const { label, name } = stage.model.label(hold.position);
  const hand = handOf(stage, hold);
  return {
    at: 0,
    cost: 0,
    stops: hold.stops.map((stop) => ({
      string: stage.setup.strings[stop.string].name,
      finger: fingerName(stop.finger),
      semitones: stop.semitones,
      stopMm: rounded(stopMm(stage.setup.lengthMm, stop.semitones)),
      harmonic: stop.harmonic,
    })),
    position: label,
    positionName: name,
    extended: hold.extended > 0,
    ...(hold.leaned ? { leaned: true as const } : {}),
    handMm: handMm(stage, hand),
    hand,
  };
}

/** Where each finger lies; fingers without a place of their own rest in the position. */
function handOf(stage: Stage, hold: Hold): Step['hand'] {
  const string = hold.stops[0].string;
  const hand: Partial<Record<keyof Step['hand'], number>> = {};
  for (let finger = 1; finger <= THUMB; finger++) {
    const own = hold.frame[finger];
    const stop = Number.isNaN(own) ? stage.scene.resting(hold.position, string, finger) : own;
    if (!Number.isNaN(stop)) hand[finger === THUMB ? 'T' : (finger as 1 | 2 | 3 | 4)] = stop;
  }
  return hand;
}

/** From the lowest to the highest finger. */
function handMm({ scene }: Stage, hand: Step['hand']): [number, number] {
  const stops = Object.values(hand);
  return [rounded(scene.stops[Math.min(...stops)]), rounded(scene.stops[Math.max(...stops)])];
}

/** To a tenth: no finger is placed more finely. */
function rounded(mm: number): number {
  return Math.round(mm * 10) / 10;
}

function shiftsOf(stage: Stage, web: Web, touches: readonly Touch[]): Shift[] {
  return touches.slice(1).flatMap((to, t) => {
    const from = touches[t];
    return from.position === to.position ? [] : [shiftOf(stage, from, to, web.moments[t], t)];
  });
}

function shiftOf(stage: Stage, from: Touch, to: Touch, between: Between, t: number): Shift {
  const { setup, model, sounding, music } = stage;
  const kind = shiftKind(stage, from, to, between);
  const path = (kind === 'new-finger' ? slideIn : slide)(stage.scene, from, to);
  const { stops } = stage.scene;
  // The guide is the note the sliding finger touches unheard: where the old one lands, or where the new one sets out.
  const guideStop = kind === 'new-finger' || kind === 'open-string' ? path.start : path.end;
  return {
    from: sounding[t].at,
    to: sounding[t + 1].at,
    fromFinger: fingerName(from.finger),
    toFinger: fingerName(to.finger),
    fromPosition: model.label(from.position).label,
    toPosition: model.label(to.position).label,
    semitones: Math.abs(path.end - path.start),
    travelMm: rounded(Math.abs(stops[path.end] - stops[path.start])),
    kind,
    guide: {
      finger: fingerName(path.finger),
      string: setup.strings[path.string].name,
      pitch: pitchName(spellInKey(music.key, setup.strings[path.string].midi + guideStop)),
    },
    reasons: [],
  };
}

/** In singing style a slow shift up by a third or more is made by the new finger, so that the slide is heard into the note. */
const SINGING_LEAP = 3;

function shiftKind(stage: Stage, from: Touch, to: Touch, between: Between): ShiftKind {
  if (from.finger === 0) return 'open-string';
  if (from.leadString !== to.leadString) return 'across-strings';
  if (from.finger === to.finger) return 'same-finger';
  const leap = to.semitones - from.semitones;
  const sung = stage.request.style === 'singing' && leap >= SINGING_LEAP && between.haste.shift <= 1;
  return sung && to.finger > from.finger ? 'new-finger' : 'old-finger';
}

function reachOf(stage: Stage, grip: Grip, at: number): ReachAnswer[] {
  const { widest } = grip;
  if (!widest) return [];
  return [
    {
      at,
      fingers: [fingerName(widest.fingers[0]), fingerName(widest.fingers[1])],
      spreadMm: rounded(widest.spreadMm),
      share: Math.round(widest.share * 1000) / 1000,
      verdict: reachVerdict(stage.scene.hand, widest.share),
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

/** Runs of notes on one string in one position with every finger in one place; open strings belong to none. */
function framesOf(stage: Stage, grips: readonly Grip[]): FrameAnswer[] {
  const frames: Frame[] = [];
  grips.forEach(({ hold }, t) => {
    const lowest = hold.stops.find(pressed);
    if (!lowest) return;
    const { at } = stage.sounding[t];
    const last = frames[frames.length - 1];
    const goesOn =
      last !== undefined &&
      last.string === lowest.string &&
      last.hold.position === hold.position &&
      last.to === (stage.sounding[t - 1]?.at ?? -1) &&
      hold.stops.every((stop) => !pressed(stop) || hasRoom(last.places, stop));
    const frame = goesOn
      ? last
      : { from: at, to: at, hold, string: lowest.string, places: [NaN, NaN, NaN, NaN, NaN, NaN] };
    if (!goesOn) frames.push(frame);
    frame.to = at;
    for (const stop of hold.stops) if (pressed(stop)) frame.places[stop.finger] = stop.semitones;
  });
  return frames.map(({ from, to, string, hold, places }) => {
    const laid = FROM_THE_THUMB.filter((finger) => !Number.isNaN(places[finger]));
    return {
      from,
      to,
      string: stage.setup.strings[string].name,
      position: stage.model.label(hold.position).label,
      fingers: Object.fromEntries(laid.map((finger) => [String(fingerName(finger)), places[finger]])),
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
    return other % THUMB < finger % THUMB ? place <= semitones : place >= semitones;
  });
}
