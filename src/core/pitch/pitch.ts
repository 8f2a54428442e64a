/** A pitch as written: letter 0 (C) to 6 (B), alteration in semitones (sharps positive), scientific octave. */
export interface Pitch {
  readonly letter: number;
  readonly alteration: number;
  readonly octave: number;
}

export const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'] as const;
const LETTER_SEMITONES = [0, 2, 4, 5, 7, 9, 11] as const;

const PITCH_NAME = /^([A-Ga-g])(##?|bb?|)(-?\d{1,2})$/;
/** Nothing sounds below or above: C-1 is MIDI number 0. */
const OCTAVES = [-1, 10] as const;

/**
 * Reads a pitch name such as "A3", "C#4", "Eb5" or "Bb-1": at most two signs, from C-1 to C10.
 * @returns the pitch, or null where the name is none (also without an octave).
 */
export function parsePitch(name: string): Pitch | null {
  const [, letter, signs, octave] = PITCH_NAME.exec(name) ?? [];
  if (letter === undefined) return null;
  const pitch = {
    letter: LETTERS.indexOf(letter.toUpperCase() as 'C'),
    alteration: signs.startsWith('b') ? -signs.length : signs.length,
    octave: Number(octave),
  };
  const [lowest, highest] = OCTAVES.map((at) => midiOf({ letter: 0, alteration: 0, octave: at }));
  return midiOf(pitch) >= lowest && midiOf(pitch) <= highest ? pitch : null;
}

/** @returns the name parsePitch reads back, such as "F##4". */
export function pitchName(pitch: Pitch): string {
  return pitchClassName(pitch) + pitch.octave;
}

/** @returns the name without its octave, such as "Bb". */
export function pitchClassName(pitch: Pick<Pitch, 'letter' | 'alteration'>): string {
  const sign = pitch.alteration < 0 ? 'b' : '#';
  return LETTERS[pitch.letter] + sign.repeat(Math.abs(pitch.alteration));
}

/** @returns the MIDI number; middle C (C4) is 60. */
export function midiOf(pitch: Pitch): number {
  return 12 * (pitch.octave + 1) + LETTER_SEMITONES[pitch.letter] + pitch.alteration;
}

/** @returns letter steps above C0, alterations left aside: C4 is 28, B4 is 34. */
export function letterSteps(pitch: Pitch): number {
  return pitch.octave * 7 + pitch.letter;
}

/**
 * The pitch on a given letter step that sounds a given MIDI number.
 * @param step letter steps above C0, as letterSteps counts them
 */
export function spellAt(step: number, midi: number): Pitch {
  const octave = Math.floor(step / 7);
  const letter = step - octave * 7;
  return { letter, octave, alteration: midi - midiOf({ letter, octave, alteration: 0 }) };
}

/** The other one-accidental spellings of the same sound: A#4 gives Bb4, F4 gives E#4. */
export function respellings(pitch: Pitch): Pitch[] {
  const midi = midiOf(pitch);
  return [-1, 1]
    .map((move) => spellAt(letterSteps(pitch) + move, midi))
    .filter((other) => Math.abs(other.alteration) <= 1);
}

/** The plainest spelling of a MIDI number: a natural where there is one, else with the sign asked for. */
export function spellMidi(midi: number, sign: 'sharp' | 'flat'): Pitch {
  const octave = Math.floor(midi / 12) - 1;
  const within = midi - 12 * (octave + 1);
  const natural = LETTER_SEMITONES.indexOf(within as 0);
  if (natural >= 0) return { letter: natural, alteration: 0, octave };
  const below = LETTER_SEMITONES.indexOf((within - 1) as 0);
  return sign === 'sharp' ? { letter: below, alteration: 1, octave } : { letter: below + 1, alteration: -1, octave };
}
