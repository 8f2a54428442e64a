import type { Finger, PositionNumber, School } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import { spellInKey } from '../pitch/inkey';
import { keyAlteration, type Key } from '../pitch/key';
import { letterSteps, midiOf, type Pitch } from '../pitch/pitch';
import { lyingIn } from './cards';

/*
 * A map of the fingerboard: where the notes of a key lie within some positions, and with which finger in which.
 */

/** A finger that reaches a place, and where the hand is then. */
export interface Holding {
  readonly position: PositionNumber;
  readonly finger: Finger;
}

export interface MapSpot {
  /** From the lowest. */
  readonly string: number;
  /** Above the open string. */
  readonly semitones: number;
  readonly pitch: Pitch;
  /** Lowest position first; of an open string none is needed. */
  readonly holdings: readonly Holding[];
  /** The other string, from the lowest, that rings along while it is open. */
  readonly ringsWith?: number;
}

/**
 * The notes of a key on each string, open strings included, as far as the positions reach; in the order of strings and then of places.
 * @param positions those whose places are shown, the lowest first
 */
export function mapOfKey(setup: Setup, key: Key, positions: readonly PositionNumber[], school?: School): MapSpot[] {
  const holdings = new Map<string, Holding[]>();
  const tag = (string: number, semitones: number) => `${string}.${semitones}`;
  for (const position of positions)
    for (const { string, semitones, finger } of lyingIn(setup, key, position, school)) {
      const at = tag(string, semitones);
      holdings.set(at, [...(holdings.get(at) ?? []), { position, finger }]);
    }
  return setup.strings.flatMap((open, string) =>
    Array.from({ length: setup.reachSemitones + 1 }, (_, semitones): MapSpot[] => {
      const pitch = spellInKey(key, open.midi + semitones);
      const held = holdings.get(tag(string, semitones)) ?? [];
      const own = keyAlteration(key, pitch.letter) === pitch.alteration;
      if (!own || (semitones > 0 && held.length === 0)) return [];
      const rings = semitones > 0 ? ringingString(setup, string, pitch) : -1;
      return [{ string, semitones, pitch, holdings: held, ...(rings < 0 ? {} : { ringsWith: rings }) }];
    }).flat(),
  );
}

/** How far a note lies above an open string that it wakes, in semitones: on the string's first four partials, or with the string as its second or third. */
const RINGS_AT: ReadonlySet<number> = new Set([0, 12, 19, 24, -12, -19]);

/** The open string, nearest above or below, that rings along with a note; -1 where none does. */
function ringingString({ strings }: Setup, string: number, pitch: Pitch): number {
  const alike = strings.flatMap((open, n) => {
    const away = midiOf(pitch) - open.midi;
    const spelled = [0, 4].includes((((letterSteps(pitch) - open.steps) % 7) + 7) % 7) || away === -19;
    return n !== string && RINGS_AT.has(away) && spelled ? [n] : [];
  });
  return alike.sort((a, b) => Math.abs(a - string) - Math.abs(b - string))[0] ?? -1;
}

/** Every place of one note within the positions, whatever the key it is spelled in. */
export function placesOfNote(spots: readonly MapSpot[], pitch: Pitch): MapSpot[] {
  return spots.filter((spot) => midiOf(spot.pitch) === midiOf(pitch));
}
