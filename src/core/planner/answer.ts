import { THUMB, type Hold } from '../hand/hold';
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
    steps: grips.map(({ hold }, t) => ({ at: stage.sounding[t].at, cost: costs[t], ...heldStep(hold) })),
    shifts: shiftsOf(stage, web, touches),
    reach: grips.flatMap((grip, t) => reachOf(stage, grip, stage.sounding[t].at)),
    frames: framesOf(stage, grips),
  };
}

/** What a step says of its hold; the same wherever it is taken. */
type HeldStep = Omit<Step, 'at' | 'cost' | 'reasons'>;

function heldStepOf(stage: Stage, hold: Hold): HeldStep {
  const { label, name } = stage.model.label(hold.position);
  const hand = handOf(stage, hold);
  return {
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
    hand: Object.fromEntries([...hand].map(([finger, stop]) => [String(fingerName(finger)), stop])),
  };
}

/** Where each finger lies; fingers without a place of their own rest in the position. */
function handOf(stage: Stage, hold: Hold): Map<number, number> {
  const string = hold.stops[0].string;
  const hand = new Map<number, number>();
  for (let finger = 1; finger <= THUMB; finger++) {
    const own = hold.frame[finger];
    const stop = Number.isNaN(own) ? stage.scene.resting(hold.position, string, finger) : own;
    if (!Number.isNaN(stop)) hand.set(finger, stop);
  }
  return hand;
}

/** From the lowest to the highest finger. */
function handMm(stage: Stage, hand: ReadonlyMap<number, number>): [number, number] {
  const stops = [...hand.values()];
  const mm = stage.scene.stops;
  return [rounded(mm[Math.min(...stops)]), rounded(mm[Math.max(...stops)])];
}

/** To a tenth: no finger is placed more finely. */
function rounded(mm: number): number {
  return Math.round(mm * 10) / 10;
}

function shiftsOf(stage: Stage, web: Web, touches: readonly Touch[]): Shift[] {
  return touches.slice(1).flatMap((to, t) => {
    const from = touches[t];
    return from.position === to.position ? [] : [shiftOf(stage, from, to, web.between[t], t)];
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

/** Runs of notes on one string in one position with every finger in one place; open strings belong to none. */
function framesOf(stage: Stage, grips: readonly Grip[]): FrameAnswer[] {
  const frames: { from: number; to: number; hold: Hold; string: number; fingers: Map<number, number> }[] = [];
  grips.forEach(({ hold }, t) => {
    const pressed = hold.stops.filter((stop) => stop.finger > 0);
    if (pressed.length === 0) return;
    const { at } = stage.sounding[t];
    const last = frames[frames.length - 1];
    const string = pressed[0].string;
    const goesOn =
      last !== undefined &&
      last.string === string &&
      last.hold.position === hold.position &&
      last.to === (stage.sounding[t - 1]?.at ?? -1) &&
      inOrder([...last.fingers, ...pressed.map((stop) => [stop.finger, stop.semitones] as const)]);
    const frame = goesOn ? last : { from: at, to: at, hold, string, fingers: new Map<number, number>() };
    if (!goesOn) frames.push(frame);
    frame.to = at;
    for (const stop of pressed) frame.fingers.set(stop.finger, stop.semitones);
  });
  return frames.map(({ from, to, hold, string, fingers }) => {
    const laid = [...fingers].sort((a, b) => (a[0] % THUMB) - (b[0] % THUMB));
    return {
      from,
      to,
      string: stage.setup.strings[string].name,
      position: stage.model.label(hold.position).label,
      fingers: Object.fromEntries(laid.map(([finger, n]) => [String(fingerName(finger)), n])),
      gaps: laid.slice(1).map(([, n], at) => n - laid[at][1]),
    };
  });
}

/** True where each finger has one place only and no finger lies below a lower one. */
function inOrder(laid: readonly (readonly [number, number])[]): boolean {
  return laid.every(([a, m]) =>
    laid.every(([b, n]) => (a === b ? m === n : a % THUMB < b % THUMB ? m <= n : m >= n)),
  );
}
