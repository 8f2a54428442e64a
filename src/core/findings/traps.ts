import { laidFingers } from '../hand/finger';
import type { Finger, Plan } from '../vocabulary';
import type { Played } from './played';

/** A finger that lies low on one string and is wanted high on the neighbouring one while the hand stays, or the other way round. */
export interface Trap {
  readonly finger: Finger;
  /** The note that leaves the finger where it is, and the one that wants it elsewhere. */
  readonly from: Played;
  readonly to: Played;
  /** Semitones from the old place to the new one. */
  readonly move: number;
}

/** Some notes later the hand has had time: a trap is sprung within so many. */
const SPRUNG_WITHIN = 4;

/** True where all the hand goes along, as from pivot to pivot: no finger of it is placed anew by itself. */
function movesAsOne({ step: { hand: was } }: Played, { step: { hand: is } }: Played): boolean {
  const moves = laidFingers(is).flatMap(([finger, stop]) => {
    const before = was[String(finger) as keyof typeof was];
    return before === undefined ? [] : [stop - before];
  });
  return moves.length > 1 && moves[0] !== 0 && moves.every((move) => move === moves[0]);
}

/**
 * Finds every finger that is soon used on the neighbouring string at another height, with no shift between.
 * @param notes in order
 */
export function trapsIn(notes: readonly Played[], plan: Plan): Trap[] {
  const shifts = new Set(plan.shifts.map(({ to }) => to));
  const last = new Map<Finger, { readonly note: Played; readonly count: number }>();
  const traps: Trap[] = [];
  let [at, count] = [-1, 0];
  for (const note of notes) {
    if (note.at !== at) {
      count++;
      if (shifts.has(note.at)) last.clear();
    }
    at = note.at;
    if (note.finger === 0) continue;
    const before = last.get(note.finger);
    if (before && before.note.at < note.at && count - before.count <= SPRUNG_WITHIN) {
      const from = before.note;
      if (Math.abs(from.string - note.string) === 1 && from.semitones !== note.semitones && !movesAsOne(from, note))
        traps.push({ finger: note.finger, from, to: note, move: note.semitones - from.semitones });
    }
    last.set(note.finger, { note, count });
  }
  return traps;
}
