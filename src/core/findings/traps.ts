import type { Finger } from '../hand/finger';
import type { Plan } from '../planner/response';
import type { Played } from './played';

/** A finger that lies low on one string and is wanted high on another while the hand stays, or the other way round. */
export interface Trap {
  readonly finger: Finger;
  /** The note that leaves the finger where it is, and the one that wants it elsewhere. */
  readonly from: Played;
  readonly to: Played;
  /** Semitones from the old place to the new one. */
  readonly move: number;
}

/**
 * Finds every finger that is next used on another string at another height, with no shift between.
 * @param notes in order
 */
export function trapsIn(notes: readonly Played[], plan: Plan): Trap[] {
  const shifts = new Set(plan.shifts.map(({ to }) => to));
  const last = new Map<Finger, Played>();
  const traps: Trap[] = [];
  let at = -1;
  for (const note of notes) {
    if (note.at !== at && shifts.has(note.at)) last.clear();
    at = note.at;
    if (note.finger === 0) continue;
    const from = last.get(note.finger);
    if (from && from.at < note.at && from.string !== note.string && from.semitones !== note.semitones)
      traps.push({ finger: note.finger, from, to: note, move: note.semitones - from.semitones });
    last.set(note.finger, note);
  }
  return traps;
}
