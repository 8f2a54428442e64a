import { parsePitch, pitchClassName, type NoteNames, type Pitch } from '../core';

/*
 * What notes and keys are called, in print and aloud.
 */

const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];
const SYLLABLES = ['do', 're', 'mi', 'fa', 'sol', 'la', 'si'];
const GERMAN = ['C', 'D', 'E', 'F', 'G', 'A', 'H'];
const SIGNS = ['𝄫', '♭', '', '♯', '𝄪'];

/** Ways to call the notes, in words. */
export const NOTE_NAME_WORDS: readonly (readonly [NoteNames, string])[] = [
  ['letters', 'letters'],
  ['fixed-do', 'fixed do'],
  ['german', 'German names'],
];

/**
 * A note's name without its octave: "E♭", "mi♭", "Es".
 *
 * German names hang -is and -es on the letter; E and A lose the e of -es, B natural is H and B flat is B.
 */
export function noteName({ letter, alteration }: Pitch, names: NoteNames = 'letters'): string {
  if (names === 'german') return germanName(letter, alteration);
  const base = names === 'letters' ? LETTERS : SYLLABLES;
  return base[letter] + (SIGNS[alteration + 2] ?? '');
}

function germanName(letter: number, alteration: number): string {
  const base = GERMAN[letter];
  if (alteration >= 0) return base + 'is'.repeat(alteration);
  if (base === 'H' && alteration === -1) return 'B';
  const flat = 'es'.repeat(-alteration);
  return base + (base === 'E' || base === 'A' ? flat.slice(1) : flat);
}

/** Reads "Eb4", or "Eb" as in some octave. */
function read(name: string): Pitch | null {
  return parsePitch(name) ?? parsePitch(`${name}4`);
}

/** "Eb4" or "Eb" in print, without its octave: "E♭". */
export function printed(name: string, names?: NoteNames): string {
  const pitch = read(name);
  return pitch ? noteName(pitch, names) : name;
}

/** "Eb4" in print: "E♭4". */
export function noteWords(name: string, names?: NoteNames): string {
  const pitch = parsePitch(name);
  return pitch ? noteName(pitch, names) + pitch.octave : name;
}

const SPOKEN_SIGNS = [' double flat', ' flat', '', ' sharp', ' double sharp'];

/** "Eb4" or "Eb" as "E flat". */
export function classWords(name: string): string {
  const pitch = read(name);
  if (!pitch) return name;
  return pitchClassName({ ...pitch, alteration: 0 }) + (SPOKEN_SIGNS[pitch.alteration + 2] ?? '');
}

/** "F#4" as it is spoken: "F sharp 4". */
export function spoken(name: string): string {
  const pitch = parsePitch(name);
  return pitch ? `${classWords(name)} ${pitch.octave}` : name;
}

/** "Eb major" in print: "E♭ major". */
export function printedKey(key = 'C major'): string {
  const [tonic, ...mode] = key.split(' ');
  return [printed(tonic), ...mode].join(' ');
}
