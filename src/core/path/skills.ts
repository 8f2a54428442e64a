import { laidFingers, type FingerPlaces } from '../hand/finger';
import { resolveSetup, type Setup } from '../instrument/setup';
import { bowsOf } from '../material/bows';
import { letterSteps, parsePitch } from '../pitch/pitch';
import type {
  Finger,
  Plan,
  PlanRequest,
  PlanResponse,
  PositionNumber,
  ResponseEvent,
  Shift,
  Step,
} from '../vocabulary';

/*
 * What a plan asks of a player, one thing at a time, read off its fingering.
 */

/** One thing that is taught as one thing, with the events that show it. */
export interface Skill {
  /** Stable, the same for every plan: "position:3", "shift:up:2:same:1". */
  readonly id: string;
  readonly at: readonly number[];
}

type Sounding = Extract<ResponseEvent, { midi: unknown }>;

/** What is gathered, in the order in which it is first met. */
class Gathered {
  private readonly found = new Map<string, Set<number>>();

  add(id: string, ...at: readonly number[]) {
    const known = this.found.get(id) ?? new Set<number>();
    for (const one of at) known.add(one);
    this.found.set(id, known);
  }

  skills(): Skill[] {
    return [...this.found].map(([id, at]) => ({ id, at: [...at].sort((a, b) => a - b) }));
  }
}

/**
 * The skills of a plan.
 * @param response the answer the plan is one of
 */
export function skillsOf(request: PlanRequest, response: PlanResponse, plan: Plan): Skill[] {
  const setup = resolveSetup(request);
  const found = new Gathered();
  const shiftTo = new Map(plan.shifts.map((shift) => [shift.to, shift]));
  signatures(response, found);
  patterns(plan, shiftTo, found);
  plan.steps.forEach((step, t) => {
    const before = plan.steps[t - 1] as Step | undefined;
    held(step, setup, found);
    voices(step, response.events[step.at], setup, found);
    const shift = shiftTo.get(step.at);
    if (shift && before) found.add(shiftId(shift, before, step), shift.to);
    if (before) joined(before, step, shift !== undefined, setup, found);
  });
  replaced(plan, shiftTo, setup, found);
  bows(response, found);
  return found.skills();
}

function signatures({ key, changes = [] }: PlanResponse, found: Gathered) {
  found.add(`signature:${key.fifths}`, 0);
  for (const change of changes) if (change.key) found.add(`signature:${change.key.fifths}`, change.at);
}

/** The gaps between the fingers of a hand, from the thumb where it lies on the string. */
function gapsOf(hand: FingerPlaces): string | null {
  const laid = laidFingers(hand);
  if (laid.length < 2) return null;
  const gaps = laid.slice(1).map(([, semitones], at) => semitones - laid[at][1]);
  return `${laid[0][0] === 'T' ? 'T' : ''}${gaps.join('-')}`;
}

/** Hands at which two fingers or more stop on one string before the hand moves. */
function patterns({ steps }: Plan, shiftTo: ReadonlyMap<number, Shift>, found: Gathered) {
  let stay = new Map<string, { readonly gaps: string; readonly fingers: Set<Finger>; readonly at: number[] }>();
  for (const step of steps) {
    if (shiftTo.has(step.at)) stay = new Map();
    const [{ finger, string }] = step.stops;
    const gaps = gapsOf(step.hand);
    if (finger === 0 || gaps === null) continue;
    const key = `${string} ${JSON.stringify(step.hand)}`;
    const hand = stay.get(key) ?? { gaps, fingers: new Set<Finger>(), at: [] };
    hand.fingers.add(finger);
    hand.at.push(step.at);
    stay.set(key, hand);
    if (hand.fingers.size >= 2) found.add(`pattern:${gaps}`, ...hand.at);
  }
}

/** What a note by itself shows: string, position, how the hand is opened, the little finger for an open string, a harmonic. */
function held(step: Step, setup: Setup, found: Gathered) {
  const { at, stops, position, extended, contracted, frame } = step;
  for (const { string } of stops) found.add(`string:${string}`, at);
  if (stops.every(({ finger }) => finger === 0)) return;
  found.add(position === 'thumb' ? 'thumb' : `position:${position}`, at);
  if (extended) found.add(frame && frame !== 'closed' ? `extension:${frame}` : 'extension', at);
  if (contracted) found.add('contraction', at);
  for (const { string, finger, semitones, harmonic } of stops) {
    const number = stringNumber(setup, string);
    const next = setup.strings.at(number + 1);
    if (finger === 4 && !harmonic && next && setup.strings[number].midi + semitones === next.midi)
      found.add('fourth-for-open', at);
    if (harmonic) found.add('harmonic', at);
  }
}

const stringNumber = ({ strings }: Setup, name: string) => strings.findIndex((string) => string.name === name);

/** Intervals by the letters they span, from the unison; beyond the tenth they are named by their number. */
const INTERVALS = ['unison', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'octave', 'ninth', 'tenth'];

/** Notes that sound together, each with the next string's. */
function voices({ at, stops }: Step, event: ResponseEvent, setup: Setup, found: Gathered) {
  if (stops.length < 2 || !('midi' in event)) return;
  for (let one = 1; one < stops.length; one++) {
    const [low, high] = [stops[one - 1], stops[one]];
    const [from, to] = [low, high].map((stop) => letterOf(stop, event, setup));
    const name = INTERVALS.at(Math.abs(to - from)) ?? String(Math.abs(to - from) + 1);
    found.add(`double:${name}:${low.finger}-${high.finger}`, at);
  }
}

/** The letter, counted from C0, of what a stop sounds. */
function letterOf({ string, semitones }: Step['stops'][number], { pitches, midi }: Sounding, setup: Setup): number {
  const sounds = setup.strings[stringNumber(setup, string)].midi + semitones;
  const at = midi.indexOf(sounds);
  // A touched note sounds otherwise than where it lies: it is the one nearest to it.
  const nearest = midi.reduce((best, one, n) => (Math.abs(one - sounds) < Math.abs(midi[best] - sounds) ? n : best), 0);
  const pitch = parsePitch(pitches[at < 0 ? nearest : at]);
  return pitch ? letterSteps(pitch) : 0;
}

const isThumb = (position: PositionNumber) => position === 'thumb';

/** With the thumb on the string a shift is sized by its semitones: up to 2 is one step, up to 4 two, up to 7 three, up to 9 four. */
const THUMB_SIZES = [2, 4, 7, 9];
const MOST_SIZE = 5;

function sizeOf({ fromPosition, toPosition, semitones }: Shift): number {
  if (typeof fromPosition === 'number' && typeof toPosition === 'number')
    return Math.min(MOST_SIZE, Math.ceil(Math.abs(toPosition - fromPosition)));
  const size = THUMB_SIZES.findIndex((most) => semitones <= most);
  return size < 0 ? MOST_SIZE : size + 1;
}

/** Where the hand is: its lowest finger, in mm from the nut. */
const placeOf = ({ handMm }: Step) => handMm[0];

function shiftId(shift: Shift, from: Step, to: Step): string {
  if (!isThumb(shift.fromPosition) && isThumb(shift.toPosition)) return 'thumb:enter';
  if (isThumb(shift.fromPosition) && !isThumb(shift.toPosition)) return 'thumb:leave';
  const { fromPosition, toPosition } = shift;
  const rises =
    typeof fromPosition === 'number' && typeof toPosition === 'number' && fromPosition !== toPosition
      ? toPosition > fromPosition
      : placeOf(to) > placeOf(from);
  const fingers = to.stops.map(({ finger }) => finger).filter((finger) => finger !== 0);
  const landing = fingers.length > 1 ? lowest(fingers) : shift.toFinger;
  return `shift:${rises ? 'up' : 'down'}:${sizeOf(shift)}:${shift.kind.replace('-finger', '')}:${landing}`;
}

/** The lower-numbered of fingers; the thumb comes after them. */
const lowest = (fingers: readonly Finger[]) => [...fingers].sort((a, b) => orderOf(a) - orderOf(b))[0];
const orderOf = (finger: Finger) => (finger === 'T' ? 9 : finger);

/** What lies between two notes: a finger that slides, a string that is skipped. */
function joined(before: Step, step: Step, shifts: boolean, setup: Setup, found: Gathered) {
  const slides = step.stops.some(({ finger, string, semitones }) =>
    before.stops.some(
      (was) => was.finger === finger && was.string === string && Math.abs(was.semitones - semitones) === 1,
    ),
  );
  const isPressed = step.stops.some(({ finger }) => finger !== 0);
  if (slides && isPressed && !shifts) found.add('slide', before.at, step.at);
  const [was, is] = [before, step].map(({ stops }) => stops.map(({ string }) => stringNumber(setup, string)));
  const apart = Math.max(Math.min(...is) - Math.max(...was), Math.min(...was) - Math.max(...is));
  if (apart >= 2) found.add('skip', before.at, step.at);
}

/** A finger that lies low, then high (or the other way) on neighbouring strings or on one, while the hand stays. */
function replaced({ steps }: Plan, shiftTo: ReadonlyMap<number, Shift>, setup: Setup, found: Gathered) {
  let last = new Map<Finger, { readonly at: number; readonly string: number; readonly semitones: number; t: number }>();
  steps.forEach((step, t) => {
    if (shiftTo.has(step.at)) last = new Map();
    for (const { finger, string, semitones } of step.stops) {
      if (finger === 0) continue;
      const here = { at: step.at, string: stringNumber(setup, string), semitones, t };
      const was = last.get(finger);
      const slid = was?.string === here.string && was.t === t - 1;
      if (was && !slid && was.semitones !== semitones && Math.abs(was.string - here.string) <= 1)
        found.add('replaced', was.at, step.at);
      last.set(finger, here);
    }
  });
}

/** Notes to a bow that are told apart. */
const BOW_SIZES = [16, 12, 8, 6, 4, 3, 2];

/** The longest bow that occurs twice. */
function bows({ events }: PlanResponse, found: Gathered) {
  const long = bowsOf(events)
    .map(({ from, to }) => ({ from, notes: to - from + 1 }))
    .sort((a, b) => b.notes - a.notes || a.from - b.from);
  const second = long.at(1)?.notes ?? 1;
  const size = BOW_SIZES.find((one) => one <= second);
  if (size !== undefined)
    found.add(`bow:${size}`, ...long.filter(({ notes }) => notes >= size).map(({ from }) => from));
}
