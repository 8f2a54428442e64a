import type { Pitch } from './pitch';

/** How a student calls the notes. */
export const NOTE_NAMES = ['letters', 'fixed-do', 'german'] as const;
export type NoteNames = (typeof NOTE_NAMES)[number];

const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];
const SYLLABLES = ['do', 're', 'mi', 'fa', 'sol', 'la', 'si'];
const GERMAN = ['C', 'D', 'E', 'F', 'G', 'A', 'H'];
const SIGNS = ['𝄫', '♭', '', '♯', '𝄪'];

/**
 * A note's name without its octave: "E♭", "mi♭", "Es".
 *
 * German names hang -is and -es on the letter; E and A lose the e of -es, B natural is H and B flat is B.
 */
export function noteName({ letter, alteration }: Pitch, names: NoteNames): string {
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
