import type { Finger, Level, Style, Plan, PlanRequest, ResponseEvent, Shift } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import { bowChanges, hasBows } from '../material/bows';
import { secondsPerBeat, USUAL_BPM } from '../material/tempo';
import { positionOrder } from '../hand/positions';
import { spellAt, type Pitch } from '../pitch/pitch';
import { soundsTouched } from '../instrument/nodes';
import { hearFirst, type Hearer, type HearFirst } from './hearFirst';
import type { Played } from './played';
import type { InstrumentRecord } from '../instrument/record';

/** A shift taken apart: what happens, how long there is, what to hear first and what the hand does. */
export interface ShiftDetail {
  readonly shift: Shift;
  readonly from: Played;
  readonly to: Played;
  readonly up: boolean;
  /** Seconds from the one note to the other at the plan's tempo. */
  readonly seconds: number;
  /** Where that is less than such a shift needs: the tempo to begin at, in beats a minute. */
  readonly beginAt?: number;
  readonly hear: HearFirst;
  /** What rings where the finger that has landed only touches the string, by which the landing can be checked. */
  readonly harmonic?: Pitch;
  readonly cues: readonly HandCue[];
  /** Where bowing is written: whether the bow changes on the way, which hides the shift, or carries the sound through it. */
  readonly bow?: 'changes' | 'goes-on';
}

export type HandCue =
  | 'lighten'
  | 'lighten-hand'
  | 'unhurried'
  | 'bow-lighter'
  | 'thumb-stays'
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
export interface Shifter extends Hearer {
  readonly tempo: PlanRequest['tempo'];
  readonly style?: Style;
  readonly level: Level;
}

/** Every shift of a plan, taken apart. */
export function shiftDetails(
  events: readonly ResponseEvent[],
  notes: readonly Played[],
  plan: Plan,
  setup: Setup,
  player: Shifter,
): ShiftDetail[] {
  const beat = secondsPerBeat(player.tempo);
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
    const seconds = beats * beat;
    const bow = bowed ? (bowChanges(events, shift.from, shift.to, bowed) ? 'changes' : 'goes-on') : undefined;
    return [
      {
        shift,
        from,
        to,
        up,
        seconds,
        ...hurried(shift, seconds, player),
        hear: hearFirst(to, setup, player),
        ...landingHarmonic(to, setup),
        ...(bow ? { bow } : {}),
        // Over a rest the hand is set anew: nothing goes along the string.
        cues:
          shift.to - shift.from > 1
            ? []
            : handCues(setup.instrument, shift, up, { bow, sung: sung(shift, from, to, player.style, seconds) }),
      },
    ];
  });
}

const middle = ({ step }: Played) => (step.handMm[0] + step.handMm[1]) / 2;

/** Cellists and bassists check a landing on a node of the string by the harmonic that lies there. */
function landingHarmonic(to: Played, setup: Setup): Pick<ShiftDetail, 'harmonic'> {
  const { finger, string, semitones, step, voice } = to;
  const stopped = finger !== 0 && !step.stops[voice].harmonic;
  const sounds = stopped ? soundsTouched(semitones) : undefined;
  if (!sounds || setup.instrument.upTheNeck === 'thumb-round') return {};
  const open = setup.strings[string];
  return { harmonic: spellAt(open.steps + sounds.steps, open.midi + sounds.semitones) };
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

function handCues(
  { upTheNeck, bodyJoint }: InstrumentRecord,
  shift: Shift,
  up: boolean,
  { bow, sung }: { readonly bow: ShiftDetail['bow']; readonly sung: boolean },
): HandCue[] {
  const [was, is] = [positionOrder(shift.fromPosition), positionOrder(shift.toPosition)];
  const cues: HandCue[] = [...lightened(shift), ...(sung ? (['slide-in'] as const) : [])];
  // Where bows are written it is said of this very place.
  if (!bow) cues.push('bow-lighter');
  if (isOnPivots(shift)) return [...cues, 'thumb-stays'];
  if (upTheNeck === 'thumb-round') {
    if (up && is >= bodyJoint) cues.push('thumb-under');
    else if (!up && was >= bodyJoint) cues.push('thumb-leads');
    else cues.push('thumb-with-hand');
    return [...cues, up ? 'elbow-in' : 'elbow-out'];
  }
  if (shift.semitones > ARM_TRAVELS) cues.push('whole-arm');
  return [...cues, thumbOf(was, is, bodyJoint)];
}

/** True of a shift from pivot to pivot: the thumb stays, and no finger guides. */
export function isOnPivots({ guide, kind }: Shift): boolean {
  return !guide && kind !== 'to-thumb';
}

/** What goes lightly: a finger along its string, or the whole hand; into and out of thumb position neither. */
function lightened(shift: Shift): HandCue[] {
  if (isOnPivots(shift)) return [];
  switch (shift.kind) {
    case 'same-finger':
    case 'old-finger':
    case 'new-finger':
      return ['lighten'];
    case 'across-strings':
      return ['lighten-hand'];
    case 'open-string':
      return ['unhurried'];
    case 'to-thumb':
    case 'from-thumb':
      return [];
  }
}

/** A shift takes so long to loosen and to settle, in seconds, and the hand goes so far in a second, in mm: unhurried, as it is practised. */
const LOOSEN_AND_SETTLE = 0.2;
const MM_A_SECOND = 600;
/** How much longer it takes while it is new, by level. */
const NEEDS_MORE: Readonly<Record<Level, number>> = { 'first-year': 2, early: 1.5, middle: 1, advanced: 0.75 };
/** No metronome beats slower. */
const SLOWEST = 20;

/** The seconds that a shift needs to be made without haste. @param travelMm how far the hand goes */
function secondsNeeded(travelMm: number, level: Level): number {
  return NEEDS_MORE[level] * (LOOSEN_AND_SETTLE + travelMm / MM_A_SECOND);
}

/** The tempo at which a hurried shift has its time, rounded down to an even number. */
function hurried({ travelMm }: Shift, seconds: number, { level, tempo }: Shifter): Pick<ShiftDetail, 'beginAt'> {
  const needed = secondsNeeded(travelMm, level);
  if (seconds >= needed) return {};
  const bpm = tempo?.bpm ?? USUAL_BPM;
  return { beginAt: Math.max(SLOWEST, 2 * Math.floor((bpm * seconds) / needed / 2)) };
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
