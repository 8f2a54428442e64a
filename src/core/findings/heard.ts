import type { School } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import {
  checkpointsFor,
  commaConflict,
  ringing,
  soundingOn,
  type Checkpoint,
  type CommaConflict,
  type Ringing,
} from './checks';
import type { Played } from './played';
import { hearFirst, type HearFirst } from './shifts';
import { targetOf, type Aim, type Target } from './targets';

/** A note as the ear meets it: its target and what it can be checked against. */
export interface Heard {
  readonly note: Played;
  readonly target: Target;
  readonly checks: readonly Checkpoint[];
  readonly comma: CommaConflict | null;
  readonly ringing: readonly Ringing[];
  /** Where the same note, or the same some octaves lower, is found the easy way. */
  readonly elsewhere: HearFirst;
}

/** Notes as the ear meets them; those of the same place and spelling share what they are checked against. */
export function heardNotes(notes: readonly Played[], setup: Setup, aim: Aim, school?: School): Heard[] {
  const known = new Map<string, Omit<Heard, 'note'>>();
  const others = soundingOn(setup, aim.tuning);
  return notes.map((note) => {
    const home = note.step.position === 'thumb' || note.step.position > 1;
    const tag = [note.string, note.semitones, note.harmonic, note.pitch.letter, home].join();
    let heard = known.get(tag);
    if (!heard) {
      const target = targetOf(note, setup, aim);
      const checks = checkpointsFor(note, others, target);
      heard = {
        target,
        checks,
        comma: commaConflict(checks),
        ringing: ringing(note, setup, aim.tuning, target),
        elsewhere: hearFirst(note, setup, school),
      };
      known.set(tag, heard);
    }
    return { note, ...heard };
  });
}
