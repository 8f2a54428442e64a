import type { Setup } from '../instrument/setup';
import { keysAt } from '../material/keys';
import { parsePitch, pitchName, type Pitch } from '../pitch/pitch';
import type { PlanResponse } from '../vocabulary';
import {
  checkpointsFor,
  commaConflict,
  ringing,
  soundingOn,
  type Checkpoint,
  type CommaConflict,
  type Ringing,
} from './checks';
import { hearFirst, type Hearer, type HearFirst } from './hearFirst';
import { neighbourOf, tonicBefore, type Neighbour } from './neighbours';
import type { Played } from './played';
import { isOpen, targetOf, type Aim, type Target } from './targets';

/** A note as the ear meets it: its target and what it can be checked against. */
export interface Heard {
  readonly note: Played;
  readonly target: Target;
  readonly checks: readonly Checkpoint[];
  readonly comma: CommaConflict | null;
  readonly ringing: Ringing;
  /** Where the same note, or the same some octaves lower, is found the easy way. */
  readonly elsewhere: HearFirst;
  /** True of the tonic of the key in force. */
  readonly tonic: boolean;
  /** What helps where nothing checks it. */
  readonly neighbour?: Neighbour;
}

/** The music whose notes are heard. */
type Keyed = Pick<PlanResponse, 'key' | 'changes'>;

/** Notes as the ear meets them; those of the same place and spelling in the same key share what they are checked against. */
export function heardNotes(
  notes: readonly Played[],
  music: Keyed,
  setup: Setup,
  aim: Aim,
  hearer: Hearer = {},
): Heard[] {
  const known = new Map<string, Omit<Heard, 'note' | 'neighbour'>>();
  const helped = new Map<string, Neighbour>();
  const others = soundingOn(setup, aim.tuning);
  const tonicAt = tonicsAt(music);
  return notes.map((note, n) => {
    const tonic = tonicAt(note.at);
    const here = { ...aim, tonic: aim.drone ?? tonic };
    const tag = tagOf(note, tonic);
    let heard = known.get(tag);
    if (!heard) {
      const target = targetOf(note, setup, here);
      const checks = checkpointsFor(note, others, target);
      heard = {
        target,
        checks,
        comma: commaConflict(checks),
        ringing: ringing(note, setup, aim.tuning, target),
        elsewhere: hearFirst(note, setup, hearer),
        tonic: note.pitch.letter === tonic.letter && note.pitch.alteration === tonic.alteration,
      };
      known.set(tag, heard);
    }
    if (heard.checks.some(({ fits }) => fits) || isOpen(note)) return { note, ...heard };
    const last = tonicBefore(note, notes.slice(Math.max(0, n - IN_EAR), n), here.tonic);
    const aside = `${tag} ${last ? pitchName(last) : ''}`;
    const neighbour = helped.get(aside) ?? neighbourOf(note, { setup, aim: here, others }, last);
    helped.set(aside, neighbour);
    return { note, ...heard, neighbour };
  });
}

/** So many notes back at the most are still in the ear. */
const IN_EAR = 16;

function tagOf({ string, semitones, harmonic, pitch, finger, step }: Played, tonic: Pitch): string {
  const home = step.position === 'thumb' || step.position > 1;
  const stopped = step.stops.length > 1 ? step.stops.map((stop) => (stop.finger === 0 ? '' : stop.string)).join() : '';
  return [string, semitones, harmonic, pitch.letter, finger, home, stopped, tonic.letter, tonic.alteration].join();
}

/** The tonic of the key in force at each event. */
function tonicsAt(music: Keyed): (at: number) => Pitch {
  const keyAt = keysAt(music);
  const known = new Map<string, Pitch>();
  return (at) => {
    const { name } = keyAt(at);
    const tonic = known.get(name) ?? parsePitch(`${name.split(' ')[0]}4`) ?? C;
    known.set(name, tonic);
    return tonic;
  };
}

const C: Pitch = { letter: 0, alteration: 0, octave: 4 };
