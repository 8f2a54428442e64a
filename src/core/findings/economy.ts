import { alongString, slotOf, type Finger } from '../hand/finger';
import type { HandProfile } from '../hand/profile';
import { isCrowded } from './crowding';
import { samePlace } from '../planner/explain';
import type { Plan } from '../planner/response';
import type { Played } from './played';
import type { Level } from '../pitch/levels';

/** What the hand best does from one note to the next. */
export type Cue =
  'hold' | 'block' | 'float' | 'hop-back' | 'slide' | 'make-way' | 'bar' | 'bar-or-hop' | 'let-go' | 'unlock';

export interface CueAt {
  /** The note that the cue leads to. */
  readonly at: number;
  readonly cue: Cue;
  /** The fingers it is for. */
  readonly fingers: readonly Finger[];
}

/** Notes faster than this have no time to build the hand finger by finger: block and float take over. In seconds. */
const FAST = 0.3;

/** Who plays, and how fast. */
interface Player {
  readonly level: Level;
  readonly secondsPerBeat: number;
  readonly hand: HandProfile;
}

/** The cue that fits each step between single notes, one at a place; none where nothing is to be done but drop a finger. */
export function cuesFor(
  notes: readonly Played[],
  plan: Plan,
  { level, secondsPerBeat, hand }: Player,
): CueAt[] {
  const shifts = new Set(plan.shifts.map(({ to }) => to));
  const leaves = new Set(plan.shifts.map(({ from }) => from));
  const single = notes.filter((note) => note.step.stops.length === 1);
  return single.slice(1).flatMap((note, t) => {
    const before = single[t];
    const fast = before.beats * secondsPerBeat < FAST;
    const own = shifts.has(note.at) ? shiftCue(fast) : stayCue(single, t + 1, fast, hand);
    const taughtCue = own && taught(own, level) ? own : null;
    const cue = taughtCue ?? (leaves.has(note.at) && !fast && taught('unlock', level) ? 'unlock' : null);
    return cue ? [{ at: note.at, cue, fingers: fingersOf(cue, before, note, single[t + 2]) }] : [];
  });
}

function fingersOf(cue: Cue, before: Played, note: Played, next: Played | undefined): Finger[] {
  if (cue === 'block' && next) return [note.finger, next.finger];
  return cue === 'hold' || cue === 'make-way' || cue === 'let-go'
    ? [before.finger, note.finger]
    : [note.finger];
}

/** In the first year the hand learns to stay down and to fall together; the rest comes when that is sure. */
const FIRST_YEAR: ReadonlySet<Cue> = new Set(['hold', 'make-way', 'block', 'bar']);

function taught(cue: Cue, level: Level): boolean {
  return level !== 'first-year' || FIRST_YEAR.has(cue);
}

function shiftCue(fast: boolean): Cue | null {
  return fast ? 'float' : null;
}

/** An open string lies below every finger. */
const rank = ({ finger }: Played) => (finger === 0 ? -1 : alongString(slotOf(finger)));

function stayCue(notes: readonly Played[], t: number, fast: boolean, hand: HandProfile): Cue | null {
  const [before, note] = [notes[t - 1], notes[t]];
  if (note.finger === 0) return null;
  if (note.string === before.string) return onOneString(notes, t, fast, hand);
  const neighbours = Math.abs(note.string - before.string) === 1;
  if (
    neighbours &&
    before.finger !== 0 &&
    before.finger === note.finger &&
    before.semitones === note.semitones
  )
    return rank(note) >= WEAK ? 'bar-or-hop' : 'bar';
  const next = notes[t + 1];
  const falls = next && fallsWith(note, next, fast) && !crowded(note, next, hand);
  if (falls) return 'block';
  if (neighbours && letsGo(before, note) && !fast) return 'let-go';
  return fast ? 'float' : null;
}

/** The third and fourth fingers do not lie flat over two strings on every hand. */
const WEAK = alongString(slotOf(3));

function onOneString(notes: readonly Played[], t: number, fast: boolean, hand: HandProfile): Cue | null {
  const [before, note] = [notes[t - 1], notes[t]];
  if (before.finger === note.finger)
    return Math.abs(note.semitones - before.semitones) === 1 ? 'slide' : null;
  if (hopsBack(notes, t)) return 'hop-back';
  if (before.finger === 0 || rank(note) < rank(before)) return null;
  if (crowded(before, note, hand)) return 'make-way';
  // At speed the fingers do not come down one by one.
  return fast ? null : 'hold';
}

function crowded(one: Played, other: Played, hand: HandProfile): boolean {
  return one.string === other.string && isCrowded(Math.abs(one.stopMm - other.stopMm), hand);
}

/** To the next string and back in one position: the fourth finger leaves as the first lands, and the other way round. */
function letsGo(before: Played, note: Played): boolean {
  const ends = [before.finger, note.finger];
  return ends.includes(4) && ends.includes(1) && samePlace(before.step, note.step);
}

/** The same finger, with others between, at a new place on the string. */
function hopsBack(notes: readonly Played[], t: number): boolean {
  const note = notes[t];
  for (let back = t - 1; back >= 0 && t - back <= 4; back--) {
    const other = notes[back];
    if (other.string !== note.string || !samePlace(other.step, note.step)) return false;
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
