import { handModel } from '../../hand/models';
import { fingerAt } from '../../hand/finger';
import type { Setup } from '../../instrument/setup';
import { spellInKey } from '../../pitch/inkey';
import { keyAlteration, type Key } from '../../pitch/key';
import type { Pitch } from '../../pitch/pitch';
import type { Finger, PositionNumber, School } from '../../vocabulary';

/** A note under a finger, where the hand lies closed in a position. */
export interface Lying {
  readonly string: number;
  readonly finger: Finger;
  readonly semitones: number;
  readonly pitch: Pitch;
}

const FINGER_SLOTS_PRESSED = [1, 2, 3, 4];

/** Where fingers lie in a position, string by string from the lowest, in a key; open strings besides. */
export function lyingIn(setup: Setup, key: Key, position: PositionNumber, school?: School): Lying[] {
  const model = handModel(setup, key, [], school);
  const number = Array.from({ length: model.positionCount }, (_, at) => at).find(
    (at) => model.label(at) === position && !model.thumbUp(at),
  );
  if (number === undefined) return [];
  return setup.strings.flatMap((open, string): Lying[] =>
    FINGER_SLOTS_PRESSED.flatMap((slot): Lying[] => {
      const semitones = model.resting(number, string, slot);
      if (!Number.isFinite(semitones) || semitones > setup.reachSemitones) return [];
      const pitch = spellInKey(key, open.midi + semitones);
      return [{ string, finger: fingerAt(slot), semitones, pitch }];
    }),
  );
}

/** True where a note is the key's own: what is asked is what is played. */
export const inKey = (key: Key, { letter, alteration }: Pitch) => keyAlteration(key, letter) === alteration;
