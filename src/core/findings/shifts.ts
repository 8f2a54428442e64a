import type { School, Finger, Style, Plan, ResponseEvent, Shift } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import { bowChanges, hasBows } from '../material/bows';
import { fingerAtStop, frameSchool, positionOrder } from '../hand/positions';
import { letterSteps, midiOf, spellAt, type Pitch } from '../pitch/pitch';
import { soundsTouched } from '../instrument/nodes';
import { playedNotes, type Played } from './played';
import type { InstrumentRecord } from '../instrument/record';

/** A shift taken apart: what happens, how long there is, what to hear first and what the hand does. */
export interface ShiftDetail {
  readonly shift: Shift;
  readonly from: Played;
  readonly to: Played;
  readonly up: boolean;
  /** Seconds from the one note to the other at the plan's tempo. */
  readonly seconds: number;
  readonly hear: HearFirst;
  /** What rings where the finger that has landed only touches the string, by which the landing can be checked. */
  readonly harmonic?: Pitch;
  readonly cues: readonly HandCue[];
  /** Where bowing is written: whether the bow changes on the way, which hides the shift, or carries the sound through it. */
  readonly bow?: 'changes' | 'goes-on';
}

/** Where the target can be heard before the shift is made, so many octaves lower than it sounds: on an open string, or low down under a finger. */
export type HearFirst =
  | { readonly kind: 'open'; readonly string: number; readonly octaves: number }
  | {
      readonly kind: 'stopped';
      readonly string: number;
      readonly semitones: number;
      readonly octaves: number;
      readonly finger: Finger;
      /** First, or half for the semitone above the open string where the hand lies back for it. */
      readonly position: 0.5 | 1;
    }
  /** Nowhere lower down: to be sung, or played slowly in its place. */
  | { readonly kind: 'in-place' };

export type HandCue =
  | 'lighten'
  | 'slide-in'
  | 'thumb-with-hand'
  | 'thumb-under'
  | 'thumb-leads'
  | 'thumb-round'
  | 'thumb-first'
  | 'thumb-up'
  | 'thumb-back'
  | 'thumb-along'
  | 'elbow-in'
  | 'elbow-out'
  | 'whole-arm';

/** What the player brings to a shift. */
interface ShiftMoment {
  readonly secondsPerBeat: number;
  readonly style?: Style;
  readonly school?: School;
}

/** Every shift of a plan, taken apart. */
export function shiftDetails(
  events: readonly ResponseEvent[],
  plan: Plan,
  setup: Setup,
  { secondsPerBeat, style, school }: ShiftMoment,
): ShiftDetail[] {
  const notes = playedNotes(events, plan, setup);
  const bowed = hasBows(events);
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
        hear: hearFirst(to, setup, school),
        ...landingHarmonic(to, setup),
        ...(bowed
          ? { bow: bowChanges(events, shift.from, shift.to, bowed) ? ('changes' as const) : ('goes-on' as const) }
          : {}),
        cues: handCues(setup.instrument, shift, up, sung(shift, from, to, style, beats * secondsPerBeat)),
      },
    ];
  });
}

const middle = ({ step }: Played) => (step.handMm[0] + step.handMm[1]) / 2;

/**
 * The easy way to hear a pitch, the nearest to the music first: as an open string, in first position on its own string, on another, from an open
 * string octaves away, or an octave lower in first position.
 */
export function hearFirst(to: Played, setup: Setup, school?: School): HearFirst {
  const same = setup.strings.findIndex(({ midi }) => midi === to.midi);
  if (same >= 0) return { kind: 'open', string: same, octaves: 0 };
  const home = to.step.position !== 'thumb' && to.step.position <= 1;
  const low = (octaves: number, may: (string: number) => boolean) => {
    const pitch = { ...to.pitch, octave: to.pitch.octave - octaves };
    const [place] = lowPlaces(pitch, setup, school)
      .filter(({ string, semitones }) => may(string) && !(string === to.string && semitones === to.semitones))
      .sort((a, b) => Number(b.string === to.string) - Number(a.string === to.string));
    return place && ({ kind: 'stopped', ...place, octaves } as const);
  };
  const lowest = low(0, (string) => string !== to.string || !home);
  if (lowest) return lowest;
  const octave = setup.strings.findLastIndex(({ midi }) => (to.midi - midi) % 12 === 0 && midi < to.midi);
  if (octave >= 0) return { kind: 'open', string: octave, octaves: (to.midi - setup.strings[octave].midi) / 12 };
  for (let octaves = 1; octaves <= 3; octaves++) {
    const lower = low(octaves, () => true);
    if (lower) return lower;
  }
  return { kind: 'in-place' };
}

/** Cellists and bassists check a landing on a node of the string by the harmonic that lies there. */
function landingHarmonic(to: Played, setup: Setup): Pick<ShiftDetail, 'harmonic'> {
  const { finger, string, semitones, step, voice } = to;
  const stopped = finger !== 0 && !step.stops[voice].harmonic;
  const sounds = stopped ? soundsTouched(semitones) : undefined;
  if (!sounds || setup.instrument.upTheNeck === 'thumb-round') return {};
  const open = setup.strings[string];
  return { harmonic: spellAt(open.steps + sounds.steps, open.midi + sounds.semitones) };
}

interface LowPlace {
  readonly string: number;
  readonly semitones: number;
  readonly finger: Finger;
  readonly position: 0.5 | 1;
}

/** Where a pitch lies in first position, the hand closed, and with which finger. */
function lowPlaces(pitch: Pitch, setup: Setup, school: School | undefined): LowPlace[] {
  const { firstPosition } = setup.instrument;
  const frames = frameSchool(setup.instrument, school);
  return setup.strings.flatMap((open, string): LowPlace[] => {
    const semitones = midiOf(pitch) - open.midi;
    if (semitones < 1 || semitones > firstPosition) return [];
    if (!frames) {
      // By letters: the note next above the open string's letter is the first finger's.
      const finger = letterSteps(pitch) - open.steps;
      if (finger === 0) return [{ string, semitones, finger: 1, position: 0.5 }];
      return finger <= 4 ? [{ string, semitones, finger: finger as Finger, position: 1 }] : [];
    }
    if (semitones === 1) return [{ string, semitones, finger: 1, position: 0.5 }];
    const finger = fingerAtStop(frames, semitones);
    return finger ? [{ string, semitones, finger, position: 1 }] : [];
  });
}

/** Shifts slower than this may be sung in singing style, in seconds; and those of a third or more. */
const SUNG_SECONDS = 0.75;
const SUNG_LEAP = 3;

/** True where singing style may let the new, higher finger slide in from a step below: a colour, never the way to find the note. */
function sung(shift: Shift, from: Played, to: Played, style: Style | undefined, seconds: number): boolean {
  if (style !== 'singing' || shift.kind !== 'old-finger' || seconds < SUNG_SECONDS) return false;
  return to.midi - from.midi >= SUNG_LEAP;
}

/** More than a tone: less is made by hand and wrist. */
const ARM_TRAVELS = 2;

function handCues({ upTheNeck, bodyJoint }: InstrumentRecord, shift: Shift, up: boolean, sung: boolean): HandCue[] {
  const [was, is] = [positionOrder(shift.fromPosition), positionOrder(shift.toPosition)];
  const cues: HandCue[] = sung ? ['lighten', 'slide-in'] : ['lighten'];
  if (upTheNeck === 'thumb-round') {
    if (up && is >= bodyJoint) cues.push('thumb-under');
    else if (!up && was >= bodyJoint) cues.push('thumb-leads');
    else cues.push('thumb-with-hand');
    return [...cues, up ? 'elbow-in' : 'elbow-out'];
  }
  if (shift.semitones > ARM_TRAVELS) cues.push('whole-arm');
  return [...cues, thumbOf(was, is, bodyJoint)];
}

/** What the thumb of a cellist or bassist does, by place: on the string, at the body joint, under the neck. */
function thumbOf(was: number, is: number, bodyJoint: number): HandCue {
  const [wasUp, isUp] = [was === Infinity, is === Infinity];
  if (wasUp && isUp) return 'thumb-along';
  if (isUp) return 'thumb-up';
  if (wasUp) return 'thumb-back';
  if (was < bodyJoint && is >= bodyJoint) return 'thumb-round';
  if (was >= bodyJoint && is < bodyJoint) return 'thumb-first';
  return 'thumb-with-hand';
}
