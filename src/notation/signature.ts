const FLATS = ['C', 'F', 'Bb', 'Eb', 'Ab', 'Db', 'Gb', 'Cb'];
const SHARPS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];

/** The fifths of the signature that is written: beyond seven signs none is, and every note carries its own. */
export function writtenFifths(fifths: number): number {
  return Math.abs(fifths) > 7 ? 0 : fifths;
}

/** The name that the notation package has for the signature of so many fifths. */
export function signatureOf(fifths: number): string {
  const written = writtenFifths(fifths);
  return written < 0 ? FLATS[-written] : SHARPS[written];
}

/** Signs before a note, by its alteration in semitones. */
export const SIGNS: Readonly<Record<number, string>> = {
  '-2': 'bb',
  '-1': 'b',
  '0': 'n',
  '1': '#',
  '2': '##',
};
