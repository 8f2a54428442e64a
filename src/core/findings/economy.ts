import { alongString, slotOf } from '../hand/finger';
import type { Finger, Level } from '../vocabulary';
import type { HandProfile } from '../instrument/record';
import { reachShare, spreadMm } from '../hand/reach';
import type { Setup } from '../instrument/setup';
import { samePlace } from '../planner/explain';
import { isCrowded } from './crowding';
import { isOctave } from './octaves';
import type { Played } from './played';
import { FAST } from './rough';
import type { ShiftDetail } from './shifts';

/** What the hand best does from one note to the next. */
export type Cue =
  | 'hold'
  | 'block'
  | 'float'
  | 'hop-back'
  | 'slide'
  | 'make-way'
  | 'bar'
  | 'bar-or-hop'
  | 'let-go'
  | 'unlock'
  | 'sung-slide'
  | 'high'
  | 'octaves'
  | 'low-string'
  | 'connect'
  | 'overlap'
  | 'double-stops'
  | 'elbow-back'
  | 'thumb-free'
  | 'base-free'
  | 'fourth-curved';

export interface CueAt {
  /** The note that the cue leads to. */
  readonly at: number;
  readonly cue: Cue;
  /** The fingers it is for. */
  readonly fingers: readonly Finger[];
  /** How far a finger slides, in mm. */
  readonly mm?: number;
  /** True on the highest string. */
  readonly thinnest?: boolean;
}

/** Who plays, and how fast. */
interface Player {
  readonly level: Level;
  readonly secondsPerBeat: number;
  readonly hand: HandProfile;
}

/** The cue that fits each step from event to event, one at a place; none where nothing is to be done but drop a finger. */
export function cuesFor(
  lines: readonly (readonly Played[])[],
  shifts: readonly ShiftDetail[],
  setup: Setup,
  { level, secondsPerBeat, hand }: Player,
): CueAt[] {
  const landings = new Map(shifts.map((detail) => [detail.shift.to, detail]));
  const leaves = new Set(shifts.map(({ shift }) => shift.from));
  const atRest = [...AT_REST];
  let rested = -Infinity;
  return lines.slice(1).flatMap((line, t): CueAt[] => {
    const [{ at, beats }] = line;
    const step = { lines, t: t + 1, hand, setup, fast: lines[t][0].beats * secondsPerBeat < FAST };
    const landing = landings.get(at);
    const may = (cue: Cue | null) => (cue && taught(cue, level) ? cue : null);
    const moves =
      line.length > 1 ? chordCue(step, landing !== undefined) : landing ? shiftCue(step, landing) : stayCue(step);
    const cue =
      may(moves) ??
      may(leaves.has(at) && follows(step, 1) && !step.fast && !(isOctave(line) && landing) ? 'unlock' : null) ??
      may(placeCue(step)) ??
      (beats * secondsPerBeat >= LONG_ENOUGH && at - rested >= APART ? (atRest.shift() ?? null) : null);
    if (cue && AT_REST.includes(cue)) rested = at;
    return cue ? [cueAt(cue, step)] : [];
  });
}

/** What a hand at rest looks after, each told once, on a note that is long enough to think of it. */
const AT_REST: readonly Cue[] = ['thumb-free', 'base-free', 'fourth-curved'];
/** Seconds; and the events from one to the next, for nobody thinks of all at once. */
const LONG_ENOUGH = 1;
const APART = 4;

/** One event of the line with what comes before and after it. */
interface At {
  readonly lines: readonly (readonly Played[])[];
  readonly t: number;
  readonly fast: boolean;
  readonly hand: HandProfile;
  readonly setup: Setup;
}

/** A note by itself some events on; none where a chord sounds, a rest lies between or the line ends. */
function single(step: At, on: number): Played | undefined {
  const line = step.lines[step.t + on];
  return line?.length === 1 && follows(step, on) ? line[0] : undefined;
}

/** True where no rest parts an event from the one so many on. */
function follows({ lines, t }: At, on: number): boolean {
  const line = lines[t + on];
  return line !== undefined && line[0].at - lines[t][0].at === on;
}

function cueAt(cue: Cue, step: At): CueAt {
  const { lines, t } = step;
  const [note] = lines[t];
  const before = single(step, -1);
  const { lengthMm } = step.setup;
  const slid = cue === 'slide' && before ? { mm: spreadMm(lengthMm, before.semitones, note.semitones) } : {};
  const thin = cue === 'high' && note.string === step.setup.strings.length - 1 ? { thinnest: true } : {};
  return { at: note.at, cue, fingers: fingersOf(cue, step), ...slid, ...thin };
}

function fingersOf(cue: Cue, step: At): Finger[] {
  const { lines, t } = step;
  const line = lines[t];
  if (line.length > 1) return line.map(({ finger }) => finger).filter((finger) => finger !== 0);
  const [{ finger }] = line;
  const [before, next] = [single(step, -1), single(step, 1)];
  if (cue === 'block' && next) return [finger, next.finger];
  return WITH_BEFORE.has(cue) && before ? [before.finger, finger] : [finger];
}

/** Cues for the finger before as much as for this one. */
const WITH_BEFORE: ReadonlySet<Cue> = new Set(['hold', 'make-way', 'let-go', 'connect', 'overlap']);

/** In the first year the hand learns to stay down and to fall together; the rest comes when that is sure. */
const FIRST_YEAR: ReadonlySet<Cue> = new Set(['hold', 'make-way', 'block', 'bar', 'octaves', 'double-stops']);

function taught(cue: Cue, level: Level): boolean {
  return level !== 'first-year' || FIRST_YEAR.has(cue);
}

/** A stop past this share of the string lies high: the hand has come to the body, and the bow goes nearer the bridge. */
const HIGH = 1 / 3;

function isHigh({ stopMm }: Played, { lengthMm }: Setup): boolean {
  return stopMm > HIGH * lengthMm;
}

function shiftCue(step: At, { from, to, cues }: ShiftDetail): Cue | null {
  const { fast, setup } = step;
  if (!follows(step, -1)) return null;
  if (fast) return 'float';
  if (cues.includes('slide-in')) return 'sung-slide';
  return isHigh(to, setup) && !isHigh(from, setup) ? 'high' : null;
}

/** The first of some octaves, or of other double stops, is told how they are held; later ones fall together where no finger makes way. */
function chordCue(step: At, shifted: boolean): Cue | null {
  const { lines, t, hand } = step;
  const [line, before] = [lines[t], lines[t - 1]];
  // Nothing leads to the very first event: it is told with the one after it.
  const first = t === 1 || chordKind(before) !== chordKind(line);
  if (isOctave(line)) return first ? 'octaves' : null;
  if (first) return 'double-stops';
  if (shifted || !follows(step, -1)) return null;
  const stopped = line.filter(({ finger }) => finger !== 0);
  const kept = stopped.some((note) => before.some((one) => alike(one, note)));
  const [low, high] = stopped;
  return stopped.length > 1 && !kept && !crowded(low, high, hand) ? 'block' : null;
}

const chordKind = (line: readonly Played[]) => (line.length === 1 ? 'none' : isOctave(line) ? 'octave' : 'other');

const alike = (one: Played, other: Played) =>
  one.string === other.string && one.semitones === other.semitones && one.finger === other.finger;

/** What is said of a place where the fingers have nothing of their own to do: arriving on the lowest string, and joining two notes. */
function placeCue(step: At): Cue | null {
  const [before, note] = [single(step, -1), single(step, 0)];
  if (!before || !note || note.finger === 0 || step.fast) return null;
  const letters = step.setup.instrument.fingering.by === 'letters';
  if (letters && note.string === 0 && before.string > 0) return 'low-string';
  if (letters && before.string === 0 && note.string > 0) return 'elbow-back';
  if (before.finger === 0 || !samePlace(before.step, note.step)) return null;
  if (Math.abs(note.string - before.string) === 1) return 'overlap';
  // The finger below lies ready before the one above is lifted.
  return note.string === before.string && rank(before) - rank(note) > 1 ? 'connect' : null;
}

/** An open string lies below every finger. */
const rank = ({ finger }: Played) => (finger === 0 ? -1 : alongString(slotOf(finger)));

function stayCue(step: At): Cue | null {
  const { fast, hand } = step;
  const [before, note, next] = [single(step, -1), single(step, 0), single(step, 1)];
  if (!before || !note || note.finger === 0) return null;
  if (note.string === before.string) return onOneString(step, before, note);
  const neighbours = Math.abs(note.string - before.string) === 1;
  if (neighbours && before.finger !== 0 && before.finger === note.finger && before.semitones === note.semitones)
    return rank(note) >= WEAK ? 'bar-or-hop' : 'bar';
  const falls = next && fallsWith(note, next, fast) && !crowded(note, next, hand) && spans(step, note, next);
  if (falls) return 'block';
  if (neighbours && letsGo(before, note) && !fast) return 'let-go';
  return fast ? 'float' : null;
}

/** The third and fourth fingers do not lie flat over two strings on every hand. */
const WEAK = alongString(slotOf(3));

function onOneString(step: At, before: Played, note: Played): Cue | null {
  if (before.finger === note.finger) return Math.abs(note.semitones - before.semitones) === 1 ? 'slide' : null;
  if (hopsBack(step, note)) return 'hop-back';
  if (before.finger === 0 || rank(note) < rank(before)) return null;
  if (crowded(before, note, step.hand)) return 'make-way';
  // At speed the fingers do not come down one by one. Held is only what stays where it is, and what the hand spans.
  const stays = note.step.hand[nameOf(before.finger)] === before.semitones;
  return !step.fast && stays && samePlace(before.step, note.step) && spans(step, before, note) ? 'hold' : null;
}

/** True where two fingers that lie at once are no farther apart than this hand opens. */
function spans({ hand, setup }: At, one: Played, other: Played): boolean {
  const [low, high] = rank(one) < rank(other) ? [one, other] : [other, one];
  const spread = spreadMm(setup.lengthMm, low.semitones, high.semitones);
  return reachShare(hand, slotOf(low.finger), slotOf(high.finger), spread) <= 1;
}

const nameOf = (finger: Finger) => String(finger) as keyof Played['step']['hand'];

function crowded(one: Played, other: Played, hand: HandProfile): boolean {
  return one.string === other.string && isCrowded(Math.abs(one.stopMm - other.stopMm), hand);
}

/** To the next string and back in one position: the fourth finger leaves as the first lands, and the other way round. */
function letsGo(before: Played, note: Played): boolean {
  const ends = [before.finger, note.finger];
  return ends.includes(4) && ends.includes(1) && samePlace(before.step, note.step);
}

/** Notes later the hand has forgotten where the finger was. */
const HOP_WITHIN = 4;

/** The same finger, with others between, at a new place on the string. */
function hopsBack(step: At, note: Played): boolean {
  for (let back = 1; back <= HOP_WITHIN; back++) {
    const other = single(step, -back);
    if (!other || other.string !== note.string || !samePlace(other.step, note.step)) return false;
    if (other.finger === note.finger) return other.semitones !== note.semitones;
  }
  return false;
}

/**
 * Coming to a new string on a higher finger with a lower one after it: both fall together. At speed any two do that follow each other there.
 */
function fallsWith(note: Played, next: Played, fast: boolean): boolean {
  return (
    next.string === note.string &&
    next.finger !== 0 &&
    next.finger !== note.finger &&
    (fast || rank(next) < rank(note)) &&
    samePlace(next.step, note.step)
  );
}
