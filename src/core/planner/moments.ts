import type { MusicEvent } from '../material/events';
import { midiOf } from '../pitch/pitch';
import { forbidden } from './allowed';
import { acrossCost } from './charges';
import type { Stage } from './scene';
import { SHIFT_EASES, shiftShare, type Between, type Moment } from './terms';
import { hasteFor } from './weights';

/*
 * What lies between two neighbouring notes, whatever the fingering. Most moments of a piece are alike; equal ones are one.
 */

/** The moments of a stage, one between each two neighbouring sounding events. */
export function momentsOf(stage: Stage): Moment[] {
  const { events } = stage.music;
  const { sounding } = stage;
  const onsets: number[] = [];
  events.reduce((onset, event) => (onsets.push(onset), onset + event.beats), 0);
  const top = sounding.map((event) => midiOf(event.pitches[event.pitches.length - 1]));
  const known = new Map<string, Moment>();
  return sounding.slice(1).map((event, t) => {
    const before = sounding[t];
    const beats = onsets[event.at] - onsets[before.at];
    const came = t > 0 ? top[t] - top[t - 1] : 0;
    const goes = top[t + 1] - top[t];
    const semitone = Math.abs(goes) === 1;
    const turn = came * goes < 0;
    const onBeat = Number.isInteger(onsets[event.at]);
    const rest = hasRest(events, before.at, event.at);
    const noShift = forbidden(stage, event).some((one) => 'shift' in one);
    const tag = `${beats}${semitone}${turn}${onBeat}${rest}${noShift}`;
    let moment = known.get(tag);
    if (!moment) {
      const haste = hasteFor(Math.max(0.01, beats * stage.secondsPerBeat));
      moment = momentOf(stage, { haste, semitone, turn, onBeat, rest, noShift }, known.size);
      known.set(tag, moment);
    }
    return moment;
  });
}

function momentOf({ scene, setup }: Stage, between: Between, number: number): Moment {
  const { weights } = scene;
  const { haste, semitone, turn, onBeat, rest, noShift } = between;
  const shares = new Float64Array(SHIFT_EASES);
  for (let ease = 0; ease < SHIFT_EASES; ease++) shares[ease] = shiftShare(weights, ease, between);
  const across = new Float64Array(setup.strings.length);
  for (let apart = 0; apart < across.length; apart++) across[apart] = acrossCost(weights, apart, between);
  return { haste, semitone, turn, onBeat, rest, noShift, number, shares, across };
}

function hasRest(events: readonly MusicEvent[], from: number, to: number): boolean {
  return to - from > 1 && events.slice(from + 1, to).some((event) => event.kind === 'rest');
}
