import type { MusicEvent } from '../../material/events';
import { midiOf } from '../../pitch/pitch';
import { forbidden, locksAt } from './candidates';
import { acrossCost } from '../cost';
import type { Context } from '../cost';
import { NO_STRING, SHIFT_EASES, shiftShare, stoneTerm, type Transition, type PricedTransition } from '../cost';
import { hasteFor } from '../cost';

/*
 * What lies between two neighbouring notes, whatever the fingering. Most moments of a piece are alike; equal ones are one.
 */

/** The moments of a stage, one between each two neighbouring sounding events. */
export function transitionsOf(context: Context): PricedTransition[] {
  const { events } = context.music;
  const { sounding } = context;
  const strings = rockingStrings(context);
  const alternating = alternatingSeconds(context);
  const bowed = sounding.some(({ slur }) => slur === true);
  const onsets: number[] = [];
  events.reduce((onset, event) => (onsets.push(onset), onset + event.beats), 0);
  const top = sounding.map((event) => midiOf(event.pitches[event.pitches.length - 1]));
  const known = context.tables.transitions;
  return sounding.slice(1).map((event, t) => {
    const before = sounding[t];
    const beats = onsets[event.at] - onsets[before.at];
    const came = t > 0 ? top[t] - top[t - 1] : 0;
    const goes = top[t + 1] - top[t];
    const semitone = Math.abs(goes) === 1;
    const turn = came * goes < 0;
    const line = Math.sign(goes);
    const rocks = [strings[t], strings[t + 1]] as const;
    const onBeat = Number.isInteger(onsets[event.at]);
    const seconds = Math.max(0.01, beats * context.secondsPerBeat);
    const alternates = alternating[t] && (!context.model.fixedFrames || before.slur === true || seconds < QUICK);

    const byStep = goesByStep(context, top, t) ? line : 0;
    const bow = !bowed ? undefined : before.slur === true ? ('goes-on' as const) : ('changes' as const);
    const quick = seconds < QUICK;
    const byThrees = goesByThrees(context) ? line : 0;
    const rest = hasRest(events, before.at, event.at);
    const noShift = forbidden(context, event).some((one) => 'shift' in one) || waitsForSemitone(context, top, t);
    const mustShift = locksAt(context, event).some(({ shift }) => shift);
    const tag = `${beats} ${line} ${rocks[0]} ${rocks[1]} ${semitone}${turn}${onBeat}${rest}${noShift}${mustShift}${alternates}${byStep}${byThrees}${bow}${quick}`;
    let transition = known.get(tag);
    if (!transition) {
      const haste = hasteFor(seconds);
      transition = priced(
        context,
        {
          haste,
          semitone,
          line,
          rocks,
          turn,
          onBeat,
          alternates,
          byStep,
          byThrees,
          bow,
          quick,
          rest,
          noShift,
          mustShift,
        },
        known.size,
      );
      known.set(tag, transition);
    }
    return transition;
  });
}

/** Octaves from which a scale goes up the neck in blocks. */
const IN_BLOCKS = 3;

/** True of a step of a scale so long; where the hand lies in frames, of its upper octaves alone: below it has the strings to go to. */
function goesByStep({ request: { material }, model }: Context, top: readonly number[], t: number): boolean {
  if (material.type !== 'scale' || material.octaves < IN_BLOCKS || material.scale === 'chromatic') return false;
  const lowest = Math.min(top[0], top[top.length - 1]);
  return !model.fixedFrames || Math.min(top[t], top[t + 1]) >= lowest + 12;
}

/** True of a chromatic scale where the hand goes in groups of three. */
function goesByThrees({ request: { material }, pricing }: Context): boolean {
  return material.type === 'scale' && material.scale === 'chromatic' && pricing.weights.chromaticFourth > 0;
}

/** How many notes before and after a step a semitone is near enough to be waited for. */
const NEAR = 2;

/** True of a step wider than a semitone with a semitone step near, where shifts are to arrive on semitones. */
function waitsForSemitone({ request }: Context, top: readonly number[], t: number): boolean {
  if (request.rules?.shiftOn !== 'semitone') return false;
  const isSemitone = (at: number) => Math.abs(top[at + 1] - top[at]) === 1;
  const near = Array.from({ length: 2 * NEAR + 1 }, (_, n) => t - NEAR + n);
  return !isSemitone(t) && near.some(isSemitone);
}

/** Semitones of a second at most. */
const SECOND = 2;
/** Notes from which a second alternates: fewer are the turning point of a line. */
const ALTERNATING = 4;
/** Seconds a note below which hands that lie in frames do not cross to a neighbour and back. */
const QUICK = 0.3;

const singlePitches = ({ sounding }: Context) =>
  sounding.map(({ pitches }) => (pitches.length === 1 ? midiOf(pitches[0]) : NaN));

/** Of each two neighbours whether they lie in a second that alternates. */
function alternatingSeconds(context: Context): boolean[] {
  const single = singlePitches(context);
  const inside = single.map(() => false);
  const isSecond = (t: number) => single[t] !== single[t + 1] && Math.abs(single[t + 1] - single[t]) <= SECOND;
  for (let from = 0; from + 1 < single.length;) {
    let to = from;
    while (isSecond(to) && (to === from || single[to + 1] === single[to - 1])) to++;
    if (to - from + 1 >= ALTERNATING) inside.fill(true, from, to);
    from = Math.max(to, from + 1);
  }
  return inside;
}

/** Of each event the open string that sounds it, where it comes again with another note, a leap away, between; else NO_STRING. */
function rockingStrings(context: Context): number[] {
  const { sounding, setup } = context;
  const single = singlePitches(context);
  const rocks = sounding.map(() => NO_STRING);
  for (let t = 2; t < single.length; t++) {
    if (single[t] !== single[t - 2] || Math.abs(single[t] - single[t - 1]) <= SECOND) continue;
    rocks[t] = rocks[t - 2] = setup.strings.findIndex(({ midi }) => midi === single[t]);
  }
  return rocks;
}

function priced({ pricing, setup }: Context, transition: Transition, number: number): PricedTransition {
  const { weights } = pricing;
  const shares = new Float64Array(SHIFT_EASES);
  for (let ease = 0; ease < SHIFT_EASES; ease++) shares[ease] = shiftShare(weights, ease, transition);
  const across = new Float64Array(2 * setup.strings.length - 1);
  for (let at = 0; at < across.length; at++) across[at] = acrossCost(weights, at - (across.length >> 1), transition);
  return { ...transition, number, shares, across, stone: stoneTerm(weights, transition) };
}

function hasRest(events: readonly MusicEvent[], from: number, to: number): boolean {
  return to - from > 1 && events.slice(from + 1, to).some((event) => event.kind === 'rest');
}
