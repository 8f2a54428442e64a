import { group } from 'd3-array';
import type { Setup } from '../../instrument/setup';
import { midiOf, pitchName } from '../../pitch/pitch';
import type { Finger, PositionNumber, Quiz } from '../../vocabulary';
import type { Lying } from './lying';

/* Which string and finger for this note in this position: answered on the fingers as they lie. */

/** How a place is answered: the string by its open pitch, and the finger on it. */
export function placeAnswer(string: string, finger: Finger): string {
  return `${string} ${finger}`;
}

/** One card for each pitch: all places of it that the hand has here, the open string among them. */
export function placeCards(setup: Setup, key: string, position: PositionNumber, own: readonly Lying[]): Quiz[] {
  const byPitch = group(own, ({ pitch }) => pitchName(pitch));
  return [...byPitch].map(([pitch, places]): Quiz => {
    const midi = midiOf(places[0].pitch);
    const open = setup.strings.filter((string) => string.midi === midi);
    const right = [
      ...places.map(({ string, finger }) => placeAnswer(setup.strings[string].name, finger)),
      ...open.map(({ name }) => placeAnswer(name, 0)),
    ];
    return { ask: { kind: 'place', pitch, position, key }, right };
  });
}
