import type { Setup } from '../instrument/setup';
import { handModel } from '../hand/models';
import { slotOf } from '../hand/finger';
import type { Finger, PlanRequest } from '../vocabulary';
import { demandedPitch } from '../planner/cost';
import type { Key } from '../pitch/key';
import { midiOf, type Pitch } from '../pitch/pitch';
/** Says whether a finger can take a pitch on a string at all: low enough for it, and where the instrument's hand still uses it. */
export type Within = (pitch: Pitch, finger: Finger, string: number) => boolean;

export function withinHand({ school }: PlanRequest, setup: Setup, key: Key): Within {
  const model = handModel(setup, key, [], school);
  return (pitch, finger, string) => {
    if (finger === 0) return midiOf(pitch) === setup.strings[string].midi;
    const wanted = slotOf(finger);
    return model.holds(string, demandedPitch(key, pitch)).some(({ stops: [stop] }) => stop.finger === wanted);
  };
}
