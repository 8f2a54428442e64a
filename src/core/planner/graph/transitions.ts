import type { MusicEvent } from '../../material/events';
import { midiOf } from '../../pitch/pitch';
import { forbidden, locksAt } from './candidates';
import { acrossCost } from '../cost';
import type { Context } from '../cost';
import {
  NO_STRING,
  SHIFT_EASES,
  shiftShare,
  stoneTerm,
  type Transition,
  type PricedTransition,
} from '../cost';
import { hasteFor } from '../cost';

/*
 * What lies between two neighbouring notes, whatever the fingering. Most moments of a piece are alike; equal ones are one.
 */

/** The moments of a stage, one between each two neighbouring sounding events. */
export function transitionsOf(context: Context): PricedTransition[] {
  const { events } = context.music;
  const { setup, sounding } = context;
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
    const rocks = [rockingOn(sounding, t, setup), rockingOn(sounding, t + 1, setup)] as const;
    const onBeat = Number.isInteger(onsets[event.at]);
    const rest = hasRest(events, before.at, event.at);
    const noShift = forbidden(context, event).some((one) => 'shift' in one);
    const mustShift = locksAt(context, event).some(({ shift }) => shift);
    const tag = `${beats} ${line} ${rocks.join()} ${semitone}${turn}${onBeat}${rest}${noShift}${mustShift}`;
    let transition = known.get(tag);
    if (!transition) {
      const haste = hasteFor(Math.max(0.01, beats * context.secondsPerBeat));
      transition = priced(
        context,
        { haste, semitone, line, rocks, turn, onBeat, rest, noShift, mustShift },
        known.size,
      );
      known.set(tag, transition);
    }
    return transition;
  });
}

/** The open string that sounds an event, where it comes again with another note between. */
function rockingOn(sounding: Context['sounding'], t: number, { strings }: Context['setup']): number {
  const single = (at: number) =>
    sounding[at]?.pitches.length === 1 ? midiOf(sounding[at].pitches[0]) : undefined;
  const midi = single(t);
  const back = (at: number, between: number) => single(at) === midi && single(between) !== midi;
  if (midi === undefined || !(back(t + 2, t + 1) || back(t - 2, t - 1))) return NO_STRING;
  return strings.findIndex((open) => open.midi === midi);
}

function priced({ pricing, setup }: Context, transition: Transition, number: number): PricedTransition {
  const { weights } = pricing;
  const shares = new Float64Array(SHIFT_EASES);
  for (let ease = 0; ease < SHIFT_EASES; ease++) shares[ease] = shiftShare(weights, ease, transition);
  const across = new Float64Array(2 * setup.strings.length - 1);
  for (let at = 0; at < across.length; at++)
    across[at] = acrossCost(weights, at - (across.length >> 1), transition);
  return { ...transition, number, shares, across, stone: stoneTerm(weights, transition) };
}

function hasRest(events: readonly MusicEvent[], from: number, to: number): boolean {
  return to - from > 1 && events.slice(from + 1, to).some((event) => event.kind === 'rest');
}
