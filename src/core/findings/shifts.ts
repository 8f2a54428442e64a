import { instrumentData, type InstrumentKind } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
import type { Finger } from '../hand/finger';
import type { Plan, ResponseEvent, Shift } from '../planner/response';
import { playedNotes, type Played } from './played';

/** A shift taken apart: what happens, how long there is, what to hear first and what the hand does. */
export interface ShiftDetail {
  readonly shift: Shift;
  readonly from: Played;
  readonly to: Played;
  readonly up: boolean;
  /** Seconds from the one note to the other at the plan's tempo. */
  readonly seconds: number;
  readonly hear: HearFirst;
  readonly cues: readonly HandCue[];
}

/** Where the target can be heard before the shift is made, so many octaves lower than it sounds. */
export type HearFirst =
  | { readonly kind: 'open'; readonly string: number; readonly octaves: number }
  | {
      readonly kind: 'stopped';
      readonly string: number;
      readonly semitones: number;
      readonly octaves: number;
    };

export type HandCue =
  | 'lighten'
  | 'thumb-with-hand'
  | 'thumb-under'
  | 'thumb-leads'
  | 'elbow-in'
  | 'elbow-out'
  | 'whole-arm'
  | 'thumb-up';

/** Every shift of a plan, taken apart. */
export function shiftDetails(
  events: readonly ResponseEvent[],
  plan: Plan,
  setup: Setup,
  secondsPerBeat: number,
): ShiftDetail[] {
  const notes = playedNotes(events, plan, setup);
  const byAt = new Map<number, Played[]>();
  for (const note of notes) byAt.set(note.at, [...(byAt.get(note.at) ?? []), note]);
  // Of a double stop the finger that makes the shift.
  const leading = (at: number, finger: Finger) =>
    byAt.get(at)?.find((note) => note.finger === finger) ?? byAt.get(at)?.[0];
  return plan.shifts.flatMap((shift) => {
    const from = leading(shift.from, shift.fromFinger);
    const to = leading(shift.to, shift.toFinger);
    if (!from || !to) return [];
    const up = middle(to) > middle(from);
    const beats = events.slice(shift.from, shift.to).reduce((sum, event) => sum + event.beats, 0);
    return [
      {
        shift,
        from,
        to,
        up,
        seconds: beats * secondsPerBeat,
        hear: hearFirst(to, setup),
        cues: handCues(setup.kind, from, to, up),
      },
    ];
  });
}

const middle = ({ step }: Played) => (step.handMm[0] + step.handMm[1]) / 2;

/**
 * The easy way to hear a pitch: as an open string, low on another string, in first position on its own, from an open string octaves away, or an octave
 * lower in first position.
 */
export function hearFirst(to: Played, setup: Setup): HearFirst {
  const same = setup.strings.findIndex(({ midi }) => midi === to.midi);
  if (same >= 0) return { kind: 'open', string: same, octaves: 0 };
  const home = to.step.position !== 'thumb' && to.step.position <= 1;
  const lowest = lowestPlace(to.midi, setup, (string) => string !== to.string || !home);
  if (lowest) return { kind: 'stopped', ...lowest, octaves: 0 };
  const octave = setup.strings.findIndex(({ midi }) => (to.midi - midi) % 12 === 0);
  if (octave >= 0)
    return { kind: 'open', string: octave, octaves: (to.midi - setup.strings[octave].midi) / 12 };
  for (let octaves = 1; octaves <= 3; octaves++) {
    const lower = lowestPlace(to.midi - 12 * octaves, setup, () => true);
    if (lower) return { kind: 'stopped', ...lower, octaves };
  }
  return { kind: 'stopped', string: to.string, semitones: to.semitones, octaves: 0 };
}

/** Where a pitch lies lowest within first position on the strings that may be used. */
function lowestPlace(midi: number, setup: Setup, may: (string: number) => boolean) {
  const { firstPosition } = instrumentData(setup.kind);
  const places = setup.strings
    .map((open, string) => ({ string, semitones: midi - open.midi }))
    .filter(({ string, semitones }) => semitones > 0 && semitones <= firstPosition && may(string));
  return places.sort((a, b) => a.semitones - b.semitones)[0];
}

/** Where the hand meets the body of violin and viola: beyond it the thumb comes round. */
const THUMB_ROUND = 5;

const high = ({ step }: Played) => step.position === 'thumb' || step.position >= THUMB_ROUND;

function handCues(kind: InstrumentKind, from: Played, to: Played, up: boolean): HandCue[] {
  const cues: HandCue[] = ['lighten'];
  if (instrumentData(kind).upTheNeck === 'whole-arm') {
    cues.push('whole-arm');
    if (to.step.position === 'thumb' && from.step.position !== 'thumb') cues.push('thumb-up');
    return cues;
  }
  if (up && high(to)) cues.push('thumb-under');
  else if (!up && high(from)) cues.push('thumb-leads');
  else cues.push('thumb-with-hand');
  cues.push(up ? 'elbow-in' : 'elbow-out');
  return cues;
}
