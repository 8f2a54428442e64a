import { alongString, slotOf } from '../hand/finger';
import { samePlace } from '../planner/explain';
import type { Plan } from '../planner/response';
import type { Played } from './played';
import type { Level } from './targets';

/** What the hand best does from one note to the next. */
export type Cue = 'hold' | 'block' | 'float' | 'hop-back' | 'slide' | 'bar';

export interface CueAt {
  /** The note that the cue leads to. */
  readonly at: number;
  readonly cue: Cue;
}

/** Notes faster than this have no time to build the hand finger by finger: block and float take over. In seconds. */
const FAST = 0.3;

/**
 * The cue that fits each step between single notes; none where nothing is to be done but drop a finger.
 * @param secondsPerBeat at the tempo of the plan
 */
export function cuesFor(notes: readonly Played[], plan: Plan, level: Level, secondsPerBeat: number): CueAt[] {
  const shifts = new Set(plan.shifts.map(({ to }) => to));
  const single = notes.filter((note) => note.step.stops.length === 1);
  return single.slice(1).flatMap((note, t) => {
    const before = single[t];
    const fast = before.beats * secondsPerBeat < FAST;
    const cue = shifts.has(note.at) ? shiftCue(fast) : stayCue(single, t + 1, fast);
    return cue && taught(cue, level) ? [{ at: note.at, cue }] : [];
  });
}

/** In the first year the hand learns to stay down and to fall together; the rest comes when that is sure. */
function taught(cue: Cue, level: Level): boolean {
  return level !== 'first-year' || cue === 'hold' || cue === 'block' || cue === 'bar';
}

function shiftCue(fast: boolean): Cue | null {
  return fast ? 'float' : null;
}

/** An open string lies below every finger. */
const rank = ({ finger }: Played) => (finger === 0 ? -1 : alongString(slotOf(finger)));

function stayCue(notes: readonly Played[], t: number, fast: boolean): Cue | null {
  const [before, note] = [notes[t - 1], notes[t]];
  if (note.finger === 0) return null;
  if (note.string === before.string) {
    if (before.finger === note.finger)
      return Math.abs(note.semitones - before.semitones) === 1 ? 'slide' : null;
    if (hopsBack(notes, t)) return 'hop-back';
    return before.finger !== 0 && rank(note) > rank(before) ? 'hold' : null;
  }
  if (before.finger !== 0 && before.finger === note.finger && before.semitones === note.semitones)
    return 'bar';
  if (fallsFrom(notes, t)) return 'block';
  return fast ? 'float' : null;
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

/** Coming to a new string on a higher finger with a lower one after it: both fall together. */
function fallsFrom(notes: readonly Played[], t: number): boolean {
  const [note, next] = [notes[t], notes[t + 1]];
  return (
    next !== undefined &&
    next.string === note.string &&
    next.finger !== 0 &&
    rank(next) < rank(note) &&
    samePlace(next.step, note.step)
  );
}
