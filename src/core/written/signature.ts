/** The fifths of the signature that is written: beyond seven signs none is, and every note carries its own. */
export function writtenFifths(fifths: number): number {
  return Math.abs(fifths) > 7 ? 0 : fifths;
}

/** Signs before a note, by its alteration in semitones. */
export const SIGNS: Readonly<Record<number, string>> = { '-2': 'bb', '-1': 'b', '0': 'n', '1': '#', '2': '##' };
