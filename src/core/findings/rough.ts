import { alongString, slotOf } from '../hand/finger';
import type { Setup } from '../instrument/setup';
import { samePlace } from '../planner/explain';
import type { Shift } from '../vocabulary';
import type { Played } from './played';

/*
 * Places that are rough to play although no finger lies wrong: what comes too soon after a shift, and what comes too fast from string to string.
 */

/** A rough place: the hand opens or the first finger lies low as it lands or straight after, the bow skips a string, one finger lies high and its neighbour low across two strings. */
export interface Rough {
  readonly kind: 'opened' | 'low-first' | 'skip' | 'apart';
  /** The notes it is about, in order; after a shift from the note before it. */
  readonly notes: readonly Played[];
  /** Seconds from the last but one to the last. */
  readonly seconds: number;
}

/** Notes closer than this leave no time to set a finger or the bow anew, in seconds. */
export const FAST = 0.3;
/** So many notes after a shift the hand has settled. */
const SETTLED_AFTER = 2;
/** A low first finger lies this far below the second, in semitones: an augmented second. */
const LEANING = 3;
/** Neighbouring fingers across two strings lie a semitone or a tone apart; more, or none at all, holds one high against the other low. */
const EVEN: readonly number[] = [1, 2];

/**
 * What is rough between single notes that follow each other, one thing at a place.
 * @param lines the notes of each event, in order
 */
export function roughPlaces(
  lines: readonly (readonly Played[])[],
  shifts: readonly Shift[],
  setup: Setup,
  secondsPerBeat: number,
): Rough[] {
  const landings = new Set(shifts.map(({ to }) => to));
  const letters = setup.instrument.fingering.by === 'letters';
  let landed = -Infinity;
  return lines.flatMap((line, t): Rough[] => {
    if (landings.has(line[0].at)) landed = t;
    if (t === 0 || line.length > 1 || lines[t - 1].length > 1) return [];
    const [[before], [note]] = [lines[t - 1], line];
    const seconds = before.beats * secondsPerBeat;
    const place = (kind: Rough['kind'], first: number): Rough[] => [
      { kind, notes: lines.slice(first, t + 1).map(([one]) => one), seconds },
    ];
    if (landed > 0 && t - landed < SETTLED_AFTER) {
      if (isOpened(note) && (t === landed || !isOpened(before))) return place('opened', landed - 1);
      if (letters && isLowFirst(note)) return place('low-first', landed - 1);
    }
    if (seconds >= FAST) return [];
    if (Math.abs(note.string - before.string) > 1) return place('skip', t - 1);
    return letters && isApart(before, note) ? place('apart', t - 1) : [];
  });
}

const isOpened = ({ step }: Played) => step.extended || step.contracted;

/** The first finger by the nut, or drawn back from the others. */
function isLowFirst({ finger, semitones, step }: Played): boolean {
  if (finger !== 1) return false;
  const byNut = semitones === 1 && step.position !== 'thumb' && step.position <= 1;
  return byNut || (step.hand[2] ?? 0) - semitones >= LEANING;
}

/** Neighbouring fingers in one place on neighbouring strings, one high and the other low. */
function isApart(before: Played, note: Played): boolean {
  if (before.finger === 0 || note.finger === 0 || !samePlace(before.step, note.step)) return false;
  const [low, high] = before.finger < note.finger ? [before, note] : [note, before];
  const neighbours = alongString(slotOf(high.finger)) - alongString(slotOf(low.finger)) === 1;
  const onNeighbours = Math.abs(note.string - before.string) === 1;
  return neighbours && onNeighbours && !EVEN.includes(high.semitones - low.semitones);
}
