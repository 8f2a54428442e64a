import { keyAlteration, type Key } from './key';
import { LETTERS, midiOf, spellMidi, type Pitch } from './pitch';

/** Spells a MIDI number as the key would: its own note where it has one, else with the key's kind of sign. */
export function spellInKey(key: Key, midi: number): Pitch {
  const octave = Math.floor(midi / 12) - 1;
  for (let letter = 0; letter < LETTERS.length; letter++) {
    for (const at of [octave - 1, octave, octave + 1]) {
      const pitch = { letter, alteration: keyAlteration(key, letter), octave: at };
      if (midiOf(pitch) === midi) return pitch;
    }
  }
  return spellMidi(midi, key.fifths < 0 ? 'flat' : 'sharp');
}
