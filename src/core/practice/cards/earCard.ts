import { midiOf, pitchName, type Pitch } from '../../pitch/pitch';
import type { Quiz } from '../../vocabulary';

/* By ear: which of two is the target; is it high or low. Answered by a choice. */

/** By how many cents a note is off that is to be heard as low or high: more for those who begin. */
const OFF_CENTS = [40, 30, 20];

/** By ear: which of two is the target; is it high or low. The offs are fixed by the note, so that a card is always the same. */
export function earCards(pitch: Pitch): Quiz[] {
  const midi = midiOf(pitch);
  const size = OFF_CENTS[midi % OFF_CENTS.length];
  const cents = midi % 2 === 0 ? size : -size;
  const name = pitchName(pitch);
  const first = (midi + pitch.letter) % 2 === 0;
  return [
    {
      ask: { kind: 'ear-which', pitch: name, midi, cents },
      right: [first ? 'first' : 'second'],
      options: ['first', 'second'],
    },
    {
      ask: { kind: 'ear-side', pitch: name, midi, cents },
      right: [cents > 0 ? 'high' : 'low'],
      options: ['low', 'high'],
    },
  ];
}
